const LETTERS = ['a', 'b', 'c'];

/** The designs that are compared, each the value of every setting (SI), and the one that the rulers turn. */
export class Designs {
    /**
     * @param {{key: string, usual: number, limits: [number, number], of: number[]|null}[]} settings
     * @param {Object<string, Object<string, number>>} held what differs from the usual car, by letter and key
     */
    constructor(settings, held) {
        this.settings = new Map(settings.map((setting) => [setting.key, setting]));
        const usual = settings.map((setting) => [setting.key, setting.usual]);
        this.held = new Map(Object.entries(held).map(([letter, values]) => [letter, new Map([...usual, ...Object.entries(values)])]));
        this.on = 'a';
    }

    /** What drives a design, by its number. */
    source(letter = this.on) {
        return this.held.get(letter).get('energy_source') ?? 0;
    }

    /** Whether a setting means anything of the design that the rulers turn. */
    asks(key) {
        const { of } = this.settings.get(key);
        return of === null || of.includes(this.source());
    }

    /** Another source of energy: what belongs to it begins as it usually is, the rest of the car stays. */
    drive(source, begin) {
        const held = this.held.get(this.on);
        held.set('energy_source', source);
        for (const { key, of, usual } of this.settings.values()) {
            if (of !== null && of.includes(source)) {
                held.set(key, begin[key] ?? usual);
            }
        }
    }

    get letters() {
        return [...this.held.keys()];
    }

    get hasRoom() {
        return this.held.size < LETTERS.length;
    }

    /** Of the design that the rulers turn. */
    value(key) {
        return this.held.get(this.on).get(key);
    }

    /** Within what the model takes. */
    turn(key, si) {
        const [least, greatest] = this.settings.get(key).limits;
        this.held.get(this.on).set(key, Math.min(greatest, Math.max(least, si)));
    }

    /** A copy of the design at hand, and its letter. */
    copy() {
        const letter = LETTERS.find((each) => !this.held.has(each));
        this.held.set(letter, new Map(this.held.get(this.on)));
        return letter;
    }

    drop() {
        this.held.delete(this.on);
        this.on = this.letters[0];
    }

    /** As the address has it: what differs from the usual car. */
    write(letter) {
        return [...this.held.get(letter)]
            .filter(([key, value]) => value !== (this.settings.get(key)?.usual ?? 0) && this.#isOf(letter, key))
            .map(([key, value]) => `${key}:${+value.toFixed(7)}`)
            .join(',');
    }

    #isOf(letter, key) {
        const of = this.settings.get(key)?.of ?? null;
        return of === null || of.includes(this.source(letter));
    }
}
