import { svg } from './tape.js';
import { say } from '../words.js';

/** The car from the side, to scale; lengths come in metres, x forward, y up from the floor. */
export function drawSide(holder, { view, shown, moves }) {
    const width = holder.clientWidth;
    const height = 208;
    const { balloon, chassis, tubes } = view;
    const left = Math.min(...tubes.map((tube) => tube.x), chassis.x) - 0.09;
    const right = Math.max(balloon.x + balloon.r, chassis.x + chassis.length) + 0.02;
    const top = balloon.y + balloon.r + 0.01;
    const scale = Math.min(width / (right - left), (height - 16) / top);
    const indent = (width - (right - left) * scale) / 2;
    const x = (metres) => indent + (metres - left) * scale;
    const y = (metres) => height - 12 - metres * scale;
    const canvas = svg('svg', { viewBox: `0 0 ${width} ${height}`, 'aria-hidden': 'true' });

    svg('rect', { x: 0, y: y(0), width, height: 8, class: 'ground' }, canvas);
    // Forward is to the right, as on the lane: the jet blows to the left.
    for (const wheel of view.wheels) {
        svg('circle', { cx: x(wheel.x), cy: y(wheel.r), r: wheel.r * scale, class: 'wheel' }, canvas);
        svg('circle', { cx: x(wheel.x), cy: y(wheel.r), r: Math.max(1.2, view.axle * scale), fill: 'var(--color-ink)' }, canvas);
    }
    svg(
        'rect',
        {
            x: x(chassis.x),
            y: y(chassis.y + chassis.height),
            width: chassis.length * scale,
            height: Math.max(2, chassis.height * scale),
            class: 'card',
        },
        canvas,
    );
    for (const tube of tubes) {
        svg(
            'rect',
            { x: x(tube.x), y: y(tube.y + tube.bore), width: tube.length * scale, height: Math.max(2, tube.bore * scale), class: 'tube' },
            canvas,
        );
    }
    const neck = tubes[tubes.length - 1];
    svg(
        'path',
        {
            d: `M${x(balloon.neck)} ${y(neck.y)}L${x(balloon.x)} ${y(balloon.y - balloon.r * 0.8)}L${x(balloon.x - balloon.r * 0.7)} ${y(balloon.y - balloon.r * 0.4)}L${x(balloon.neck)} ${y(neck.y + neck.bore)}Z`,
            class: 'skin',
        },
        canvas,
    );
    svg('circle', { cx: x(balloon.x), cy: y(balloon.y), r: balloon.r * scale, class: 'skin' }, canvas);
    const exit = tubes[0];
    const from = x(exit.x) - 4;
    const at = y(exit.y + exit.bore / 2);
    const drop = Math.tan((view.angle * Math.PI) / 180) * 46;
    svg('path', { d: `M${from} ${at}l-46 ${drop}m9 -5l-9 5l9 5`, class: 'jet' }, canvas);
    svg('text', { x: from, y: at - 9, 'text-anchor': 'end', class: 'axis-text' }, canvas).textContent = moves || shown.jet ? shown.jet : '';
    if (view.outlets > 1) {
        svg('text', { x: from, y: at + 22 + Math.max(0, drop), 'text-anchor': 'end', class: 'plain-text' }, canvas).textContent = say(
            'side.outlets',
            { count: view.outlets },
        );
    }
    holder.replaceChildren(canvas);
}
