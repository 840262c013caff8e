import { nearest } from '../../suggest.ts';
import type { Rule } from '../rule.ts';

/* What a sketch declares and never takes, or asks for and never declares. */

const unused: Rule = {
  name: 'unused',
  title: 'A dial or a file that nothing uses',
  why: 'Turning such a dial changes nothing; such a file is loaded for nothing.',
  cure: 'Take it from the moment: paint(canvas, { dials }) { canvas.circle({ at: [100, 90], radius: dials.size }) }. Or leave it out.',
  find({ sketch, noted }) {
    const idle = sketch.declared
      .filter(({ part, name }) => !noted.taken.has(name) && !mayTake(sketch.code, part, name))
      .map(({ part, name }) => `the ${part === 'dials' ? 'dial' : 'file'} “${name}”`);
    if (idle.length === 0) return [];
    const text = `${idle.join(', ')} ${idle.length === 1 ? 'is' : 'are'} never asked for`;
    return [{ line: undefined, frame: undefined, text }];
  },
};

/** Whether the code names one that it has not taken so far: it may wait for a press, or for a later scene. */
const mayTake = (code: string, part: string, name: string): boolean => code.includes(part) && code.includes(name);

const unknownLabel: Rule = {
  name: 'unknown-label',
  title: 'A label that nothing has',
  why: 'What pointer.over is asked for is never under the pointer.',
  cure: "Give the label to what is meant, canvas.circle({ at: [160, 90], radius: 40, label: 'bell' }), and ask for it as it is written there.",
  find({ noted, course, details, sketch }) {
    const hasLabels = details.some(({ items }) => items.some(({ item }) => item.label !== undefined || item.group?.label !== undefined)); // prettier-ignore
    const there = new Set(course.flatMap(({ names }) => names));
    // One that the code has twice may be given to something that is drawn later.
    const isElsewhere = (label: string): boolean => sketch.code.split(label).length > 2;
    return [...noted.labels].flatMap(([label, line]) => {
      if (there.has(label) || isElsewhere(label)) return [];
      const near = nearest(label, there);
      // A label like no other is more likely one of something that comes later, where there are labels at all.
      if (near === undefined && (hasLabels || sketch.code.includes('label'))) return [];
      const text = `pointer.over asks for “${label}”, and nothing has ${near === undefined ? 'a label' : `that label; there is “${near}”`}`;
      return [{ line, frame: undefined, text }];
    });
  },
};

export const unusedRules: readonly Rule[] = [unused, unknownLabel];
