/** The lanes' lines and the marks of known distance, drawn over a picture of the film. */
import { say } from '../words.js';
import { handle, shape } from './handles.js';
import { Loupe } from './loupe.js';

/** How large a handle is on the screen (px), however small the picture. */
const SIZE = 9;

const EDGES = { line: null, near: 0, far: 1 };

/** Where along the line marks lie before they are pulled to their place. */
const SHARES = [0.05, 0.5, 0.95, 0.27, 0.73, 0.15, 0.85];

/** A second lane's line lies so much farther up the picture at first. */
const BESIDE = 0.14;

export class Marking {
    /** @param {HTMLElement} root of the whole film */
    constructor(root) {
        this.svg = root.querySelector('[data-film-handles]');
        this.list = root.querySelector('[data-film-list]');
        this.root = root;
        this.lanes = [];
        this.loupe = new Loupe(root.querySelector('[data-film-loupe]'), root.querySelector('[data-film-frame]'));
        for (const button of root.querySelectorAll('[data-film-add]')) {
            button.addEventListener('click', () => this.add(button.dataset.filmAdd));
        }
        root.querySelector('[data-film-turn]').addEventListener('click', () => {
            const [u0, v0, u1, v1] = this.lane.line;
            this.lane.line = [u1, v1, u0, v0];
            this.draw();
        });
        root.querySelector('[data-film-second]').addEventListener('click', () => this.#second());
        for (const button of root.querySelectorAll('[data-film-lane]')) {
            button.addEventListener('click', () => this.#turnTo(Number(button.dataset.filmLane)));
        }
    }

    /** The one whose line and marks are moved. */
    get lane() {
        return this.lanes[this.at];
    }

    /** A new film, of so many px. */
    begin(width, height) {
        [this.width, this.height] = [width, height];
        this.lanes = [{ line: [0.06 * width, 0.6 * height, 0.94 * width, 0.6 * height], marks: [] }];
        this.svg.setAttribute('viewBox', `0 0 ${width} ${height}`);
        this.#turnTo(0);
    }

    /** A second lane, with the same distances; or none again. */
    #second() {
        if (this.lanes.length > 1) {
            this.lanes.pop();
        } else {
            const up = BESIDE * this.height;
            const { line, marks } = this.lanes[0];
            this.lanes.push({
                line: line.map((px, i) => (i % 2 === 1 ? px - up : px)),
                marks: marks.map((mark) => ({ ...mark, v: mark.v - up })),
            });
        }
        this.#turnTo(this.lanes.length - 1);
    }

    #turnTo(lane) {
        this.at = lane;
        const hasTwo = this.lanes.length > 1;
        this.root.querySelector('[data-film-second]').setAttribute('aria-pressed', String(hasTwo));
        this.root.querySelector('[data-film-lanes]').hidden = !hasTwo;
        for (const button of this.root.querySelectorAll('[data-film-lane]')) {
            button.setAttribute('aria-pressed', String(Number(button.dataset.filmLane) === lane));
        }
        this.draw();
    }

    add(where) {
        const { line, marks } = this.lane;
        const [u0, v0, u1, v1] = line;
        const share = SHARES[marks.length % SHARES.length];
        const beside = { line: 0, near: 0.06, far: -0.06 }[where] * this.height;
        marks.push({ where, u: u0 + share * (u1 - u0), v: v0 + share * (v1 - v0) + beside, place: '' });
        this.draw();
        [...this.list.querySelectorAll('input')].at(-1).focus();
    }

    /** As a lane is sent. */
    sent({ line, marks }) {
        return { line, marks: marks.map(({ u, v, where, place }) => ({ u, v, edge: EDGES[where], place })) };
    }

    draw() {
        this.svg.replaceChildren();
        const size = (SIZE * this.width) / (this.svg.clientWidth || this.width);
        for (const lane of this.lanes.filter((lane) => lane !== this.lane)) {
            const [x1, y1, x2, y2] = lane.line;
            this.svg.append(shape('line', { x1, y1, x2, y2, class: 'film-line is-other' }));
        }
        this.#drawLine(size);
        this.lane.marks.forEach((mark, index) => this.#drawMark(mark, index, size));
        this.#write();
    }

    #drawLine(size) {
        const { line } = this.lane;
        const [x1, y1, x2, y2] = line;
        const drawn = shape('line', { x1, y1, x2, y2, class: 'film-line' });
        this.svg.append(drawn);
        [0, 1].forEach((end) => {
            handle(this.svg, {
                x: line[2 * end],
                y: line[2 * end + 1],
                size: 1.4 * size,
                name: say(end === 0 ? 'film.line_start' : 'film.line_end'),
                kind: end === 0 ? 'is-start' : 'is-end',
                moved: (x, y) => {
                    line.splice(2 * end, 2, x, y);
                    drawn.setAttribute(`x${end + 1}`, x);
                    drawn.setAttribute(`y${end + 1}`, y);
                    this.loupe.show(x, y);
                },
                left: () => this.loupe.hide(),
            });
        });
    }

    #drawMark(mark, index, size) {
        const name = shape('text', { x: mark.u + 1.6 * size, y: mark.v - 1.2 * size, class: 'film-mark-name', 'font-size': 2.6 * size });
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
                this.loupe.show(x, y);
            },
            left: () => this.loupe.hide(),
            dropped: () => this.#drop(index),
        });
    }

    #drop(index) {
        this.lane.marks.splice(index, 1);
        this.draw();
    }

    /** The marks as a list, with their distances. */
    #write() {
        this.list.replaceChildren(
            ...this.lane.marks.map((mark, index) => {
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
