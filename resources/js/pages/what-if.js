import { drawEnergy } from '../figures/energy.js';
import { drawForces } from '../figures/forces.js';
import { drawSide } from '../figures/side-view.js';
import { drawSweep } from '../figures/sweep.js';
import { say } from '../words.js';
import { asker } from './asker.js';

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
    const usual = page.settings.map((setting) => [setting.key, setting.usual]);
    const designs = new Map(
        Object.entries(page.designs).map(([letter, values]) => [letter, new Map([...usual, ...Object.entries(values)])]),
    );
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

    const ask = asker(
        (letter) => `${page.run}&d=${encodeURIComponent(write(designs.get(letter), settings))}`,
        (letter, answer, fault) => {
            const complaint = find('fault');
            complaint.hidden = fault === null;
            complaint.textContent = fault ?? '';
            if (fault === null) {
                answers.set(letter, answer);
            }
            show();
        },
        busy,
    );
    let sweepTimer = null;
    const askSweep = asker(
        () => `${page.sweep}&d=${encodeURIComponent(write(values(), settings))}&x=${page.along}&y=${page.across}`,
        (_, answer, fault) => {
            if (fault === null) {
                showSweep(answer);
                find('schools').replaceChildren(...(answer.schools === null ? [] : [sentence(answer.schools)]));
            }
        },
        busy,
    );

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
            field.value = key === 'rolling_coefficient' && value === 0 ? '' : shown;
            field.placeholder = key === 'rolling_coefficient' ? 'no' : '';
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
                find('fault').textContent = say(setting.unit === '' ? 'what_if.not_a_number' : 'what_if.not_a_number_in', {
                    setting: setting.label,
                    unit: setting.unit,
                    typed: field.value,
                });
            } else if (typed !== '' || setting.key === 'rolling_coefficient') {
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
    for (const [name, key] of [
        ['along', 'along'],
        ['across', 'across'],
    ]) {
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
            tabs.append(tab(say('what_if.design', { letter: letter.toUpperCase() }), letter === on, () => choose(letter)));
        }
        if (designs.size < LETTERS.length) {
            tabs.append(
                tab(say('what_if.compare'), null, () => {
                    const letter = LETTERS.find((each) => !designs.has(each));
                    designs.set(letter, new Map(values()));
                    answers.set(letter, answers.get(on));
                    choose(letter);
                }),
            );
        }
        if (designs.size > 1) {
            tabs.append(
                tab(say('what_if.drop', { letter: on.toUpperCase() }), null, () => {
                    designs.delete(on);
                    answers.delete(on);
                    choose([...designs.keys()][0]);
                }),
            );
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
            ? say('what_if.band_and_time', { band: answer.shown.band, time: answer.shown.time })
            : say('what_if.too_weak', { thrust: answer.shown.thrust });
        find('friction').textContent = answer.frictionMeasured
            ? say('what_if.f_measured', { friction: answer.shown.friction })
            : say('what_if.f_from_parts', { friction: answer.shown.friction });
        find('said').replaceChildren(...answer.said.map(sentence));
        find('clearance').replaceChildren(
            sentence([
                '',
                '',
                answer.touches
                    ? say('what_if.touches', { wheels: answer.shown.wheels })
                    : say('what_if.clears', { floor: answer.shown.floor, wheels: answer.shown.wheels }),
            ]),
        );
        drawSide(find('side'), answer);
        drawForces(find('forces'), { on, draws, answers, letters: [...designs.keys()], tape: page.tape });
        drawEnergy(find('energy'), answer);
        fillTable();
    }

    function showSweep(sweep) {
        find('best').textContent = sweep.best === null ? say('what_if.none') : say('what_if.farthest', { best: sweep.best.shown });
        drawSweep(find('sweep'), sweep);
        fillRows(find('sensitivity'), [say('what_if.percent_more'), say('what_if.changes_by')], sweep.sensitivities);
        fillRows(
            find('sweep-table'),
            [sweep.xLabel, ...(sweep.yLabel === null ? [] : [sweep.yLabel]), say('what_if.distance_axis', { unit: sweep.unit })],
            sweep.curve ??
                sweep.distances.map((far, index) => [
                    sweep.x[index % sweep.x.length],
                    sweep.y[Math.floor(index / sweep.x.length)],
                    far ?? say('what_if.cannot_be'),
                ]),
        );
    }

    function fillTable() {
        const letters = [...designs.keys()].filter((letter) => answers.get(letter) !== undefined);
        const rows = ['distance', 'band', 'limp', 'time', 'peak', 'thrust', 'pressure', 'jet', 'friction'].map((key) => [
            say(`what_if.rows.${key}`),
            ...letters.map((letter) => answers.get(letter).shown[key] ?? '–'),
        ]);
        fillRows(find('table'), ['', ...letters.map((letter) => say('what_if.design', { letter: letter.toUpperCase() }))], rows);
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

function write(values, settings) {
    return [...values]
        .filter(([key, value]) => value !== settings.get(key).usual)
        .map(([key, value]) => `${key}:${+value.toFixed(7)}`)
        .join(',');
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
    for (const [tag, text] of [
        ['strong', lead],
        ['span', rest],
        ['small', small],
    ]) {
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
    thead.append(
        row(
            head.map((text) => text || 'What'),
            'th',
        ),
    );
    const tbody = document.createElement('tbody');
    tbody.append(...rows.map((cells) => row(cells, 'td')));
    table.replaceChildren(thead, tbody);
}
