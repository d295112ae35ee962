import { attachFloors } from './floor.js';
import { attachFigures } from './figure.js';
import { attachBuild, attachFollow, attachPrint, attachTake } from './build.js';
import { attachEntry } from './entry.js';
import { attachKeys } from './keys.js';
import { attachLive } from './live.js';
import { attachMenus } from './menu.js';
import { attachCodes } from './qr.js';
import { attachTimes } from './times.js';
import { attachWatch } from './watch.js';
import { attachWhatIf } from './what-if.js';

document.documentElement.classList.add('js');

attachFloors(document);
attachFigures(document);
attachEntry(document);
attachKeys(document);
attachMenus(document);
attachTimes(document);
attachWhatIf(document);
attachCodes(document);
attachWatch(document);
attachLive(document);
attachBuild(document);
attachFollow(document);
attachPrint(document);
attachTake(document);
