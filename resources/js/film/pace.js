/**
 * How fast a film is played so that hardly a picture is missed: as fast as it was, slower where the machine can't keep up, and back
 * to where it lost some. Knows no page.
 */

/** More pictures of a second of film are welcome and not needed. */
const ENOUGH = 40;

const [SLOWEST, FASTEST] = [0.25, 1];

/** A time between two pictures that is longer than usual by this factor hides one. */
const HIDES = 1.6;

/** Of pictures that lack at the end, so many (or their time) are one that is shown long, and rounding. */
const LATE = 3;

/** So many of so many may be missed before it goes back. */
const [MISSED, OF] = [4, 40];

/** After so many without a miss it is played faster. */
const PATIENCE = 40;

const median = (values) => [...values].sort((a, b) => a - b)[values.length >> 1];

export class Pace {
    rate = 1;
    #gaps = [];
    #last = null;
    #from = 0;
    #misses = [];
    #tried = new Set();
    #seen = 0;
    #good = 0;

    /**
     * Told of each picture as it comes (s of the film).
     *
     * @returns {{ rate: number, from: number|null }|null} how to go on, and from where; null: as now
     */
    picture(time) {
        const [before, gap] = [this.#last, this.#last === null ? 0 : time - this.#last];
        this.#last = time;
        if (gap <= 0) {
            return null;
        }
        this.#seen += 1;
        this.#good += 1;
        if (this.#gaps.length < 2 * OF) {
            this.#gaps.push(gap);
        }
        const usual = Math.max(1 / ENOUGH, median(this.#gaps));
        if (gap > HIDES * usual && !this.#tried.has(Math.round(1000 * before))) {
            this.#misses.push({ from: before, seen: this.#seen });
            this.#good = 0;
        }
        this.#misses = this.#misses.filter(({ seen }) => this.#seen - seen < OF);
        if (this.#misses.length > MISSED && this.rate > SLOWEST) {
            return this.#slower();
        }
        if (this.#good >= PATIENCE && this.rate < FASTEST) {
            this.#good = 0;
            this.rate = Math.min(FASTEST, 2 * this.rate);
            return { rate: this.rate, from: null };
        }
        return null;
    }

    /**
     * Told that the film came to its end (s): a machine that was busy then may have missed its last pictures.
     *
     * @returns {{ rate: number, from: number }|null} null: it saw them, or they were never filmed
     */
    end(duration) {
        const last = this.#last ?? this.#from;
        const usual = Math.max(1 / ENOUGH, median(this.#gaps) ?? 0);
        if (duration - last < LATE * usual || this.#tried.has(Math.round(1000 * last))) {
            return null;
        }
        this.#misses = [{ from: last, seen: this.#seen }];
        return this.#slower();
    }

    /** What is missing there a second time was never filmed. */
    #slower() {
        const from = this.#misses[0].from;
        this.#misses.forEach((miss) => this.#tried.add(Math.round(1000 * miss.from)));
        [this.#misses, this.#last, this.#from, this.#good] = [[], null, from, 0];
        this.rate = Math.max(SLOWEST, this.rate / 2);
        return { rate: this.rate, from };
    }
}
