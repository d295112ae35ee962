/**
 * A film's pictures, one after the other, each with the moment that the film itself gives it. The film is played, since no browser
 * gives pictures otherwise without a secure context; where it misses some it is played again, slower.
 */

/** A film longer than this (s) is no run. */
const LONGEST_S = 180;

/** Where more than this share of the pictures was missed, it is played again. */
const MISSED = 0.05;
const SLOWEST = 0.25;

/** Pictures of the first, light look. */
const LOOKS = 32;

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

/** Plays it through once; resolves to the share of pictures that was missed. */
async function play(video, rate, onPicture) {
    await seek(video, 0);
    video.playbackRate = rate;
    let [seen, first, last] = [0, null, 0];
    let handle = 0;
    const ended = once(video, 'ended', 'error');
    const each = (now, { mediaTime, presentedFrames }) => {
        seen += 1;
        first ??= presentedFrames;
        last = presentedFrames;
        onPicture(mediaTime, mediaTime / video.duration);
        handle = video.requestVideoFrameCallback(each);
    };
    handle = video.requestVideoFrameCallback(each);
    await video.play();
    await ended;
    video.cancelVideoFrameCallback(handle);
    return seen === 0 ? 1 : 1 - seen / (last - first + 1);
}

/**
 * All its pictures.
 *
 * @param {() => (time: number, share: number) => void} begin called before each time through; gives what takes the pictures
 */
export async function readFilm(video, begin) {
    for (let rate = 1; ; rate /= 2) {
        const missed = await play(video, rate, begin());
        if (missed <= MISSED || rate / 2 < SLOWEST) {
            return missed;
        }
    }
}
