/** A run on film: the film is read here, in the browser; only numbers leave it, and one picture in the end. */
import { say } from '../words.js';
import { FilmFault } from './front.js';
import { look, openFilm, readFilm, seek } from './frames.js';
import { Marking } from './marking.js';
import { Result } from './result.js';
import { paintStrip, StripMaker } from './strip.js';
import { Take } from './take.js';
import { takesOf } from './takes.js';

/** A higher line is taken where the car is seen along it in clearly more pictures; where it is in nearly all, none is looked for. */
const CLEARLY = 0.03;
const ALL = 0.9;

/** Strips are found a moment after they are drawn, so that the page answers meanwhile. */
const breath = () => new Promise((resolve) => requestAnimationFrame(() => setTimeout(resolve, 0)));

class FilmPage {
    constructor(root) {
        this.root = root;
        this.part = (name) => root.querySelector(`[data-film-${name}]`);
        this.video = this.part('video');
        this.marking = new Marking(root);
        this.result = new Result(root, this);
        this.takes = [];
        this.part('file').addEventListener(
            'change',
            (event) => event.target.files.length > 0 && this.guard(() => this.#open(event.target.files[0])),
        );
        for (const button of root.querySelectorAll('[data-film-at]')) {
            button.addEventListener('click', () => this.guard(() => this.#show(button.dataset.filmAt)));
        }
        this.part('read').addEventListener('click', () => this.guard(() => this.#read()));
        this.part('keep').addEventListener('click', () => this.guard(() => this.#keep()));
        this.part('of').addEventListener('change', () => this.guard(() => this.#of(this.part('of').value)));
        this.part('slower').addEventListener('change', () => this.result.take && this.guard(() => this.result.ask()));
    }

    /** Whatever goes wrong is said; nothing that was marked is lost. */
    async guard(does) {
        this.say('');
        try {
            await does();
        } catch (fault) {
            this.part('progress').hidden = true;
            this.part('read').disabled = false;
            const known = fault instanceof FilmFault ? fault.code : fault.message;
            const words = say(`film.${known}`);
            this.say(words === `film.${known}` ? say(fault instanceof TypeError ? 'film.no_answer' : 'film.not_played') : words);
        }
    }

    say(words) {
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
        const { lanes } = this.marking;
        if (lanes.some(({ marks }) => marks.length === 0)) {
            throw new FilmFault('no_marks');
        }
        const progress = this.part('progress');
        [progress.hidden, progress.value, this.part('read').disabled, this.part('result').hidden] = [false, 0, true, false];
        const light = new StripMaker(lanes[0].line);
        await look(this.video, (time) => light.add(this.video, time));
        this.result.clear();
        paintStrip(this.part('strip'), light.strip());
        const makers = lanes.map(({ line }) => new StripMaker(line));
        await readFilm(this.video, (time, share) => {
            makers.forEach((maker) => maker.add(this.video, time));
            progress.value = share;
        });
        await breath();
        this.takes = lanes.flatMap((lane, at) => this.#takesIn(lane, at, makers[at]));
        [progress.hidden, this.part('read').disabled] = [true, false];
        const runs = this.part('of').options;
        this.takes.forEach((take, i) => (take.of = (runs[i] ?? runs[0]).value));
        await this.#turnTo(this.takes[0]);
    }

    #takesIn(lane, at, maker) {
        let [missed, best] = [null, { seen: 0 }];
        for (const [index, lift] of maker.lifts.entries()) {
            try {
                const takes = takesOf(maker.strip(index));
                const seen = Math.min(...takes.map((take) => take.found.length / take.strip.times.length));
                if (seen > best.seen + CLEARLY) {
                    best = { seen, takes, marked: { ...this.marking.sent(lane), lift } };
                }
            } catch (fault) {
                missed ??= fault;
            }
            if (best.seen > ALL) {
                break;
            }
        }
        if (best.seen === 0) {
            // The line is shown with what was read along it, so that one sees what it missed.
            paintStrip(this.part('strip'), maker.strip());
            throw missed;
        }
        return best.takes.map((take) => new Take(take, maker, best.marked, at));
    }

    /** Shows one of the runs that the film has. */
    async #turnTo(take) {
        const list = this.part('takes');
        list.hidden = this.takes.length < 2;
        list.replaceChildren(
            ...this.takes.map((each) => {
                const button = document.createElement('button');
                [button.type, button.className] = ['button', 'button'];
                button.textContent = say(each.kept ? 'film.take_kept' : 'film.take', {
                    n: this.takes.indexOf(each) + 1,
                    lane: each.lane + 1,
                    time: each.from.toFixed(1),
                });
                button.setAttribute('aria-pressed', String(each === take));
                button.addEventListener('click', () => this.guard(() => this.#turnTo(each)));
                return button;
            }),
        );
        this.part('of').value = take.of;
        await this.result.show(take);
    }

    /** The run that a take is of: its car's mass is in the push. */
    async #of(address) {
        if (this.result.take !== undefined) {
            this.result.take.of = address;
            await this.result.ask();
        }
    }

    #sent(take) {
        const typed = (name) => this.root.querySelector(`[name=${name}]`).value;
        return {
            seen: JSON.stringify({ ...take.marked, points: take.curve.points }),
            slower: Number(this.part('slower').value),
            camera: typed('camera'),
            followed: typed('followed'),
            typed_in: this.root.dataset.units,
        };
    }

    async post(method, take, also = {}) {
        const response = await fetch(take.of, {
            method,
            body: JSON.stringify({ ...this.#sent(take), ...also }),
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
        } else if (!response.ok && answer.question === undefined) {
            throw new TypeError(String(response.status));
        }
        return answer;
    }

    async #keep() {
        const { take } = this.result;
        const answer = await this.post('PUT', take, {
            picture: this.part('strip').toDataURL('image/jpeg', 0.85),
            confirmed: take.asked === true,
        });
        if (answer.question !== undefined) {
            // Kept when it is asked for once more.
            take.asked = true;
            this.say(answer.question);
            return;
        }
        if (answer.fault !== undefined) {
            this.say(answer.fault);
            return;
        }
        take.kept = true;
        const next = this.takes.find((each) => !each.kept);
        if (next === undefined) {
            location.assign(answer.go);
        } else {
            await this.#turnTo(next);
        }
    }
}

export function attachFilm(root = document) {
    for (const film of root.querySelectorAll('[data-film]')) {
        film.page = new FilmPage(film);
    }
}
