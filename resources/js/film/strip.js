/**
 * Makes a strip of a film: of each picture the line of pixels along the lane. The picture is laid on a canvas so that the line lies level
 * and fills its width; so little of it is read that a phone keeps up.
 */

/** A line of the strip is the mean of so many pixels across it. */
const ACROSS = 3;

/**
 * A line that was drawn too low misses the wheels: it is read as well a little higher, by one to three steps of a px, of more in films
 * of more pixels. Far above the wheels' feet the car's other side is seen before this one, so that the lowest that does is the best.
 */
const STEPS = [0, 1, 2, 3];
const PX_A_STEP = 1 / 1800;

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
        const step = Math.max(1, Math.round(PX_A_STEP * this.length));
        /** How far above the line each of its strips is read (px of the film). */
        this.lifts = Math.abs(cos) < LEVEL ? [0] : STEPS.map((steps) => steps * step);
        this.#middle = Math.max(...this.lifts) + ACROSS;
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

/** Lays a strip on a canvas, its rows evenly in time: where pictures were missed, the nearest one stands for them. */
export function paintStrip(canvas, { width, times, pixels }) {
    [canvas.width, canvas.height] = [width, times.length];
    const context = canvas.getContext('2d');
    const image = context.createImageData(width, times.length);
    const step = (times[times.length - 1] - times[0]) / Math.max(1, times.length - 1);
    let shown = 0;
    for (let row = 0; row < times.length; row += 1) {
        const time = times[0] + row * step;
        while (shown + 1 < times.length && Math.abs(times[shown + 1] - time) <= Math.abs(times[shown] - time)) {
            shown += 1;
        }
        for (let column = 0; column < width; column += 1) {
            const from = 3 * (shown * width + column);
            image.data.set([pixels[from], pixels[from + 1], pixels[from + 2], 255], 4 * (row * width + column));
        }
    }
    context.putImageData(image, 0, 0);
}
