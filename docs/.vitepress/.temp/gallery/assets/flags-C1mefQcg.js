var e=`/*
 * Signal flags cut out of one sheet of pictures: each flag is a crop of it. The hoist spells a word and flies in the
 * wind, a strip of pixels at a time.
 */
import { asset, defineSketch, linearGradient, swing, type Canvas, type Picture } from 'frame-juggler';
import { palette } from '../palette.ts';

const cell = 32;
const columns = 6;
/** Where the sheet has the flag of a letter. */
const crop = (letter: string): { from: [number, number]; to: [number, number] } => {
  const index = letter.charCodeAt(0) - 'A'.charCodeAt(0);
  const [x, y] = [(index % columns) * cell, Math.floor(index / columns) * cell];
  return { from: [x, y], to: [x + cell, y + cell] };
};

export default defineSketch({
  title: 'Signal flags at Pellan Quay',
  canvas: { width: 900, height: 480, background: '#bfe0e6' },
  frameRate: 30,
  duration: 6,
  assets: { sheet: asset.picture(new URL('./data/signal-flags.png', import.meta.url)) },
  paint(canvas, { seconds, assets }) {
    canvas.rect({
      from: [0, 0],
      to: [900, 480],
      fill: linearGradient({ from: [0, 0], to: [0, 480], stops: ['#6fb3d2', '#e9f1e6'] }),
    });
    canvas.rect({ from: [0, 420], to: [900, 480], fill: '#2b6a78' });
    canvas.polygon({ points: [[96, 480], [110, 20], [118, 20], [132, 480]], fill: '#6b4a32' }); // prettier-ignore
    canvas.circle({ at: [114, 18], radius: 9, fill: palette.lamp });
    [...'PELLAN'].forEach((letter, index) =>
      fly(canvas, assets.sheet, letter, [120, 44 + index * 62], 56, seconds - index * 0.3),
    );
    canvas.text('The sheet', { at: [560, 36], size: 22, fill: palette.ink, weight: 'bold' });
    canvas.picture(assets.sheet, { from: [320, 62], to: [800, 400], smooth: false });
    for (let index = 0; index < 26; index++)
      canvas.text(String.fromCharCode(65 + index), {
        at: [360 + (index % columns) * 80, 131 + Math.floor(index / columns) * 67.6],
        size: 14,
        fill: palette.ink,
      });
    canvas.text('Hoisted: P E L L A N', { at: [560, 448], size: 20, fill: 'white' });
  },
});

/** A flag in strips of one pixel of the sheet, each a little further along the wave. */
function fly(
  canvas: Canvas,
  sheet: Picture,
  letter: string,
  [x, y]: [number, number],
  size: number,
  seconds: number,
): void {
  const { from } = crop(letter);
  const strip = (size * 1.5) / cell;
  for (let i = 0; i < cell; i++) {
    const loose = i / cell;
    const lift = swing(seconds - loose * 0.9, 1.5, -7, 7) * loose;
    canvas.picture(sheet, {
      from: [x + i * strip, y + lift],
      to: [x + (i + 1) * strip + 0.6, y + size + lift],
      crop: { from: [from[0] + i, from[1]], to: [from[0] + i + 1, from[1] + cell] },
      smooth: false,
    });
    const shade = swing(seconds - loose * 0.9 + 0.3, 1.5, -1, 1) * loose;
    canvas.rect({
      from: [x + i * strip, y + lift],
      to: [x + (i + 1) * strip, y + size + lift],
      fill: shade > 0 ? 'white' : 'black',
      opacity: Math.abs(shade) * 0.22,
    });
  }
}
`;export{e as default};