import type { Detail, Evidence, Sighting } from '../evidence.ts';
import type { Rule } from '../rule.ts';

/* Pictures that are not the same again. */

const unseeded: Rule = {
  name: 'unseeded',
  title: 'Random numbers without a seed',
  why: 'Math.random() is different each time, so a picture you like never comes back.',
  cure: 'Take random from the moment: paint(canvas, { random }) { random.between(0, 100) }.',
  find: (evidence) =>
    askedOf(evidence, (call) => call === 'Math.random()', 'is asked for chance that no seed brings back'),
};

const clock: Rule = {
  name: 'clock',
  title: 'The time of day',
  why: 'The time of day differs in every run, and frames rendered to files move at the speed of the machine.',
  cure: 'Take seconds from the moment; they are the same in every run.',
  find: (evidence) =>
    askedOf(evidence, (call) => call !== 'Math.random()' && !isTimer(call), 'is asked for the time of day'),
};

const isTimer = (call: string): boolean => /^(?:set|request)/.test(call);

const timer: Rule = {
  name: 'timer',
  title: 'A timer of the engine',
  why: 'Frames are counted, not timed: what a timer does comes in another frame on another machine, and in a film not at all.',
  cure: 'Paint is called for every frame by itself. Decide by the time what it draws, if (seconds > 2) { … }, or count in step.',
  find: (evidence) => askedOf(evidence, isTimer, 'goes by the clock of the machine, and not by frames'),
};

function askedOf({ noted }: Evidence, isOne: (call: string) => boolean, text: string): Sighting[] {
  return noted.engine
    .filter(({ call }) => isOne(call))
    .map(({ call, line }) => ({ line, frame: undefined, text: `${call} ${text}` }));
}

const paintChanges: Rule = {
  name: 'paint-changes',
  title: 'A paint that changes something',
  why: 'Painted twice, the frame comes out differently, so by itself it is not the frame of the run.',
  cure: 'Move what changes into step(state), and let paint only draw it.',
  find({ noted, details, differs }) {
    // Differences from `Math.random` or the clock have findings of their own.
    if (noted.engine.length > 0) return [];
    const sighting = ({ at, items }: Detail, text: string): Sighting[] => [{ line: items[0]?.description.source, frame: at, text }]; // prettier-ignore
    const another = details.find(({ repeats }) => !repeats);
    if (another !== undefined) return sighting(another, `frame ${another.at} is different when it is painted a second time`); // prettier-ignore
    if (noted.changed !== undefined) return sighting(details[0], `paint changes ${noted.changed}`);
    const alone = noted.written && details.find(({ at }) => at === differs);
    return alone ? sighting(alone, `paint writes to ${noted.written}, and frame ${alone.at} is different when it is painted without the ones before`) : []; // prettier-ignore
  },
};

const runsDiffer: Rule = {
  name: 'runs-differ',
  title: 'A variable of the file that lasts from run to run',
  why: 'A second run with the same seed draws different frames, because what the first run left behind is still there.',
  cure: 'Create it in start and return it: start: () => ({ x: 0 }).',
  find: ({ differs, noted, details }) =>
    differs === undefined ||
    noted.engine.length > 0 ||
    noted.written !== undefined ||
    details.some(({ repeats }) => !repeats)
      ? []
      : [
          {
            line: details[0].items[0]?.description.source,
            frame: differs,
            text: `frame ${differs} is different in a second run with the same seed`,
          },
        ],
};

const sameChance: Rule = {
  name: 'same-chance',
  title: 'The same random numbers twice',
  why: 'A stream starts over each time it is requested by name, so it gives the same numbers again.',
  cure: 'Ask for it once, before the loop, or give each thing its own: random.stream(`gull ${i}`).',
  find: ({ noted }) =>
    [...new Map(noted.streams.map((one) => [one.key, one])).values()].map(({ key, line }) => ({
      line,
      frame: undefined,
      text: `the stream “${key}” is started more than once, and gives the same numbers each time`,
    })),
};

export const chanceRules: readonly Rule[] = [unseeded, clock, timer, paintChanges, runsDiffer, sameChance];
