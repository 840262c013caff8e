var e=`/*
 * A crane loads crates from the quay into a barge, by keyframes: one for the trolley, one for the rope, one for how the
 * barge sinks. Every crate takes the same way, a while later.
 */
import { defineSketch, keyframes, linearGradient, mix, smoothstep, swing, type Canvas } from 'frame-juggler';
import { palette } from '../palette.ts';

const round = 4;
const crates = 3;
const colors = [palette.buoy, palette.lamp, palette.kelp];
const [quayX, bargeX] = [190, 690];
const deck = 405;

/** How far the trolley is on its way from the quay (0) to the barge (1). */
const trolley = keyframes(
  [
    { value: 0, offset: 0 },
    { value: 0, offset: 0.25, easing: 'ease-in-out' },
    { value: 1, offset: 0.55 },
    { value: 1, offset: 0.75, easing: 'ease-in-out' },
    { value: 0, offset: 1 },
  ],
  { duration: round, iterations: crates },
);
/** How far the hook hangs below the jib. */
const rope = keyframes(
  [
    { value: 250, offset: 0, easing: 'ease-out' },
    { value: 110, offset: 0.22 },
    { value: 110, offset: 0.55, easing: 'ease-in-out' },
    { value: 238, offset: 0.72, easing: 'cubic-bezier(0.3, 0, 0.4, 1)' },
    { value: 110, offset: 0.82, easing: 'ease-in' },
    { value: 250, offset: 1 },
  ],
  { duration: round, iterations: crates },
);
/** When, within a round, the hook lets go. */
const letGo = 0.72;
/** How deep the barge lies, a little more with every crate, after a little rocking. */
const draught = keyframes(
  [
    { value: 0, offset: 0 },
    { value: 0, offset: 0.24, easing: 'linear(0, 1.5 25%, 0.8 45%, 1.1 65%, 1)' },
    { value: 7, offset: 0.333 },
    { value: 7, offset: 0.573, easing: 'linear(0, 1.5 25%, 0.8 45%, 1.1 65%, 1)' },
    { value: 14, offset: 0.666 },
    { value: 14, offset: 0.906, easing: 'linear(0, 1.5 25%, 0.8 45%, 1.1 65%, 1)' },
    { value: 21, offset: 1 },
  ],
  { duration: round * crates },
);

export default defineSketch({
  title: 'Loading the barge',
  canvas: { width: 960, height: 540 },
  frameRate: 30,
  duration: round * crates + 1.5,
  paint(canvas, { seconds }) {
    const time = Math.min(seconds, round * crates - 1e-6);
    const index = Math.floor(time / round);
    const part = (time % round) / round;
    const hanging = part < letGo;
    ground(canvas);
    canvas.group({ translate: [0, draught(seconds)], label: 'barge' }, () =>
      barge(canvas, hanging ? index : index + 1),
    );
    water(canvas, seconds);
    // While the hook comes back, those that wait move up by one.
    quay(canvas, index, smoothstep(letGo, 0.95, part));
    const x = mix(quayX, bargeX + slot(index), trolley(time));
    crane(canvas, x, rope(time), hanging ? colors[index] : undefined, seconds);
  },
});

/** Each crate has its place on the barge, the first one farthest out. */
function slot(index: number): number {
  return -index * 66;
}

function ground(canvas: Canvas): void {
  canvas.rect({
    from: [0, 0],
    to: [960, 540],
    fill: linearGradient({ from: [0, 0], to: [0, 420], stops: ['#f3d9b1', '#e8b48a', '#c98474'] }),
  });
  canvas.circle({ at: [780, 300], radius: 70, fill: '#f9e7c4', opacity: 0.8 });
  canvas.path({
    data: 'M0 380 Q160 330 330 362 T650 350 T960 372 V540 H0Z',
    fill: '#8d6a7a',
    opacity: 0.55,
    label: 'hills',
  });
}

function barge(canvas: Canvas, loaded: number): void {
  canvas.polygon({ points: [[520, deck], [900, deck], [870, deck + 70], [550, deck + 70]], fill: '#3b3355' }); // prettier-ignore
  canvas.rect({ from: [516, deck - 8], to: [904, deck + 4], corners: 3, fill: '#5d5378' });
  canvas.rect({ from: [800, deck - 74], to: [872, deck - 8], corners: 4, fill: '#efe6dd' });
  canvas.rect({ from: [812, deck - 62], to: [860, deck - 40], corners: 3, fill: '#3b3355' });
  for (let i = 0; i < loaded; i++) crate(canvas, [bargeX + slot(i), deck - 38], colors[i]);
}

function water(canvas: Canvas, seconds: number): void {
  canvas.rect({ from: [330, 448], to: [960, 540], fill: '#2f5d73' });
  for (let row = 0; row < 5; row++)
    for (let i = 0; i < 9; i++) {
      const x = 350 + i * 74 + ((row * 37) % 74) + swing(seconds + row, 5, -12, 12);
      canvas.line({ from: [x, 462 + row * 17], to: [x + 30, 462 + row * 17], stroke: { color: '#8ab6bd', width: 2, cap: 'round' }, opacity: 0.5 }); // prettier-ignore
    }
}

function quay(canvas: Canvas, index: number, moved: number): void {
  canvas.rect({ from: [0, 452], to: [345, 540], fill: '#6b5b5a' });
  canvas.rect({ from: [0, 440], to: [352, 456], fill: '#8c7a73' });
  for (let i = 0; i < 5; i++) canvas.rect({ at: [30 + i * 76, 500], size: [72, 28], fill: '#5d4f50' });
  for (let i = index + 1; i < crates; i++) crate(canvas, [quayX - (i - index - moved) * 66, 402], colors[i]);
}

function crane(canvas: Canvas, x: number, length: number, load: string | undefined, seconds: number): void {
  const jib = 100;
  const steel = '#d9822b';
  canvas.style({ stroke: { color: '#7a4419', width: 3, cap: 'round', join: 'round' } });
  canvas.rect({ from: [286, 300], to: [330, 440], fill: steel, corners: 2 });
  canvas.rect({ from: [294, 120], to: [322, 300], fill: steel });
  for (let y = 130; y < 300; y += 28) canvas.polyline({ points: [[294, y], [322, y + 14], [294, y + 28]] }); // prettier-ignore
  canvas.polygon({ points: [[308, 40], [322, 120], [294, 120]], fill: steel }); // prettier-ignore
  canvas.rect({ from: [110, jib - 10], to: [790, jib + 8], fill: steel });
  for (let i = 110; i < 790; i += 20) canvas.line({ from: [i, jib - 10], to: [i + 10, jib + 8] });
  canvas.line({ from: [308, 42], to: [770, jib - 10] });
  canvas.line({ from: [308, 42], to: [125, jib - 10] });
  canvas.rect({ from: [112, jib + 8], to: [168, jib + 46], fill: '#6b5b5a' });
  canvas.rect({ from: [272, jib + 20], to: [318, jib + 66], corners: 6, fill: '#efe6dd' });
  canvas.rect({ from: [278, jib + 28], to: [300, jib + 48], corners: 3, fill: '#7fb7be', stroke: 'none' });
  canvas.rect({ at: [x, jib + 14], size: [46, 14], corners: 4, fill: '#3b3355', stroke: 'none' });
  canvas.group({ translate: [x, jib + 20], rotate: load === undefined ? 0 : swing(seconds, 1.9, -1.6, 1.6) }, () => {
    canvas.line({ from: [0, 0], to: [0, length - 20], stroke: { color: '#3b3355', width: 2 } });
    canvas.circle({ at: [0, length - 16], radius: 6, fill: 'none', stroke: { color: '#3b3355', width: 4 } });
    if (load !== undefined) {
      for (const side of [-1, 1])
        canvas.line({ from: [0, length - 10], to: [side * 22, length + 10], stroke: { color: '#3b3355', width: 2 } });
      crate(canvas, [0, length + 32], load);
    }
  });
}

function crate(canvas: Canvas, at: readonly [number, number], color: string): void {
  canvas.group({ translate: at, label: 'crate', stroke: 'none' }, () => {
    canvas.rect({ at: [0, 0], size: [60, 46], corners: 2, fill: color });
    canvas.rect({ at: [0, 0], size: [60, 46], corners: 2, fill: 'none', stroke: { color: '#00000055', width: 4 } });
    for (const x of [-15, 0, 15])
      canvas.line({ from: [x, -21], to: [x, 21], stroke: { color: '#00000038', width: 2 } });
  });
}
`;export{e as default};