import { say } from '../words.js';

/** What instruments saw at a lane fills what is empty in the strip; the adult confirms by logging. */
export class Instruments {
    constructor(strip) {
        this.strip = strip;
        this.line = strip.element.querySelector('[data-reading]');
        this.readings = {};
    }

    hear(readings) {
        this.readings = readings;
    }

    show() {
        const { fields, form } = this.strip;
        const seen = this.readings[fields.lane.value] ?? this.readings[0] ?? null;
        this.line.hidden = seen === null;
        this.line.textContent = seen === null ? '' : say('entry.from_instruments', { said: seen.said });
        for (const field of form.querySelectorAll('[data-filled]')) {
            field.value = '';
            delete field.dataset.filled;
        }
        fields.readings.value = seen === null ? '' : seen.ids;
        for (const [name, value] of Object.entries(seen?.fields ?? {})) {
            if (fields[name].value === '') {
                fields[name].value = value;
                fields[name].dataset.filled = '';
            }
        }
    }
}
