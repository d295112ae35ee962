import { contours } from 'd3-contour';
import { scaleLinear } from 'd3-scale';
import { line } from 'd3-shape';
import { say } from '../words.js';
import { drawAxisBottom, drawAxisLeft } from './axis.js';
import { labelStep, multiples, svg } from './tape.js';

const LEFT = 66;
const HEIGHT = 250;
const LEVELS = 9;

/** How far a design would go as one ruler is turned, as a curve, or two, as contours; with where it stands and the best. */
export function drawSweep(holder, sweep) {
    const width = holder.clientWidth;
    const isCurve = sweep.yLabel === null;
    const canvas = svg('svg', {
        viewBox: `0 0 ${width} ${HEIGHT + 60}`,
        role: 'img',
        'aria-label': isCurve
            ? say('dry_run.distance_along', { x: sweep.xLabel })
            : say('dry_run.distance_over', { x: sweep.xLabel, y: sweep.yLabel }),
    });
    const xs = isCurve ? sweep.curve.map((each) => each[0]) : sweep.x;
    if (xs.length > 1) {
        const x = scaleLinear([xs[0], xs[xs.length - 1]], [LEFT, width - 8]);
        const label = svg('text', { x: 0, y: 12, class: 'axis-label' }, canvas);
        label.textContent = sweep.yLabel ?? say('dry_run.distance_axis', { unit: sweep.unit });
        const y = (isCurve ? drawCurve : drawMap)(canvas, sweep, x, width);
        drawAxisBottom(canvas, x, { at: HEIGHT, values: x.ticks(Math.max(4, Math.floor(width / 110))) });
        svg('text', { x: width - 8, y: HEIGHT + 46, 'text-anchor': 'end', class: 'axis-label' }, canvas).textContent = sweep.xLabel;
        svg('line', { x1: LEFT, x2: width - 8, y1: HEIGHT, y2: HEIGHT, class: 'tape-major' }, canvas);
        svg('circle', { cx: x(sweep.at[0]), cy: y(sweep.at[1]), r: 8, class: 'here' }, canvas);
        if (sweep.best !== null) {
            const [bestX, bestY] = [x(sweep.best.x), y(sweep.best.y)];
            svg('path', { d: `M${bestX - 7} ${bestY}h14M${bestX} ${bestY - 7}v14`, class: 'stop' }, canvas);
        }
    }
    holder.replaceChildren(canvas);
}

/** @returns the scale upwards */
function drawCurve(canvas, sweep, x, width) {
    const most = Math.max(...sweep.curve.map((each) => each[1]), 1) * 1.08;
    const y = scaleLinear([0, most], [HEIGHT, 22]);
    const step = labelStep(sweep.tape, Math.abs(y(1) - y(0)) * 1.6);
    drawAxisLeft(canvas, y, { left: LEFT, right: width, values: multiples(step, most) });
    const shape = line()
        .x((each) => x(each[0]))
        .y((each) => y(each[1]));
    svg('path', { d: shape(sweep.curve), class: 'fit' }, canvas);
    return y;
}

/** @returns the scale upwards */
function drawMap(canvas, sweep, x) {
    const y = scaleLinear([sweep.y[0], sweep.y[sweep.y.length - 1]], [HEIGHT, 22]);
    drawContours(canvas, sweep, x, y);
    drawAxisLeft(canvas, y, { left: LEFT, right: LEFT, values: y.ticks(6) });
    svg('text', { x: LEFT, y: HEIGHT + 46, class: 'plain-text' }, canvas).textContent = say('dry_run.darker', {
        step: Math.round(Math.max(...sweep.distances.map((far) => far ?? 0)) / LEVELS),
        unit: sweep.unit,
    });
    return y;
}

function drawContours(canvas, sweep, x, y) {
    // One row and column more on every side, like their neighbours: contours close beyond the edge, not at it.
    const [across, down] = [sweep.x.length + 2, sweep.y.length + 2];
    const inner = (at, count) => Math.min(count - 1, Math.max(0, at - 1));
    const values = Array.from({ length: across * down }, (_, index) => {
        const [column, row] = [inner(index % across, sweep.x.length), inner(Math.floor(index / across), sweep.y.length)];
        return sweep.distances[row * sweep.x.length + column] ?? -1;
    });
    const most = Math.max(...values, 1);
    const shade = scaleLinear([0, most], ['#f5efe3', '#0a626c']);
    const place = (at, ends, scale) => {
        const share = Math.min(1, Math.max(0, (at - 1.5) / (ends.length - 1)));
        return scale(ends[0] + share * (ends[ends.length - 1] - ends[0])).toFixed(1);
    };
    const ring = (points) => `M${points.map(([cx, cy]) => `${place(cx, sweep.x, x)},${place(cy, sweep.y, y)}`).join('L')}Z`;
    const levels = Array.from({ length: LEVELS }, (_, index) => (most * index) / LEVELS);
    for (const contour of contours().size([across, down]).thresholds(levels)(values)) {
        svg('path', { d: contour.coordinates.flat().map(ring).join(''), class: 'contour', fill: shade(contour.value) }, canvas);
    }
}
