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
        label: [2, 3, 6, 12, 24, 60, 120, 240],
        say: (inch) => (inch % 12 === 0 ? `${inch / 12} ft` : `${inch}`),
    },
    plain: {
        whole: 1,
        room: 46,
        minor: [0.01, 0.02, 0.05, 0.1, 0.2, 0.5, 1, 2, 5, 10, 20, 50],
        label: [0.1, 0.2, 0.5, 1, 2, 5, 10, 20, 50, 100],
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
 * Draws a tape into an SVG group.
 *
 * @param {SVGElement} parent
 * @param {{kind: string|null, scale: Function, max: number, height: number}} tape
 *        kind metric, imperial or null for a plain scale; scale from units to px
 */
export function drawTape(parent, { kind, scale, max, height }) {
    const tape = TAPES[kind ?? 'plain'];
    const pxPerUnit = scale(1) - scale(0);
    const minor = firstWide(tape.minor, pxPerUnit, MINOR_PX);
    const labelled = labelStep(kind, pxPerUnit);
    for (const value of multiples(minor, max)) {
        const isWhole = value % tape.whole === 0 && kind !== null;
        const isLabelled = Math.abs(value / labelled - Math.round(value / labelled)) < 1e-6;
        // Only what is labelled runs through: another full line would strike out the label beside it.
        const length = isWhole && isLabelled ? height : isWhole || isLabelled ? height * 0.5 : height * 0.26;
        const x = scale(value);
        svg('line', { x1: x, x2: x, y1: 0, y2: length, class: isWhole ? 'tape-major' : 'tape-minor' }, parent);
    }
    const end = scale(max);
    for (const value of multiples(labelled, max)) {
        const isWhole = value % tape.whole === 0 && value > 0 && kind !== null;
        const text = value === 0 ? '0' : tape.say(value);
        const x = value === 0 ? scale(0) + 5 : scale(value) - 4;
        if (x > end + 2) {
            continue;
        }
        const label = svg('text', {
            x,
            y: height - 6,
            'text-anchor': value === 0 ? 'start' : 'end',
            class: isWhole ? 'tape-whole' : 'tape-label',
        }, parent);
        label.textContent = text;
    }
}

/** A group's mark, centred on (x, y). */
export function drawMark(parent, mark, x, y, size, extraClass = '') {
    return svg('use', {
        href: `#mark-${mark}`,
        x: x - size / 2,
        y: y - size / 2,
        width: size,
        height: size,
        class: `mark-${mark.split('-')[0]} ${extraClass}`.trim(),
    }, parent);
}
