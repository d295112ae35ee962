/** Closes an open menu on Escape or a press elsewhere. */
export function attachMenus(root) {
    document.addEventListener('click', (event) => {
        for (const menu of root.querySelectorAll('details.menu[open]')) {
            if (!menu.contains(event.target)) {
                menu.open = false;
            }
        }
    });
    document.addEventListener('keydown', (event) => {
        if (event.key === 'Escape') {
            for (const menu of root.querySelectorAll('details.menu[open]')) {
                menu.open = false;
                menu.querySelector('summary').focus();
            }
        }
    });
}
