const LOOKS = { ink: ['#17262d', 6], red: ['#b8300f', 8], blue: ['#0a626c', 8], yellow: ['#f3c534', 16] };

/** Points nearer to the last one than this (of a thousand) are not kept. */
const STEP = 3;

/** A pad to draw on with finger, pen or mouse. What is drawn are strokes; they survive a reload. */
class Pad {
    constructor(form) {
        this.form = form;
        this.canvas = form.querySelector('canvas');
        this.key = `skivo-sketch ${location.pathname}`;
        this.strokes = JSON.parse(localStorage.getItem(this.key) ?? '[]');
        this.pen = 'ink';
        this.stroke = null;
    }

    listen() {
        this.canvas.addEventListener('pointerdown', (event) => this.start(event));
        this.canvas.addEventListener('pointermove', (event) => this.move(event));
        for (const ended of ['pointerup', 'pointercancel']) {
            this.canvas.addEventListener(ended, () => this.end());
        }
        for (const button of this.form.querySelectorAll('[data-pen]')) {
            button.addEventListener('click', () => this.take(button));
        }
        this.form.querySelector('[data-sketch-undo]').addEventListener('click', () => this.keep(this.strokes.slice(0, -1)));
        this.form.querySelector('[data-sketch-clear]').addEventListener('click', () => this.keep([]));
        this.form.addEventListener('skivo:taken', () => this.keep([]));
        this.keep(this.strokes);
    }

    take(button) {
        this.pen = button.dataset.pen;
        for (const other of this.form.querySelectorAll('[data-pen]')) {
            other.setAttribute('aria-pressed', String(other === button));
        }
    }

    start(event) {
        event.preventDefault();
        this.canvas.setPointerCapture(event.pointerId);
        this.stroke = { pen: this.pen, points: [this.at(event)] };
        this.draw();
    }

    move(event) {
        if (this.stroke === null) {
            return;
        }
        const [x, y] = this.at(event);
        const [lastX, lastY] = this.stroke.points.at(-1);
        if (Math.hypot(x - lastX, y - lastY) >= STEP) {
            this.stroke.points.push([x, y]);
            this.draw();
        }
    }

    end() {
        if (this.stroke !== null) {
            const strokes = [...this.strokes, this.stroke];
            this.stroke = null;
            this.keep(strokes);
        }
    }

    /** Where on the sheet, in its own units. */
    at(event) {
        const box = this.canvas.getBoundingClientRect();
        const within = (value, most) => Math.max(0, Math.min(most, Math.round(value)));
        return [
            within(((event.clientX - box.left) / box.width) * this.canvas.width, this.canvas.width),
            within(((event.clientY - box.top) / box.height) * this.canvas.height, this.canvas.height),
        ];
    }

    keep(strokes) {
        this.strokes = strokes;
        this.form.elements.strokes.value = strokes.length === 0 ? '' : JSON.stringify(strokes);
        localStorage.setItem(this.key, JSON.stringify(strokes));
        this.draw();
    }

    draw() {
        const context = this.canvas.getContext('2d');
        context.clearRect(0, 0, this.canvas.width, this.canvas.height);
        context.lineCap = context.lineJoin = 'round';
        for (const { pen, points } of this.stroke === null ? this.strokes : [...this.strokes, this.stroke]) {
            [context.strokeStyle, context.lineWidth] = LOOKS[pen];
            context.beginPath();
            for (const [x, y] of points) {
                context.lineTo(x, y);
            }
            if (points.length === 1) {
                context.lineTo(points[0][0] + 0.1, points[0][1]);
            }
            context.stroke();
        }
    }
}

export function attachSketch(root) {
    new Pad(root.querySelector('form[data-sketch]')).listen();
}
