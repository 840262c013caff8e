import { fail } from '../error.ts';
import type { SourceLine } from '../source-line.ts';
import { suggest } from '../suggest.ts';
import { clip, wrapLines } from '../review/table.ts';
import { count, fileName } from '../review/explain.ts';
import type { Sketch } from '../sketch/sketch.ts';
import type { Sighting } from './evidence.ts';
import { gather, type GatherSetting } from './gather.ts';
import type { Rule } from './rule.ts';
import { chanceRules } from './rules/chance.ts';
import { angleRules } from './rules/angles.ts';
import { codeRules } from './rules/code.ts';
import { colorRules } from './rules/colors.ts';
import { hiddenRules } from './rules/hidden.ts';
import { itemRules } from './rules/items.ts';
import { motionRules } from './rules/motion.ts';
import { placeRules } from './rules/places.ts';
import { stateRules } from './rules/state.ts';
import { textRules } from './rules/text.ts';
import { timeRules } from './rules/time.ts';
import { unusedRules } from './rules/unused.ts';
import { givenBy } from '../schema/given.ts';

/** All that is looked for. */
export const rules: readonly Rule[] = [
  ...hiddenRules,
  ...placeRules,
  ...itemRules,
  ...angleRules,
  ...colorRules,
  ...stateRules,
  ...motionRules,
  ...timeRules,
  ...codeRules,
  ...chanceRules,
  ...textRules,
  ...unusedRules,
];

/** Something that can be meant, and rarely is. */
export interface Finding {
  /** Its name; `accept` in a sketch goes by it. */
  readonly name: string;
  /** What was seen. */
  readonly seen: string;
  /** What comes of it. */
  readonly why: string;
  /** What to do about it. */
  readonly cure: string;
  /** The line of the sketch. */
  readonly line?: SourceLine;
  /** The frame in which it was seen. */
  readonly frame?: number;
  /** The numbers of the items there. */
  readonly items?: readonly number[];
  /** At how many more places the same was seen. */
  readonly more: number;
  /** The sketch's own reason, where it says that this is meant. */
  readonly accepted?: string;
}

/** What the checks have found, as plain data; its form is documented in docs/review.md. */
export interface Checkup {
  /** What kind of data it is. */
  readonly format: 'frame-juggler/checkup';
  /** Increases where older readers could not read it. */
  readonly version: 1;
  /** The sketch's title. */
  readonly title: string;
  /** The seed under which it was looked at. */
  readonly seed: number;
  /** The first and the last frame that was looked at. */
  readonly frames: readonly [number, number];
  /** What was found, in the order of the rules. */
  readonly findings: readonly Finding[];
}

/** So many places of one finding are listed by themselves. */
const maxPlaces = 5;

/** Looks a stretch of a sketch's frames over for likely mistakes. @throws SketchError where the sketch is wrong */
export async function checkSketch(sketch: Sketch, setting: GatherSetting): Promise<Checkup> {
  const names = rules.map(({ name }) => name);
  for (const name of Object.keys(sketch.accept))
    if (!names.includes(name))
      fail({
        call: 'defineSketch',
        option: `accept ${name}`,
        problem: 'is the name of no finding',
        expected: suggest(name, names),
      });
  const evidence = await gather(sketch, setting);
  const findings = rules.flatMap((rule) => {
    const sightings = rule.find(evidence).map((one) => (one.written === undefined ? one : { ...one, line: evidence.lineOf(one.written) })); // prettier-ignore
    return found(rule, sightings, sketch.accept);
  });
  return {
    format: 'frame-juggler/checkup',
    version: 1,
    title: sketch.title,
    seed: setting.open(sketch).seed,
    frames: [evidence.first, evidence.first + evidence.course.length - 1],
    findings,
  };
}

/** The sightings of a rule as findings: one for each line, the first places by themselves and the others counted. */
function found({ name, why, cure }: Rule, sightings: readonly Sighting[], accept: Sketch['accept']): Finding[] {
  const places = new Map<string, Sighting>();
  for (const sighting of sightings) {
    const { line } = sighting;
    const key = line === undefined ? '' : `${line.file}:${line.line}`;
    if (!places.has(key)) places.set(key, sighting);
  }
  const listed = [...places.values()].slice(0, maxPlaces);
  const more = places.size - listed.length;
  return listed.map(({ line, frame, items, text }, i) => ({
    name,
    seen: text,
    why,
    cure,
    ...(line !== undefined && { line }),
    ...(frame !== undefined && { frame }),
    ...(items !== undefined && { items }),
    more: i === listed.length - 1 ? more : 0,
    ...(accept[name] !== undefined && { accepted: accept[name] }),
  }));
}

const given = /* @__PURE__ */ givenBy<Checkup>('a checkup', 'await checkSketch(sketch)', 'findings', 'frames');

/** A checkup as lines of text. @param width of the terminal, in letters */
export function checkupLines(checkup: Checkup, width = 100): string[] {
  const { title, frames, findings } = given.read('checkupLines', 'checkup', checkup);
  const [first, last] = frames;
  const open = findings.filter(({ accepted }) => accepted === undefined);
  const meant = findings.filter(({ accepted }) => accepted !== undefined);
  const looked = first === last ? `frame ${first}` : `frames ${first} to ${last}`;
  const result = open.length === 0 ? 'nothing found' : count(open.length, 'finding');
  const lines = [`${title}, ${looked}: ${result}${meant.length > 0 ? `, ${meant.length} accepted` : ''}`];
  for (const { name, seen, why, cure, line, frame, more } of open) {
    const place = line === undefined ? '' : `${fileName(line.file)}:${line.line}  `;
    const when = frame === undefined || first === last ? '' : ` (frame ${frame})`;
    lines.push('', `${place}${name}`, ...wrapLines(`${seen}${when}.`, width, '  '));
    lines.push(...wrapLines(why, width, '  '), ...wrapLines(`Fix: ${cure}`, width, '  '));
    if (more > 0) lines.push(`  The same at ${more} more ${more === 1 ? 'line' : 'lines'}.`);
  }
  for (const { name, line, accepted = '' } of meant)
    lines.push(
      '',
      clip(`accepted: ${name}${line === undefined ? '' : `, ${fileName(line.file)}:${line.line}`}: ${accepted}`, width),
    );
  return lines;
}
