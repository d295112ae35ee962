/** The curve that a car drew: what was found, and the rings by which a person mends it. Knows no page. */

/** So many rings lie on a curve that was found. */
const RINGS = 8;

/** A ring set by hand stands for what was found so near to it (share of the film). */
const NEAR = 0.5 / RINGS;

export class Curve {
    /**
     * @param {{ time: number, along: number }[]} found px along the line, in order of time
     */
    constructor(found) {
        this.found = found;
        this.rings = [];
        const [first, last] = [found[0], found[found.length - 1]];
        this.lasts = Math.max(1e-6, last.time - first.time);
        const moving = found.filter(({ along }) => along > first.along + 3 && along < last.along - 3);
        for (let i = 0; i < RINGS && moving.length > 0; i += 1) {
            const at = moving[Math.round((i * (moving.length - 1)) / (RINGS - 1))];
            if (!this.rings.some(({ time }) => time === at.time)) {
                this.rings.push({ ...at, hand: false, shown: true });
            }
        }
    }

    /** Sets a ring elsewhere, or one more. */
    set(ring, { time = ring.time, along = ring.along }) {
        Object.assign(ring, { time, along, hand: true, shown: true });
        if (!this.rings.includes(ring)) {
            this.rings.push(ring);
        }
        this.rings.sort((a, b) => a.time - b.time);
        return ring;
    }

    /** Takes a ring away, and with it what was found there. */
    drop(ring) {
        Object.assign(ring, { hand: true, shown: false });
    }

    get shown() {
        return this.rings.filter(({ shown }) => shown);
    }

    /** What is sent: what was found, except near a ring that was set or taken away, and what was set. */
    get points() {
        const byHand = this.rings.filter(({ hand }) => hand);
        const kept = this.found.filter(({ time }) => !byHand.some((ring) => Math.abs(ring.time - time) < (NEAR * this.lasts) / 2));
        return [
            ...kept.map(({ time, along }) => [time, along, 0]),
            ...byHand.filter(({ shown }) => shown).map(({ time, along }) => [time, along, 1]),
        ].sort((a, b) => a[0] - b[0]);
    }
}
