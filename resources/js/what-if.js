import { scaleLinear } from 'd3-scale';
import { contours } from 'd3-contour';
import { area, line } from 'd3-shape';
import { drawTape, labelStep, multiples, svg } from './tape.js';
import { drawSide } from './side-view.js';

const LETTERS = ['a', 'b', 'c'];

/**
 * The What-if bench. Every number is the server's: this turns rulers, asks, and draws what comes back.
 * One question is under way at a time; while it is, only the newest setting waits, so that answers
 * never come out of order.
 */
export function attachWhatIf(root) {
    const bench = root.querySelector('[data-what-if]');
    if (bench === null) {
        return;
    }
    const page = JSON.parse(bench.querySelector('script[type="application/json"]').textContent);
    const settings = new Map(page.settings.map((setting) => [setting.key, setting]));
    const designs = new Map(Object.entries(page.designs).map(([letter, text]) => [letter, parse(text, page.settings)]));
    const answers = new Map();
    let on = 'a';
    let draws = 'work';

    // Said to screen readers, and to whoever waits for figures that are right.
    let underWay = 0;
    const busy = (more) => {
        underWay += more;
        bench.setAttribute('aria-busy', String(underWay > 0));
    };
    const find = (name) => bench.querySelector(`[data-${name}]`);
    const values = () => designs.get(on);

    const ask = asker((letter) => `${page.run}&d=${encodeURIComponent(write(designs.get(letter), settings))}`, (letter, answer, fault) => {
        const complaint = find('fault');
        complaint.hidden = fault === null;
        complaint.textContent = fault ?? '';
        if (fault === null) {
            answers.set(letter, answer);
        }
        show();
    }, busy);
    let sweepTimer = null;
    const askSweep = asker(() => `${page.sweep}&d=${encodeURIComponent(write(values(), settings))}&x=${page.along}&y=${page.across}`, (_, answer, fault) => {
        if (fault === null) {
            drawSweep(answer);
            find('schools').replaceChildren(...(answer.schools === null ? [] : [sentence(answer.schools)]));
        }
    }, busy);

    function changed() {
        ask(on);
        keepAddress();
        if (sweepTimer === null) {
            busy(1);
        }
        clearTimeout(sweepTimer);
        sweepTimer = setTimeout(() => {
            sweepTimer = null;
            askSweep(on);
            busy(-1);
        }, 250);
    }

    function keepAddress() {
        const query = new URLSearchParams();
        for (const [letter, held] of designs) {
            query.set(letter, write(held, settings));
        }
        query.set('x', page.along);
        if (page.across !== '') {
            query.set('y', page.across);
        }
        history.replaceState(null, '', `${location.pathname}?${query}`);
    }

    function turn(key, si) {
        const setting = settings.get(key);
        values().set(key, Math.min(setting.limits[1], Math.max(setting.limits[0], si)));
        fill(key);
        changed();
    }

    function fill(key) {
        const setting = settings.get(key);
        const row = bench.querySelector(`[data-setting="${key}"]`);
        const value = values().get(key);
        // A ruler stretches to where a car's own value lies.
        const slider = row.querySelector('[data-slider]');
        slider.min = Math.min(setting.least, value);
        slider.max = Math.max(setting.greatest, value);
        slider.value = value;
        const shown = +(value * setting.perSi).toFixed(setting.decimals);
        row.querySelector('[data-slider]').setAttribute('aria-valuetext', `${shown} ${setting.unit}`.trim());
        const field = row.querySelector('[data-field]');
        if (document.activeElement !== field) {
            field.value = key === 'f' && value === 0 ? '' : shown;
            field.placeholder = key === 'f' ? 'no' : '';
        }
    }

    for (const row of bench.querySelectorAll('[data-setting]')) {
        const setting = settings.get(row.dataset.setting);
        row.querySelector('[data-slider]').addEventListener('input', (event) => turn(setting.key, +event.target.value));
        const field = row.querySelector('[data-field]');
        field.addEventListener('change', () => {
            // The unit may be typed along; another unit is refused rather than misread.
            const typed = field.value.replace(setting.unit, '').replace(',', '.').trim();
            if (typed !== '' && !Number.isFinite(Number(typed))) {
                find('fault').hidden = false;
                find('fault').textContent = `${setting.label}: type a number${setting.unit === '' ? '' : ` in ${setting.unit}`}. “${field.value}” is not one, so the design stays as it was.`;
            } else if (typed !== '' || setting.key === 'f') {
                turn(setting.key, Number(typed) / setting.perSi);
            }
            field.value = +(values().get(setting.key) * setting.perSi).toFixed(setting.decimals);
        });
    }
    for (const select of bench.querySelectorAll('[data-part]')) {
        select.addEventListener('change', () => {
            for (const [key, value] of Object.entries(page.parts[select.dataset.part]?.[select.value] ?? {})) {
                const [least, greatest] = settings.get(key).limits;
                values().set(key, Math.min(greatest, Math.max(least, value)));
            }
            fillAll();
            changed();
        });
    }
    for (const button of bench.querySelectorAll('[data-draw]')) {
        button.addEventListener('click', () => {
            draws = button.dataset.draw;
            for (const each of bench.querySelectorAll('[data-draw]')) {
                each.setAttribute('aria-pressed', String(each === button));
            }
            show();
        });
    }
    for (const [name, key] of [['along', 'along'], ['across', 'across']]) {
        find(name).addEventListener('change', (event) => {
            page[key] = event.target.value;
            keepAddress();
            askSweep(on);
        });
    }
    bench.querySelector('form').addEventListener('submit', (event) => event.preventDefault());

    function fillAll() {
        for (const key of settings.keys()) {
            fill(key);
        }
    }

    function fillTabs() {
        const tabs = find('tabs');
        tabs.replaceChildren();
        for (const letter of designs.keys()) {
            tabs.append(tab(`Design ${letter.toUpperCase()}`, letter === on, () => choose(letter)));
        }
        if (designs.size < LETTERS.length) {
            tabs.append(tab('Compare with a copy', null, () => {
                const letter = LETTERS.find((each) => !designs.has(each));
                designs.set(letter, new Map(values()));
                answers.set(letter, answers.get(on));
                choose(letter);
            }));
        }
        if (designs.size > 1) {
            tabs.append(tab(`Drop ${on.toUpperCase()}`, null, () => {
                designs.delete(on);
                answers.delete(on);
                choose([...designs.keys()][0]);
            }));
        }
    }

    function choose(letter) {
        on = letter;
        for (const select of bench.querySelectorAll('[data-part]')) {
            select.value = '';
        }
        fillTabs();
        fillAll();
        changed();
    }

    function show() {
        const answer = answers.get(on);
        if (answer === undefined) {
            return;
        }
        find('number').textContent = answer.shown.distance;
        find('band').textContent = answer.moves
            ? `${answer.shown.band}, from what is not measured. ${answer.shown.time} to the stop.`
            : `Push at the start ${answer.shown.thrust}, and it does not suffice.`;
        find('friction').textContent = answer.frictionMeasured ? `f = ${answer.shown.friction}, measured` : `f = ${answer.shown.friction}, from the parts; measure it and set it above`;
        find('said').replaceChildren(...answer.said.map(sentence));
        find('clearance').replaceChildren(sentence(['', '', answer.touches
            ? `Drawn to scale: the balloon touches the wheels, by ${answer.shown.wheels}.`
            : `Drawn to scale: the balloon clears the floor by ${answer.shown.floor} and the wheels by ${answer.shown.wheels}.`]));
        drawSide(find('side'), answer);
        drawForces(answer);
        drawEnergy(answer);
        fillTable();
    }

    function drawForces(answer) {
        const holder = find('forces');
        const width = holder.clientWidth;
        const left = 52;
        const rows = designs.size > 1 ? [...designs.keys()] : [];
        const height = 190;
        const canvas = svg('svg', { viewBox: `0 0 ${width} ${height + 74 + rows.length * 26}`, role: 'img', 'aria-label': `${draws === 'speed' ? 'Speed' : 'Push and resistance'} of design ${on.toUpperCase()}` });
        const all = [...answers.values()].filter((each) => each !== undefined);
        const overTime = draws === 'time';
        const last = answer.trajectory[answer.trajectory.length - 1];
        const most = overTime ? (last?.[0] ?? 1) * 1.04 : Math.max(...all.map((each) => Math.max(each.distance, rows.length > 0 ? each.high : 0)), 1) * 1.06;
        const x = scaleLinear([0, most], [left, width - 4]);
        const along = (moment) => x(overTime ? moment[0] : moment[1]);
        const tall = draws === 'speed' ? Math.max(...answer.trajectory.map((each) => each[2]), 0.1) : Math.max(...answer.trajectory.flatMap((each) => [each[3], each[4] + each[5]]), 1);
        const y = scaleLinear([0, tall * 1.15], [height + 20, 24]);
        const unit = svg('text', { x: 0, y: 12, class: 'plain-text' }, canvas);
        unit.textContent = draws === 'speed' ? 'speed, m/s' : 'force, mN';
        for (const value of y.ticks(4)) {
            svg('line', { x1: left, x2: width, y1: y(value), y2: y(value), class: 'grid' }, canvas);
            svg('text', { x: left - 8, y: y(value) + 5, 'text-anchor': 'end', class: 'axis-text' }, canvas).textContent = String(value);
        }
        if (answer.trajectory.length > 0) {
            if (draws === 'speed') {
                svg('path', { d: line().x(along).y((each) => y(each[2]))(answer.trajectory), class: 'held' }, canvas);
            } else {
                const push = answer.trajectory;
                const held = (each) => each[4] + each[5];
                svg('path', { d: area().x(along).y0(y(0)).y1((each) => y(each[3]))(push), class: 'push-area' }, canvas);
                svg('path', { d: area().x(along).y0(y(0)).y1((each) => y(held(each)))(push), class: 'held-area' }, canvas);
                svg('path', { d: line().x(along).y((each) => y(each[4]))(push), class: 'rolling' }, canvas);
                svg('path', { d: line().x(along).y((each) => y(held(each)))(push), class: 'held' }, canvas);
                svg('path', { d: line().x(along).y((each) => y(each[3]))(push), class: 'push' }, canvas);
                const early = push[Math.floor(push.length * 0.18)];
                svg('text', { x: along(early), y: y(early[3]) - 8, class: 'push-text' }, canvas).textContent = 'push';
                const late = push[Math.floor(push.length * 0.72)];
                svg('text', { x: along(late), y: y(held(late)) - 8, class: 'held-text' }, canvas).textContent = 'rolling + air';
                if (!overTime && width > 640) {
                    const note = svg('text', { x: width - 4, y: 14, 'text-anchor': 'end', class: 'plain-text' }, canvas);
                    note.textContent = 'The two shaded areas are the same work: push given, push used up.';
                }
            }
        }
        const floor = height + 20;
        const tape = svg('g', { transform: `translate(0 ${floor + 22})` }, canvas);
        svg('rect', { x: left, y: -22, width: width - left, height: 22, fill: 'var(--color-board)' }, tape);
        svg('rect', { x: left, y: 0, width: width - left, height: 30, fill: 'var(--color-tape)' }, tape);
        drawTape(tape, { kind: overTime ? null : page.tape, scale: x, max: most, height: 30 });
        svg('line', { x1: left, x2: left, y1: floor, y2: floor + 52, class: 'start' }, canvas);
        if (overTime) {
            svg('text', { x: width - 4, y: floor + 16, 'text-anchor': 'end', class: 'plain-text' }, canvas).textContent = 'time, s';
        } else if (answer.moves) {
            if (answer.limp !== null) {
                svg('line', { x1: x(answer.limp), x2: x(answer.limp), y1: 24, y2: floor + 22, class: 'limp' }, canvas);
                svg('text', { x: x(answer.limp) + 5, y: floor + 16, class: 'plain-text' }, canvas).textContent = `limp ${answer.shown.limp}`;
            }
            svg('line', { x1: x(answer.distance), x2: x(answer.distance), y1: floor - 14, y2: floor + 22, class: 'stop' }, canvas);
            const beside = x(answer.distance) > width - 120;
            svg('text', { x: x(answer.distance) + (beside ? -8 : 8), y: floor - 3, 'text-anchor': beside ? 'end' : 'start', class: 'axis-label' }, canvas).textContent = `stop ${answer.shown.distance}`;
        }
        rows.forEach((letter, index) => {
            const other = answers.get(letter);
            const at = floor + 74 + index * 26;
            svg('text', { x: 0, y: at + 5, class: 'axis-label' }, canvas).textContent = letter.toUpperCase();
            if (other === undefined || overTime) {
                return;
            }
            const low = x(other.low);
            const high = Math.min(x.range()[1], x(other.high));
            svg('path', { d: `M${low} ${at}H${high}M${low} ${at - 5}v10M${high} ${at - 5}v10`, class: 'band-line' }, canvas);
            svg('circle', { cx: x(other.distance), cy: at, r: 6, fill: letter === on ? 'var(--color-do)' : 'var(--color-ink-2)' }, canvas);
            const before = high > width - 230;
            svg('text', { x: before ? Math.min(low, x(other.distance)) - 12 : high + 12, y: at + 5, 'text-anchor': before ? 'end' : 'start', class: 'plain-text' }, canvas).textContent = `${other.shown.distance} (${other.shown.band})`;
        });
        holder.replaceChildren(canvas);
    }

    function drawEnergy(answer) {
        const holder = find('energy');
        const width = holder.clientWidth;
        const canvas = svg('svg', { viewBox: `0 0 ${width} 76`, role: 'img', 'aria-label': 'Where the energy goes' });
        const { stored, work, rolling, drag, carried } = answer.energy;
        if (answer.moves && stored > 0) {
            svg('text', { x: 0, y: 13, class: 'plain-text' }, canvas).textContent = `Energy given up, ${stored.toFixed(2)} J: the jet takes all but ${(100 * work / stored).toFixed(1)} %`;
            svg('rect', { x: 0, y: 19, width, height: 12, class: 'energy-jet' }, canvas);
            svg('rect', { x: 0, y: 19, width: width * Math.min(1, work / stored), height: 12, fill: 'var(--color-do)' }, canvas);
            svg('path', { d: `M0 31L0 56M${width * Math.min(1, work / stored)} 31L${width} 56`, class: 'grid' }, canvas);
            const spent = Math.max(rolling + drag + carried, 1e-9);
            let at = 0;
            for (const [name, value] of [['rolling', rolling], ['drag', drag], ['carried', carried]]) {
                const part = width * value / spent;
                svg('rect', { x: at, y: 56, width: part, height: 18, class: `energy-${name}` }, canvas);
                at += part;
            }
            svg('text', { x: 0, y: 50, class: 'plain-text' }, canvas).textContent = `of the push: rolling ${(100 * rolling / spent).toFixed(0)} %, air ${(100 * drag / spent).toFixed(0)} %, carried off with the air ${(100 * carried / spent).toFixed(0)} %`;
        }
        holder.replaceChildren(canvas);
    }

    function drawSweep(sweep) {
        const holder = find('sweep');
        const width = holder.clientWidth;
        const left = 66;
        const height = 250;
        const canvas = svg('svg', { viewBox: `0 0 ${width} ${height + 60}`, role: 'img', 'aria-label': sweep.yLabel === null ? `Distance along ${sweep.xLabel}` : `Distance over ${sweep.xLabel} and ${sweep.yLabel}` });
        find('best').textContent = sweep.best === null ? 'No design in this range can be.' : `Farthest at ${sweep.best.shown}.`;
        const xs = sweep.curve?.map((each) => each[0]) ?? sweep.x;
        if (xs.length > 1) {
            const x = scaleLinear([xs[0], xs[xs.length - 1]], [left, width - 8]);
            const y = sweep.yLabel === null
                ? scaleLinear([0, Math.max(...sweep.curve.map((each) => each[1]), 1) * 1.08], [height, 22])
                : scaleLinear([sweep.y[0], sweep.y[sweep.y.length - 1]], [height, 22]);
            svg('text', { x: 0, y: 12, class: 'axis-label' }, canvas).textContent = sweep.yLabel ?? `Distance, ${sweep.unit}`;
            if (sweep.yLabel === null) {
                const step = labelStep(sweep.tape, Math.abs(y(1) - y(0)) * 1.6);
                for (const value of multiples(step, y.domain()[1])) {
                    svg('line', { x1: left, x2: width, y1: y(value), y2: y(value), class: 'grid' }, canvas);
                    svg('text', { x: left - 8, y: y(value) + 5, 'text-anchor': 'end', class: 'axis-text' }, canvas).textContent = String(value);
                }
                svg('path', { d: line().x((each) => x(each[0])).y((each) => y(each[1]))(sweep.curve), class: 'fit' }, canvas);
            } else {
                drawContours(canvas, sweep, x, y);
                for (const value of y.ticks(6)) {
                    svg('text', { x: left - 8, y: y(value) + 5, 'text-anchor': 'end', class: 'axis-text' }, canvas).textContent = String(value);
                }
            }
            for (const value of x.ticks(Math.max(4, Math.floor(width / 110)))) {
                svg('line', { x1: x(value), x2: x(value), y1: height, y2: height + 7, class: 'tape-minor' }, canvas);
                svg('text', { x: x(value), y: height + 24, 'text-anchor': 'middle', class: 'axis-text' }, canvas).textContent = String(value);
            }
            svg('text', { x: width - 8, y: height + 46, 'text-anchor': 'end', class: 'axis-label' }, canvas).textContent = sweep.xLabel;
            if (sweep.yLabel !== null) {
                svg('text', { x: left, y: height + 46, class: 'plain-text' }, canvas).textContent = `darker is farther; a band is ${Math.round(Math.max(...sweep.distances.map((far) => far ?? 0)) / 9)} ${sweep.unit}`;
            }
            svg('line', { x1: left, x2: width - 8, y1: height, y2: height, class: 'tape-major' }, canvas);
            svg('circle', { cx: x(sweep.at[0]), cy: y(sweep.at[1]), r: 8, class: 'here' }, canvas);
            if (sweep.best !== null) {
                svg('path', { d: `M${x(sweep.best.x) - 7} ${y(sweep.best.y)}h14M${x(sweep.best.x)} ${y(sweep.best.y) - 7}v14`, class: 'stop' }, canvas);
            }
        }
        holder.replaceChildren(canvas);
        fillRows(find('sensitivity'), ['A percent more of', 'changes the distance by'], sweep.sensitivities);
        fillRows(find('sweep-table'), [sweep.xLabel, ...(sweep.yLabel === null ? [] : [sweep.yLabel]), `Distance, ${sweep.unit}`], sweep.curve ?? sweep.distances.map((far, index) => [sweep.x[index % sweep.x.length], sweep.y[Math.floor(index / sweep.x.length)], far ?? 'cannot be']));
    }

    function drawContours(canvas, sweep, x, y) {
        // One row and column more on every side, like their neighbours: contours close beyond the edge, not at it.
        const [across, down] = [sweep.x.length + 2, sweep.y.length + 2];
        const inner = (at, count) => Math.min(count - 1, Math.max(0, at - 1));
        const values = Array.from({ length: across * down }, (_, index) => sweep.distances[inner(Math.floor(index / across), sweep.y.length) * sweep.x.length + inner(index % across, sweep.x.length)] ?? -1);
        const most = Math.max(...values, 1);
        const levels = Array.from({ length: 9 }, (_, index) => (most * index) / 9);
        const shade = scaleLinear([0, most], ['#f5efe3', '#0a626c']);
        const share = (at, count) => Math.min(1, Math.max(0, (at - 1.5) / (count - 1)));
        const place = ([cx, cy]) => [[cx, sweep.x, x], [cy, sweep.y, y]].map(([at, ends, scale]) => scale(ends[0] + share(at, ends.length) * (ends[ends.length - 1] - ends[0])));
        for (const contour of contours().size([across, down]).thresholds(levels)(values)) {
            const d = contour.coordinates.flatMap((polygon) => polygon.map((ring) => `M${ring.map((point) => place(point).map((each) => each.toFixed(1)).join(',')).join('L')}Z`)).join('');
            svg('path', { d, class: 'contour', fill: shade(contour.value) }, canvas);
        }
    }

    function fillTable() {
        const letters = [...designs.keys()].filter((letter) => answers.get(letter) !== undefined);
        const rows = [
            ['Distance', 'distance'], ['Band', 'band'], ['Balloon limp at', 'limp'], ['Time to the stop', 'time'], ['Fastest', 'peak'],
            ['Push at the start', 'thrust'], ['Pressure at the start', 'pressure'], ['Jet at the start', 'jet'], ['Rolling coefficient f', 'friction'],
        ].map(([label, key]) => [label, ...letters.map((letter) => answers.get(letter).shown[key] ?? '–')]);
        fillRows(find('table'), ['', ...letters.map((letter) => `Design ${letter.toUpperCase()}`)], rows);
    }

    let width = 0;
    new ResizeObserver(() => {
        const now = find('forces').clientWidth;
        if (now !== width) {
            width = now;
            show();
        }
    }).observe(bench);

    fillTabs();
    fillAll();
    for (const letter of designs.keys()) {
        ask(letter);
    }
    askSweep(on);
}

/** Asks one question at a time; while one is under way, the newest of each kind waits. */
function asker(address, answered, isBusy) {
    const waiting = new Set();
    let busy = false;
    const next = async () => {
        const [kind] = waiting;
        if (busy || kind === undefined) {
            return;
        }
        waiting.delete(kind);
        busy = true;
        isBusy(1);
        try {
            const response = await fetch(address(kind), { headers: { Accept: 'application/json' } });
            const body = await response.json();
            answered(kind, response.ok ? body : null, response.ok ? null : response.status === 403 ? 'This page lay open too long. Reload it: the address holds the designs.' : body.message);
        } catch {
            answered(kind, null, 'The server does not answer. Check the connection; the design is kept in the address.');
        }
        busy = false;
        next();
        isBusy(-1);
    };
    return (kind) => {
        waiting.add(kind);
        next();
    };
}

function parse(text, settings) {
    const values = new Map(settings.map((setting) => [setting.key, setting.usual]));
    for (const pair of text === '' ? [] : text.split(',')) {
        const [key, value] = pair.split(':');
        values.set(key, Number(value));
    }
    return values;
}

function write(values, settings) {
    return [...values].filter(([key, value]) => value !== settings.get(key).usual).map(([key, value]) => `${key}:${+value.toFixed(7)}`).join(',');
}

function tab(text, pressed, act) {
    const button = document.createElement('button');
    button.type = 'button';
    button.className = pressed === null ? 'button plain' : 'button';
    button.textContent = text;
    if (pressed !== null) {
        button.setAttribute('aria-pressed', String(pressed));
    }
    button.addEventListener('click', act);
    return button;
}

function sentence([lead, rest, small]) {
    const paragraph = document.createElement('p');
    for (const [tag, text] of [['strong', lead], ['span', rest], ['small', small]]) {
        if (text !== '') {
            const node = document.createElement(tag);
            node.textContent = text;
            if (tag === 'small') {
                node.className = 'small';
            }
            paragraph.append(node, ' ');
        }
    }
    return paragraph;
}

function fillRows(table, head, rows) {
    const row = (cells, tag) => {
        const tr = document.createElement('tr');
        cells.forEach((text, index) => {
            const cell = document.createElement(tag === 'td' && index === 0 ? 'th' : tag);
            if (cell.tagName === 'TH') {
                cell.scope = tag === 'td' ? 'row' : 'col';
            }
            cell.className = index === 0 ? '' : 'num';
            cell.textContent = text;
            tr.append(cell);
        });
        return tr;
    };
    const thead = document.createElement('thead');
    thead.append(row(head.map((text) => text || 'What'), 'th'));
    const tbody = document.createElement('tbody');
    tbody.append(...rows.map((cells) => row(cells, 'td')));
    table.replaceChildren(thead, tbody);
}
