/**
 * Saves a figure as an SVG file that stands by itself: what styles and marks the page gives it are written into it.
 */
const STYLES = [
    'fill',
    'fill-opacity',
    'stroke',
    'stroke-width',
    'stroke-dasharray',
    'stroke-opacity',
    'opacity',
    'font-family',
    'font-size',
    'font-weight',
    'text-anchor',
    'color',
    'paint-order',
];

export function attachSaving(root) {
    root.addEventListener('click', (event) => {
        const button = event.target.closest('[data-save-svg]');
        // The one drawn last before the button.
        const drawn =
            button === null
                ? undefined
                : [...root.querySelectorAll('.figure svg, svg.drawing')]
                      .filter((each) => each.compareDocumentPosition(button) & Node.DOCUMENT_POSITION_FOLLOWING)
                      .pop();
        if (drawn === undefined) {
            return;
        }
        const address = URL.createObjectURL(new Blob([standalone(drawn)], { type: 'image/svg+xml' }));
        const link = document.createElement('a');
        link.href = address;
        link.download = `${button.dataset.saveSvg}.svg`;
        link.click();
        setTimeout(() => URL.revokeObjectURL(address), 1000);
    });
}

/** The figure as the text of an SVG file. */
function standalone(drawn) {
    const copy = drawn.cloneNode(true);
    const originals = [drawn, ...drawn.querySelectorAll('*')];
    [copy, ...copy.querySelectorAll('*')].forEach((node, index) => {
        const style = getComputedStyle(originals[index]);
        for (const name of STYLES) {
            node.setAttribute(name, style.getPropertyValue(name));
        }
        node.removeAttribute('tabindex');
    });
    const marks = new Set([...copy.querySelectorAll('use')].map((use) => use.getAttribute('href')));
    const defs = document.createElementNS('http://www.w3.org/2000/svg', 'defs');
    for (const mark of marks) {
        const symbol = document.querySelector(mark);
        if (symbol !== null) {
            defs.append(symbol.cloneNode(true));
        }
    }
    copy.prepend(defs);
    const box = drawn.viewBox.baseVal;
    copy.setAttribute('xmlns', 'http://www.w3.org/2000/svg');
    copy.setAttribute('width', box.width);
    copy.setAttribute('height', box.height);
    return `<?xml version="1.0" encoding="UTF-8"?>\n${new XMLSerializer().serializeToString(copy)}`;
}
