/**
 * Makes a strip of a film: of each picture the line of pixels along the lane. The picture is laid on a canvas so that the line lies level
 * and fills its width; so little of it is read that a phone keeps up.
 */

/** A line of the strip is the mean of so many pixels across it. */
const ACROSS = 3;
const HIGH = ACROSS + 2;

/** More pixels along the line tell nothing more. */
const WIDEST = 1400;

/** A film of so many pictures is long; from then on every other one is left out. */
const MOST = 4000;

export class StripMaker {
    #context;

    /**
     * @param {number[]} line u and v of its two ends, in px of the film
     */
    constructor(line) {
        const [u0, v0, u1, v1] = line;
        this.length = Math.hypot(u1 - u0, v1 - v0);
        this.width = Math.max(60, Math.min(WIDEST, Math.round(this.length)));
        this.times = [];
        this.lines = [];
        const canvas = document.createElement('canvas');
        [canvas.width, canvas.height] = [this.width, HIGH];
        this.#context = canvas.getContext('2d', { willReadFrequently: true, alpha: false });
        const [cos, sin] = [(u1 - u0) / this.length, (v1 - v0) / this.length];
        const scale = this.width / this.length;
        this.#context.setTransform(scale * cos, -sin, scale * sin, cos, -scale * (u0 * cos + v0 * sin), HIGH / 2 + u0 * sin - v0 * cos);
    }

    /** Adds what a film shows now, of a moment (s). One that is known already is left out. */
    add(picture, time) {
        if (this.times.length > 0 && time <= this.times[this.times.length - 1] + 1e-6) {
            return;
        }
        this.#context.drawImage(picture, 0, 0);
        const { data } = this.#context.getImageData(0, (HIGH - ACROSS) / 2, this.width, ACROSS);
        const line = new Uint8ClampedArray(3 * this.width);
        for (let column = 0; column < this.width; column += 1) {
            for (let colour = 0; colour < 3; colour += 1) {
                let sum = 0;
                for (let row = 0; row < ACROSS; row += 1) {
                    sum += data[4 * (row * this.width + column) + colour];
                }
                line[3 * column + colour] = sum / ACROSS;
            }
        }
        this.times.push(time);
        this.lines.push(line);
    }

    /** @returns {import('./front.js').Strip} */
    strip() {
        const every = Math.ceil(this.times.length / MOST);
        const kept = this.lines.filter((_, i) => i % every === 0);
        const pixels = new Uint8ClampedArray(3 * this.width * kept.length);
        kept.forEach((line, row) => pixels.set(line, 3 * this.width * row));
        return { width: this.width, times: this.times.filter((_, i) => i % every === 0), pixels };
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
