import { bareCode } from '../bare-code.ts';
import { callsByLine, type Evidence, type Sighting } from '../evidence.ts';
import type { Rule } from '../rule.ts';
import { optionsOf } from '../watch.ts';

/* What is told by how a sketch's functions are written, and from seconds that are taken for something else. */

/** A variable that begins at a number; and how a number is added to it, or it is multiplied by one. */
const beginning = /(?<![.\w])let\s+(\w+)\s*=\s*(-?[\d.]+)\s*[;\n]/g;
const changes = (name: string): RegExp =>
  new RegExp(`(?<![.\\w])${name}\\s*(?:(?:[-+*]=|=\\s*${name}\\s*[-+*])\\s*[\\d.]+(?=\\s*[;\\n}])|(?:\\+\\+|--)(?=\\s*[;\\n}]))`, 'g'); // prettier-ignore

const beginsAnew: Rule = {
  name: 'begins-anew',
  title: 'A value that begins anew in every frame',
  why: 'paint is called for every frame, and a variable of its own has its first value again each time: what is added to it does not add up.',
  cure: 'Work it out from the time, const angle = 40 * seconds; or keep it in the state: start: () => ({ angle: 0 }), step: (state, { delta }) => void (state.angle += 40 * delta).',
  find({ sketch: { code, frames } }) {
    if (frames === 1) return [];
    const plain = bareCode(code);
    for (const { 0: declared, 1: name, 2: value, index } of plain.matchAll(beginning)) {
      const rest = plain.slice(index + declared.length);
      const block = rest.slice(0, endOfBlock(rest));
      const [change, ...others] = block.matchAll(changes(name));
      if (change === undefined || others.length > 0 || !isOnce(block.slice(0, change.index))) continue;
      const isRead = (part: string): boolean => new RegExp(`(?<![.\\w])${name}\\b`).test(part);
      const [before, after] = [block.slice(0, change.index), block.slice(change.index + change[0].length)];
      // Between two uses it goes on from the one to the other.
      if (isRead(before) === isRead(after)) continue;
      const at = index + declared.length + change.index;
      const written = code.slice(at, at + change[0].length);
      const text = `${name} is ${value} at the beginning of every frame, so that “${written}” does not add up`;
      return [{ line: undefined, written, frame: undefined, text }];
    }
    return [];
  },
};

/** Where the block ends that some code begins in. */
function endOfBlock(code: string): number {
  let depth = 0;
  for (let at = 0; at < code.length; at++) {
    if (code[at] === '{') depth++;
    if (code[at] === '}' && --depth < 0) return at;
  }
  return code.length;
}

/** Whether what comes after some code is reached once, and always: it is in no loop, function or condition of its own. */
function isOnce(code: string): boolean {
  const depth = [...code].reduce((sum, each) => sum + ('({['.includes(each) ? 1 : ')}]'.includes(each) ? -1 : 0), 0);
  const statement = code.slice(Math.max(...[';', '{', '}', '\n'].map((end) => code.lastIndexOf(end))) + 1);
  return depth === 0 && statement.trim() === '' && !/(?:\)|else)\s*$/.test(code);
}

/** The time, or what is left of it after whole turns, compared with a number that it is to be exactly. Of others it is no more than a name. */
const exactly = /(?<![.\w])(?:moment\.)?(seconds|progress)\s*(?:(%)\s*[\w.]+\s*)?={2,3}\s*([\w.]+)/g;

const exactMoment: Rule = {
  name: 'exact-moment',
  title: 'A moment that has to be met exactly',
  why: 'Time goes on from frame to frame: one frame meets a moment exactly, and at another frame rate none may.',
  cure: 'Ask for a stretch of time: if (seconds >= 2 && seconds < 3) { … }, or if (Math.floor(seconds) % 2 === 0) { … }.',
  find({ sketch: { code, frames } }) {
    if (frames === 1) return [];
    const asked = [...bareCode(code).matchAll(exactly)].find(([, name, rest, number]) => {
      // The start is met. What a sketch calls seconds itself may be rounded.
      const isStart = rest === undefined && Number(number) === 0;
      return !isStart && !declares(code, name);
    });
    if (asked === undefined) return [];
    const [written] = asked;
    return [{ line: undefined, written, frame: undefined, text: `the sketch asks for ${written}` }];
  },
};

/** Whether code has a variable of its own of a name. */
const declares = (code: string, name: string): boolean => new RegExp(`\\b(?:const|let|var)\\s+${name}\\b`).test(code);

/** The movements that code asks for at a time, `seconds` or `progress`, and the number that each takes for a round. */
function movements(code: string, time: string): { written: string; call: string; shift: string; period: number }[] {
  if (declares(code, time)) return [];
  const asked = new RegExp(`(?<![.\\w])(swing|cycle|zigzag)\\(\\s*[\\w.]*\\b${time}\\b\\s*((?:[-+][^,()*/]*)?),\\s*([\\d.]+)\\s*[,)]`, 'g'); // prettier-ignore
  return [...bareCode(code).matchAll(asked)].map(([written, call, shift, period]) => ({
    written,
    call,
    shift,
    period: Number(period),
  }));
}

const seam: Rule = {
  name: 'seam',
  title: 'A movement that jumps as the sketch begins again',
  why: 'A sketch with a duration repeats, and a movement that is not through with its round by then jumps back to where it began.',
  cure: 'Let it go round a whole number of times: swing(seconds, 2, 80, 240) in 4 seconds; or say repeat: false.',
  find({ sketch: { code, frames, frameRate, repeats, hasStep } }) {
    // What depends on a state begins again elsewhere in any case.
    if (!repeats || hasStep || frames === Infinity || frames === 1) return [];
    const duration = frames / frameRate;
    // A duration is a whole number of frames: what it lacks of a round, or has more, may be half of one.
    const found = movements(code, 'seconds').find(({ period }) => {
      const rounds = Math.max(1, Math.round(duration / period));
      return Math.abs(duration - rounds * period) * frameRate > 0.501;
    });
    if (found === undefined) return [];
    const { written, call, period } = found;
    const text = `${call} takes ${period} seconds for a round, and the sketch begins again after ${duration}`;
    return [{ line: undefined, written, frame: undefined, text }];
  },
};

const progressForSeconds: Rule = {
  name: 'progress-for-seconds',
  title: 'Progress where seconds are taken',
  why: 'progress goes from 0 to 1 over the duration of a sketch: a movement that takes seconds gets no further than its first one.',
  cure: 'Give it seconds: swing(seconds, 4, 80, 240); or let it take 1 for all of the duration.',
  find(evidence) {
    const { code, frames } = evidence.sketch;
    if (frames === Infinity || frames === 1) return [];
    const found = movements(code, 'progress').find(({ shift, period }) => shift === '' && period > 1);
    if (found === undefined) return keyframesByProgress(evidence);
    const { written, call, period } = found;
    return [{ line: undefined, written, frame: undefined, text: `${call} is given progress, and takes ${period} seconds for a round` }]; // prettier-ignore
  },
};

/** Keyframes that are asked for what they are at the progress of each frame, while they take other than one second. */
const keyframesByProgress = ({ details, sketch: { frames } }: Evidence): Sighting[] =>
  callsByLine(details).flatMap((calls) => {
    const own = calls.filter(({ call: { name } }) => name === 'keyframes');
    const isProgress = own.every(({ at, call: { given } }) => given[0] === at / frames);
    if (new Set(own.map(({ at }) => at)).size < 2 || !isProgress) return [];
    const { duration } = optionsOf(own[0].call) as { readonly duration: number };
    if (duration <= 1) return [];
    return [{ line: own[0].call.line, frame: undefined, text: `keyframes that take ${duration} seconds are given progress` }]; // prettier-ignore
  });

/** A switch that is flipped while something is held down. */
const flipped = /\bif\s*\(\s*[\w.]*\b(pointer|keys)\.down\b(?:\([^()]*\))?\s*\)\s*\{?\s*([\w.]+)\s*=\s*!\s*\2(?![\w.])/;

const flipsWhileHeld: Rule = {
  name: 'flips-while-held',
  title: 'A switch that flips in every frame',
  why: 'What is down is down in every frame until it is let go: a switch that flips each time flickers, and ends by chance.',
  cure: 'Ask for the frame in which it was pressed: if (pointer.justPressed) state.isLit = !state.isLit.',
  find({ sketch: { code } }) {
    const found = flipped.exec(bareCode(code));
    if (found === null) return [];
    const [written, what, name] = found;
    return [
      { line: undefined, written, frame: undefined, text: `${name} flips in each frame in which ${what}.down is true` },
    ];
  },
};

export const codeRules: readonly Rule[] = [beginsAnew, exactMoment, seam, progressForSeconds, flipsWhileHeld];
