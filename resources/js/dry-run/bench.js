import { drawEnergy } from '../figures/energy.js';
import { drawForces } from '../figures/forces.js';
import { drawSweep } from '../figures/sweep.js';
import { say } from '../words.js';
import { asker } from './asker.js';
import { Designs } from './designs.js';
import { fillRows, sentence, tab } from './pieces.js';
import { Rulers } from './rulers.js';

/**
 * The What-if bench. Every number is the server's: this turns rulers, asks, and draws what comes back.
 * One question is under way at a time; while it is, only the newest setting waits, so that answers
 * never come out of order.
 */
export function attachDryRun(root) {
    const bench = root.querySelector('[data-dry-run]');
    if (bench !== null) {
        new Bench(bench).start();
    }
}

class Bench {
    #answers = new Map();
    #draws = 'work';
    #sweepTimer = null;
    // Said to screen readers, and to whoever waits for figures that are right.
    #underWay = 0;

    constructor(bench) {
        this.bench = bench;
        this.page = JSON.parse(bench.querySelector('script[type="application/json"]').textContent);
        this.designs = new Designs(this.page.settings, this.page.designs);
        this.rulers = new Rulers(bench, this.designs, {
            turned: () => this.#changed(),
            complain: (fault) => this.#complain(fault),
        });
        const busy = (more) => this.#busy(more);
        this.ask = asker(
            (letter) => `${this.#source(letter).run}&d=${encodeURIComponent(this.designs.write(letter))}`,
            (letter, answer, fault) => this.#answered(letter, answer, fault),
            busy,
        );
        this.askSweep = asker(
            (letter) =>
                `${this.#source(letter).sweep}&d=${encodeURIComponent(this.designs.write(letter))}&x=${this.page.along}&y=${this.page.across}`,
            (_, answer, fault) => this.#swept(answer, fault),
            busy,
        );
    }

    start() {
        for (const select of this.bench.querySelectorAll('[data-part]')) {
            select.addEventListener('change', () => this.#takePart(select));
        }
        for (const button of this.bench.querySelectorAll('[data-draw]')) {
            button.addEventListener('click', () => this.#drawAs(button));
        }
        this.#find('source').addEventListener('change', (event) => this.#drive(+event.target.value));
        for (const name of ['along', 'across']) {
            this.#find(name).addEventListener('change', (event) => {
                this.page[name] = event.target.value;
                this.#keepAddress();
                this.askSweep(this.designs.on);
            });
        }
        this.bench.querySelector('form').addEventListener('submit', (event) => event.preventDefault());
        let width = 0;
        new ResizeObserver(() => {
            const now = this.#find('forces').clientWidth;
            if (now !== width) {
                width = now;
                this.#show();
            }
        }).observe(this.bench);
        this.#fillTabs();
        this.#fillSource();
        this.designs.letters.forEach((letter) => this.ask(letter));
        this.askSweep(this.designs.on);
    }

    #find(name) {
        return this.bench.querySelector(`[data-${name}]`);
    }

    #busy(more) {
        this.#underWay += more;
        this.bench.setAttribute('aria-busy', String(this.#underWay > 0));
    }

    #complain(fault) {
        const complaint = this.#find('fault');
        complaint.hidden = fault === null;
        complaint.textContent = fault ?? '';
    }

    #changed() {
        this.ask(this.designs.on);
        this.#keepAddress();
        if (this.#sweepTimer === null) {
            this.#busy(1);
        }
        clearTimeout(this.#sweepTimer);
        this.#sweepTimer = setTimeout(() => {
            this.#sweepTimer = null;
            this.askSweep(this.designs.on);
            this.#busy(-1);
        }, 250);
    }

    #keepAddress() {
        const query = new URLSearchParams();
        for (const letter of this.designs.letters) {
            query.set(letter, this.designs.write(letter));
        }
        query.set('x', this.page.along);
        if (this.page.across !== '') {
            query.set('y', this.page.across);
        }
        history.replaceState(null, '', `${location.pathname}?${query}`);
    }

    /** What a design begins with, and who computes it: by what drives it. */
    #source(letter) {
        return this.page.sources[this.designs.source(letter)];
    }

    #drive(source) {
        this.designs.drive(source, this.page.sources[source].begin);
        this.#fillSource();
        this.#changed();
    }

    /** Only what belongs to the source of energy is turned and swept. */
    #fillSource() {
        this.#find('source').value = String(this.designs.source());
        this.rulers.fillAll();
        for (const select of this.bench.querySelectorAll('[data-part]')) {
            const parts = Object.values(this.page.parts[select.dataset.part] ?? {});
            const isOf = parts.some((part) => Object.keys(part).some((key) => this.designs.asks(key)));
            select.closest('.field').hidden = parts.length > 0 && !isOf;
        }
        for (const name of ['along', 'across']) {
            for (const option of this.#find(name).options) {
                option.hidden = option.value !== '' && !this.designs.asks(option.value);
            }
            if (this.page[name] !== '' && !this.designs.asks(this.page[name])) {
                this.page[name] = name === 'along' ? this.#source(this.designs.on).along : '';
            }
            this.#find(name).value = this.page[name];
        }
    }

    #takePart(select) {
        for (const [key, value] of Object.entries(this.page.parts[select.dataset.part]?.[select.value] ?? {})) {
            this.designs.turn(key, value);
        }
        this.rulers.fillAll();
        this.#changed();
    }

    #drawAs(button) {
        this.#draws = button.dataset.draw;
        for (const each of this.bench.querySelectorAll('[data-draw]')) {
            each.setAttribute('aria-pressed', String(each === button));
        }
        this.#show();
    }

    #fillTabs() {
        const { designs } = this;
        const tabs = designs.letters.map((letter) =>
            tab(say('dry_run.design', { letter: letter.toUpperCase() }), letter === designs.on, () => this.#choose(letter)),
        );
        if (designs.hasRoom) {
            tabs.push(tab(say('dry_run.compare'), null, () => this.#compare()));
        }
        if (designs.letters.length > 1) {
            tabs.push(tab(say('dry_run.drop', { letter: designs.on.toUpperCase() }), null, () => this.#drop()));
        }
        this.#find('tabs').replaceChildren(...tabs);
    }

    #compare() {
        const letter = this.designs.copy();
        this.#answers.set(letter, this.#answers.get(this.designs.on));
        this.#choose(letter);
    }

    #drop() {
        this.#answers.delete(this.designs.on);
        this.designs.drop();
        this.#choose(this.designs.on);
    }

    #choose(letter) {
        this.designs.on = letter;
        for (const select of this.bench.querySelectorAll('[data-part]')) {
            select.value = '';
        }
        this.#fillTabs();
        this.#fillSource();
        this.#changed();
    }

    #answered(letter, answer, fault) {
        this.#complain(fault);
        if (fault === null) {
            this.#answers.set(letter, answer);
        }
        this.#show();
    }

    #show() {
        const answer = this.#answers.get(this.designs.on);
        if (answer === undefined) {
            return;
        }
        const { shown } = answer;
        this.#find('number').textContent = shown.distance;
        this.#find('band').textContent = answer.moves
            ? say('dry_run.band_and_time', { band: shown.stops, time: shown.time })
            : say('dry_run.too_weak', { thrust: shown.thrust });
        this.#find('friction').textContent = say(answer.frictionMeasured ? 'dry_run.f_measured' : 'dry_run.f_from_parts', {
            friction: shown.friction,
        });
        this.#find('said').replaceChildren(...answer.said.map(sentence));
        this.#find('clearance').replaceChildren(sentence(['', '', answer.clearance]));
        this.#draw(answer);
        this.#fillTable();
    }

    #draw(answer) {
        const { on, letters } = this.designs;
        this.#find('side').innerHTML = answer.side;
        drawForces(this.#find('forces'), { on, draws: this.#draws, answers: this.#answers, letters, tape: this.page.tape });
        drawEnergy(this.#find('energy'), answer);
    }

    #fillTable() {
        const letters = this.designs.letters.filter((letter) => this.#answers.get(letter) !== undefined);
        const rows = ['distance', 'band', 'limp', 'time', 'peak', 'thrust', 'pressure', 'jet', 'slip', 'friction'].map((key) => [
            say(`dry_run.rows.${key}`),
            ...letters.map((letter) => this.#answers.get(letter).shown[key] ?? '–'),
        ]);
        const head = letters.map((letter) => say('dry_run.design', { letter: letter.toUpperCase() }));
        fillRows(this.#find('table'), ['', ...head], rows);
    }

    #swept(sweep, fault) {
        if (fault !== null) {
            return;
        }
        this.#find('best').textContent = sweep.best === null ? say('dry_run.none') : say('dry_run.farthest', { best: sweep.best.shown });
        drawSweep(this.#find('sweep'), sweep);
        fillRows(this.#find('sensitivity'), [say('dry_run.percent_more'), say('dry_run.changes_by')], sweep.sensitivities);
        const head = [sweep.xLabel, ...(sweep.yLabel === null ? [] : [sweep.yLabel]), say('dry_run.distance_axis', { unit: sweep.unit })];
        fillRows(this.#find('sweep-table'), head, sweep.curve ?? gridRows(sweep));
        this.#find('schools').replaceChildren(...(sweep.schools === null ? [] : [sentence(sweep.schools)]));
    }
}

function gridRows({ x, y, distances }) {
    return distances.map((far, index) => [x[index % x.length], y[Math.floor(index / x.length)], far ?? say('dry_run.cannot_be')]);
}
