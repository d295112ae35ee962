/** By the element that a drawing stands in, what ends its redrawing. */
const redrawn = new WeakMap();

/** Draws now, and again whenever the element has another width or goes to paper. A later drawing in it takes the place of an earlier one. */
export function redraw(element, draw) {
    redrawn.get(element)?.abort();
    const ended = new AbortController();
    redrawn.set(element, ended);
    const observer = new ResizeObserver(draw);
    observer.observe(element);
    ended.signal.addEventListener('abort', () => observer.disconnect());
    window.addEventListener('beforeprint', draw, { signal: ended.signal });
    draw();
}
