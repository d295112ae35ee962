/** How a slider's place is written in its field: in fractions where a ruler is read in fractions. */
export function written(value, unit, inFractions) {
    if (!inFractions) {
        return `${+value.toFixed(3)} ${unit}`.trim();
    }
    const sixteenths = Math.round(value * 16);
    const whole = Math.floor(sixteenths / 16);
    let [over, under] = [sixteenths % 16, 16];
    while (over > 0 && over % 2 === 0) {
        [over, under] = [over / 2, under / 2];
    }
    const fraction = over === 0 ? '' : `${over}/${under}`;
    return `${[whole === 0 && fraction !== '' ? '' : String(whole), fraction].filter((part) => part !== '').join(' ')} ${unit}`;
}

/** The number that was typed, where it is in the slider's own unit; null where it is not. */
export function readIn(typed, unit) {
    const found = /^(\d+(?:[.,]\d+)?)?(?:\s*(\d+)\/(\d+))?\s*([a-z°"″]*)$/i.exec(typed.trim());
    if (found === null || (found[1] === undefined && found[2] === undefined) || (found[4] !== '' && found[4] !== unit)) {
        return null;
    }
    const whole = found[1] === undefined ? 0 : Number(found[1].replace(',', '.'));
    return whole + (found[2] === undefined ? 0 : Number(found[2]) / Number(found[3]));
}

/** Sliders under fields: each fills its field, and follows what is typed there. */
export function attachRules(form) {
    for (const box of form.querySelectorAll('[data-ruler]')) {
        const slider = box.querySelector('input[type="range"]');
        const field = box.querySelector('input:not([type="range"])');
        const { unit } = slider.dataset;
        const inFractions = slider.dataset.fractions !== undefined;
        slider.addEventListener('input', () => {
            slider.classList.remove('is-unset');
            field.value = written(Number(slider.value), unit, inFractions);
        });
        field.addEventListener('input', () => {
            const value = readIn(field.value, unit);
            slider.classList.toggle('is-unset', value === null);
            if (value !== null) {
                slider.value = String(value);
            }
        });
    }
    const places = [...form.querySelectorAll('[data-outline]')];
    for (const place of places) {
        place.addEventListener('input', () => {
            form.elements.chassis_outline.value = places.map((each) => each.value).join(' ');
        });
    }
}
