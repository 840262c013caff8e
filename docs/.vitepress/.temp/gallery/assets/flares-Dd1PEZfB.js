var e=`/*
 * Flares over the quay on the night of the regatta: points that chance throws out, that fall and go out. Press to send up
 * one of your own.
 */
import { defineSketch, linearGradient, maths, type Random } from 'frame-juggler';
import { palette } from '../palette.ts';

interface Spark {
  x: number;
  y: number;
  readonly vx: number;
  vy: number;
  readonly color: string;
  life: number;
}

export default defineSketch({
  title: 'Flares over the quay',
  canvas: { width: 960, height: 540, background: '#0d1a24' },
  frameRate: 30,
  duration: 16,
  carry: 0.86,
  start: (): { sparks: Spark[] } => ({ sparks: [] }),
  step(state, { frame, random, pointer, delta }) {
    if (frame % 20 === 1) burst(state.sparks, random, random.between(140, 820), random.between(70, 220));
    if (pointer.justPressed) burst(state.sparks, random, pointer.x, pointer.y);
    for (const spark of state.sparks) {
      spark.x += spark.vx * delta;
      spark.y += spark.vy * delta;
      spark.vy += 60 * delta;
      spark.life -= delta;
    }
    state.sparks = state.sparks.filter(({ life }) => life > 0);
  },
  paint(canvas, _moment, { sparks }) {
    for (const { x, y, color, life } of sparks) {
      const size = 1.5 + 2.5 * Math.min(1, life);
      canvas.dot({ at: [x, y], size, fill: color, opacity: Math.min(1, life), label: 'spark' });
      // The harbor has it once more, broken by the swell.
      const down = 400 + (400 - y) * 0.35;
      if (down < 540)
        canvas.dot({ at: [x + 5 * maths.sin(down), down], size, fill: color, opacity: 0.25 * Math.min(1, life) });
    }
    canvas.rect({ from: [0, 396], to: [960, 402], fill: linearGradient({ from: [0, 0], to: [960, 0], stops: [palette.ink, palette.slate, palette.ink] }) }); // prettier-ignore
    for (let i = 0; i < 24; i++) {
      const height = 14 + ((i * 37) % 34);
      canvas.rect({ from: [40 * i, 398 - height], to: [40 * i + 34, 398], fill: '#263f4f', label: 'house' });
      if (i % 3 !== 1) canvas.rect({ at: [40 * i + 17, 398 - height / 2], size: 5, fill: palette.lamp });
    }
  },
});

function burst(sparks: Spark[], random: Random, x: number, y: number): void {
  const color = random.pick([palette.lamp, palette.buoy, palette.shoal, palette.foam]);
  const count = random.int(60, 110);
  for (let i = 0; i < count; i++) {
    const [turn, speed] = [random.between(0, 2 * Math.PI), 150 * Math.sqrt(random.between(0.05, 1))];
    sparks.push({
      x,
      y,
      vx: speed * maths.cos(turn),
      vy: speed * maths.sin(turn),
      color,
      life: random.between(1, 2.6),
    });
  }
}
`;export{e as default};