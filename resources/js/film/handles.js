/** Points on a picture that are dragged, or moved by the arrow keys: the ends of the line, marks, and rings on a curve. */

const SVG = 'http://www.w3.org/2000/svg';

const KEYS = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] };

export const shape = (name, attributes) => {
    const made = document.createElementNS(SVG, name);
    for (const [key, value] of Object.entries(attributes)) {
        made.setAttribute(key, value);
    }
    return made;
};

/** Where in a drawing's own units a pointer is. */
export function placeOf(svg, event) {
    const point = new DOMPoint(event.clientX, event.clientY).matrixTransform(svg.getScreenCTM().inverse());
    return [point.x, point.y];
}

/**
 * @param {SVGSVGElement} svg
 * @param {{ x: number, y: number, size: number, name: string, kind: string, moved: (x: number, y: number) => void, left?: () => void, dropped?: () => void }} of
 *     left is called when it is let go or a key is up; dropped on Delete
 */
export function handle(svg, { x, y, size, name, kind, moved, left = () => {}, dropped = null }) {
    const ring = shape('circle', { cx: x, cy: y, r: size, class: `film-handle ${kind}`, tabindex: 0, role: 'button', 'aria-label': name });
    const move = (nextX, nextY) => {
        ring.setAttribute('cx', nextX);
        ring.setAttribute('cy', nextY);
        moved(nextX, nextY);
    };
    ring.addEventListener('pointerdown', (event) => {
        event.preventDefault();
        event.stopPropagation();
        ring.focus();
        const [fromX, fromY] = placeOf(svg, event);
        const [startX, startY] = [Number(ring.getAttribute('cx')), Number(ring.getAttribute('cy'))];
        const drag = (further) => {
            const [toX, toY] = placeOf(svg, further);
            move(startX + toX - fromX, startY + toY - fromY);
        };
        // Followed wherever it goes: a finger leaves a ring at once.
        const end = () => {
            window.removeEventListener('pointermove', drag);
            window.removeEventListener('pointerup', end);
            window.removeEventListener('pointercancel', end);
            left();
        };
        window.addEventListener('pointermove', drag);
        window.addEventListener('pointerup', end);
        window.addEventListener('pointercancel', end);
    });
    ring.addEventListener('keydown', (event) => {
        const by = KEYS[event.key];
        if (by !== undefined) {
            event.preventDefault();
            const far = event.shiftKey ? 10 : 1;
            move(Number(ring.getAttribute('cx')) + far * by[0], Number(ring.getAttribute('cy')) + far * by[1]);
        } else if (dropped !== null && (event.key === 'Delete' || event.key === 'Backspace')) {
            event.preventDefault();
            dropped();
        }
    });
    ring.addEventListener('keyup', (event) => KEYS[event.key] !== undefined && left());
    svg.append(ring);
    return ring;
}
