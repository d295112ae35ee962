/** A message where messages stand, read aloud too. */
export function announce(text) {
    let flash = document.querySelector('main > .flash[data-announced]');
    if (flash === null) {
        document.querySelector('main > .flash')?.remove();
        flash = document.createElement('div');
        flash.className = 'flash';
        flash.dataset.announced = '';
        flash.setAttribute('role', 'status');
        document.querySelector('main').prepend(flash);
    }
    flash.textContent = text;
}
