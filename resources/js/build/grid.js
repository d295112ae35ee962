import { cellsOf, step } from './grid-cells.js';

/** A row is drawn anew when its cells have been still for so long (ms). */
const STILL = 250;

/** All cars in one table: keys lead from cell to cell, a table may be pasted, what was filled at once may be undone at once. */
export function attachGrid(root) {
    const form = root.querySelector('[data-grid]');
    if (form !== null) {
        new Grid(form).start();
    }
}

class Grid {
    #undone = [];
    #waiting = new Map();

    constructor(form) {
        this.form = form;
        this.undoButton = form.querySelector('[data-grid-undo]');
        this.cells = new Map([...form.querySelectorAll('[data-cell]')].map((cell) => [cell.dataset.cell, cell]));
    }

    start() {
        this.form.addEventListener('keydown', (event) => this.#key(event));
        this.form.addEventListener('paste', (event) => this.#paste(event));
        this.form.addEventListener('input', (event) => this.#drawSoon(event.target.closest('tr')));
        this.form.querySelector('[data-grid-kit]').addEventListener('click', () => this.#fillFromKit());
        this.undoButton.addEventListener('click', () => this.#undo());
    }

    #place(cell) {
        return cell.dataset.cell.split(',').map(Number);
    }

    #key(event) {
        const cell = event.target.closest('[data-cell]');
        if (cell === null || event.altKey || event.shiftKey) {
            return;
        }
        if ((event.ctrlKey || event.metaKey) && event.key === 'z' && this.#undone.length > 0) {
            event.preventDefault();
            this.#undo();
            return;
        }
        // A list of names is open: its keys are its own.
        if (event.ctrlKey || event.metaKey || (cell.hasAttribute('list') && event.key.startsWith('Arrow'))) {
            return;
        }
        const caret = { start: cell.selectionEnd === 0, end: cell.selectionStart === cell.value.length };
        const to = step(event.key, this.#place(cell), caret);
        const next = to === null ? undefined : this.cells.get(to.join(','));
        if (next !== undefined || event.key === 'Enter') {
            event.preventDefault();
            next?.focus();
            next?.select();
        }
    }

    #paste(event) {
        const cell = event.target.closest('[data-cell]');
        const pasted = cellsOf(event.clipboardData.getData('text/plain'));
        if (cell === null || (pasted.length === 1 && pasted[0].length === 1)) {
            return;
        }
        event.preventDefault();
        const [row, column] = this.#place(cell);
        const changes = [];
        pasted.forEach((values, down) =>
            values.forEach((value, along) => {
                const target = this.cells.get(`${row + down},${column + along}`);
                if (target !== undefined) {
                    changes.push([target, value]);
                }
            }),
        );
        this.#change(changes);
    }

    #fillFromKit() {
        this.#change(
            [...this.cells.values()].filter((cell) => cell.value === '' && cell.placeholder !== '').map((cell) => [cell, cell.placeholder]),
        );
    }

    #change(changes) {
        this.#undone.push(changes.map(([cell]) => [cell, cell.value]));
        this.#put(changes);
    }

    #undo() {
        this.#put(this.#undone.pop() ?? []);
    }

    #put(changes) {
        for (const [cell, value] of changes) {
            cell.value = value;
            this.#drawSoon(cell.closest('tr'));
        }
        this.undoButton.hidden = this.#undone.length === 0;
    }

    #drawSoon(row) {
        if (row !== null) {
            clearTimeout(this.#waiting.get(row));
            this.#waiting.set(
                row,
                setTimeout(() => this.#draw(row), STILL),
            );
        }
    }

    async #draw(row) {
        const typed = new URLSearchParams({ typed_in: this.form.elements.typed_in?.value ?? '' });
        for (const cell of row.querySelectorAll('[data-attribute]')) {
            typed.append(cell.dataset.attribute, cell.value);
        }
        try {
            const response = await fetch(`${row.dataset.draw}?${typed}`, { headers: { Accept: 'text/html', 'X-Beside': 'yes' } });
            if (response.ok) {
                row.querySelector('[data-row-drawing]').innerHTML = await response.text();
            }
        } catch {
            // Without a connection the drawing stays as it was; nothing typed is lost.
        }
    }
}
