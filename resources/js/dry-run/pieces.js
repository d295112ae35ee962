import { say } from '../words.js';

/** @param {boolean|null} pressed null for a button that is no tab */
export function tab(text, pressed, act) {
    const button = document.createElement('button');
    button.type = 'button';
    button.className = pressed === null ? 'button plain' : 'button';
    button.textContent = text;
    if (pressed !== null) {
        button.setAttribute('aria-pressed', String(pressed));
    }
    button.addEventListener('click', act);
    return button;
}

export function sentence([lead, rest, small]) {
    const paragraph = document.createElement('p');
    for (const [tag, text] of [
        ['strong', lead],
        ['span', rest],
        ['small', small],
    ]) {
        if (text !== '') {
            const node = document.createElement(tag);
            node.textContent = text;
            if (tag === 'small') {
                node.className = 'small';
            }
            paragraph.append(node, ' ');
        }
    }
    return paragraph;
}

/** A table of figures: the first cell of a row names it. */
export function fillRows(table, head, rows) {
    const thead = document.createElement('thead');
    thead.append(
        row(
            head.map((text) => text || say('dry_run.what')),
            'th',
        ),
    );
    const tbody = document.createElement('tbody');
    tbody.append(...rows.map((cells) => row(cells, 'td')));
    table.replaceChildren(thead, tbody);
}

function row(cells, tag) {
    const tr = document.createElement('tr');
    cells.forEach((text, index) => {
        const cell = document.createElement(tag === 'td' && index === 0 ? 'th' : tag);
        if (cell.tagName === 'TH') {
            cell.scope = tag === 'td' ? 'row' : 'col';
        }
        cell.className = index === 0 ? '' : 'num';
        cell.textContent = text;
        tr.append(cell);
    });
    return tr;
}
