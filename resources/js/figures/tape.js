/**
 * The tape measure that every figure over distance stands on. Ticks and labels thin out with the
 * scale so that none collide.
 */
const SVG = 'http://www.w3.org/2000/svg';

// room: px that the widest label needs, with the 0 before the first one
const TAPES = {
    metric: {
        whole: 100,
        room: 58,
        minor: [1, 2, 5, 10, 20, 50, 100, 200, 500],
        label: [10, 20, 50, 100, 200, 500, 1000, 2000],
        say: (cm) => (cm % 100 === 0 ? `${cm / 100} m` : `${cm}`),
    },
    imperial: {
        whole: 12,
        room: 72,
        minor: [1, 2, 3, 6, 12, 24, 60, 120],
        label: [2, 3, 6, 12, 24, 60, 120, 240, 600, 1200],
        say: (inch) => (inch % 12 === 0 ? `${inch / 12} ft` : `${inch}`),
    },
    plain: {
        whole: 1,
        room: 46,
        minor: [0.01, 0.02, 0.05, 0.1, 0.2, 0.5, 1, 2, 5, 10, 20, 50, 100],
        label: [0.1, 0.2, 0.5, 1, 2, 5, 10, 20, 50, 100, 200, 500, 1000],
        say: (value) => `${+value.toFixed(2)}`,
    },
};

const MINOR_PX = 5;

export function svg(name, attributes = {}, parent = null) {
    const node = document.createElementNS(SVG, name);
    for (const [key, value] of Object.entries(attributes)) {
        node.setAttribute(key, value);
    }
    parent?.append(node);
    return node;
}

function firstWide(steps, pxPerUnit, least) {
    return steps.find((step) => step * pxPerUnit >= least) ?? steps[steps.length - 1];
}

/** The steps at which the tape is labelled on this scale: figures draw their grid on them. */
export function labelStep(kind, pxPerUnit) {
    const tape = TAPES[kind ?? 'plain'];
    return firstWide(tape.label, pxPerUnit, tape.room);
}

export function multiples(step, max) {
    return Array.from({ length: Math.floor(max / step + 1e-9) + 1 }, (_, index) => +(index * step).toFixed(6));
}

/**
 * Where a tape has its lines and its labels, so that none collide.
 *
 * @param {{kind: string|null, scale: Function, max: number}} tape kind metric, imperial or null for a plain scale; scale from
 *        units to px
 * @returns {{lines: {x: number, isWhole: boolean, isLabelled: boolean}[], labels: {x: number, text: string, isWhole: boolean, isFirst: boolean}[]}}
 */
export function markings({ kind, scale, max }) {
    const tape = TAPES[kind ?? 'plain'];
    const pxPerUnit = scale(1) - scale(0);
    const labelled = labelStep(kind, pxPerUnit);
    const isWhole = (value) => value % tape.whole === 0 && kind !== null;
    return {
        lines: multiples(firstWide(tape.minor, pxPerUnit, MINOR_PX), max).map((value) => ({
            x: scale(value),
            isWhole: isWhole(value),
            isLabelled: Math.abs(value / labelled - Math.round(value / labelled)) < 1e-6,
        })),
        labels: multiples(labelled, max)
            .map((value) => ({
                x: value === 0 ? scale(0) + 5 : scale(value) - 4,
                text: value === 0 ? '0' : tape.say(value),
                isWhole: value > 0 && isWhole(value),
                isFirst: value === 0,
            }))
            .filter((label) => label.x <= scale(max) + 2),
    };
}

/** Draws a tape into an SVG group, as markings() has it. */
export function drawTape(parent, { kind, scale, max, height }) {
    const { lines, labels } = markings({ kind, scale, max });
    for (const { x, isWhole, isLabelled } of lines) {
        // Only what is labelled runs through: another full line would strike out the label beside it.
        const length = isWhole && isLabelled ? height : isWhole || isLabelled ? height * 0.5 : height * 0.26;
        svg('line', { x1: x, x2: x, y1: 0, y2: length, class: isWhole ? 'tape-major' : 'tape-minor' }, parent);
    }
    for (const { x, text, isWhole, isFirst } of labels) {
        const anchor = { x, y: height - 6, 'text-anchor': isFirst ? 'start' : 'end' };
        svg('text', { ...anchor, class: isWhole ? 'tape-whole' : 'tape-label' }, parent).textContent = text;
    }
}

/** The same tape, standing: its foot is at y = 0, and it goes up. scale is from units to px above the foot. */
export function drawStandingTape(parent, { kind, scale, max, width }) {
    const { lines, labels } = markings({ kind, scale, max });
    for (const { x, isWhole, isLabelled } of lines) {
        const length = isWhole && isLabelled ? width : isWhole || isLabelled ? width * 0.5 : width * 0.26;
        svg('line', { x1: width - length, x2: width, y1: -x, y2: -x, class: isWhole ? 'tape-major' : 'tape-minor' }, parent);
    }
    for (const { x, text, isWhole, isFirst } of labels) {
        const below = isFirst ? -4 : 15;
        svg('text', { x: 4, y: -x + below - (isFirst ? 0 : 4), class: isWhole ? 'tape-whole' : 'tape-label' }, parent).textContent = text;
    }
}

/** A group's mark, centred on (x, y). */
export function drawMark(parent, mark, x, y, size, extraClass = '') {
    return svg(
        'use',
        {
            href: `#mark-${mark}`,
            x: x - size / 2,
            y: y - size / 2,
            width: size,
            height: size,
            class: `mark-${mark.split('-')[0]} ${extraClass}`.trim(),
        },
        parent,
    );
}
