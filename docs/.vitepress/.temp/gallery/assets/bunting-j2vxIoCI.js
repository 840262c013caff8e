var e=`/*
 * Bunting in the wind on the day of the regatta: the last frame leads into the first without a seam, as all that moves
 * is made of whole rounds and of noise that comes back.
 */
import { defineSketch, dial, linearGradient, maths, mix, ramp, type Canvas, type Noise } from 'frame-juggler';
import { palette } from '../palette.ts';

const colors = ramp([palette.buoy, palette.lamp, palette.kelp, palette.sea, palette.deep]);

export default defineSketch({
  title: 'Bunting, without a seam',
  canvas: { width: 720, height: 540, background: palette.foam },
  frameRate: 30,
  duration: 4,
  seed: 8,
  dials: { wind: dial.number(1, { min: 0, max: 3, step: 0.1, label: 'Wind' }) },
  paint(canvas, { progress, noise, dials, width, height }) {
    canvas.rect({ from: [0, 0], to: [width, height], fill: linearGradient({ from: [0, 0], to: [0, height], stops: [palette.shoal, palette.sail] }) }); // prettier-ignore
    clouds(canvas, progress, noise);
    const rows = 6;
    for (let row = 0; row < rows; row++) line(canvas, row / (rows - 1), progress, noise, dials.wind);
  },
});

/** Clouds drift once across in a round; each that leaves comes in again on the other side. */
function clouds(canvas: Canvas, progress: number, noise: Noise): void {
  for (let i = 0; i < 5; i++) {
    const x = ((i / 5 + progress) % 1) * (canvas.width + 300) - 150;
    const y = 60 + i * 74;
    // Faded as one, or where two puffs meet would show.
    canvas.group({ opacity: 0.5, fill: 'white', label: 'cloud' }, () => {
      for (let puff = 0; puff < 6; puff++)
        canvas.circle({ at: [x + (puff - 2.5) * 27, y + noise(i * 9, puff * 3) * 9], radius: 22 - Math.abs(puff - 2.5) * 4 }); // prettier-ignore
    });
  }
}

/** One string of flags, nearer ones larger. */
function line(canvas: Canvas, depth: number, progress: number, noise: Noise, wind: number): void {
  const size = mix(16, 46, depth);
  const top = mix(30, 400, depth);
  const sag = mix(40, 120, depth);
  const flags = Math.round(760 / (size * 1.25));
  const at = (t: number): readonly [number, number] => [
    mix(-20, canvas.width + 20, t),
    top + sag * 4 * t * (1 - t) - sag / 2 + wind * size * 0.12 * noise.loop(progress, t * 3, depth * 9, 1.2),
  ];
  const points = Array.from({ length: 60 }, (_, i) => at(i / 59));
  canvas.spline({ points, stroke: { color: palette.ink, width: mix(1, 2.6, depth) } });
  for (let i = 0; i < flags; i++) {
    const t = (i + 0.5) / flags;
    const [x, y] = at(t);
    // A gust runs along the string twice a round.
    const gust = maths.sin((progress * 2 - t * 1.5) * 2 * Math.PI) * 0.5 + noise.loop(progress, t * 8, depth * 20, 1.5);
    canvas.group({ translate: [x, y], rotate: wind * gust * 22, skew: [wind * gust * 14, 0], label: 'flag' }, () => {
      const fill = colors((i * 0.37 + depth) % 1);
      canvas.path({ data: \`M\${-size / 2} 0 H\${size / 2} L0 \${size * 1.15}Z\`, fill });
      canvas.path({ data: \`M0 0 H\${size / 2} L0 \${size * 1.15}Z\`, fill: '#00000022' });
    });
  }
}
`;export{e as default};