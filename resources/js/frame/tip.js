/** One small label that names what is under the pointer or has the keyboard's focus. */
export function tipFor(container) {
    const tip = container.querySelector(':scope > .tip') ?? document.createElement('div');
    tip.className = 'tip';
    tip.hidden = true;
    container.append(tip);

    const show = (target, text) => {
        const box = target.getBoundingClientRect();
        const frame = container.getBoundingClientRect();
        tip.textContent = text;
        tip.hidden = false;
        const half = tip.offsetWidth / 2;
        const middle = box.left + box.width / 2 - frame.left;
        tip.style.left = `${Math.min(Math.max(middle, half), frame.width - half)}px`;
        tip.style.top = `${box.top - frame.top}px`;
    };
    const hide = () => {
        tip.hidden = true;
    };

    return (target, text) => {
        target.addEventListener('pointerenter', () => show(target, text));
        target.addEventListener('pointerleave', hide);
        target.addEventListener('focus', () => show(target, text));
        target.addEventListener('blur', hide);
    };
}
