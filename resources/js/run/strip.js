import { say } from '../words.js';
import { button } from './waiting.js';

/** What stays in the strip from one run to the next. */
const KEPT = ['group', 'drift_side', 'filled_by'];

/** Fills that differ by less (of the one before) are the same. */
const SAME_FILL = 0.025;

/** The form of the entry strip: what is typed in it, what is said about that, and what of it is shown. */
export class Strip {
    constructor(element) {
        this.element = element;
        this.form = element.querySelector('form.entry-form');
        this.fields = this.form.elements;
        this.errors = element.querySelector('[data-entry-errors]');
        this.more = element.querySelector('[data-more]');
        this.units = JSON.parse(element.dataset.units);
        this.more.addEventListener('click', () => this.open(!element.classList.contains('open')));
        // What is tapped beside the form belongs to it.
        element.addEventListener('input', (event) => {
            delete event.target.dataset.filled;
            this.fields.confirmed.value = '';
        });
        // Practice that is switched on stays on; switched off where it is due, it is off for this run.
        this.isPractising = false;
        this.fields.practice?.addEventListener('change', (event) => {
            this.isPractising = event.target.checked;
            this.#sayKind();
        });
        this.fields.hit_wall.addEventListener('change', (event) => {
            this.fields.past_end.checked = event.target.checked;
        });
        this.form.addEventListener('input', (event) => {
            if (event.target.name?.startsWith('inflation_')) {
                this.#noteFill();
            }
        });
        this.openWhereFilled();
    }

    /** The lane that is held here; empty where none is. */
    get lane() {
        return this.element.querySelector('[data-hold-lane]')?.value ?? '';
    }

    /** Whether the group is chosen here; on a group's own tablet it is not. */
    get choosesGroup() {
        return this.fields.group.options !== undefined;
    }

    open(isOpen) {
        this.element.classList.toggle('open', isOpen);
        this.more.setAttribute('aria-expanded', String(isOpen));
        this.more.textContent = isOpen ? say('entry.less') : say('entry.more');
    }

    openWhereFilled() {
        const isHidden = (field) =>
            field.closest('.more') !== null &&
            field.value !== '' &&
            !['lane', 'drift_side'].includes(field.name) &&
            !field.name.startsWith('inflation_');
        if ([...this.fields].some((field) => isHidden(field))) {
            this.open(true);
        }
    }

    /** @param {string|undefined} reason for which it is void, where that was tapped */
    typed(reason) {
        const typed = Object.fromEntries([...new FormData(this.form)].filter(([name, value]) => value !== '' && name !== '_token'));
        if (reason !== undefined) {
            typed.void = reason;
        }
        if (this.fields.practice !== undefined) {
            typed.practice = this.fields.practice.checked ? '1' : '0';
        }
        return typed;
    }

    inWords(of) {
        const end = of.hit_wall === undefined ? (of.past_end === undefined ? undefined : say('entry.past_the_end')) : say('entry.far_wall');
        const who = this.fields.group.selectedOptions?.[0]?.textContent.trim() ?? '';
        return [who, ...(of.practice === '1' ? [say('entry.practice')] : []), of.distance ?? of.void ?? end ?? of.time].join(', ');
    }

    /** Whether somebody typed something of a run; what instruments filled in does not count. */
    get isTyped() {
        return (
            this.fields.past_end.checked ||
            ['distance', 'time', 'void', 'note'].some(
                (name) => this.fields[name].value !== '' && this.fields[name].dataset.filled === undefined,
            )
        );
    }

    /** Which try is next for the chosen group, and on which lane it stands. */
    sayTry() {
        const chosen = this.fields.group.selectedOptions?.[0];
        if (chosen !== undefined) {
            this.fields.lane.value = this.lane === '' ? (chosen.dataset.lane ?? '') : this.lane;
        }
        this.#propose((chosen ?? this.fields.group).dataset);
        this.#sayKind();
    }

    /** What the run that is typed will be: the words beside the group and the switch never say two things. */
    #sayKind() {
        const place = this.element.querySelector('[data-next-try]');
        const next = (this.fields.group.selectedOptions?.[0] ?? this.fields.group).dataset;
        const isDue = next.practice === '1';
        const isPractice = this.fields.practice?.checked === true;
        place.textContent = isPractice === isDue ? (next.try ?? '') : isPractice ? say('entry.practice_run') : (next.asTry ?? '');
        place.classList.toggle('is-practice', isPractice);
    }

    /** Practice where it is due, and the balloon as full as the last time. */
    #propose({ practice = '', fill = 'null', sweep = '' }) {
        if (this.fields.practice !== undefined) {
            this.fields.practice.checked = this.isPractising || practice === '1';
        }
        const last = JSON.parse(fill);
        if (this.proposed !== fill + this.fields.group.value) {
            this.proposed = fill + this.fields.group.value;
            for (const name of ['kind', 'size', 'strokes']) {
                this.fields[`inflation_${name}`].value = last?.[name] ?? '';
            }
        }
        this.last = sweep === '1' ? null : last;
        this.#noteFill();
    }

    /** Fills of one car that differ are pointed out before the run, not after it. */
    #noteFill() {
        const note = this.element.querySelector('[data-fill-note]');
        const field = ['strokes', 'turns'].includes(this.last?.kind) ? 'strokes' : 'size';
        const now = this.fields[`inflation_${field}`].value;
        const [was, is] = [this.last?.[field] ?? '', now].map((text) => parseFloat(text.replace(',', '.')));
        const isOther =
            this.fields.inflation_kind.value !== '' &&
            (this.fields.inflation_kind.value !== this.last?.kind || Math.abs(is - was) > SAME_FILL * was);
        note.textContent = this.last && isOther ? say('entry.other_fill', { before: this.last[field] || this.last.kind }) : '';
    }

    /** What is wrong, or in question; with a way out where it may be a run that was logged already. */
    show(messages, isQuestion = false, dropSame = null) {
        const line = (text, className) => {
            const made = document.createElement('p');
            made.className = className;
            made.textContent = text;
            return made;
        };
        this.errors.replaceChildren(...messages.map((message) => line(message, isQuestion ? 'question' : 'error')));
        if (isQuestion) {
            this.errors.append(line(dropSame === null ? say('entry.if_right') : say('entry.another_run'), 'small'));
        }
        if (dropSame !== null) {
            this.errors.append(button(say('entry.same_run'), dropSame));
        }
        this.errors.hidden = messages.length === 0;
    }

    mark(names) {
        for (const field of this.form.querySelectorAll('[aria-invalid]')) {
            field.removeAttribute('aria-invalid');
        }
        for (const name of names) {
            this.fields[name]?.setAttribute?.('aria-invalid', 'true');
        }
        this.fields[names[0]]?.focus?.();
        if (names.some((name) => this.fields[name]?.closest?.('.more'))) {
            this.open(true);
        }
    }

    /** Ready for the next run, which gets an id of its own when it is logged. */
    clear() {
        for (const field of this.fields) {
            if (field.type === 'checkbox') {
                field.checked = false;
            } else if (
                field.type !== 'hidden' &&
                field.type !== 'submit' &&
                !KEPT.includes(field.name) &&
                !field.name.startsWith('inflation_')
            ) {
                field.value = '';
                delete field.dataset.filled;
            }
        }
        this.fields.confirmed.value = '';
        this.fields.readings.value = '';
        this.fields.id.value = '';
        this.mark([]);
        this.show([]);
    }

    /** A run that waited, to be corrected. */
    fill(run) {
        this.form.reset();
        for (const field of this.fields) {
            if (field.type === 'checkbox') {
                field.checked = run.fields[field.name] === field.value;
            } else if (field.name !== '_token' && field.name !== 'typed_in' && field.type !== 'submit') {
                field.value = this.#inItsUnit(run, field.name) ?? (field.name === 'drift_side' ? 'left' : '');
            }
        }
        this.isPractising = run.fields.practice === '1';
        this.fields.confirmed.value = '';
    }

    /** What was typed under other units than those that stand here now says its own. */
    #inItsUnit(run, name) {
        const value = run.fields[name];
        const unit = run.fields.typed_in === this.fields.typed_in.value ? undefined : this.units[run.fields.typed_in]?.[name];
        return unit !== undefined && value !== undefined && /^[\d\s.,/]+$/.test(value) ? `${value} ${unit}` : value;
    }
}
