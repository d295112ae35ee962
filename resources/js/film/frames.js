/**
 * A film's pictures, one after the other, each with the moment that the film itself gives it. The film is played, since no browser
 * gives pictures otherwise without a secure context.
 */
import { Pace } from './pace.js';

/** A film longer than this (s) is no run. */
const LONGEST_S = 180;

/** Pictures of the first, light look. */
const LOOKS = 10;

const once = (target, type, failing) =>
    new Promise((resolve, reject) => {
        target.addEventListener(type, resolve, { once: true });
        target.addEventListener(failing, () => reject(new Error('not_played')), { once: true });
    });

/** @throws {Error} whose message is the key of a sentence, where the browser can't play it */
export async function openFilm(video, file) {
    if (video.src !== '') {
        URL.revokeObjectURL(video.src);
    }
    const ready = once(video, 'loadeddata', 'error');
    video.src = URL.createObjectURL(file);
    await ready;
    if (!Number.isFinite(video.duration)) {
        // Films that a browser recorded say how long they are only at their end.
        const known = once(video, 'seeked', 'error');
        video.currentTime = 1e6;
        await known;
    }
    if (video.videoWidth === 0) {
        throw new Error('not_played');
    }
    if (video.duration > LONGEST_S) {
        throw new Error('too_long');
    }
}

/** Shows a moment of it. */
export async function seek(video, time) {
    const there = once(video, 'seeked', 'error');
    video.currentTime = Math.max(0, Math.min(video.duration - 0.001, time));
    await there;
}

/** A few pictures from the whole film, at once. */
export async function look(video, onPicture) {
    for (let i = 0; i < LOOKS; i += 1) {
        const time = ((i + 0.5) / LOOKS) * video.duration;
        await seek(video, time);
        onPicture(time);
    }
}

/**
 * All its pictures; one may come twice, and not in order.
 *
 * @param {(time: number, share: number) => void} onPicture with the moment (s) of what the film shows now
 */
export async function readFilm(video, onPicture) {
    const pace = new Pace();
    await seek(video, 0);
    video.playbackRate = pace.rate;
    let [handle, goesBack, back] = [0, false, null];
    const each = (now, { mediaTime }) => {
        handle = video.requestVideoFrameCallback(each);
        // What is still on its way when it goes back tells nothing of the pace.
        if (goesBack) {
            return;
        }
        onPicture(mediaTime, mediaTime / video.duration);
        const next = pace.picture(mediaTime);
        if (next === null) {
            return;
        }
        video.playbackRate = next.rate;
        if (next.from !== null) {
            goesBack = true;
            back = seek(video, next.from).then(() => (goesBack = false));
        }
    };
    handle = video.requestVideoFrameCallback(each);
    for (let more = {}; more !== null; more = pace.end(video.duration)) {
        if (more.from !== undefined) {
            video.playbackRate = more.rate;
            await seek(video, more.from);
        }
        const ended = once(video, 'ended', 'error');
        await video.play();
        await ended;
        await back;
    }
    video.cancelVideoFrameCallback(handle);
}
