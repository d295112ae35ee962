/** The keys of a screen: `?` lists them, and each one that is marked in the page is pressed outside a field. */
export function attachKeys(root) {
    const dialog = root.querySelector('dialog.keys');
    for (const button of root.querySelectorAll('[data-show-keys]')) {
        button.addEventListener('click', () => dialog?.showModal());
    }
    document.addEventListener('keydown', (event) => {
        if (event.ctrlKey || event.metaKey || event.altKey || dialog?.open) {
            return;
        }
        const field = event.target.closest('input, select, textarea');
        // A letter begins no number: in an empty field for one it is a key.
        const isOpen =
            field === null ||
            (field.matches('[inputmode=decimal], [inputmode=numeric], [type=checkbox]') &&
                (field.type === 'checkbox' || field.value === ''));
        if (!isOpen || event.key === 'Escape') {
            if (event.key === 'Escape') {
                field?.blur();
            }
            return;
        }
        if (event.key === '?' && dialog !== null) {
            event.preventDefault();
            dialog.showModal();
            return;
        }
        const target = root.querySelector(`[data-key="${CSS.escape(event.key)}"]`);
        if (target !== null) {
            event.preventDefault();
            if (target.closest('.more') !== null && target.offsetParent === null) {
                root.querySelector('[data-more]')?.click();
            }
            if (target.matches('button, a, [type=checkbox]')) {
                target.click();
            } else {
                target.focus();
                target.select?.();
            }
        }
    });
}
