/*
 * Rain over the mole, and gulls that wait it out: all by chance, and the same for the same seed. Try another with
 * `--seed 12`, or in the viewer, until one pleases.
 */
import { colorMix, defineSketch, dial, linearGradient, mix, wrap, type Canvas } from 'frame-juggler';

interface Drop {
  x: number;
  y: number;
  readonly depth: number;
}
interface Ring {
  readonly x: number;
  readonly y: number;
  age: number;
}
interface Gull {
  readonly x: number;
  readonly size: number;
  readonly facing: number;
  readonly restless: number;
}

const sea = 350;

export default defineSketch({
  title: 'Rain and gulls',
  canvas: { width: 960, height: 540, background: '#5c7285' },
  frameRate: 30,
  duration: 10,
  seed: 3,
  dials: {
    drops: dial.number(420, { min: 0, max: 1200, step: 10, label: 'Drops' }),
    wind: dial.number(-60, { min: -300, max: 300, label: 'Wind' }),
  },
  start({ random, dials, width, height }) {
    const drops: Drop[] = random.times(dials.drops, () => ({
      ...random.point([width, height]),
      depth: random.between(0, 1),
    }));
    let x = 60;
    const gulls: Gull[] = random.times(11, () => ({
      x: (x += random.between(42, 96)),
      size: random.between(0.85, 1.2),
      facing: random.likely(0.3) ? 1 : -1,
      restless: random.between(0, 10),
    }));
    return { drops, gulls, rings: [] as Ring[] };
  },
  step(state, { delta, dials, random, width }) {
    for (const drop of state.drops) {
      drop.y += mix(420, 980, drop.depth) * delta;
      drop.x = wrap(drop.x + dials.wind * (0.4 + drop.depth) * delta, 0, width);
      // Each falls on water at its own distance, and leaves a ring there.
      const ground = mix(sea + 8, 540, drop.depth);
      if (drop.y < ground) continue;
      state.rings.push({ x: drop.x, y: ground, age: 0 });
      drop.y = random.between(-80, 0);
      drop.x = random.between(0, width);
    }
    for (const ring of state.rings) ring.age += delta;
    state.rings = state.rings.filter(({ age }) => age < 0.7);
  },
  paint(canvas, { seconds, noise, dials }, { drops, gulls, rings }) {
    backdrop(canvas);
    for (const { x, y, age } of rings) {
      const reach = mix(2, 20, age / 0.7) * mix(0.4, 1, (y - sea) / (540 - sea));
      canvas.ellipse({ at: [x, y], radii: [reach, reach * 0.3], fill: 'none', stroke: { color: '#dfe9ec', width: 1.3 }, opacity: 0.8 * (1 - age / 0.7) }); // prettier-ignore
    }
    rail(canvas);
    for (const gull of gulls) perched(canvas, gull, noise(seconds / 2, gull.restless));
    for (const { x, y, depth } of drops) {
      const length = mix(8, 26, depth);
      const lean = (dials.wind * (0.4 + depth) * length) / mix(420, 980, depth);
      canvas.line({ from: [x, y], to: [x - lean, y - length], stroke: { color: '#eaf2f4', width: mix(0.7, 1.8, depth) }, opacity: mix(0.25, 0.7, depth) }); // prettier-ignore
    }
  },
});

function backdrop(canvas: Canvas): void {
  canvas.rect({
    from: [0, 0],
    to: [960, sea],
    fill: linearGradient({ from: [0, 0], to: [0, sea], stops: ['#465a6c', '#7e93a0', '#a9b7ba'] }),
  });
  canvas.path({ data: `M0 ${sea} L0 318 Q120 286 270 312 T560 300 T960 322 V${sea}Z`, fill: '#6c8290', opacity: 0.8 });
  canvas.group({ translate: [770, 318], opacity: 0.75, label: 'lighthouse' }, () => {
    canvas.polygon({ points: [[-15, 0], [15, 0], [9, -120], [-9, -120]], fill: '#dfe3df' }); // prettier-ignore
    for (const y of [-30, -78]) canvas.rect({ at: [0, y], size: [24, 22], fill: '#a65a52' });
    canvas.rect({ at: [0, -129], size: [16, 18], fill: '#f6e7b0' });
    canvas.triangle({ points: [[-13, -138], [13, -138], [0, -156]], fill: '#55383a' }); // prettier-ignore
  });
  canvas.rect({
    from: [0, sea],
    to: [960, 540],
    fill: linearGradient({ from: [0, sea], to: [0, 540], stops: ['#738c98', '#3d5869'] }),
  });
}

function rail(canvas: Canvas): void {
  canvas.rect({ from: [0, 470], to: [960, 540], fill: '#2b3a45' });
  canvas.rect({ from: [0, 466], to: [960, 476], fill: '#43555f' });
  for (let x = 30; x < 960; x += 120) canvas.rect({ from: [x, 398], to: [x + 9, 470], fill: '#22303a' });
  for (const y of [398, 432]) canvas.line({ from: [0, y], to: [960, y], stroke: { color: '#22303a', width: 6 } });
}

/** A gull on the rail, hunched against the rain; now and then it shifts its head. */
function perched(canvas: Canvas, { x, size, facing, restless }: Gull, mood: number): void {
  const back = colorMix('#8f9ba3', '#6d7a84', wrap(restless, 0, 1));
  canvas.group({ translate: [x, 396], scale: [size * facing, size], label: 'gull' }, () => {
    for (const leg of [-3, 4]) canvas.line({ from: [leg, -8], to: [leg, 0], stroke: { color: '#d9903d', width: 2 } });
    canvas.path({ data: 'M-24 -12 Q-14 -32 6 -30 Q18 -28 15 -15 Q4 -4 -10 -8Z', fill: '#f2f3ef' });
    canvas.path({ data: 'M-30 -11 Q-16 -30 3 -27 Q-2 -11 -14 -10Z', fill: back });
    canvas.group({ translate: [mood * 2, Math.abs(mood) * -3], rotate: mood * 12, about: [10, -30] }, () => {
      canvas.circle({ at: [11, -35], radius: 8.5, fill: '#f7f7f3' });
      canvas.triangle({ points: [[18, -37], [29, -33], [18, -32]], fill: '#e8a33d' }); // prettier-ignore
      canvas.circle({ at: [13.5, -37], radius: 1.5, fill: '#22303a' });
    });
  });
}
