import { scaleLinear } from 'd3-scale';
import { drawMark, drawTape, labelStep, multiples, svg } from './tape.js';
import { redraw } from './redraw.js';
import { tipFor } from '../frame/tip.js';
import { say } from '../words.js';

/**
 * The floor: draws each group's runs into the lane of its row, all to one scale, and the tape below.
 * The data is in the page as JSON; distances come in the unit of the tape (cm or in).
 */
export function attachFloors(root) {
    for (const floor of root.querySelectorAll('[data-floor]')) {
        const data = JSON.parse(floor.querySelector('script[type="application/json"]').textContent);
        const tip = tipFor(floor);
        let width = 0;
        const draw = () => {
            const tape = floor.querySelector('.tape');
            // One that is taken off the page has no width any more.
            if (tape.clientWidth === width || tape.clientWidth === 0) {
                return;
            }
            width = tape.clientWidth;
            drawFloor(floor, data, width, tip);
        };
        redraw(floor, draw);
    }
}

function drawFloor(floor, data, width, tip) {
    const scale = scaleLinear([0, data.max], [0, width - 1]);
    const step = labelStep(data.tape, scale(1) - scale(0));
    for (const [index, row] of data.rows.entries()) {
        const cell = floor.querySelector(`[data-lane="${row.id}"]`);
        const height = cell.clientHeight;
        const lane = svg('svg', { viewBox: `0 0 ${width} ${height}`, preserveAspectRatio: 'xMinYMid', 'aria-hidden': 'true' });
        drawBoards(lane, index, width, height, scale, step, data);
        drawRow(lane, row, height, scale, tip, width);
        cell.replaceChildren(lane);
    }
    const cell = floor.querySelector('.tape');
    const height = cell.clientHeight;
    const tape = svg('svg', { viewBox: `0 0 ${width} ${height}`, preserveAspectRatio: 'xMinYMid', 'aria-hidden': 'true' });
    drawTape(tape, { kind: data.tape, scale, max: data.max, height });
    cell.replaceChildren(tape);
}

function drawBoards(lane, index, width, height, scale, step, data) {
    // Plank joints fall where a floor layer would put them: staggered from row to row.
    for (let x = 90 + ((index * 137) % 190); x < width; x += 250 + ((index * 71) % 120)) {
        svg('line', { x1: x, x2: x, y1: 0, y2: height, class: 'lane-plank' }, lane);
    }
    for (const value of multiples(step, data.max).slice(1)) {
        svg('line', { x1: scale(value), x2: scale(value), y1: 0, y2: height, class: 'lane-tick' }, lane);
    }
    if (data.timed !== null && data.timed <= data.max) {
        svg('line', { x1: scale(data.timed), x2: scale(data.timed), y1: 0, y2: height, class: 'lane-line' }, lane);
        if (index === 0 && width > 500) {
            const note = svg('text', { x: scale(data.timed) + 6, y: 13, class: 'lane-reason lane-reason-halo' }, lane);
            note.textContent = say('floor.timed');
        }
    }
    if (data.lane < data.max) {
        svg('line', { x1: scale(data.lane), x2: scale(data.lane), y1: 0, y2: height, class: 'lane-end' }, lane);
    }
}

function drawRow(lane, row, height, scale, tip, width) {
    const middle = height / 2;
    const size = Math.min(18, height * 0.42);
    const ink = svg('g', { class: `mark-${row.mark.split('-')[0]}` }, lane);
    if (row.mean !== null) {
        svg('line', { x1: 0, x2: scale(row.mean), y1: middle, y2: middle, class: 'lane-track' }, ink);
        if (row.interval !== null) {
            const low = Math.max(0, scale(row.interval[0]));
            const high = Math.min(width, scale(row.interval[1]));
            svg('path', { d: `M${low} ${middle}H${high}M${low} ${middle - 5}v10M${high} ${middle - 5}v10`, class: 'lane-interval' }, ink);
        }
        svg(
            'line',
            { x1: scale(row.mean), x2: scale(row.mean), y1: middle - height * 0.34, y2: middle + height * 0.34, class: 'lane-mean' },
            ink,
        );
    }
    for (const run of row.runs.filter((each) => !each.void)) {
        const mark = drawMark(
            lane,
            row.mark,
            scale(run.x),
            middle,
            size * (run.older || run.aside ? 0.75 : 1),
            run.older ? 'older' : run.aside ? 'aside' : run.extra ? 'extra' : run.fresh ? 'fresh-run' : '',
        );
        if (run.fresh) {
            mark.style.setProperty('--from', `${scale(run.x)}px`);
        }
        tip(mark, run.say);
        if (run.past) {
            // It went on.
            const end = scale(run.x) + size * 0.7;
            svg('path', { d: `M${end} ${middle - 5}l5 5l-5 5m5 -10l5 5l-5 5`, class: 'lane-interval' }, ink);
        }
        if (run.fresh) {
            svg('circle', { cx: scale(run.x), cy: middle, r: size * 0.8, class: 'lane-interval' }, ink);
        }
    }
    const voids = row.runs.filter((each) => each.void && !each.aside);
    voids.forEach((run, index) => {
        const x = 12 + index * (size * 0.9);
        const outline = svg('circle', { cx: x, cy: height - size * 0.55, r: size * 0.34, class: 'lane-void' }, lane);
        tip(outline, run.say);
    });
    if (voids.length > 0 && width > 500 && height > 40) {
        const reasons = [...new Set(voids.map((run) => run.void))].join(', ');
        const text = svg(
            'text',
            { x: 12 + voids.length * size * 0.9, y: height - size * 0.55 + 4, class: 'lane-reason lane-reason-halo' },
            lane,
        );
        text.textContent = reasons;
    }
}
