/** A choice from which the rest of its form follows is sent at once. */
export function attachFollow(root) {
    root.addEventListener('change', (event) => {
        if (event.target.matches('[data-follow]')) {
            event.target.form.requestSubmit();
        }
    });
}

export function attachPrint(root) {
    for (const button of root.querySelectorAll('[data-print]')) {
        button.addEventListener('click', () => window.print());
    }
}
