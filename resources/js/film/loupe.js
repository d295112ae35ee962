/** A glass over the picture: shows enlarged what a finger that drags covers. */

/** Across (px of the screen), and how much larger than the picture's own px. */
const ACROSS = 120;
const TIMES = 4;

export class Loupe {
    /**
     * @param {HTMLCanvasElement} canvas of the glass
     * @param {HTMLCanvasElement} picture that it enlarges
     */
    constructor(canvas, picture) {
        [this.canvas, this.picture] = [canvas, picture];
        [canvas.width, canvas.height] = [ACROSS, ACROSS];
    }

    /** Shows what lies about a point of the picture (px), in the corner that is farther from it. */
    show(x, y) {
        const context = this.canvas.getContext('2d');
        const side = ACROSS / TIMES;
        context.imageSmoothingEnabled = false;
        context.fillRect(0, 0, ACROSS, ACROSS);
        context.drawImage(this.picture, x - side / 2, y - side / 2, side, side, 0, 0, ACROSS, ACROSS);
        context.strokeStyle = '#fff';
        for (const [from, to] of [
            [0, 0.4],
            [0.6, 1],
        ]) {
            context.beginPath();
            context.moveTo(from * ACROSS, ACROSS / 2);
            context.lineTo(to * ACROSS, ACROSS / 2);
            context.moveTo(ACROSS / 2, from * ACROSS);
            context.lineTo(ACROSS / 2, to * ACROSS);
            context.stroke();
        }
        this.canvas.classList.toggle('is-right', x < this.picture.width / 2);
        this.canvas.hidden = false;
    }

    hide() {
        this.canvas.hidden = true;
    }
}
