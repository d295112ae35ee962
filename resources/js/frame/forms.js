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

/** Buttons that copy a line: where the browser does not let a page do so, the line is selected for the keys that copy. */
export function attachCopy(root) {
    for (const button of root.querySelectorAll('[data-copy]')) {
        button.addEventListener('click', async () => {
            const line = root.querySelector(button.dataset.copy);
            try {
                await navigator.clipboard.writeText(line.textContent.trim());
                button.textContent = button.dataset.copied;
            } catch {
                getSelection().selectAllChildren(line);
            }
        });
    }
}
