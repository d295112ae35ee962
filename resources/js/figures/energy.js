import { say } from '../words.js';
import { svg } from './tape.js';

const SPENT = ['rolling', 'drag', 'carried', 'slip'];

/** What was put in, and what became of the part that moved the car: two bars of one width. */
export function drawEnergy(holder, { moves, energy, energySaid }) {
    const width = holder.clientWidth;
    const canvas = svg('svg', { viewBox: `0 0 ${width} 76`, role: 'img', 'aria-label': say('dry_run.energy') });
    if (moves && energy.stored > 0) {
        const share = Math.min(1, energy.work / energy.stored);
        svg('text', { x: 0, y: 13, class: 'plain-text' }, canvas).textContent = energySaid[0];
        svg('rect', { x: 0, y: 19, width, height: 12, class: 'energy-jet' }, canvas);
        svg('rect', { x: 0, y: 19, width: width * share, height: 12, fill: 'var(--color-do)' }, canvas);
        svg('path', { d: `M0 31L0 56M${width * share} 31L${width} 56`, class: 'grid' }, canvas);
        const spent = Math.max(
            SPENT.reduce((sum, name) => sum + energy[name], 0),
            1e-9,
        );
        let at = 0;
        for (const name of SPENT) {
            const part = (width * energy[name]) / spent;
            svg('rect', { x: at, y: 56, width: part, height: 18, class: `energy-${name}` }, canvas);
            at += part;
        }
        svg('text', { x: 0, y: 50, class: 'plain-text' }, canvas).textContent = energySaid[1];
    }
    holder.replaceChildren(canvas);
}
