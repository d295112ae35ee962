import { scaleLinear } from 'd3-scale';
import { area, line } from 'd3-shape';
import { say } from '../words.js';
import { drawAxisLeft } from './axis.js';
import { drawTape, svg } from './tape.js';

const LEFT = 52;
const HEIGHT = 190;
const FLOOR = HEIGHT + 20;
const ROW = 40;

// Bands that reach farther beyond the farthest stop than this are cut off, lest the designs themselves grow small.
const BAND_ROOM = 1.5;

// A word beside a line of the floor takes so much (px).
const LIMP_ROOM = 95;

// A moment of a run, as the server has it: time, distance, speed, push, rolling, drag.
const TIME = 0;
const DISTANCE = 1;
const SPEED = 2;
const PUSH = 3;
const held = (moment) => moment[4] + moment[5];

/**
 * Push and what holds back, or speed, over distance or time, on the tape; below it where each design would stop.
 *
 * @param {HTMLElement} holder
 * @param {{on: string, draws: 'work'|'time'|'speed', answers: Map<string, object>, letters: string[], tape: string}} what
 *        the design that is shown, what of it is drawn, all answers there are, and the designs that are compared
 */
export function drawForces(holder, { on, draws, answers, letters, tape }) {
    const answer = answers.get(on);
    const width = holder.clientWidth;
    const rows = letters.length > 1 ? letters : [];
    const canvas = svg('svg', {
        viewBox: `0 0 ${width} ${HEIGHT + 74 + rows.length * ROW}`,
        role: 'img',
        'aria-label': say(draws === 'speed' ? 'dry_run.speed_of' : 'dry_run.push_of', { letter: on.toUpperCase() }),
    });
    const overTime = draws === 'time';
    const x = scaleLinear([0, farthest(answer, answers, rows, overTime)], [LEFT, width - 4]);
    const y = scaleLinear([0, tallest(answer, draws) * 1.15], [FLOOR, 24]);
    const unit = svg('text', { x: 0, y: 12, class: 'plain-text' }, canvas);
    unit.textContent = draws === 'speed' ? say('dry_run.speed_axis') : say('dry_run.force_axis');
    drawAxisLeft(canvas, y, { left: LEFT, right: width, values: y.ticks(4) });
    if (answer.trajectory.length > 0) {
        const along = (moment) => x(moment[overTime ? TIME : DISTANCE]);
        if (draws === 'speed') {
            curve(canvas, answer.trajectory, along, (each) => y(each[SPEED]), 'held');
        } else {
            drawPush(canvas, answer.trajectory, along, y);
        }
        if (draws === 'work' && width > 640) {
            svg('text', { x: width - 4, y: 14, 'text-anchor': 'end', class: 'plain-text' }, canvas).textContent = say('dry_run.same_work');
        }
    }
    drawFloor(canvas, x, { overTime, width, tape });
    if (!overTime) {
        drawStop(canvas, answer, x, width);
    }
    rows.forEach((letter, index) => {
        const at = FLOOR + 82 + index * ROW;
        svg('text', { x: 0, y: at + 5, class: 'axis-label' }, canvas).textContent = letter.toUpperCase();
        if (answers.get(letter) !== undefined && !overTime) {
            drawBand(canvas, answers.get(letter), x, { at, isOn: letter === on });
        }
    });
    holder.replaceChildren(canvas);
}

function farthest(answer, answers, rows, overTime) {
    if (overTime) {
        return (answer.trajectory[answer.trajectory.length - 1]?.[TIME] ?? 1) * 1.04;
    }
    const all = [...answers.values()].filter((each) => each !== undefined);
    const stop = Math.max(...all.map((each) => each.distance), 1);
    const high = rows.length > 0 ? Math.max(...all.map((each) => (each.shown.band === null ? 0 : each.high))) : 0;
    return Math.max(stop, Math.min(high, BAND_ROOM * stop)) * 1.06;
}

function tallest({ trajectory }, draws) {
    return draws === 'speed'
        ? Math.max(...trajectory.map((each) => each[SPEED]), 0.1)
        : Math.max(...trajectory.flatMap((each) => [each[PUSH], held(each)]), 1);
}

function curve(canvas, moments, along, up, className) {
    svg('path', { d: line().x(along).y(up)(moments), class: className }, canvas);
}

function shade(canvas, moments, along, y, of, className) {
    const shape = area()
        .x(along)
        .y0(y(0))
        .y1((each) => y(of(each)));
    svg('path', { d: shape(moments), class: className }, canvas);
}

/** The two areas are the same work: given, and taken up. */
function drawPush(canvas, moments, along, y) {
    const push = (each) => each[PUSH];
    shade(canvas, moments, along, y, push, 'push-area');
    shade(canvas, moments, along, y, held, 'held-area');
    curve(canvas, moments, along, (each) => y(each[4]), 'rolling');
    curve(canvas, moments, along, (each) => y(held(each)), 'held');
    curve(canvas, moments, along, (each) => y(push(each)), 'push');
    const early = moments[Math.floor(moments.length * 0.18)];
    svg('text', { x: along(early), y: y(push(early)) - 8, class: 'push-text' }, canvas).textContent = say('dry_run.push');
    const late = moments[Math.floor(moments.length * 0.72)];
    svg('text', { x: along(late), y: y(held(late)) - 8, class: 'held-text' }, canvas).textContent = say('dry_run.rolling_and_air');
}

function drawFloor(canvas, x, { overTime, width, tape }) {
    const floor = svg('g', { transform: `translate(0 ${FLOOR + 22})` }, canvas);
    svg('rect', { x: LEFT, y: -22, width: width - LEFT, height: 22, fill: 'var(--color-board)' }, floor);
    svg('rect', { x: LEFT, y: 0, width: width - LEFT, height: 30, fill: 'var(--color-tape)' }, floor);
    drawTape(floor, { kind: overTime ? null : tape, scale: x, max: x.domain()[1], height: 30 });
    svg('line', { x1: LEFT, x2: LEFT, y1: FLOOR, y2: FLOOR + 52, class: 'start' }, canvas);
    if (overTime) {
        const label = svg('text', { x: width - 4, y: FLOOR + 16, 'text-anchor': 'end', class: 'plain-text' }, canvas);
        label.textContent = say('dry_run.time_axis');
    }
}

function drawStop(canvas, answer, x, width) {
    if (!answer.moves) {
        return;
    }
    if (answer.limp !== null) {
        const limp = x(answer.limp);
        svg('line', { x1: limp, x2: limp, y1: 24, y2: FLOOR + 22, class: 'limp' }, canvas);
        // Where the car stopped soon after, it is said on the other side, if there is room.
        const isBefore = x(answer.distance) - limp < LIMP_ROOM && limp - LEFT > LIMP_ROOM;
        const place = { x: limp + (isBefore ? -5 : 5), y: FLOOR + 16, 'text-anchor': isBefore ? 'end' : 'start' };
        const said = svg('text', { ...place, class: 'plain-text' }, canvas);
        said.textContent = say('dry_run.limp', { limp: answer.shown.limp });
    }
    const stop = x(answer.distance);
    svg('line', { x1: stop, x2: stop, y1: FLOOR - 14, y2: FLOOR + 22, class: 'stop' }, canvas);
    const isAtTheEnd = stop > width - 120;
    const place = { x: stop + (isAtTheEnd ? -8 : 8), y: FLOOR - 3, 'text-anchor': isAtTheEnd ? 'end' : 'start' };
    svg('text', { ...place, class: 'axis-label' }, canvas).textContent = say('dry_run.stop', { distance: answer.shown.distance });
}

/** Where a design would stop, with its band where it has one; an open end is beyond the figure. */
function drawBand(canvas, answer, x, { at, isOn }) {
    const end = x.range()[1];
    const { distance, band } = answer.shown;
    if (band !== null) {
        const [low, high] = [x(answer.low), Math.min(end, x(answer.high))];
        const tip = x(answer.high) > end ? `M${end - 6} ${at - 5}l6 5l-6 5` : `M${high} ${at - 5}v10`;
        svg('path', { d: `M${low} ${at}H${high}M${low} ${at - 5}v10${tip}`, class: 'band-line' }, canvas);
    }
    svg('circle', { cx: x(answer.distance), cy: at, r: 6, fill: isOn ? 'var(--color-do)' : 'var(--color-ink-2)' }, canvas);
    const said = svg('text', { x: LEFT, y: at - 12, class: 'plain-text' }, canvas);
    said.textContent = band === null ? distance : `${distance} (${band})`;
}
