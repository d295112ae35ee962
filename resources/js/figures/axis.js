import { axisBottom, axisLeft } from 'd3-axis';
import { select } from 'd3-selection';

const number = (value) => `${+value.toFixed(4)}`;

function draw(parent, axis, className, transform) {
    const group = select(parent).append('g').attr('class', `scale-axis ${className}`).attr('transform', transform);
    group.call(axis.tickPadding(8).tickFormat(number));
    // The floor and the tape are its line.
    group.select('.domain').remove();
}

/** A scale upwards at the left of a figure, with a line across it at each value. */
export function drawAxisLeft(parent, scale, { left, right, values }) {
    draw(
        parent,
        axisLeft(scale)
            .tickValues(values)
            .tickSize(left - right),
        'across',
        `translate(${left} 0)`,
    );
}

/** A scale along the foot of a figure. */
export function drawAxisBottom(parent, scale, { at, values }) {
    draw(parent, axisBottom(scale).tickValues(values).tickSize(7), 'along', `translate(0 ${at})`);
}
