// On which page of the reference each thing stands, and what the page says of itself.

export const pages = [
  { name: 'sketch', title: 'A sketch', words: 'What `defineSketch` takes, what a sketch is given in each frame, and the helpers for dials, files and scenes.' }, // prettier-ignore
  { name: 'canvas', title: 'The canvas', words: 'Every call of `canvas`, in the order you are likely to need them: shapes, text and pictures, style, transforms, state. Where an example shows one option, the lines of its grid are 20 units apart.' }, // prettier-ignore
  { name: 'color', title: 'Colors and paints', words: 'Wherever a color is expected, you can give any CSS color as a string, a gradient or a pattern.' }, // prettier-ignore
  { name: 'motion', title: 'Motion and numbers', words: 'Motion is a function of seconds. Angles are in degrees. The curves that show one option run for four seconds; their dashed lines are 0 and 1.' },
  { name: 'chance', title: 'Chance', words: 'The same seed gives the same picture. In a sketch, the `random` and `noise` you are given are seeded already.' }, // prettier-ignore
  { name: 'text', title: 'Text and fonts', words: 'Measuring text, text as an outline, fonts.' },
  { name: 'input', title: 'Pointer, keys, and recordings of them', words: 'What a person does, live or recorded.' },
  { name: 'review', title: 'Explain, check, compare', words: 'What a frame drew, what is probably wrong with it, what differs between two.' },
  { name: 'frames', title: 'Runs, frames, surfaces', words: 'For those who build on the library: a run paints frames, a surface draws them.' },
  { name: 'page', title: 'In a page', words: "`import { mount } from 'frame-juggler/browser'`; the element is in `frame-juggler/element`, and what a worker calls in `frame-juggler/worker`." },
  { name: 'script', title: 'From a script', words: "`import { render } from 'frame-juggler/node'`: everything the command does, for programs." },
  { name: 'testing', title: 'In tests', words: "`import { lookMatchers } from 'frame-juggler/testing'`: comparing with kept pictures." },
]; // prettier-ignore

/** Where things of the main entry stand: by the beginning of the name of the file that declares them. */
const places = [
  ['sketch/input', 'input'],
  ['sketch/run', 'frames'],
  ['sketch/picture', 'color'],
  ['sketch/render-picture', 'color'],
  ['sketch/', 'sketch'],
  ['canvas/bounds', 'canvas'],
  ['canvas/', 'canvas'],
  ['shapes/', 'canvas'],
  ['schema/point', 'canvas'],
  ['geometry/angle', 'motion'],
  ['geometry/', 'canvas'],
  ['paint/fade', 'frames'],
  ['paint/', 'color'],
  ['chance/', 'chance'],
  ['motion/', 'motion'],
  ['maths/', 'motion'],
  ['text/', 'text'],
  ['review/', 'review'],
  ['checks/', 'review'],
  ['error', 'review'],
  ['source-line', 'review'],
  ['frame/', 'frames'],
  ['surfaces/', 'frames'],
];

const entries = {
  'browser/index.ts': 'page',
  'browser/element.ts': 'page',
  'browser/perform.ts': 'page',
  'node/index.ts': 'script',
  'testing/index.ts': 'testing',
};

/** @param entry the entry point that exports it @param file the file that declares it */
export function pageOf(entry, file) {
  const found = entries[entry] ?? places.find(([start]) => file.startsWith(start))?.[1];
  if (found === undefined) throw new Error(`scripts/reference/pages.mjs says of no page for ${file}`);
  return found;
}
