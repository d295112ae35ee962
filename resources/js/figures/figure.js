import { scaleLinear, scalePoint } from 'd3-scale';
import { area, line } from 'd3-shape';
import { drawMark, drawStandingTape, labelStep, multiples, svg } from './tape.js';
import { drawAxisBottom } from './axis.js';
import { placeNames } from './names.js';
import { redraw } from './redraw.js';
import { tipFor } from '../frame/tip.js';
import { say } from '../words.js';

/**
 * The graph as schools teach it: what was chosen lies along the bottom, what came of it goes up, on a standing tape where
 * that is a distance. One mark a car; all values come in shown units.
 */
const TAPE = 46;
const FOOT = 52;
const TOP = 10;

export function attachFigures(root) {
    for (const figure of root.querySelectorAll('[data-relation]')) {
        const data = JSON.parse(figure.querySelector('script[type="application/json"]').textContent);
        const stage = figure.querySelector('[data-stage]');
        const tip = tipFor(figure);
        let width = 0;
        redraw(stage, () => {
            // One that is taken off the page has no width any more.
            if (stage.clientWidth > 0 && stage.clientWidth !== width) {
                width = stage.clientWidth;
                stage.replaceChildren(drawGraph(data, width, tip));
            }
        });
    }
}

let clips = 0;

function drawGraph(data, width, tip) {
    const height = width < 520 ? 330 : 430;
    const canvas = svg('svg', { viewBox: `0 0 ${width} ${height + TOP + FOOT}`, role: 'group', 'aria-label': say('figure.cars') });
    const foot = TOP + height;
    const most = Math.max(
        ...data.points.flatMap((point) => [point.y, ...point.tries, Math.min(point.high ?? 0, 1.3 * point.y)]),
        ...data.curve.map((each) => each.y),
        1e-6,
    );
    const max = most * 1.08;
    const y = scaleLinear([0, max], [foot, TOP]);
    svg('rect', { x: TAPE, y: TOP, width: width - TAPE, height, class: 'floor-board' }, canvas);
    for (const value of multiples(labelStep(data.tape, y(0) - y(1)), max).slice(1)) {
        svg('line', { x1: TAPE, x2: width, y1: y(value), y2: y(value), class: 'grid' }, canvas);
    }
    const frame = { left: TAPE + 2, right: width - 2, top: TOP, bottom: foot, width };
    if (data.points.length === 0) {
        svg('text', { x: TAPE + 20, y: TOP + height / 2, class: 'empty-note' }, canvas).textContent = say('figure.none');
    } else {
        drawCars(canvas, data, { y, tip, frame, x: data.numeric ? numbers(canvas, data, y, frame) : kinds(canvas, data, y, frame) });
    }
    svg('line', { x1: TAPE, x2: width, y1: foot, y2: foot, class: 'start' }, canvas);
    const tape = svg('g', { transform: `translate(0 ${foot})` }, canvas);
    svg('rect', { x: 0, y: -height, width: TAPE, height, fill: 'var(--color-tape)' }, tape);
    drawStandingTape(tape, { kind: data.tape, scale: (value) => foot - y(value), max, width: TAPE });
    svg('text', { x: width, y: foot + FOOT - 6, 'text-anchor': 'end', class: 'axis-label' }, canvas).textContent = data.factorLabel;
    return canvas;
}

/** What was chosen is a number: its scale along the foot, and the line through it. */
function numbers(canvas, data, y, { left, right, top, bottom }) {
    const values = data.points.map((point) => point.x);
    const [low, high] = [Math.min(...values), Math.max(...values)];
    const margin = high > low ? (high - low) * 0.14 : Math.max(Math.abs(high) * 0.2, 1);
    const x = scaleLinear([low < 0 ? low - margin : Math.max(0, low - margin), high + margin], [left, right]);
    drawAxisBottom(canvas, x, { at: bottom, values: x.ticks(Math.min(8, Math.max(2, Math.floor((right - left) / 70)))) });
    // Several graphs may stand on one page.
    const id = `floor-clip-${(clips += 1)}`;
    const clip = svg('clipPath', { id }, canvas);
    svg('rect', { x: left, y: top, width: right - left, height: bottom - top }, clip);
    drawFit(svg('g', { 'clip-path': `url(#${id})` }, canvas), data.curve, x, y);
    return (point) => x(point.x);
}

/** The line with where it may lie. */
function drawFit(clipped, curve, x, y) {
    if (curve.length === 0) {
        return;
    }
    if (curve[0].low !== null) {
        const band = area()
            .x((each) => x(each.x))
            .y0((each) => y(each.low))
            .y1((each) => y(each.high));
        svg('path', { d: band(curve), class: 'band' }, clipped);
    }
    const fit = line()
        .x((each) => x(each.x))
        .y((each) => y(each.y));
    svg('path', { d: fit(curve), class: 'fit' }, clipped);
}

/** What was chosen is a kind: a place for each along the foot, with the mean of its cars. */
function kinds(canvas, data, y, { left, right, bottom }) {
    const x = scalePoint(
        data.kinds.map((kind) => kind.kind),
        [left, right],
    ).padding(0.5);
    const room = (right - left) / Math.max(1, data.kinds.length);
    for (const kind of data.kinds) {
        const at = x(kind.kind);
        wrap(canvas, kind.kind, at, bottom + 17, Math.floor(room / 7.5));
        const beside = at - Math.min(34, room * 0.35);
        svg('line', { x1: beside - 10, x2: beside + 10, y1: y(kind.mean), y2: y(kind.mean), class: 'kind-mean' }, canvas);
    }
    return (point) => x(point.x);
}

function drawCars(canvas, data, { x, y, tip, frame }) {
    for (const [from, to] of data.rebuilt ?? []) {
        const [one, other] = [data.points[from], data.points[to]];
        svg('line', { x1: x(one), y1: y(one.y), x2: x(other), y2: y(other.y), class: 'rebuilt' }, canvas);
    }
    for (const point of data.points) {
        drawSpread(canvas, point, x(point), y);
    }
    const boxes = placeNames(
        data.points.map((point) => ({ x: x(point), y: y(point.y), name: shortened(point.name) })),
        frame,
    );
    data.points.forEach((point, index) => {
        const said = `${point.name}: ${point.factor}, ${point.shown}`;
        const group = svg('g', { class: point.open ? 'point open' : 'point', tabindex: '0', role: 'img', 'aria-label': said }, canvas);
        svg('circle', { cx: x(point), cy: y(point.y), r: 17, class: 'halo', 'pointer-events': 'all' }, group);
        drawMark(group, point.mark, x(point), y(point.y), 21, point.older ? 'older' : '');
        if (boxes[index] !== null) {
            const { x: at, y: height } = boxes[index];
            svg('text', { x: at, y: height + 12, class: 'name' }, group).textContent = shortened(point.name);
        }
        tip(group, said);
    });
}

/** A car's tries, small, and where its mean may lie. */
function drawSpread(canvas, point, x, y) {
    const spread = svg('g', { class: `mark-${point.mark.split('-')[0]}`, 'aria-hidden': 'true' }, canvas);
    const ends = (point.low ?? null) === null ? [Math.min(...point.tries), Math.max(...point.tries)] : [Math.max(0, point.low), point.high];
    svg('line', { x1: x, x2: x, y1: y(ends[0]), y2: y(ends[1]), class: 'spread' }, spread);
    if (point.tries.length > 1) {
        for (const each of point.tries) {
            drawMark(spread, point.mark, x, y(each), 9, 'try');
        }
    }
}

const shortened = (name) => (name.length > 22 ? `${name.slice(0, 20)}…` : name);

function wrap(canvas, text, x, y, most) {
    const lines = [''];
    for (const word of text.split(' ')) {
        const last = lines[lines.length - 1];
        if (last !== '' && last.length + word.length + 1 > most) {
            lines.push(word);
        } else {
            lines[lines.length - 1] = last === '' ? word : `${last} ${word}`;
        }
    }
    lines.slice(0, 2).forEach((each, index) => {
        const said = each.length > most + 2 ? `${each.slice(0, Math.max(1, most + 1))}…` : each;
        svg('text', { x, y: y + index * 15, 'text-anchor': 'middle', class: 'axis-text' }, canvas).textContent = said;
    });
}
