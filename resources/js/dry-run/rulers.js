import { say } from '../words.js';

/** The rulers at the left: each a slider and a field of one setting. */
export class Rulers {
    /**
     * @param {import('./designs.js').Designs} designs
     * @param {{turned: () => void, complain: (fault: string) => void}} on
     */
    constructor(bench, designs, on) {
        this.bench = bench;
        this.designs = designs;
        this.on = on;
        for (const row of bench.querySelectorAll('[data-setting]')) {
            const setting = designs.settings.get(row.dataset.setting);
            row.querySelector('[data-slider]').addEventListener('input', (event) => this.#turn(setting.key, +event.target.value));
            const field = row.querySelector('[data-field]');
            field.addEventListener('change', () => this.#type(setting, field));
        }
    }

    fillAll() {
        for (const key of this.designs.settings.keys()) {
            this.#fill(key);
        }
    }

    #turn(key, si) {
        this.designs.turn(key, si);
        this.#fill(key);
        this.on.turned();
    }

    /** The unit may be typed along; another unit is refused rather than misread. */
    #type(setting, field) {
        const typed = field.value.replace(setting.unit, '').replace(',', '.').trim();
        if (typed !== '' && !Number.isFinite(Number(typed))) {
            this.on.complain(
                say(setting.unit === '' ? 'dry_run.not_a_number' : 'dry_run.not_a_number_in', {
                    setting: setting.label,
                    unit: setting.unit,
                    typed: field.value,
                }),
            );
        } else if (typed !== '' || setting.key === 'rolling_coefficient') {
            this.#turn(setting.key, Number(typed) / setting.perSi);
        }
        field.value = this.#figure(setting);
    }

    #figure(setting) {
        return +(this.designs.value(setting.key) * setting.perSi).toFixed(setting.decimals);
    }

    #fill(key) {
        const setting = this.designs.settings.get(key);
        const row = this.bench.querySelector(`[data-setting="${key}"]`);
        row.hidden = !this.designs.asks(key);
        const value = this.designs.value(key);
        // A ruler stretches to where a car's own value lies.
        const slider = row.querySelector('[data-slider]');
        slider.min = Math.min(setting.least, value);
        slider.max = Math.max(setting.greatest, value);
        slider.value = value;
        const shown = this.#figure(setting);
        slider.setAttribute('aria-valuetext', `${shown} ${setting.unit}`.trim());
        const field = row.querySelector('[data-field]');
        if (document.activeElement !== field) {
            const isUnmeasured = key === 'rolling_coefficient' && value === 0;
            field.value = isUnmeasured ? '' : shown;
            field.placeholder = key === 'rolling_coefficient' ? say('dry_run.no') : '';
        }
    }
}
