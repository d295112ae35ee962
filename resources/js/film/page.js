/** A run on film: the film is read here, in the browser; only numbers leave it, and one picture in the end. */
import { say } from '../words.js';
import { Curve } from './curve.js';
import { FilmFault, findFront } from './front.js';
import { look, openFilm, readFilm, seek } from './frames.js';
import { handle, placeOf, shape } from './handles.js';
import { Marking } from './marking.js';
import { paintStrip, StripMaker } from './strip.js';

/** The strip's drawing has so many units across and down. */
const [ACROSS, DOWN] = [1000, 560];

/** How large a ring is on the screen (px). */
const RING = 8;

/** Strips are found a moment after they are drawn, so that the page answers meanwhile. */
const breath = () => new Promise((resolve) => requestAnimationFrame(() => setTimeout(resolve, 0)));

class FilmPage {
    #asked = 0;

    constructor(root) {
        this.root = root;
        this.part = (name) => root.querySelector(`[data-film-${name}]`);
        this.video = this.part('video');
        this.marking = new Marking(root);
        this.part('file').addEventListener(
            'change',
            (event) => event.target.files.length > 0 && this.#guard(() => this.#open(event.target.files[0])),
        );
        for (const button of root.querySelectorAll('[data-film-at]')) {
            button.addEventListener('click', () => this.#guard(() => this.#show(button.dataset.filmAt)));
        }
        this.part('read').addEventListener('click', () => this.#guard(() => this.#read()));
        this.part('keep').addEventListener('click', () => this.#guard(() => this.#keep()));
        this.part('slower').addEventListener('change', () => this.curve && this.#guard(() => this.#ask()));
        this.part('ring').addEventListener('click', () => this.#addRing());
        this.part('curve').addEventListener('pointerdown', (event) => this.#tap(event));
    }

    /** Whatever goes wrong is said; nothing that was marked is lost. */
    async #guard(does) {
        this.#say('');
        try {
            await does();
        } catch (fault) {
            this.part('progress').hidden = true;
            this.part('read').disabled = false;
            const known = fault instanceof FilmFault ? fault.code : fault.message;
            const words = say(`film.${known}`);
            this.#say(words === `film.${known}` ? say(fault instanceof TypeError ? 'film.no_answer' : 'film.not_played') : words);
        }
    }

    #say(words) {
        this.part('fault').textContent = words;
        this.part('fault').hidden = words === '';
    }

    async #open(file) {
        await openFilm(this.video, file);
        this.part('mark').hidden = false;
        this.part('result').hidden = true;
        this.marking.begin(this.video.videoWidth, this.video.videoHeight);
        await this.#show('first');
    }

    async #show(at) {
        await seek(this.video, at === 'first' ? 0 : this.video.duration - 0.05);
        const canvas = this.part('frame');
        [canvas.width, canvas.height] = [this.video.videoWidth, this.video.videoHeight];
        canvas.getContext('2d').drawImage(this.video, 0, 0);
        for (const button of this.root.querySelectorAll('[data-film-at]')) {
            button.setAttribute('aria-pressed', String(button.dataset.filmAt === at));
        }
    }

    async #read() {
        if (this.marking.marks.length === 0) {
            throw new FilmFault('no_marks');
        }
        const progress = this.part('progress');
        [progress.hidden, progress.value, this.part('read').disabled, this.part('result').hidden] = [false, 0, true, false];
        let maker = new StripMaker(this.marking.line);
        await look(this.video, (time) => maker.add(this.video, time));
        this.#paint(maker.strip());
        await readFilm(this.video, () => {
            maker = new StripMaker(this.marking.line);
            return (time, share) => {
                maker.add(this.video, time);
                progress.value = share;
            };
        });
        this.strip = maker.strip();
        this.#paint(this.strip);
        await breath();
        const scale = maker.length / maker.width;
        this.length = maker.length;
        this.curve = new Curve(findFront(this.strip).map(({ time, at }) => ({ time, along: at * scale })));
        [progress.hidden, this.part('read').disabled] = [true, false];
        await this.#ask();
    }

    #paint(strip) {
        paintStrip(this.part('strip'), strip);
        const curve = this.part('curve');
        curve.setAttribute('viewBox', `0 0 ${ACROSS} ${DOWN}`);
        curve.setAttribute('preserveAspectRatio', 'none');
        curve.replaceChildren();
    }

    /** Between what is drawn and what was filmed. */
    #x = (along) => (along / this.length) * ACROSS;
    #y = (time) => ((time - this.#from) / this.#lasts) * DOWN;

    get #from() {
        return this.strip.times[0];
    }

    get #lasts() {
        return this.strip.times[this.strip.times.length - 1] - this.#from;
    }

    #sent() {
        const typed = (name) => this.root.querySelector(`[name=${name}]`).value;
        return {
            seen: JSON.stringify({ ...this.marking.sent, points: this.curve.points }),
            slower: Number(this.part('slower').value),
            camera: typed('camera'),
            followed: typed('followed'),
            typed_in: this.root.dataset.units,
        };
    }

    async #post(method, sent) {
        const response = await fetch(this.root.dataset.address, {
            method,
            body: JSON.stringify(sent),
            headers: {
                'Content-Type': 'application/json',
                Accept: 'application/json',
                'X-CSRF-TOKEN': this.root.querySelector('[name=_token]').value,
            },
            credentials: 'same-origin',
        });
        const answer = await response.json();
        if (answer.errors !== undefined) {
            answer.fault = Object.values(answer.errors).flat()[0];
        } else if (!response.ok) {
            throw new TypeError(String(response.status));
        }
        return answer;
    }

    /** What these points say; the newest question wins. */
    async #ask() {
        this.#asked += 1;
        const number = this.#asked;
        this.#draw({});
        this.root.setAttribute('data-busy', '');
        const answer = await this.#post('POST', this.#sent());
        if (number !== this.#asked) {
            return;
        }
        this.root.removeAttribute('data-busy');
        this.answer = answer;
        this.#say(answer.fault ?? '');
        this.part('keep').hidden = answer.fault !== undefined;
        this.#draw(answer);
        this.part('says').replaceChildren(
            ...(answer.figures ?? []).flatMap(([name, value]) => {
                const [term, said] = [document.createElement('dt'), document.createElement('dd')];
                [term.textContent, said.textContent] = [name, value];
                said.className = 'num';
                return [term, said];
            }),
        );
        this.part('notes').replaceChildren(
            ...(answer.notes ?? []).map((note) => {
                const line = document.createElement('p');
                line.textContent = note;
                return line;
            }),
        );
    }

    #draw({ tape = [], limp = null }) {
        const svg = this.part('curve');
        svg.replaceChildren();
        const slower = Number(this.part('slower').value);
        const path = this.curve.points.map(([time, along]) => `${this.#x(along)},${this.#y(time)}`).join(' ');
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
            text.textContent = say('film.limp', { time: (limp - this.answer.release).toFixed(2) });
            svg.append(text);
        }
        for (const ring of this.curve.shown) {
            handle(svg, {
                x: this.#x(ring.along),
                y: this.#y(ring.time),
                size: (RING * ACROSS) / (svg.clientWidth || ACROSS),
                name: say('film.ring', { time: (ring.time / slower).toFixed(2) }),
                kind: ring.hand ? 'is-hand' : 'is-found',
                moved: (x, y) => this.curve.set(ring, { along: (x / ACROSS) * this.length, time: this.#from + (y / DOWN) * this.#lasts }),
                left: () => this.#guard(() => this.#ask()),
                dropped: () => {
                    this.curve.drop(ring);
                    this.#guard(() => this.#ask());
                },
            });
        }
        this.#table();
    }

    /** The same curve for whoever does not drag. */
    #table() {
        const field = (ring, key, value, name) => {
            const input = document.createElement('input');
            input.className = 'input num';
            input.inputMode = 'decimal';
            input.value = value;
            input.setAttribute('aria-label', name);
            input.addEventListener('change', () => {
                const typed = parseFloat(input.value.replace(',', '.'));
                if (Number.isFinite(typed)) {
                    this.curve.set(ring, { [key]: typed });
                    this.#guard(() => this.#ask());
                }
            });
            return input;
        };
        this.part('table').replaceChildren(
            ...this.curve.shown.map((ring) => {
                const row = document.createElement('tr');
                const cell = (content) => {
                    const made = document.createElement('td');
                    made.append(content);
                    row.append(made);
                };
                const name = say('film.ring', { time: ring.time.toFixed(2) });
                cell(field(ring, 'time', ring.time.toFixed(3), name));
                cell(field(ring, 'along', ring.along.toFixed(1), name));
                cell(say(ring.hand ? 'film.by_hand' : 'film.found'));
                const drop = document.createElement('button');
                [drop.type, drop.className, drop.textContent] = ['button', 'button plain', say('film.take_away')];
                drop.addEventListener('click', () => {
                    this.curve.drop(ring);
                    this.#guard(() => this.#ask());
                });
                cell(drop);
                return row;
            }),
        );
    }

    #addRing() {
        const last = this.curve.shown[this.curve.shown.length - 1] ?? this.curve.found[0];
        this.curve.set({}, { time: last.time + 0.05, along: last.along });
        this.#guard(() => this.#ask());
    }

    #tap(event) {
        if (this.curve !== undefined && event.target === this.part('curve')) {
            const [x, y] = placeOf(this.part('curve'), event);
            this.curve.set({}, { along: (x / ACROSS) * this.length, time: this.#from + (y / DOWN) * this.#lasts });
            this.#guard(() => this.#ask());
        }
    }

    async #keep() {
        const picture = this.part('strip').toDataURL('image/jpeg', 0.85);
        const answer = await this.#post('PUT', { ...this.#sent(), picture });
        if (answer.go !== undefined) {
            location.assign(answer.go);
        } else {
            this.#say(answer.fault);
        }
    }
}

export function attachFilm(root = document) {
    for (const film of root.querySelectorAll('[data-film]')) {
        film.page = new FilmPage(film);
    }
}
