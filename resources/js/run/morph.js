import { Idiomorph } from 'idiomorph/dist/idiomorph.esm.js';
import { attachTimes } from '../frame/times.js';

/** Whether somebody has typed in a field, or chosen, what has not been sent yet. */
export function isTouched(field) {
    switch (field.tagName) {
        case 'SELECT':
            return Array.from(field.options).some((option) => option.selected !== option.defaultSelected);
        case 'INPUT':
        case 'TEXTAREA':
            return field.type === 'checkbox' || field.type === 'radio'
                ? field.checked !== field.defaultChecked
                : field.value !== field.defaultValue;
        default:
            return false;
    }
}

/**
 * Whether a form is being filled in. It is left alone as a whole: what it says and carries besides, such as the try or the
 * edition that an answer is about, belongs to what was typed.
 */
function isHeld(form) {
    return (
        (form.contains(document.activeElement) && document.activeElement.matches('input, select, textarea')) ||
        Array.from(form.elements).some(isTouched)
    );
}

/**
 * Brings a piece of the page to what the server says now, and changes only what differs: focus, scroll, what is unfolded
 * and what is half typed stay as they are.
 */
export function morph(piece, html) {
    Idiomorph.morph(piece, html, {
        morphStyle: 'innerHTML',
        // Of a field that is typed in; a button that was pressed says something else now.
        ignoreActiveValue: document.activeElement?.matches('input, select, textarea') === true,
        callbacks: {
            beforeNodeMorphed: (old) => !(old instanceof HTMLFormElement ? isHeld(old) : old instanceof Element && isTouched(old)),
            beforeNodeRemoved: (old) => !(old instanceof HTMLFormElement && isHeld(old)),
            beforeAttributeUpdated: (name, node) => !(name === 'open' && node.tagName === 'DETAILS'),
        },
    });
    if (piece.querySelector('[data-floor]') !== null) {
        import('../figures/floor.js').then(({ attachFloors }) => attachFloors(piece));
    }
    attachTimes(piece);
    if (piece.querySelector('[data-relation]') !== null) {
        import('../figures/figure.js').then(({ attachFigures }) => attachFigures(piece));
    }
}
