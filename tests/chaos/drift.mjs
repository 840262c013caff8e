/*
 * A sketch at random that moves by all that moves and all that chance gives; for Node and, packed with the library, for a
 * page as well.
 */
import {
  defineSketch,
  easing,
  linearGradient,
  maths,
  rasterize,
  Run,
  seededRandom,
  spring,
  swing,
  wrap,
} from 'frame-juggler';

/** The text of a sketch file for the same sketch. */
export const driftFile = (seed, place) => `import { driftSketch } from ${JSON.stringify(place)};
export default driftSketch(${seed});
`;

export function driftSketch(seed) {
  const random = seededRandom(seed);
  const carry = random.pick([0, 0, 0.8]);
  const frameRate = random.pick([12, 30, 60]);
  const curve = easing(
    random.pick(['ease-in-out', 'back-out', 'elastic-in', 'expo-in-out', 'cubic-bezier(0.1, 1.4, 0.7, -0.3)']),
  );
  const settle = spring({ to: 20, damping: random.between(1, 40), velocity: random.between(-50, 50) });
  const count = random.int(1, 9);
  const space = random.pick(['box', 'user']);
  return defineSketch({
    canvas: { width: 80, height: 60, background: random.color() },
    frameRate,
    duration: 300,
    carry,
    seed,
    start: ({ random }) => ({
      boats: random.times(count, () => ({
        ...random.point([80, 60]),
        heading: random.normal(0, 90),
        color: random.color(),
      })),
    }),
    step({ boats }, { seconds, delta, noise, random }) {
      for (const boat of boats) {
        boat.heading += 60 * noise(boat.x / 20, boat.y / 20, seconds) + random.normal(0, 4);
        boat.x = wrap(boat.x + maths.cos(boat.heading / 57) * 40 * delta, 0, 80);
        boat.y = wrap(boat.y + maths.sin(boat.heading / 57) * 40 * delta, 0, 60);
      }
    },
    paint(canvas, { seconds, frame, random, noise }, { boats }) {
      const stripes = linearGradient({
        from: [0.1, 0.2],
        to: [0.3, 0.7],
        stops: ['crimson', 'gold', 'navy'],
        units: space,
        spread: 'repeat',
      });
      canvas.arc({
        at: [40, 30],
        radius: 5 + settle(seconds % 3),
        start: frame * 7.3,
        end: seed % 360,
        stroke: { color: stripes, width: 5, cap: 'round' },
      });
      canvas.group(
        {
          rotate: 90 * curve((seconds / 4) % 1),
          about: [40, 30],
          opacity: 0.7,
          blend: random.pick(['normal', 'screen', 'hue']),
        },
        () => {
          for (const { x, y, heading, color } of boats)
            canvas.ellipse({ at: [x, y], size: [9, 4], rotate: heading, fill: color, layer: random.int(0, 2) });
          canvas.text('Pier', {
            at: [swing(seconds, 3, 10, 70), 30 + 20 * noise.loop(seconds / 4)],
            size: 9,
            rotate: frame * 3.7,
          });
        },
      );
    },
  });
}

/** A digest of the pixels of some frames, reached in the order in which they are asked for. */
export async function driftDigests(seed, frames) {
  const run = new Run(driftSketch(seed));
  const digests = {};
  for (const frame of frames) {
    let digest = 0x811c9dc5;
    const pixels = await picture(run, frame);
    for (let i = 0; i < pixels.length; i++) digest = Math.imul(digest ^ pixels[i], 0x01000193);
    digests[frame] = digest >>> 0;
  }
  return digests;
}

/** The pixels of a frame by itself, without what a carry leaves of those before. */
async function picture(run, number) {
  await run.goTo(number);
  return rasterize(await run.paint()).data;
}
