import { colorNames } from '../paint/color-names.ts';
import { isThrownByHost } from '../source-line.ts';
import { kinOf, nearest, suggest, type Kin } from '../suggest.ts';
import { assetHint } from './asset-hint.ts';
import { hintForLanguage } from './language-hints.ts';
import { canvasNames, exportKin, libraryNames, momentNames } from './library-names.ts';
import type { Sketch } from './sketch.ts';

/*
 * What a sketch most likely meant where the engine itself stopped its code: errors of JavaScript, which name what is
 * wrong and not what would be right. Loaded once there is such an error.
 */

/** Where a sketch was stopped. */
export interface Stop {
  readonly sketch: Sketch;
  readonly state: unknown;
}

/**
 * What would most likely be right; undefined where that cannot be told.
 * @param stop left out while a sketch's file is loaded, when there is no sketch yet
 */
export function hintFor(thrown: unknown, stop?: Stop): string | undefined {
  if (!(thrown instanceof Error)) return undefined;
  const name = thrown instanceof ReferenceError ? undefinedName(thrown) : undefined;
  if (name !== undefined) return hintForName(name);
  const hint = (thrown instanceof TypeError ? hintForType(thrown, stop) : undefined) ?? hintForLanguage(thrown);
  return hint ?? hintForThing(thrown);
}

/** What is asked of things that sketches make, in words of the trade; behind each what to write. */
const asked: Kin = {
  color: {
    "colorMix(color, 'white', 0.2)": 'lighten lighter brighten brighter tint',
    "colorMix(color, 'black', 0.2)": 'darken darker shade',
    "colorMix(color, 'transparent', 0.5)": 'alpha withAlpha setAlpha fade',
    'colorMix(color, other, 0.5)': 'mix',
    'String(color)': 'hex toHex css toCss',
  },
  picture: {
    'picture.colorAt(x, y)': 'color colourAt pixel pixelAt getPixel getColor',
    'picture.setColorAt(x, y, color)': 'setPixel setColor setColourAt',
    'canvas.picture(picture, { at, size })': 'resize',
  },
};

/** What would be right where something may have been asked of a color or a picture that those do not have. */
function hintForThing({ message }: Error): string | undefined {
  const [, called] = /\.(\w+) is not a function/.exec(message) ?? [];
  if (called === undefined) return undefined;
  if (canvasNames.includes(called))
    return `${called} is a call of the canvas; a picture gets its own where it is made: picture(64, 64, (canvas) => { … })`;
  for (const thing of Object.keys(asked)) {
    const written = kinOf(called, [thing], asked);
    if (written !== undefined) return `with a ${thing}, write ${written}`;
  }
  return undefined;
}

function hintForType(thrown: TypeError, stop: Stop | undefined): string | undefined {
  return (
    hintForCall(thrown) ?? (stop && (hintForValue(thrown, stop) ?? hintForState(thrown, stop))) ?? hintForChain(thrown)
  );
}

/** What calls of the canvas are given, that somebody may want to ask of what they give back. */
const styling = ['fill', 'stroke', 'opacity', 'blend', 'label', 'layer', 'rotate', 'scale', 'translate', 'skew'];

/** What would be right where a call of the canvas is taken to give something back: canvas.circle({ … }).fill('teal'). */
function hintForChain({ message }: TypeError): string | undefined {
  const [, name] = /of undefined \(reading '(\w+)'\)/.exec(message) ?? [];
  return name !== undefined && styling.includes(name)
    ? `a call of the canvas gives nothing back: ${name} is among its options, or a call of its own; if no call stands there, what stands before .${name} is undefined`
    : undefined;
}

/** What would be right where a sketch takes from a state that it does not have. */
function hintForState({ message, stack }: TypeError, { sketch: { step, paint }, state }: Stop): string | undefined {
  const takesState = step !== undefined || paint.length > 2;
  return takesState && state === undefined && message.includes('undefined') && !isThrownByHost(stack)
    ? 'the state is undefined, as start returns none: start: () => ({ x: 0 })'
    : undefined;
}

/** What holds several calls and is none itself: one of them each. */
const holders: Readonly<Record<string, string>> = {
  random: 'random.between(0, 1)',
  dial: 'dial.number(5, { min: 0, max: 10 })',
  asset: "asset.picture(new URL('./boat.png', import.meta.url))",
  keys: "keys.down('a')",
};

/** The calls of those that sketches import, as words: imported here, a page that needs none of them would hold them all. */
export const makers: Readonly<Record<string, readonly string[]>> = {
  asset: ['picture', 'font', 'json', 'table'],
  dial: ['number', 'color', 'toggle', 'choice', 'text', 'point'],
};

/** What would be right where something was called that cannot be, or a file fetched by its name alone, which Node cannot. */
function hintForCall({ message }: TypeError): string | undefined {
  const [, fetched] = /^Failed to parse URL from (\S+)$/.exec(message) ?? [];
  if (fetched !== undefined) return assetHint(fetched);
  // Bundlers call what is imported by other names: import_library.dial, (0 , library.dial).
  const [, of, called] = /(?:^|[.\s])(?:(\w+)\)?\.)?(\w+)\)? is not a function/.exec(message) ?? [];
  if (of !== undefined && Object.hasOwn(makers, of)) return suggest(called, makers[of]);
  if (of === 'easing') return "an easing is named in the call: easing('ease-in-out')(progress)";
  return called !== undefined && Object.hasOwn(holders, called)
    ? `expected ${holders[called]} or another of its calls`
    : undefined;
}

/** What would be right where a value was called, or something was set that can only be read. */
function hintForValue({ message }: TypeError, { sketch }: Stop): string | undefined {
  const named = (pattern: RegExp): string => pattern.exec(message)?.[1] ?? '';
  const called = named(/(?:^|\.)(\w+) is not a function/);
  const ofPointer = named(/(?:^|\.)pointer\.(x|y|inside|down|justPressed|justReleased) is not a function/);
  if (ofPointer !== '') return `pointer.${ofPointer} is no call: leave its parentheses out`;
  if (called !== 'noise' && momentNames.includes(called)) return `${called} is no call: leave its parentheses out`;
  // Of all that sketches are handed, the canvas alone has getters for its size.
  if (/(?:Cannot set|setting getter-only) property ["]?(?:width|height)\b/.test(message))
    return "the size is the sketch's own: defineSketch({ canvas: { width: 640, height: 360 } })";
  if (/read only property '(?:width|height)' of object '#<Picture>'/.test(message))
    return 'the size that it is drawn in is an option: canvas.picture(picture, { at: [100, 80], size: [60, 40] })';
  const set = named(/(?:read only property|Cannot set property|setting getter-only property) ['"]?(\w+)/);
  if (Object.hasOwn(sketch.dials, set))
    return `${set} can only be read: what changes from frame to frame is kept in the state`;
  // Of a canvas and a sketch, which take nothing more.
  const added = named(/(?:Cannot add property |can't define property ")([a-z_]\w*)/i);
  if (added === '') return undefined;
  const styling = kinOf(added, ['style']);
  return styling
    ? `a call takes what it is drawn with between its parentheses: canvas.${styling}`
    : `what a sketch keeps from frame to frame is its state: start: () => ({ ${added}: 0 })`;
}

const withoutPage = 'a sketch can do without a page: it also runs in Node and in workers';
const fromMoment = 'pointer and keys are in the moment: paint(canvas, { pointer, keys })';
const ownSize = "the size is the canvas's own: canvas.width, canvas.height";
/** What there is in pages alone, and what sketches do instead. */
const ofPages: Readonly<Record<string, string>> = {
  document: withoutPage,
  window: withoutPage,
  localStorage: withoutPage,
  sessionStorage: withoutPage,
  location: withoutPage,
  alert: withoutPage,
  confirm: withoutPage,
  prompt: withoutPage,
  Audio: withoutPage,
  AudioContext: withoutPage,
  innerWidth: ownSize,
  innerHeight: ownSize,
  addEventListener: fromMoment,
  onmousemove: fromMoment,
  onkeydown: fromMoment,
  requestAnimationFrame: 'paint is called for every frame by itself',
  Image: assetHint('boat.png'),
};

/** The name that was used and never declared, as engines say it. */
function undefinedName({ message }: ReferenceError): string | undefined {
  const [, name, sought] = /^(\w+) is not defined|variable: (\w+)/.exec(message) ?? [];
  return name ?? sought;
}

/** What would be right where a name is declared nowhere. */
function hintForName(name: string): string {
  if (libraryNames.includes(name)) return importOf(name);
  const known = ownerOf(name);
  if (known !== undefined) return known;
  if (colorNames.has(name)) return `a color's name stands in quotes: '${name}'`;
  if (['require', 'module', 'exports'].includes(name))
    return 'a sketch file is a module: import … from, export default';
  if (Object.hasOwn(ofPages, name)) return ofPages[name]!;
  if (name === 'state') return 'it is handed over: step(state, moment), paint(canvas, moment, state)';
  // A sketch's own names are not known here, so that one of ours must be as near as a slip of the hand. What else a
  // frame's number is called, such as count, is a sketch's own more often than not; and so is a word for what the
  // library does by another.
  const kin = kinOf(name, momentNames.filter((own) => own !== 'frame')); // prettier-ignore
  const near = kin ?? kinOf(name, momentNames, exportKin) ?? (name.length < 4 ? undefined : nearest(name, allNames, 1));
  if (near !== undefined) return meant(near);
  const ours = kinOf(name, libraryNames, exportKin);
  return `declare ${name}, or import it${ours === undefined ? '' : `; ${meant(ours)}`}`;
}

/** What would be right where a name is imported that the library does not export. */
export function hintForImport(name: string): string {
  if (/^(?:point|vec|vector)[23]?$/i.test(name)) return 'a point is a list of two numbers: [120, 80]';
  const known = ownerOf(name);
  if (known !== undefined) return known;
  const near = kinOf(name, momentNames) ?? kinOf(name, momentNames, exportKin);
  if (near !== undefined) return meant(near);
  const ours = kinOf(name, libraryNames, exportKin);
  return ours === undefined ? suggest(name, libraryNames) : `did you mean ${JSON.stringify(ours)}?`;
}

const allNames = [...momentNames, ...canvasNames, ...libraryNames];

/** Where a name stands that is no import: in the moment, on the canvas, in JavaScript's own Math. */
function ownerOf(name: string): string | undefined {
  if (momentNames.includes(name)) return `take it from the moment: paint(canvas, { ${name} })`;
  if (canvasNames.includes(name)) return `did you mean canvas.${name}?`;
  return name in Math ? `did you mean Math.${name}?` : undefined;
}

/** What is said where one of our names, or a call of what it names, is most likely meant. */
function meant(near: string): string {
  const [name] = near.split('.');
  const hint = libraryNames.includes(name) ? importOf(name) : ownerOf(name);
  if (hint === undefined) return `did you mean ${near}?`;
  return hint.includes('?') ? hint : `did you mean ${near}? ${hint}`;
}

/** How a name of the library's comes into a sketch. */
export const importOf = (name: string): string => `import { ${name} } from 'frame-juggler'`;
