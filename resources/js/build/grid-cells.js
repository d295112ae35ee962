/**
 * What a spreadsheet puts on the clipboard: rows by line, cells by tab; a cell with a tab, a line or a quote in it is quoted.
 *
 * @param {string} text
 * @returns {string[][]}
 */
export function cellsOf(text) {
    const rows = [[]];
    let cell = '';
    let isQuoted = false;
    const end = () => rows[rows.length - 1].push(cell.trim());
    for (let i = 0; i < text.length; i++) {
        const char = text[i];
        if (isQuoted) {
            if (char === '"' && text[i + 1] === '"') {
                cell += '"';
                i++;
            } else if (char === '"') {
                isQuoted = false;
            } else {
                cell += char;
            }
        } else if (char === '"' && cell === '') {
            isQuoted = true;
        } else if (char === '\t') {
            end();
            cell = '';
        } else if (char === '\n') {
            end();
            cell = '';
            rows.push([]);
        } else if (char !== '\r') {
            cell += char;
        }
    }
    end();
    // A table ends with a line break, which begins no row.
    return rows.length > 1 && rows[rows.length - 1].join('') === '' ? rows.slice(0, -1) : rows;
}

/**
 * Where a key leads from a cell; null where it does not.
 *
 * @param {string} key as a keydown has it
 * @param {[number, number]} from row and column
 * @param {{start: boolean, end: boolean}} caret whether it stands at the start and at the end of the cell
 * @returns {[number, number] | null}
 */
export function step(key, [row, column], caret) {
    switch (key) {
        case 'Enter':
        case 'ArrowDown':
            return [row + 1, column];
        case 'ArrowUp':
            return [row - 1, column];
        case 'ArrowLeft':
            return caret.start ? [row, column - 1] : null;
        case 'ArrowRight':
            return caret.end ? [row, column + 1] : null;
        default:
            return null;
    }
}
