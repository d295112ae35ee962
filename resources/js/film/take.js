/** One run of a film: its strip, and the curve that the car drew on it. Knows no page. */
import { Curve } from './curve.js';

export class Take {
    kept = false;

    /** @type {string} the address of the run that it is of */
    of = '';

    /**
     * @param {{ strip: import('./front.js').Strip, found: import('./front.js').Found[] }} take
     * @param {{ length: number, width: number }} maker of the strip: how long the line is in the film (px), and in the strip
     * @param {object} marked the lane, as it is sent
     * @param {number} lane from 0
     */
    constructor({ strip, found }, { length, width }, marked, lane) {
        [this.strip, this.length, this.marked, this.lane] = [strip, length, marked, lane];
        this.curve = new Curve(found.map(({ time, at }) => ({ time, along: (at * length) / width })));
    }

    /** s of the film */
    get from() {
        return this.strip.times[0];
    }

    get lasts() {
        return this.strip.times[this.strip.times.length - 1] - this.from;
    }
}
