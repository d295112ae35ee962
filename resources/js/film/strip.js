/**
 * Makes a strip of a film: of each picture the line of pixels along the lane. The picture is laid on a canvas so that the line lies level
 * and fills its width; so little of it is read that a phone keeps up.
 */

/** A line of the strip is the mean of so many pixels across it. */
const ACROSS = 3;

/** A line that was drawn too low misses the wheels: it is read as well a little higher, by this share of its length, and by twice that. */
const LIFT = 0.004;
const LEAST_LIFT = 3;

/** Where the lane runs up and down the picture, nobody knows which way is up. */
const LEVEL = 0.5;

/** More pixels along the line tell nothing more. */
const WIDEST = 1400;

/** A film of so many pictures is long; from then on every other one is left out. */
const MOST = 4000;

export class StripMaker {
    #context;
    #lines;
    #middle;
    #up;

    /**
     * @param {number[]} line u and v of its two ends, in px of the film
     */
    constructor(line) {
        const [u0, v0, u1, v1] = line;
        this.length = Math.hypot(u1 - u0, v1 - v0);
        this.width = Math.max(60, Math.min(WIDEST, Math.round(this.length)));
        /** @type {Map<number, { time: number, lines: Uint8ClampedArray[] }>} by the tenth of a millisecond */
        this.#lines = new Map();
        const canvas = document.createElement('canvas');
        const [cos, sin] = [(u1 - u0) / this.length, (v1 - v0) / this.length];
        const lift = Math.max(LEAST_LIFT, Math.round(LIFT * this.length));
        /** How far above the line each of its strips is read (px of the film). */
        this.lifts = Math.abs(cos) < LEVEL ? [0] : [0, lift, 2 * lift];
        this.#middle = 2 * lift + ACROSS;
        this.#up = -Math.sign(cos);
        [canvas.width, canvas.height] = [this.width, 2 * this.#middle];
        this.#context = canvas.getContext('2d', { willReadFrequently: true, alpha: false });
        const scale = this.width / this.length;
        this.#context.setTransform(
            scale * cos,
            -sin,
            scale * sin,
            cos,
            -scale * (u0 * cos + v0 * sin),
            this.#middle + 0.5 + u0 * sin - v0 * cos,
        );
    }

    /** Adds what a film shows now, of a moment (s). One that is known already is left out. */
    add(picture, time) {
        const key = Math.round(1e4 * time);
        if (this.#lines.has(key)) {
            return;
        }
        this.#context.drawImage(picture, 0, 0);
        const { data } = this.#context.getImageData(0, 0, this.width, 2 * this.#middle);
        this.#lines.set(key, { time, lines: this.lifts.map((lift) => this.#line(data, this.#middle + this.#up * lift)) });
    }

    /** The mean of a few rows about one. */
    #line(data, middle) {
        const line = new Uint8ClampedArray(3 * this.width);
        const from = middle - (ACROSS - 1) / 2;
        for (let column = 0; column < this.width; column += 1) {
            for (let colour = 0; colour < 3; colour += 1) {
                let sum = 0;
                for (let row = from; row < from + ACROSS; row += 1) {
                    sum += data[4 * (row * this.width + column) + colour];
                }
                line[3 * column + colour] = sum / ACROSS;
            }
        }
        return line;
    }

    /**
     * @param {number} at which of the lifts
     * @returns {import('./front.js').Strip}
     */
    strip(at = 0) {
        const every = Math.ceil(this.#lines.size / MOST);
        const kept = [...this.#lines.values()].sort((a, b) => a.time - b.time).filter((_, i) => i % every === 0);
        const pixels = new Uint8ClampedArray(3 * this.width * kept.length);
        kept.forEach(({ lines }, row) => pixels.set(lines[at], 3 * this.width * row));
        return { width: this.width, times: kept.map(({ time }) => time), pixels };
    }
}

/** Lays a strip on a canvas, one px for each of its own. */
export function paintStrip(canvas, { width, times, pixels }) {
    [canvas.width, canvas.height] = [width, times.length];
    const context = canvas.getContext('2d');
    const image = context.createImageData(width, times.length);
    for (let i = 0; i < width * times.length; i += 1) {
        image.data.set([pixels[3 * i], pixels[3 * i + 1], pixels[3 * i + 2], 255], 4 * i);
    }
    context.putImageData(image, 0, 0);
}
