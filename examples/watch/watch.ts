/*
 * The watch on the tower: by day one looks out over the harbor, by night the lamp follows the pointer and what it
 * finds lights up. Pressing changes the watch. Without a pointer the lamp goes round by itself.
 */
import {
  defineSketch,
  heading,
  linearGradient,
  maths,
  mix,
  radialGradient,
  scenes,
  swing,
  type Canvas,
  type Moment,
} from 'frame-juggler';
import { palette } from '../palette.ts';

const tower = [140, 250] as const;
const horizon = 300;

interface Thing {
  readonly name: string;
  readonly at: readonly [number, number];
  readonly draw: (canvas: Canvas, seconds: number) => void;
}

const things: readonly Thing[] = [
  { name: 'ferry', at: [470, 345], draw: ferry },
  { name: 'buoy', at: [640, 430], draw: buoy },
  { name: 'sail', at: [800, 330], draw: sail },
  { name: 'seal', at: [360, 450], draw: seal },
];

interface State {
  night: boolean;
  /** Seconds since the watch changed. */
  since: number;
  /** For each thing how brightly it is lit, 0 to 1. */
  readonly lit: Record<string, number>;
}

export default defineSketch({
  title: 'The watch on the tower',
  canvas: { width: 960, height: 540, background: '#000' },
  frameRate: 30,
  duration: 24,
  start: (): State => ({ night: true, since: 9, lit: Object.fromEntries(things.map(({ name }) => [name, 0])) }),
  step(state, { pointer, delta, seconds }) {
    state.since += delta;
    if (pointer.justPressed) Object.assign(state, { night: !state.night, since: 0 });
    const [x, y] = aim(pointer, seconds);
    for (const { name, at } of things) {
      const found = state.night && (pointer.over(name) || maths.hypot(x - at[0], y - at[1]) < 60);
      state.lit[name] = mix(state.lit[name], found ? 1 : 0, 1 - 0.02 ** delta);
    }
  },
  paint(canvas, moment, state) {
    const { seconds, pointer } = moment;
    const watches = [day, night].map((draw) => (onto: Canvas) => draw(onto, moment, state));
    // The watch that ends fades into the one that begins.
    const [from, to] = state.night ? watches : [watches[1], watches[0]];
    scenes([
      { duration: 1, paint: from },
      { duration: 10, fade: 1, paint: to },
    ]).paint(canvas, { ...moment, seconds: Math.min(state.since, 8) });
    if (pointer.inside) ring(canvas, aim(pointer, seconds), state.night);
  },
});

/** Where the lamp points: at the pointer, or round the harbor by itself. */
function aim(pointer: Moment['pointer'], seconds: number): readonly [number, number] {
  if (pointer.inside) return [pointer.x, pointer.y];
  return [swing(seconds, 12, 330, 900), swing(seconds, 8, 330, 470)];
}

function day(canvas: Canvas, { seconds }: Moment): void {
  canvas.rect({ from: [0, 0], to: [960, horizon], fill: linearGradient({ from: [0, 0], to: [0, horizon], stops: [palette.shoal, palette.foam] }) }); // prettier-ignore
  canvas.circle({ at: [720, 90], radius: 44, fill: palette.lamp });
  canvas.rect({ from: [0, horizon], to: [960, 540], fill: linearGradient({ from: [0, horizon], to: [0, 540], stops: [palette.sea, palette.deep] }) }); // prettier-ignore
  waves(canvas, seconds, palette.foam);
  for (const { name, at, draw } of things) canvas.group({ translate: at, label: name }, () => draw(canvas, seconds));
  lookout(canvas, palette.sail, palette.buoy);
}

function night(canvas: Canvas, { seconds, pointer, random }: Moment, { lit }: State): void {
  canvas.rect({ from: [0, 0], to: [960, horizon], fill: linearGradient({ from: [0, 0], to: [0, horizon], stops: ['#050a1c', '#1b2a4a'] }) }); // prettier-ignore
  for (let i = 0; i < 120; i++)
    canvas.circle({ at: random.point([960, horizon - 20]), radius: random.between(0.5, 1.6), fill: 'white', opacity: random.between(0.2, 0.9) }); // prettier-ignore
  canvas.rect({ from: [0, horizon], to: [960, 540], fill: linearGradient({ from: [0, horizon], to: [0, 540], stops: ['#12233f', '#060d1e'] }) }); // prettier-ignore
  waves(canvas, seconds, '#5d7ea8');
  beam(canvas, aim(pointer, seconds));
  for (const { name, at, draw } of things)
    canvas.group({ translate: at, label: name, opacity: mix(0.16, 1, lit[name]) }, () => draw(canvas, seconds));
  lookout(canvas, '#26334f', '#3f2a38');
  canvas.circle({ at: tower, radius: 46, fill: radialGradient({ at: tower, radius: 46, stops: ['#fff2bd', '#fff2bd00'] }), blend: 'screen' }); // prettier-ignore
}

function beam(canvas: Canvas, [x, y]: readonly [number, number]): void {
  const far = maths.hypot(x - tower[0], y - tower[1]);
  const turn = heading(tower, [x, y]);
  canvas.group({ translate: tower, rotate: turn, blend: 'screen' }, () => {
    canvas.polygon({
      points: [[0, -5], [far, -64], [far, 64], [0, 5]],
      fill: linearGradient({ from: [0, 0], to: [far, 0], stops: ['#fff2bdcc', '#ffe9a333'] }),
    }); // prettier-ignore
    canvas.arc({ at: [far, 0], radii: [40, 64], start: -90, end: 90, close: 'chord', fill: '#ffe9a333' });
  });
}

function lookout(canvas: Canvas, wall: string, trim: string): void {
  canvas.polygon({ points: [[0, 540], [0, 420], [70, 396], [220, 404], [270, 470], [290, 540]], fill: trim, opacity: 0.9 }); // prettier-ignore
  canvas.polygon({ points: [[108, 402], [172, 402], [162, 272], [118, 272]], fill: wall }); // prettier-ignore
  for (const y of [300, 352]) canvas.rect({ at: [140, y], size: [54 - (352 - y) / 12, 22], fill: trim });
  canvas.rect({ at: [140, 268], size: [66, 9], corners: 2, fill: trim });
  canvas.rect({ at: tower, size: [34, 30], fill: '#ffe9a3' });
  for (const x of [123, 140, 157]) canvas.rect({ at: [x, 250], size: [3, 30], fill: trim });
  canvas.triangle({ points: [[114, 236], [166, 236], [140, 208]], fill: trim }); // prettier-ignore
}

function waves(canvas: Canvas, seconds: number, color: string): void {
  for (let row = 0; row < 7; row++)
    for (let i = 0; i < 8; i++) {
      const x = 60 + i * 122 + ((row * 53) % 122) + swing(seconds + row * 0.7, 6, -14, 14);
      canvas.line({ from: [x, 325 + row * 31], to: [x + 20 + row * 4, 325 + row * 31], stroke: { color, width: 1 + row / 4, cap: 'round' }, opacity: 0.35 }); // prettier-ignore
    }
}

function ring(canvas: Canvas, at: readonly [number, number], dark: boolean): void {
  canvas.circle({ at, radius: 9, fill: 'none', stroke: { color: dark ? '#fff2bd' : '#22384a', width: 2 } });
}

function ferry(canvas: Canvas, seconds: number): void {
  canvas.group({ rotate: swing(seconds, 5, -1.2, 1.2) }, () => {
    canvas.polygon({ points: [[-70, 0], [78, 0], [60, 26], [-58, 26]], fill: palette.deep }); // prettier-ignore
    canvas.rect({ from: [-58, -22], to: [52, 0], corners: 4, fill: palette.sail });
    canvas.rect({ from: [-40, -40], to: [20, -22], corners: 4, fill: palette.sail });
    canvas.rect({ from: [0, -62], to: [18, -40], fill: palette.brick });
    for (let x = -48; x < 46; x += 15) canvas.rect({ at: [x, -11], size: [8, 8], corners: 2, fill: palette.sea });
  });
}

function buoy(canvas: Canvas, seconds: number): void {
  canvas.group({ rotate: swing(seconds, 3, -9, 9), about: [0, 26] }, () => {
    canvas.polygon({ points: [[-20, 20], [20, 20], [6, -24], [-6, -24]], fill: palette.buoy }); // prettier-ignore
    canvas.rect({ at: [0, 24], size: [50, 12], corners: 6, fill: palette.brick });
    canvas.circle({ at: [0, -31], radius: 7, fill: palette.lamp });
  });
}

function sail(canvas: Canvas, seconds: number): void {
  canvas.group({ rotate: swing(seconds, 4.5, -4, 4), about: [0, 24] }, () => {
    canvas.path({ data: 'M4 -76 Q48 -30 44 6 L4 6Z', fill: palette.sail });
    canvas.path({ data: 'M-3 -62 Q-32 -24 -34 6 L-3 6Z', fill: palette.sand });
    canvas.line({ from: [0, -80], to: [0, 12], stroke: { color: palette.timber, width: 3 } });
    canvas.path({ data: 'M-48 12 H52 Q40 32 22 32 H-26 Q-42 30 -48 12Z', fill: palette.timber });
  });
}

function seal(canvas: Canvas, seconds: number): void {
  canvas.group({ translate: [0, swing(seconds, 4, -3, 3)] }, () => {
    canvas.path({ data: 'M-26 16 Q-20 -22 4 -22 Q26 -20 24 16Z', fill: palette.slate });
    for (const x of [-2, 14]) canvas.circle({ at: [x, -7], radius: 3, fill: palette.ink });
    canvas.ellipse({ at: [8, 3], radii: [7, 5], fill: palette.foam });
    canvas.circle({ at: [8, 1], radius: 2.5, fill: palette.ink });
  });
}
