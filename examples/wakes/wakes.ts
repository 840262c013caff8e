/*
 * Boats that cross the harbor at dusk and leave their wakes behind: what was painted stays under the next frame and
 * fades, until the water is as it was.
 */
import {
  colorMix,
  defineSketch,
  dial,
  heading,
  maths,
  mix,
  polar,
  type Canvas,
  type Moment,
  type Random,
} from 'frame-juggler';
import { palette } from '../palette.ts';

const water = '#12303f';
const churned = colorMix(water, palette.shoal, 0.35);

interface Boat {
  x: number;
  y: number;
  heading: number;
  readonly speed: number;
  readonly length: number;
  readonly hull: string;
  /** How it turns: two slow waves of its own. */
  readonly whim: number;
}

export default defineSketch({
  title: 'Wakes in the harbor',
  canvas: { width: 960, height: 540, background: water },
  frameRate: 30,
  duration: 20,
  carry: 0.975,
  seed: 11,
  dials: { turning: dial.number(26, { min: 0, max: 80, label: 'How much they turn, in degrees a second' }) },
  start: ({ random }) => ({ boats: random.times(11, () => makeBoat(random)) }),
  step({ boats }, { delta, seconds, noise, dials, width, height }) {
    for (const boat of boats) {
      boat.heading += dials.turning * noise(seconds / 3, boat.whim) * 2 * delta;
      // Near the edge they turn back to the middle.
      const home = heading(boat, [width / 2, height / 2]);
      const away = maths.hypot((boat.x - width / 2) / (width / 2), (boat.y - height / 2) / (height / 2));
      if (away > 0.75) boat.heading += shortWay(home - boat.heading) * 1.2 * delta;
      Object.assign(boat, polar({ angle: boat.heading, distance: boat.speed * delta, from: boat }));
    }
  },
  paint(canvas, { random, frame }, { boats }) {
    const foam = random.stream(frame);
    for (const boat of boats) wake(canvas, boat, foam);
    for (const boat of boats) hull(canvas, boat);
  },
});

function makeBoat(random: Random): Boat {
  return {
    ...random.point({ from: [180, 120], to: [780, 420] }),
    heading: random.between(0, 360),
    speed: random.between(46, 120),
    length: random.between(20, 44),
    hull: random.pick([palette.sail, palette.buoy, palette.sand, palette.shoal, palette.lamp]),
    whim: random.between(0, 100),
  };
}

/**
 * Two waves that run off the bow, and foam astern. A broad stroke of churned water comes first: it covers where the hull
 * was a frame ago, of which a streak in its color would stay otherwise.
 */
function wake(canvas: Canvas, { x, y, heading, length, speed }: Boat, random: Moment['random']): void {
  const strength = mix(0.25, 0.8, speed / 120);
  canvas.group({ translate: [x, y], rotate: heading, scale: length / 30 }, () => {
    canvas.line({ from: [-17, -4.5], to: [-17, 4.5], stroke: { color: churned, width: 9, cap: 'round' } });
    for (const side of [-1, 1])
      canvas.line({
        from: [9, side * 6],
        to: [-24, side * 17],
        stroke: { color: palette.shoal, width: 1.4, cap: 'round' },
        opacity: strength * 0.7,
      });
    for (let i = 0; i < 6; i++)
      canvas.circle({
        at: [-random.between(15, 24), random.normal(0, 3)],
        radius: random.between(0.7, 2),
        fill: palette.foam,
        opacity: strength,
      });
  });
}

function hull(canvas: Canvas, { x, y, heading, length, hull: color }: Boat): void {
  canvas.group({ translate: [x, y], rotate: heading, scale: length / 30, label: 'boat' }, () => {
    canvas.path({ data: 'M16 0 Q8 7 -13 6 L-13 -6 Q8 -7 16 0Z', fill: color });
    canvas.rect({ at: [-3, 0], size: [11, 7], corners: 2, fill: palette.deep });
    canvas.circle({ at: [11, 0], radius: 1.4, fill: palette.lamp });
  });
}

/** An angle brought between -180 and 180. */
function shortWay(degrees: number): number {
  return ((((degrees + 180) % 360) + 360) % 360) - 180;
}
