/** A run in one picture: the strip, the curve with its rings, the same as a table, and what it says. */
import { say } from '../words.js';
import { handle, placeOf, shape } from './handles.js';
import { paintStrip } from './strip.js';

/** The strip's drawing has so many units across and down. */
const [ACROSS, DOWN] = [1000, 560];

/** How large a ring is on the screen (px). */
const RING = 8;

const element = (name, text, className = '') => {
    const made = document.createElement(name);
    [made.textContent, made.className] = [text, className];
    return made;
};

export class Result {
    #asked = 0;

    /**
     * @param {HTMLElement} root
     * @param {{ post: Function, guard: Function, say: Function }} page that asks and says what goes wrong
     */
    constructor(root, page) {
        [this.root, this.page] = [root, page];
        this.part = (name) => root.querySelector(`[data-film-${name}]`);
        this.part('ring').addEventListener('click', () => this.#addRing());
        this.part('curve').addEventListener('pointerdown', (event) => this.#tap(event));
        this.part('curve').setAttribute('viewBox', `0 0 ${ACROSS} ${DOWN}`);
        this.part('curve').setAttribute('preserveAspectRatio', 'none');
    }

    clear() {
        this.take = undefined;
        this.part('curve').replaceChildren();
        this.part('says').replaceChildren();
        this.part('notes').replaceChildren();
        this.part('table').replaceChildren();
        [this.part('keep').hidden, this.part('mine').hidden] = [true, true];
    }

    async show(take) {
        this.clear();
        this.take = take;
        paintStrip(this.part('strip'), take.strip);
        await this.ask();
    }

    /** Between what is drawn and what was filmed. */
    #x = (along) => (along / this.take.length) * ACROSS;
    #y = (time) => ((time - this.take.from) / this.take.lasts) * DOWN;
    #along = (x) => (x / ACROSS) * this.take.length;
    #time = (y) => this.take.from + (y / DOWN) * this.take.lasts;

    #askAnew = () => this.page.guard(() => this.ask());

    /** What these points say; the newest question wins. */
    async ask() {
        this.#asked += 1;
        const number = this.#asked;
        this.#draw({});
        this.root.setAttribute('data-busy', '');
        const answer = await this.page.post('POST', this.take);
        if (number !== this.#asked) {
            return;
        }
        this.root.removeAttribute('data-busy');
        this.page.say(answer.fault ?? '');
        [this.part('keep').hidden, this.part('mine').hidden] = [answer.fault !== undefined, false];
        this.#draw(answer);
        this.part('says').replaceChildren(
            ...(answer.figures ?? []).flatMap(([name, value]) => [element('dt', name), element('dd', value, 'num')]),
        );
        this.part('notes').replaceChildren(...(answer.notes ?? []).map((note) => element('p', note)));
    }

    #draw({ tape = [], limp = null, release = 0 }) {
        const svg = this.part('curve');
        svg.replaceChildren();
        const slower = Number(this.part('slower').value);
        const path = this.take.curve.points.map(([time, along]) => `${this.#x(along)},${this.#y(time)}`).join(' ');
        svg.append(shape('polyline', { points: path, class: 'film-found' }));
        for (const [along, name] of tape) {
            svg.append(shape('line', { x1: this.#x(along), x2: this.#x(along), y1: DOWN - 26, y2: DOWN, class: 'film-tick' }));
            const text = shape('text', { x: this.#x(along) + 4, y: DOWN - 8, class: 'film-tick-name' });
            text.textContent = name;
            svg.append(text);
        }
        if (limp !== null) {
            const y = this.#y(limp * slower);
            svg.append(shape('line', { x1: 0, x2: ACROSS, y1: y, y2: y, class: 'film-limp' }));
            const text = shape('text', { x: ACROSS - 8, y: y - 8, class: 'film-limp-name', 'text-anchor': 'end' });
            text.textContent = say('film.limp', { time: (limp - release).toFixed(2) });
            svg.append(text);
        }
        this.take.curve.shown.forEach((ring) => this.#drawRing(svg, ring, slower));
        this.part('table').replaceChildren(...this.take.curve.shown.map((ring) => this.#row(ring)));
    }

    #drawRing(svg, ring, slower) {
        const { curve } = this.take;
        handle(svg, {
            x: this.#x(ring.along),
            y: this.#y(ring.time),
            size: (RING * ACROSS) / (svg.clientWidth || ACROSS),
            name: say('film.ring', { time: (ring.time / slower).toFixed(2) }),
            kind: ring.hand ? 'is-hand' : 'is-found',
            moved: (x, y) => curve.set(ring, { along: this.#along(x), time: this.#time(y) }),
            left: this.#askAnew,
            dropped: () => this.#drop(ring),
        });
    }

    #drop(ring) {
        this.take.curve.drop(ring);
        this.#askAnew();
    }

    /** The same for whoever does not drag. */
    #row(ring) {
        const name = say('film.ring', { time: ring.time.toFixed(2) });
        const field = (key, value) => {
            const input = element('input', '', 'input num');
            [input.inputMode, input.value] = ['decimal', value];
            input.setAttribute('aria-label', name);
            input.addEventListener('change', () => {
                const typed = parseFloat(input.value.replace(',', '.'));
                if (Number.isFinite(typed)) {
                    this.take.curve.set(ring, { [key]: typed });
                    this.#askAnew();
                }
            });
            return input;
        };
        const drop = element('button', say('film.take_away'), 'button plain');
        drop.type = 'button';
        drop.addEventListener('click', () => this.#drop(ring));
        const row = document.createElement('tr');
        for (const content of [
            field('time', ring.time.toFixed(3)),
            field('along', ring.along.toFixed(1)),
            say(ring.hand ? 'film.by_hand' : 'film.found'),
            drop,
        ]) {
            const cell = document.createElement('td');
            cell.append(content);
            row.append(cell);
        }
        return row;
    }

    #addRing() {
        const { curve } = this.take;
        const last = curve.shown[curve.shown.length - 1] ?? curve.found[0];
        curve.set({}, { time: last.time + 0.05, along: last.along });
        this.#askAnew();
    }

    #tap(event) {
        if (this.take !== undefined && event.target === this.part('curve')) {
            const [x, y] = placeOf(this.part('curve'), event);
            this.take.curve.set({}, { along: this.#along(x), time: this.#time(y) });
            this.#askAnew();
        }
    }
}
