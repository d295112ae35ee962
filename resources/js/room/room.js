import { morph } from '../run/morph.js';

/** The educator's view of the room follows the groups, and leaves alone what somebody is typing. */
export function attachRoom(root) {
    const room = root.querySelector('[data-room]');
    setInterval(async () => {
        if (document.hidden || room.contains(document.activeElement)) {
            return;
        }
        const response = await fetch(location.href, {
            headers: { Accept: 'text/html', 'X-Beside': 'yes' },
            credentials: 'same-origin',
        }).catch(() => null);
        if (response?.ok === true) {
            const fresh = new DOMParser().parseFromString(await response.text(), 'text/html').querySelector('[data-room]');
            if (fresh !== null && !room.contains(document.activeElement)) {
                morph(room, fresh.innerHTML);
            }
        }
    }, 3000);
}
