import type { Evidence, Sighting } from '../evidence.ts';
import type { Rule } from '../rule.ts';

/* Pictures that are not the same again. */

const unseeded: Rule = {
  name: 'unseeded',
  title: "The engine's own chance",
  why: 'Math.random() is different each time: a picture that one likes never comes back.',
  cure: 'Take random from the moment: paint(canvas, { random }) { random.between(0, 100) }.',
  find: (evidence) =>
    askedOf(evidence, (call) => call === 'Math.random()', 'is asked for chance that no seed brings back'),
};

const clock: Rule = {
  name: 'clock',
  title: 'The clock on the wall',
  why: 'The time of day is another in each run: frames rendered to files move at the speed of the machine.',
  cure: 'Take seconds from the moment: it is the same in every run.',
  find: (evidence) => askedOf(evidence, (call) => call !== 'Math.random()', 'is asked for the time of day'),
};

function askedOf({ noted }: Evidence, isOne: (call: string) => boolean, text: string): Sighting[] {
  return noted.engine
    .filter(({ call }) => isOne(call))
    .map(({ call, line }) => ({ line, frame: undefined, text: `${call} ${text}` }));
}

const paintChanges: Rule = {
  name: 'paint-changes',
  title: 'A paint that changes something',
  why: 'Painted twice, the frame comes out otherwise: alone it differs from the same frame in a run.',
  cure: 'Move what changes into step(state): paint only draws it.',
  find: (evidence) =>
    // What chance or a clock brings in is told as that.
    evidence.noted.engine.length > 0
      ? []
      : evidence.details
          .filter(({ repeats }) => !repeats)
          .slice(0, 1)
          .map(({ at, items }) => ({
            line: items[0]?.description.source,
            frame: at,
            text: `frame ${at} is another when it is painted a second time`,
          })),
};

const runsDiffer: Rule = {
  name: 'runs-differ',
  title: 'A variable of the file that goes on from run to run',
  why: 'A second run of the same seed draws other frames: what the first one left behind is still there.',
  cure: 'Make it in start, and return it: start: () => ({ x: 0 }).',
  find: ({ differs, noted, details }) =>
    differs === undefined || noted.engine.length > 0 || details.some(({ repeats }) => !repeats)
      ? []
      : [
          {
            line: details[0].items[0]?.description.source,
            frame: differs,
            text: `frame ${differs} is another in a second run of the same seed`,
          },
        ],
};

const sameChance: Rule = {
  name: 'same-chance',
  title: 'The same chance twice',
  why: 'A stream of one name begins anew each time it is asked for: what is drawn from it is the same again.',
  cure: 'Ask for it once, before the loop; or give each its own: random.stream(`gull ${i}`).',
  find: ({ noted }) =>
    [...new Map(noted.streams.map((one) => [one.key, one])).values()].map(({ key, line }) => ({
      line,
      frame: undefined,
      text: `the stream “${key}” is begun more than once: it gives the same numbers each time`,
    })),
};

export const chanceRules: readonly Rule[] = [unseeded, clock, paintChanges, runsDiffer, sameChance];
