/**
 * Where the names of marks stand, so that none covers a mark or another name. A name that has no room is left out: it
 * is said when its mark is pointed at.
 */
const LETTER = 6.9;
const HEIGHT = 15;
const MARK = 22;
const GAP = 4;

const overlap = (a, b) => a.x < b.x + b.width && b.x < a.x + a.width && a.y < b.y + b.height && b.y < a.y + a.height;

const around = ({ x, y, name }) => {
    const width = LETTER * name.length;
    const side = MARK / 2 + GAP;
    return [
        { x: x + side, y: y - HEIGHT / 2, width, height: HEIGHT },
        { x: x - side - width, y: y - HEIGHT / 2, width, height: HEIGHT },
        { x: x - width / 2, y: y - side - HEIGHT, width, height: HEIGHT },
        { x: x - width / 2, y: y + side, width, height: HEIGHT },
    ];
};

/**
 * @param {{x: number, y: number, name: string}[]} marks by their middle
 * @param {{left: number, right: number, top: number, bottom: number}} frame that names stay in
 * @returns {({x: number, y: number, width: number, height: number}|null)[]} a box for each, or null where there is no room
 */
export function placeNames(marks, { left, right, top, bottom }) {
    const taken = marks.map(({ x, y }) => ({ x: x - MARK / 2, y: y - MARK / 2, width: MARK, height: MARK }));
    return marks.map((mark) => {
        const box = around(mark).find(
            (each) =>
                each.x >= left &&
                each.x + each.width <= right &&
                each.y >= top &&
                each.y + each.height <= bottom &&
                !taken.some((other) => overlap(each, other)),
        );
        if (box === undefined) {
            return null;
        }
        taken.push(box);
        return box;
    });
}
