var e=`/*
 * A day at Pellan Quay: a second is an hour. The water stands as high as the harbor's tide gauge read it, the crane
 * works through three joints, and after dusk the lighthouse turns.
 */
import {
  asset,
  colorMix,
  defineSketch,
  maths,
  mix,
  ramp,
  smoothstep,
  swing,
  wrap,
  type Canvas,
  type Random,
} from 'frame-juggler';
import { palette } from '../palette.ts';

const horizon = 322;
const pixelsPerMeter = 17;

/** The sky at its top and at the horizon, over the hours of the day. */
const zenith = ramp([
  [0, '#0b1330'],
  [0.2, '#141d42'],
  [0.27, '#4a5f96'],
  [0.36, '#4d92c4'],
  [0.7, '#5596c2'],
  [0.81, '#5a4f86'],
  [0.88, '#1b2048'],
  [1, '#0b1330'],
]);
const dusk = ramp([
  [0, '#1d2a52'],
  [0.2, '#41406f'],
  [0.27, '#f0a57a'],
  [0.36, '#cfe6ec'],
  [0.7, '#d9e6dd'],
  [0.81, '#f58f5c'],
  [0.88, '#5c3f6e'],
  [1, '#1d2a52'],
]);

interface Scene {
  readonly hour: number;
  readonly seconds: number;
  /** 0 by day, 1 at night. */
  readonly night: number;
  /** The height of the water over the bottom of the picture, as a y. */
  readonly water: number;
}

export default defineSketch({
  title: 'A day at Pellan Quay',
  canvas: { width: 960, height: 540 },
  frameRate: 30,
  duration: 24,
  seed: 7,
  assets: { gauge: asset.table(new URL('./data/tide-gauge.csv', import.meta.url)) },
  paint(canvas, { seconds, random, assets }) {
    const hour = (seconds + 14) % 24;
    const levels = assets.gauge.map((row) => Number(row.level_m));
    const level = reading(levels, hour);
    const night = 1 - smoothstep(5.6, 7.4, hour) + smoothstep(18.6, 20.6, hour);
    const scene = { hour, seconds, night, water: 430 - (level - 2.6) * pixelsPerMeter };
    sky(canvas, scene, random.stream('stars'));
    headland(canvas, scene, random.stream('town'));
    sea(canvas, scene);
    lighthouse(canvas, scene);
    ferry(canvas, scene);
    for (const x of [392, 706]) buoy(canvas, scene, x);
    quay(canvas, scene);
    crane(canvas, scene);
    gulls(canvas, scene, random.stream('gulls'));
    gaugeBoard(canvas, scene, levels);
  },
});

/** The level between the two readings nearest to an hour; they stand six to the hour. */
function reading(levels: readonly number[], hour: number): number {
  const before = Math.floor(hour * 6);
  return mix(levels[before], levels[before + 1], hour * 6 - before);
}

function sky(canvas: Canvas, { hour, night }: Scene, random: Random): void {
  const day = hour / 24;
  const bands = 40;
  for (let i = 0; i < bands; i++) {
    const t = (i / (bands - 1)) ** 1.35;
    // Each band reaches a little under the next: bands that only touch would let the ground shine through.
    canvas.rect({
      from: [0, (horizon * i) / bands],
      to: [canvas.width, Math.min(horizon, (horizon * (i + 1)) / bands + 2)],
      fill: colorMix(zenith(day), dusk(day), t),
    });
  }
  for (const star of random.times(90, () => random.point([960, 270]))) {
    const size = random.between(0.8, 2.4);
    canvas.circle({ at: star, diameter: size, fill: 'white', opacity: night * random.between(0.3, 0.9) });
  }
  // The sun by day and the moon by night hang on one long arm, which turns once a day.
  canvas.group({ translate: [500, 360], rotate: (day - 0.5) * 360 }, () => {
    for (let ring = 5; ring > 0; ring--)
      canvas.circle({ at: [0, -285], radius: 24 + ring * 13, fill: '#fff3c4', opacity: 0.07 });
    canvas.circle({ at: [0, -285], radius: 26, fill: '#fff6d8', label: 'sun' });
    canvas.circle({ at: [0, 285], radius: 19, fill: '#f3efe2', label: 'moon' });
    for (const [x, y, r] of [
      [-6, -5, 4],
      [5, 3, 5],
      [-2, 9, 2.5],
    ])
      // prettier-ignore
      canvas.circle({ at: [x, 285 + y], radius: r, fill: '#d9d4c6' });
  });
}

function headland(canvas: Canvas, { night }: Scene, random: Random): void {
  const far = colorMix('#7f9aa8', '#252d52', night);
  const near = colorMix('#54767a', '#1b2344', night);
  const ridge = (lift: number, phase: number): [number, number][] =>
    Array.from({ length: 49 }, (_, i) => {
      const x = i * 20;
      return [x, horizon - lift - 16 * maths.sin(x / 170 + phase) - 7 * maths.sin(x / 61 + phase * 2)];
    });
  canvas.polygon({ points: [...ridge(34, 0.4), [960, horizon], [0, horizon]], fill: far });
  canvas.polygon({ points: [...ridge(12, 2.6), [960, horizon], [0, horizon]], fill: near });
  // The town, house by house.
  for (let x = 96; x < 610; x += random.int(15, 30)) {
    const [width, height] = [random.int(12, 22), random.int(10, 24)];
    const wall = colorMix(random.pick(['#e8d8bd', '#cfa18a', '#b9c4bd', '#d8b79a']), '#20284c', night * 0.86);
    const roof = colorMix('#8a4a3c', '#161d3d', night * 0.86);
    canvas.group({ translate: [x, horizon] }, () => {
      canvas.rect({ at: [0, 0], anchor: 'bottom', size: [width, height], fill: wall });
      canvas.polygon({ points: [[-width / 2 - 2, -height], [width / 2 + 2, -height], [0, -height - 9]], fill: roof }); // prettier-ignore
      for (let y = -height + 5; y < -3; y += 7)
        for (const side of [-0.22, 0.22])
          if (random.likely(0.75))
            canvas.rect({ at: [side * width, y], size: [3, 4], fill: colorMix('#5b6470', '#ffd98a', night) });
    });
  }
}

function sea(canvas: Canvas, { hour, seconds, night }: Scene): void {
  const shallow = colorMix('#7fb7bd', '#1c2b52', night);
  const deep = colorMix('#1f5f78', '#0a1533', night);
  const rows = 26;
  for (let i = 0; i < rows; i++) {
    const y = horizon + ((canvas.height - horizon) * i) / rows;
    canvas.rect({ from: [0, y], to: [960, canvas.height], fill: colorMix(shallow, deep, (i / rows) ** 0.6) });
  }
  // The glitter of dusk and dawn lies on the water below the low sun.
  const glow = 1 - Math.min(Math.abs(hour - 19), Math.abs(hour - 6.4)) / 2.2;
  canvas.style({ stroke: { cap: 'round' } });
  for (let i = 0; i < 46; i++) {
    const depth = i / 46;
    const y = horizon + 4 + depth ** 1.5 * 210;
    const x = 480 + 300 * maths.sin(i * 2.4) * (0.5 + depth) + swing(seconds, 3 + (i % 5), -12, 12);
    const length = 10 + depth * 46;
    canvas.line({
      from: [x - length, y],
      to: [x + length, y],
      stroke: { color: glow > 0 && i % 2 === 0 ? '#ffd9a0' : '#d8eef0', width: 1 + depth * 1.6 },
      opacity: 0.1 + 0.16 * (1 - night) + Math.max(0, glow) * 0.25,
    });
  }
}

function lighthouse(canvas: Canvas, { seconds, night }: Scene): void {
  const shade = (color: string): ReturnType<typeof colorMix> => colorMix(color, '#1a2148', night * 0.72);
  canvas.group({ translate: [812, 372], label: 'lighthouse' }, () => {
    canvas.polygon({
      points: [[-128, 24], [-92, -8], [-58, -14], [-30, -34], [34, -36], [62, -16], [96, -10], [140, 24]],
      fill: shade('#5d5a58'),
    }); // prettier-ignore
    canvas.polygon({ points: [[-58, -14], [-30, -34], [6, -35], [-16, 4], [-70, 24]], fill: shade('#77726d') }); // prettier-ignore
    for (let x = -118; x < 130; x += 25)
      canvas.line({
        from: [x, 24.5],
        to: [x + 15, 24],
        stroke: { color: 'white', width: 2 },
        opacity: 0.45 - night * 0.2,
      });
    // Six storeys, each a little narrower than the one below.
    const storeys = 6;
    const half = (storey: number): number => 25 - storey * 1.9;
    for (let storey = 0; storey < storeys; storey++) {
      const y = -34 - storey * 27;
      canvas.polygon({
        points: [[-half(storey), y], [half(storey), y], [half(storey + 1), y - 27], [-half(storey + 1), y - 27]],
        fill: shade(storey % 2 === 0 ? '#f4efe4' : '#c8402f'),
      }); // prettier-ignore
      canvas.rect({
        at: [0, y - 13],
        size: [5, 9],
        corners: [2.5, 2.5, 0, 0],
        fill: colorMix('#4a4a55', '#ffd98a', night),
      });
    }
    canvas.group({ translate: [0, -214] }, () => {
      canvas.rect({ from: [-21, 14], to: [21, 19], fill: shade('#2e3440') });
      canvas.rect({ at: [0, 14], anchor: 'bottom', size: [22, 24], fill: colorMix('#b8d4d8', '#ffe9a8', night) });
      for (const x of [-11, -4, 4, 11])
        canvas.line({ from: [x, -10], to: [x, 14], stroke: { color: shade('#2e3440'), width: 2 } });
      canvas.polygon({
        points: [
          [-16, -10],
          [16, -10],
          [0, -27],
        ],
        fill: shade('#c8402f'),
      });
      // The beam sweeps round: seen from the side it grows, thins and turns over.
      const reach = maths.cos((seconds / 4) * 2 * Math.PI);
      canvas.group({ rotate: 4, scale: [reach, 1] }, () => {
        for (let layer = 1; layer <= 6; layer++)
          canvas.polygon({ points: [[0, -2], [-820, -9 * layer - 20], [-820, 9 * layer + 8], [0, 4]], fill: '#ffedb0', opacity: 0.07 * night }); // prettier-ignore
      });
      for (let ring = 1; ring <= 4; ring++)
        canvas.circle({ at: [0, 2], radius: ring * 9, fill: '#fff1b8', opacity: 0.14 * night });
    });
  });
}

function ferry(canvas: Canvas, { hour, seconds, night }: Scene): void {
  const x = mix(1080, -160, ((hour + 3) % 12) / 12);
  const shade = (color: string): ReturnType<typeof colorMix> => colorMix(color, '#1a2148', night * 0.7);
  canvas.group(
    { translate: [x, 388 + swing(seconds, 4, -2, 2)], rotate: swing(seconds, 5, -1.2, 1.2), label: 'ferry' },
    () => {
      canvas.polygon({ points: [[-96, -22], [92, -22], [70, 8], [-80, 8]], fill: shade('#1f3f5b') }); // prettier-ignore
      canvas.polygon({ points: [[-91, -9], [82, -9], [80, -4], [-88, -4]], fill: shade('#f4efe4') }); // prettier-ignore
      canvas.rect({ from: [-66, -44], to: [64, -22], corners: [7, 3, 0, 0], fill: shade('#f4efe4') });
      canvas.rect({ from: [-56, -60], to: [-6, -44], corners: [6, 3, 0, 0], fill: shade('#ece4d2') });
      for (let i = 0; i < 9; i++)
        canvas.rect({ at: [-54 + i * 13, -34], size: [8, 7], corners: 2, fill: colorMix('#4f7080', '#ffe09a', night) });
      for (let i = 0; i < 3; i++)
        canvas.rect({
          at: [-47 + i * 15, -52],
          size: [10, 7],
          corners: 2,
          fill: colorMix('#4f7080', '#ffe09a', night),
        });
      canvas.polygon({ points: [[18, -44], [38, -44], [35, -72], [21, -72]], fill: shade('#c8402f') }); // prettier-ignore
      canvas.rect({ from: [20, -66], to: [36.5, -60], fill: shade('#f4efe4') });
      for (let puff = 0; puff < 7; puff++) {
        const age = ((seconds * 0.8 + puff) % 7) / 7;
        canvas.circle({
          at: [28 + age * 70, -76 - age * 46],
          radius: 4 + age * 15,
          fill: 'white',
          opacity: 0.32 * (1 - age) * (1 - night * 0.6),
        });
      }
    },
  );
}

function buoy(canvas: Canvas, { seconds, water, night }: Scene, x: number): void {
  const lean = swing(seconds + x, 3.4, -9, 9);
  canvas.group({ translate: [x, water + 22 + swing(seconds + x, 2.6, -4, 4)], rotate: lean, label: 'buoy' }, () => {
    canvas.ellipse({ at: [0, 2], size: [46, 10], fill: '#06122b', opacity: 0.3 });
    canvas.polygon({ points: [[-17, 0], [17, 0], [9, -16], [-9, -16]], fill: colorMix('#d8522f', '#5c2438', night) }); // prettier-ignore
    for (const side of [-7, 7])
      canvas.line({
        from: [side, -16],
        to: [side / 4, -44],
        stroke: { color: colorMix('#3a3f4a', '#161b38', night), width: 2.4 },
      });
    canvas.line({ from: [-5, -28], to: [5, -28], stroke: { color: colorMix('#3a3f4a', '#161b38', night), width: 2 } });
    const lit = night * (Math.floor(seconds * 2 + x) % 3 === 0 ? 1 : 0.15);
    canvas.circle({ at: [0, -47], radius: 4.5, fill: colorMix('#7c2a20', '#ff5a3c', lit) });
    canvas.circle({ at: [0, -47], radius: 13, fill: '#ff6a45', opacity: 0.3 * lit });
  });
}

/** Stone courses down into the water, and the staff that the tide is read from. */
function quay(canvas: Canvas, { water, night }: Scene): void {
  const top = 366;
  const stone = colorMix('#8d8478', '#232a4c', night * 0.85);
  canvas.rect({ from: [0, top], to: [318, 540], fill: stone });
  for (let course = 0; course < 9; course++)
    for (let block = -1; block < 7; block++) {
      const x = block * 52 + (course % 2) * 26;
      if (x > 310) continue;
      const tone = wrap(block * 7 + course * 5, 0, 4) / 4;
      canvas.rect({
        from: [Math.max(0, x + 1.2), top + 13 + course * 20 + 1.2],
        to: [Math.min(318, x + 50.8), top + 13 + course * 20 + 18.8],
        corners: 2,
        fill: colorMix(colorMix('#9c9284', '#756d64', tone), '#1d2445', night * 0.85),
      });
    }
  canvas.rect({
    from: [-4, top - 7],
    to: [326, top + 12],
    corners: 3,
    fill: colorMix('#b3a998', '#2d3459', night * 0.85),
  });
  canvas.group({ translate: [291, 430], label: 'tide staff' }, () => {
    canvas.rect({ from: [-8, -62], to: [8, 110], fill: colorMix('#f4efe4', '#6b7194', night * 0.8) });
    for (let mark = -7; mark <= 12; mark++)
      canvas.rect({
        from: [-8, mark * (pixelsPerMeter / 2)],
        to: [mark % 2 === 0 ? 6 : 0, mark * (pixelsPerMeter / 2) + 2],
        fill: colorMix('#20242e', '#0b1026', night),
      });
  });
  // Below its surface the water takes on stone and staff alike; where it meets them it foams.
  canvas.rect({ from: [0, water], to: [318, 540], fill: colorMix('#1f5f78', '#0a1533', night), opacity: 0.78 });
  for (let x = 6; x < 310; x += 22)
    canvas.line({
      from: [x, water + 1.5 * maths.sin(x)],
      to: [x + 12, water + 1.5 * maths.sin(x + 2)],
      stroke: { color: 'white', width: 2.2 },
      opacity: 0.5 - night * 0.25,
    });
}

/** Three joints: each arm turns about the end of the one before, because it is drawn inside its group. */
function crane(canvas: Canvas, { seconds, night }: Scene): void {
  const steel = colorMix('#e0a02c', '#4a3a44', night * 0.8);
  const dark = colorMix('#4a3b22', '#14182f', night * 0.8);
  const arm = (length: number, width: number): void => {
    canvas.rect({ from: [0, -width / 2], to: [length, width / 2], corners: 3, fill: steel });
    for (let x = width; x < length - width / 2; x += width * 1.3)
      canvas.line({
        from: [x - width * 0.5, width * 0.32],
        to: [x + width * 0.5, -width * 0.32],
        stroke: { color: dark, width: 1.8 },
      });
  };
  const joint = (radius: number): void => {
    canvas.circle({ at: [0, 0], radius, fill: dark });
    canvas.circle({ at: [0, 0], radius: radius * 0.42, fill: steel });
  };
  const hoist = swing(seconds, 8, 0, 1);
  const [shoulder, elbow, wrist] = [-72 + hoist * 14, 38 - hoist * 18, 30 + hoist * 20];

  canvas.group({ translate: [104, 359], label: 'crane' }, () => {
    canvas.polygon({
      points: [
        [-34, 0],
        [34, 0],
        [22, -34],
        [-22, -34],
      ],
      fill: dark,
    });
    for (const x of [-24, 0, 24]) canvas.circle({ at: [x, 0], radius: 7, fill: colorMix('#2b2a2e', '#0c1024', night) });
    canvas.rect({ from: [-24, -66], to: [20, -32], corners: [9, 4, 2, 2], fill: steel });
    canvas.rect({ from: [-2, -60], to: [15, -44], corners: 3, fill: colorMix('#cfe6ec', '#ffdf95', night) });
    canvas.group({ translate: [0, -66], rotate: shoulder }, () => {
      arm(118, 17);
      canvas.group({ translate: [118, 0], rotate: elbow }, () => {
        arm(96, 13);
        canvas.group({ translate: [96, 0], rotate: wrist }, () => {
          arm(62, 9);
          joint(7);
          canvas.group({ translate: [62, 0], rotate: -shoulder - elbow - wrist + swing(seconds, 2.5, -3, 3) }, () => {
            const rope = mix(96, 34, hoist);
            canvas.line({ from: [0, 0], to: [0, rope], stroke: { color: dark, width: 2 } });
            canvas.polyline({ points: [[-17, rope + 14], [0, rope], [17, rope + 14]], stroke: { color: dark, width: 2 } }); // prettier-ignore
            canvas.rect({
              at: [0, rope + 14],
              anchor: 'top',
              size: [40, 28],
              fill: colorMix('#a9713c', '#2c2340', night * 0.8),
              label: 'crate',
            });
            for (const y of [rope + 22, rope + 33])
              canvas.line({
                from: [-20, y],
                to: [20, y],
                stroke: { color: colorMix('#7c4f27', '#1c1830', night * 0.8), width: 2 },
              });
          });
        });
        joint(9);
      });
      joint(12);
    });
  });
}

function gulls(canvas: Canvas, { seconds, night }: Scene, random: Random): void {
  const flock = random.times(9, () => ({
    ...random.point([1100, 150]),
    speed: random.between(16, 40),
    size: random.between(6, 12),
  }));
  for (const [index, { x, y, speed, size }] of flock.entries()) {
    const wing = swing(seconds + index, 0.9 + index * 0.06, -size * 0.5, size * 0.7);
    canvas.group({ translate: [((x + seconds * speed) % 1100) - 70, 120 + y] }, () => {
      canvas.polyline({
        points: [[-size * 1.6, -wing * 0.4], [-size * 0.8, -wing], [0, 0], [size * 0.8, -wing], [size * 1.6, -wing * 0.4]],
        stroke: { color: colorMix('#ffffff', '#8a93bd', night), width: 2.2, join: 'round', cap: 'round' },
      }); // prettier-ignore
    });
  }
}

/** The day's readings as a curve, with the hour that it is. */
function gaugeBoard(canvas: Canvas, { hour }: Scene, levels: readonly number[]): void {
  const [width, height] = [206, 74];
  canvas.group({ translate: [26, 26], label: 'gauge board' }, () => {
    canvas.rect({
      from: [0, 0],
      to: [width, height],
      corners: 8,
      fill: '#0c1a2e',
      stroke: { color: '#f4efe4', width: 1.5 },
      opacity: 0.72,
    });
    const at = (index: number, level: number): [number, number] => [
      12 + (index / 144) * (width - 24),
      height - 12 - ((level - 0.6) / 4) * (height - 24),
    ];
    for (let meter = 1; meter <= 4; meter++)
      canvas.line({
        from: [12, at(0, meter)[1]],
        to: [width - 12, at(0, meter)[1]],
        stroke: { color: '#f4efe4', width: 0.7, dash: [3, 5] },
        opacity: 0.5,
      });
    canvas.polyline({
      points: levels.map((level, index) => at(index, level)),
      stroke: { color: '#7fd3d8', width: 2.2, join: 'round' },
    });
    const now = at(hour * 6, reading(levels, hour));
    canvas.line({ from: [now[0], 9], to: [now[0], height - 9], stroke: { color: palette.lamp, width: 1 } });
    canvas.circle({ at: now, radius: 4.5, fill: palette.lamp, stroke: { color: '#0c1a2e', width: 1.5 } });
  });
}
`;export{e as default};