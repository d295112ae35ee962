// Reads strips as JSON, one a line, with their pixels in base64; prints the fronts that are found, a line each, or the fault.
import { createInterface } from 'node:readline';
import { findFront } from '../../resources/js/film/front.js';

for await (const line of createInterface({ input: process.stdin, crlfDelay: Infinity })) {
    const { width, times, pixels } = JSON.parse(line);
    let said;
    try {
        said = { found: findFront({ width, times, pixels: Uint8Array.from(Buffer.from(pixels, 'base64')) }) };
    } catch (fault) {
        said = { fault: fault.code ?? String(fault) };
    }
    console.log(JSON.stringify(said));
}
