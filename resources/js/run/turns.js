/** Whose turns are still to come, so that the next group stands in the strip before the server has been asked. */
export class Turns {
    /** @param {number[]} coming groups in their order, one for each turn */
    constructor(coming) {
        this.coming = coming;
    }

    get next() {
        return this.coming[0] ?? null;
    }

    /** The group has had a turn. */
    ran(group) {
        this.coming = without(this.coming, [group]);
    }

    /** What the server says is to come, without the runs that wait here and that it does not know yet. */
    hear(coming, waiting) {
        this.coming = without(coming, waiting);
    }
}

/** The first turn of each of these groups taken away. */
function without(turns, groups) {
    const left = [...turns];
    for (const group of groups) {
        const at = left.indexOf(group);
        if (at >= 0) {
            left.splice(at, 1);
        }
    }
    return left;
}
