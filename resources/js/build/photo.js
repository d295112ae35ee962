/** Sizes of a car from a photograph: lines pulled over it, some of known length. The photo stays here; only lengths in px are sent. */
import { say } from '../words.js';
import { handle, shape } from '../film/handles.js';
import { Loupe } from '../film/loupe.js';

/** How large a handle is on the screen (px). */
const SIZE = 9;

/** A photo is no larger than this on its canvas (px): more tells nothing that a finger could tap. */
const LARGEST = 2400;

/** Where a new line lies: so much of the photo wide, each below the one before. */
const [FROM, TO, FIRST, NEXT] = [0.3, 0.6, 0.25, 0.09];

class PhotoPage {
    #asked = 0;

    constructor(root) {
        this.root = root;
        this.part = (name) => root.querySelector(`[data-sizing-${name}]`);
        this.lines = [];
        this.loupe = new Loupe(this.part('loupe'), this.part('picture'));
        this.part('file').addEventListener('change', (event) => {
            const file = event.target.files[0];
            if (file !== undefined) {
                this.#open(() => file);
            }
        });
        for (const button of root.querySelectorAll('[data-sizing-take]')) {
            button.addEventListener('click', () => this.#open(async () => (await fetch(button.dataset.sizingTake)).blob()));
        }
        this.part('known').addEventListener('click', () => this.#add({ length: '' }));
        for (const button of root.querySelectorAll('[data-sizing-part]')) {
            button.addEventListener('click', () => this.#add({ part: button.dataset.sizingPart, name: button.textContent }));
        }
    }

    /** @param {() => Blob|Promise<Blob>} give where the photo comes from */
    async #open(give) {
        let image;
        try {
            image = await createImageBitmap(await give());
        } catch {
            this.#say(say('photo.not_shown'));
            return;
        }
        this.#say('');
        const share = Math.min(1, LARGEST / Math.max(image.width, image.height));
        const canvas = this.part('picture');
        [canvas.width, canvas.height] = [Math.round(share * image.width), Math.round(share * image.height)];
        canvas.getContext('2d').drawImage(image, 0, 0, canvas.width, canvas.height);
        this.part('handles').setAttribute('viewBox', `0 0 ${canvas.width} ${canvas.height}`);
        this.part('measure').hidden = false;
        this.lines = [];
        this.#add({ length: '' });
    }

    #say(words) {
        this.part('fault').textContent = words;
        this.part('fault').hidden = words === '';
    }

    /** How many px of the photo one of the screen is. */
    get #perScreenPx() {
        return this.part('picture').width / (this.part('handles').clientWidth || this.part('picture').width);
    }

    #add(line) {
        const { width, height } = this.part('picture');
        const v = height * Math.min(0.9, FIRST + NEXT * this.lines.length);
        this.lines.push({ ends: [FROM * width, v, TO * width, v], said: '', ...line });
        this.#draw();
        this.#ask();
    }

    #drop(line) {
        this.lines = this.lines.filter((each) => each !== line);
        this.#draw();
        this.#ask();
    }

    #draw() {
        const svg = this.part('handles');
        svg.replaceChildren();
        const size = SIZE * this.#perScreenPx;
        this.lines.forEach((line, index) => this.#drawLine(svg, line, index, size));
        this.part('list').replaceChildren(...this.lines.map((line, index) => this.#row(line, index)));
    }

    #drawLine(svg, line, index, size) {
        const [x1, y1, x2, y2] = line.ends;
        const drawn = shape('line', { x1, y1, x2, y2, class: `photo-line ${line.part === undefined ? 'is-known' : ''}` });
        const name = shape('text', { x: x1 + size, y: y1 - size, class: 'film-mark-name', 'font-size': 2.4 * size });
        name.textContent = index + 1;
        svg.append(drawn, name);
        [0, 1].forEach((end) =>
            handle(svg, {
                x: line.ends[2 * end],
                y: line.ends[2 * end + 1],
                size,
                name: say(end === 0 ? 'photo.from' : 'photo.to', { n: index + 1 }),
                kind: line.part === undefined ? 'is-mark' : 'is-end',
                moved: (x, y) => {
                    line.ends.splice(2 * end, 2, x, y);
                    drawn.setAttribute(`x${end + 1}`, x);
                    drawn.setAttribute(`y${end + 1}`, y);
                    if (end === 0) {
                        name.setAttribute('x', x + size);
                        name.setAttribute('y', y - size);
                    }
                    this.loupe.show(x, y);
                },
                left: () => {
                    this.loupe.hide();
                    this.#ask();
                },
                dropped: () => this.#drop(line),
            }),
        );
    }

    /** A line in the list: how long it is known to be, or what it measures. */
    #row(line, index) {
        const item = document.createElement('li');
        const number = document.createElement('strong');
        number.textContent = index + 1;
        const drop = document.createElement('button');
        [drop.type, drop.className, drop.textContent] = ['button', 'button plain', '×'];
        drop.setAttribute('aria-label', say('photo.drop', { n: index + 1 }));
        drop.addEventListener('click', () => this.#drop(line));
        line.output = document.createElement('output');
        line.output.className = 'num';
        if (line.part === undefined) {
            const field = document.createElement('input');
            [field.className, field.inputMode, field.value] = ['input num', 'decimal', line.length];
            field.placeholder = this.root.dataset.unit;
            field.setAttribute('aria-label', say('photo.length', { n: index + 1, unit: this.root.dataset.unit }));
            field.addEventListener('input', () => (line.length = field.value));
            field.addEventListener('change', () => this.#ask());
            item.append(number, field, drop);
        } else {
            item.append(number, line.name, line.output, drop);
            line.output.textContent = line.said;
        }
        return item;
    }

    /** What the lines say; the newest question wins. Before something known has a length, nothing is asked. */
    async #ask() {
        const length = ({ ends: [u0, v0, u1, v1] }) => Math.hypot(u1 - u0, v1 - v0);
        const parts = this.lines.filter(({ part }) => part !== undefined);
        const known = this.lines.filter(({ part, length: typed }) => part === undefined && typed !== '');
        this.#asked += 1;
        const number = this.#asked;
        this.part('fill').hidden = true;
        if (known.length === 0) {
            return;
        }
        const seen = JSON.stringify({
            known: known.map((line) => ({ px: length(line), length: line.length })),
            parts: parts.map((line) => ({ px: length(line), part: line.part })),
        });
        let answer;
        try {
            answer = await this.#post({ seen, per_screen_px: this.#perScreenPx, typed_in: this.root.dataset.units });
        } catch {
            answer = { fault: say('film.no_answer') };
        }
        if (number !== this.#asked) {
            return;
        }
        this.#say(answer.fault ?? '');
        parts.forEach((line, i) => {
            line.said = answer.sizes?.[i] ?? '';
            line.output.textContent = line.said;
        });
        this.part('note').textContent = answer.note ?? '';
        this.part('note').hidden = !answer.note;
        if (answer.sheet) {
            this.part('fill').href = answer.sheet;
            this.part('fill').hidden = false;
        }
    }

    async #post(sent) {
        const response = await fetch(this.root.dataset.address, {
            method: 'POST',
            body: JSON.stringify(sent),
            headers: {
                'Content-Type': 'application/json',
                Accept: 'application/json',
                'X-CSRF-TOKEN': this.root.querySelector('[name=_token]').value,
            },
            credentials: 'same-origin',
        });
        const answer = await response.json();
        return answer.errors === undefined ? answer : { fault: Object.values(answer.errors).flat()[0] };
    }
}

export function attachPhoto(root = document) {
    for (const photo of root.querySelectorAll('[data-sizing]')) {
        photo.page = new PhotoPage(photo);
    }
}
