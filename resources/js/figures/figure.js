import { scaleLinear, scalePoint } from 'd3-scale';
import { area, line } from 'd3-shape';
import { drawMark, drawTape, labelStep, multiples, svg } from './tape.js';
import { drawAxisLeft } from './axis.js';
import { redraw } from './redraw.js';
import { tipFor } from '../pages/tip.js';
import { say } from '../words.js';

/**
 * The relation figure: cars lie on the floor where they stopped, stacked by what they chose.
 * The outcome runs along the tape, the factor upwards; all values come in shown units.
 */
export function attachFigures(root) {
    for (const figure of root.querySelectorAll('[data-relation]')) {
        const data = JSON.parse(figure.querySelector('script[type="application/json"]').textContent);
        const stage = figure.querySelector('[data-stage]');
        const tip = tipFor(figure);
        let width = 0;
        const draw = () => {
            // One that is taken off the page has no width any more.
            if (stage.clientWidth > 0 && stage.clientWidth !== width) {
                width = stage.clientWidth;
                stage.replaceChildren(drawRelation(data, width, tip));
            }
        };
        redraw(stage, draw);
    }
}

function drawRelation(data, width, tip) {
    const narrow = width < 520;
    const left = data.numeric ? 62 : narrow ? 96 : 168;
    const tapeHeight = 32;
    const height = data.numeric ? (narrow ? 340 : 430) : Math.max(200, data.kinds.length * 84);
    const canvas = svg('svg', { viewBox: `0 0 ${width} ${height + tapeHeight + 34}`, role: 'group', 'aria-label': say('figure.cars') });
    const most = Math.max(
        ...data.points.flatMap((point) => [point.y, ...point.tries]),
        ...data.points.map((point) => Math.min(point.yHigh ?? 0, 1.3 * point.y)),
        1e-6,
    );
    const x = scaleLinear([0, most * 1.08], [left, width - 2]);
    const max = most * 1.08;
    svg('rect', { x: left, y: 26, width: width - left, height, class: 'floor-board' }, canvas);
    for (const value of multiples(labelStep(data.tape, x(1) - x(0)), max).slice(1)) {
        svg('line', { x1: x(value), x2: x(value), y1: 26, y2: 26 + height, class: 'grid' }, canvas);
    }
    const label = svg('text', { x: 0, y: 14, class: 'axis-label' }, canvas);
    label.textContent = data.factorLabel;

    if (data.points.length === 0) {
        const note = svg('text', { x: left + 20, y: 26 + height / 2, class: 'empty-note' }, canvas);
        note.textContent = say('figure.none');
    } else if (data.numeric) {
        drawNumbers(canvas, data, x, { left, width, height, tip });
    } else {
        drawKinds(canvas, data, x, { left, height, tip, narrow });
    }

    svg('line', { x1: left, x2: left, y1: 26, y2: 26 + height + tapeHeight, class: 'start' }, canvas);
    const tape = svg('g', { transform: `translate(0 ${26 + height})` }, canvas);
    svg('rect', { x: left, y: 0, width: width - left, height: tapeHeight, fill: 'var(--color-tape)' }, tape);
    drawTape(tape, { kind: data.tape, scale: x, max, height: tapeHeight });
    return canvas;
}

function drawNumbers(canvas, data, x, { left, width, height, tip }) {
    const values = data.points.map((point) => point.x);
    // Intervals reach beyond the marks, but may not push them all into one corner.
    const low = Math.min(...values, ...data.points.map((point) => Math.max(point.xLow ?? point.x, 0.5 * point.x)));
    const high = Math.max(...values, ...data.points.map((point) => Math.min(point.xHigh ?? point.x, 1.4 * point.x)));
    const margin = high > low ? (high - low) * 0.14 : Math.max(high * 0.2, 1);
    const y = scaleLinear([Math.max(0, low - margin), high + margin], [26 + height, 26]);
    drawAxisLeft(canvas, y, { left, right: width, values: y.ticks(6) });
    const clip = svg('clipPath', { id: 'floor-clip' }, canvas);
    svg('rect', { x: left, y: 26, width: width - left, height }, clip);
    const clipped = svg('g', { 'clip-path': 'url(#floor-clip)' }, canvas);
    drawFit(clipped, data, x, y);
    for (const point of data.points) {
        if (point.xLow !== undefined) {
            const cross = svg('g', { class: `mark-${point.mark.split('-')[0]}`, 'aria-hidden': 'true' }, clipped);
            const across = point.yLow === null ? '' : `M${x(point.yLow)} ${y(point.x)}H${x(point.yHigh)}`;
            svg('path', { d: `M${x(point.y)} ${y(point.xLow)}V${y(point.xHigh)}${across}`, class: 'cross' }, cross);
        }
        drawPoint(canvas, point, x, y(point.x), tip);
    }
}

/** The class's own line with its bands, and the model's. */
function drawFit(clipped, { curve, model }, x, y) {
    const along = (place) =>
        line()
            .x((each) => x(each[place]))
            .y((each) => y(each.x));
    if (curve.length > 0 && curve[0].low !== null) {
        const band = area()
            .y((each) => y(each.x))
            .x0((each) => x(each.low))
            .x1((each) => x(each.high));
        svg('path', { d: band(curve), class: 'band' }, clipped);
        svg('path', { d: along('carLow')(curve), class: 'band-edge' }, clipped);
        svg('path', { d: along('carHigh')(curve), class: 'band-edge' }, clipped);
    }
    if (curve.length > 0) {
        svg('path', { d: along('y')(curve), class: 'fit' }, clipped);
    }
    if ((model ?? []).length > 0) {
        svg('path', { d: along('y')(model), class: 'model' }, clipped);
    }
}

function drawKinds(canvas, data, x, { left, height, tip, narrow }) {
    const y = scalePoint(
        data.kinds.map((kind) => kind.kind),
        [26, 26 + height],
    ).padding(0.5);
    for (const kind of data.kinds) {
        const at = y(kind.kind);
        svg('line', { x1: left, x2: x.range()[1], y1: at, y2: at, class: 'grid' }, canvas);
        wrap(canvas, kind.kind, left - 12, at, narrow ? 12 : 22);
        if (kind.low !== null) {
            const low = Math.max(left, x(kind.low));
            const high = Math.min(x.range()[1], x(kind.high));
            svg('path', { d: `M${low} ${at + 22}H${high}M${low} ${at + 17}v10M${high} ${at + 17}v10`, class: 'kind-interval' }, canvas);
        }
        svg('line', { x1: x(kind.mean), x2: x(kind.mean), y1: at + 10, y2: at + 34, class: 'kind-mean' }, canvas);
        for (const point of data.points.filter((each) => each.x === kind.kind)) {
            drawPoint(canvas, point, x, at - 8, tip);
        }
    }
}

function drawPoint(canvas, point, x, y, tip) {
    const shape = point.mark.split('-')[0];
    const spread = svg('g', { class: `mark-${shape}`, 'aria-hidden': 'true' }, canvas);
    if (point.tries.length > 1) {
        svg('line', { x1: x(Math.min(...point.tries)), x2: x(Math.max(...point.tries)), y1: y, y2: y, class: 'spread' }, spread);
        for (const each of point.tries) {
            drawMark(spread, point.mark, x(each), y, 9, 'try');
        }
    }
    const said = `${point.name}: ${point.factor}, ${point.shown}`;
    const group = svg('g', { class: point.open ? 'point open' : 'point', tabindex: '0', role: 'img', 'aria-label': said }, canvas);
    svg('circle', { cx: x(point.y), cy: y, r: 17, class: 'halo', 'pointer-events': 'all' }, group);
    drawMark(group, point.mark, x(point.y), y, 21, point.older ? 'older' : '');
    tip(group, said);
}

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
    lines.slice(0, 3).forEach((each, index) => {
        const node = svg(
            'text',
            { x, y: y + 5 + (index - (Math.min(lines.length, 3) - 1) / 2) * 17, 'text-anchor': 'end', class: 'axis-label' },
            canvas,
        );
        node.textContent = each.length > most + 4 ? `${each.slice(0, most + 3)}…` : each;
    });
}
