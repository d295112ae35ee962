/** The lane's line and the marks of known distance, drawn over a picture of the film. */
import { say } from '../words.js';
import { handle, shape } from './handles.js';

/** How large a handle is on the screen (px), however small the picture. */
const SIZE = 9;

const EDGES = { line: null, near: 0, far: 1 };

export class Marking {
    /** @param {HTMLElement} root of the whole film */
    constructor(root) {
        this.svg = root.querySelector('[data-film-handles]');
        this.list = root.querySelector('[data-film-list]');
        this.root = root;
        this.marks = [];
        for (const button of root.querySelectorAll('[data-film-add]')) {
            button.addEventListener('click', () => this.add(button.dataset.filmAdd));
        }
        root.querySelector('[data-film-turn]').addEventListener('click', () => {
            const [u0, v0, u1, v1] = this.line;
            this.line = [u1, v1, u0, v0];
            this.draw();
        });
    }

    /** A new film, of so many px. */
    begin(width, height) {
        [this.width, this.height] = [width, height];
        this.line = [0.06 * width, 0.6 * height, 0.94 * width, 0.6 * height];
        this.svg.setAttribute('viewBox', `0 0 ${width} ${height}`);
        this.draw();
    }

    add(where) {
        const [u0, v0, u1, v1] = this.line;
        const share = [0.05, 0.5, 0.95, 0.27, 0.73, 0.15, 0.85][this.marks.length % 7];
        const beside = { line: 0, near: 0.06, far: -0.06 }[where] * this.height;
        this.marks.push({ where, u: u0 + share * (u1 - u0), v: v0 + share * (v1 - v0) + beside, place: '' });
        this.draw();
        [...this.list.querySelectorAll('input')].at(-1).focus();
    }

    /** As it is sent. */
    get sent() {
        return { line: this.line, marks: this.marks.map(({ u, v, where, place }) => ({ u, v, edge: EDGES[where], place })) };
    }

    draw() {
        this.svg.replaceChildren();
        const size = (SIZE * this.width) / (this.svg.clientWidth || this.width);
        const [u0, v0, u1, v1] = this.line;
        const drawn = shape('line', { x1: u0, y1: v0, x2: u1, y2: v1, class: 'film-line' });
        this.svg.append(drawn);
        [0, 1].forEach((end) => {
            handle(this.svg, {
                x: this.line[2 * end],
                y: this.line[2 * end + 1],
                size: 1.4 * size,
                name: say(end === 0 ? 'film.line_start' : 'film.line_end'),
                kind: end === 0 ? 'is-start' : 'is-end',
                moved: (x, y) => {
                    this.line.splice(2 * end, 2, x, y);
                    drawn.setAttribute(`x${end + 1}`, x);
                    drawn.setAttribute(`y${end + 1}`, y);
                },
            });
        });
        this.marks.forEach((mark, index) => {
            const name = shape('text', {
                x: mark.u + 1.6 * size,
                y: mark.v - 1.2 * size,
                class: 'film-mark-name',
                'font-size': 2.6 * size,
            });
            name.textContent = index + 1;
            this.svg.append(name);
            handle(this.svg, {
                x: mark.u,
                y: mark.v,
                size,
                name: say('film.mark', { n: index + 1 }),
                kind: 'is-mark',
                moved: (x, y) => {
                    [mark.u, mark.v] = [x, y];
                    name.setAttribute('x', x + 1.6 * size);
                    name.setAttribute('y', y - 1.2 * size);
                },
                dropped: () => this.#drop(index),
            });
        });
        this.#write();
    }

    #drop(index) {
        this.marks.splice(index, 1);
        this.draw();
    }

    /** The marks as a list, with their distances. */
    #write() {
        this.list.replaceChildren(
            ...this.marks.map((mark, index) => {
                const item = document.createElement('li');
                const n = index + 1;
                const field = document.createElement('input');
                field.className = 'input num';
                field.inputMode = 'decimal';
                field.value = mark.place;
                field.setAttribute('aria-label', say('film.mark_distance', { n }));
                field.addEventListener('input', () => (mark.place = field.value));
                const where = document.createElement('span');
                where.className = 'small';
                where.textContent = say(`film.${mark.where === 'line' ? 'on_line' : mark.where}`);
                const drop = document.createElement('button');
                drop.type = 'button';
                drop.className = 'button plain';
                drop.textContent = say('film.drop', { n });
                drop.addEventListener('click', () => this.#drop(index));
                const name = document.createElement('strong');
                name.textContent = n;
                item.append(name, field, where, drop);
                return item;
            }),
        );
    }
}
