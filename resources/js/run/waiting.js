import { say } from '../words.js';

export function button(text, act) {
    const made = document.createElement('button');
    made.type = 'button';
    made.className = 'button plain';
    made.textContent = text;
    made.addEventListener('click', act);
    return made;
}

/** The runs that wait on the device, each with what can be done about it. */
export function drawWaiting(list, { runs, elsewhere, notice }, act) {
    list.hidden = runs.length === 0 && elsewhere === 0;
    list.replaceChildren(...runs.map((run) => drawRun(run, notice, act)));
    if (elsewhere > 0) {
        list.append(line(say(elsewhere === 1 ? 'entry.one_elsewhere' : 'entry.some_elsewhere', { count: elsewhere })));
    }
}

function drawRun(run, notice, act) {
    const made =
        run.messages === undefined
            ? line(say('entry.waiting', { said: notice === '' ? run.said : `${run.said}. ${notice}` }))
            : line(
                  say(run.isQuestion ? 'entry.in_question' : 'entry.not_taken', { said: run.said, why: run.messages.join(' ') }),
                  ...(run.isQuestion ? [button(say('entry.is_right'), () => act.confirm(run))] : []),
                  button(say('entry.correct'), () => act.edit(run)),
                  button(say('entry.throw_away'), () => act.drop(run)),
              );
    made.dataset.waitingRun = run.id;
    return made;
}

function line(text, ...buttons) {
    const made = document.createElement('p');
    const words = document.createElement('span');
    words.textContent = text;
    made.append(words, ...buttons);
    return made;
}
