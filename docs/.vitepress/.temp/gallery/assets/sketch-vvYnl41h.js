var e=`import { defineSketch, dial, linearGradient, swing } from 'frame-juggler';

/*
 * A buoy at dusk. Save this file and the picture follows; turn the dials in the viewer; change any number.
 * (0, 0) is the top left corner, x runs to the right and y down. Angles are degrees.
 */
export default defineSketch({
  title: 'Buoy at dusk',
  canvas: { width: 960, height: 540, background: '#4d4672' },
  frameRate: 30,
  duration: 6, // seconds; then it begins again

  dials: {
    swell: dial.number(10, { min: 0, max: 40, label: 'Swell' }),
    lamp: dial.color('#f1b64e', { label: 'Lamp' }),
  },

  // Made once, before the first frame. The seed decides what chance gives: another seed, other gulls.
  start: ({ random }) => ({
    gulls: random.times(8, () => ({ at: random.point([960, 190]), size: random.between(6, 13) })),
  }),

  // Draws one frame, and changes nothing. What comes later covers what came before.
  paint(canvas, { seconds, dials }, { gulls }) {
    const sky = linearGradient({ from: [0, 0], to: [0, 330], stops: ['#4d4672', '#8a5f83', '#d5603f', '#f1b64e'] });
    canvas.rect({ from: [0, 0], to: [960, 380], fill: sky });
    canvas.circle({ at: [690, 322], radius: 62, fill: '#f6efdf', label: 'sun' });

    canvas.style({ stroke: { color: '#f6efdf', width: 2, join: 'round', cap: 'round' } });
    for (const { at, size } of gulls) {
      const [x, y] = [at.x + swing(seconds, 6, -20, 20), at.y + swing(seconds + size, 3, -6, 6)];
      const tip = swing(seconds + size, 1, -size / 2, size / 6);
      canvas.polyline({ points: [[x - size, y + tip], [x, y], [x + size, y + tip]], label: 'gull' }); // prettier-ignore
    }

    canvas.style({ stroke: 'none' });
    const water = ['#86bdb6', '#5da0a5', '#3a8391', '#2f6a80', '#24506a', '#1f4055', '#1b2f3a'];
    for (const [row, color] of water.entries()) {
      // One row of sea from the left to the right, and down to the bottom. Its periods fit into six seconds, so the end
      // of the loop is its beginning.
      const height = (i: number): number => swing(seconds + i / 4 + row, row % 2 === 0 ? 3 : 6, -1, 1) * dials.swell;
      const points = Array.from({ length: 25 }, (_, i): [number, number] => [
        40 * i,
        330 + 34 * row + height(i) * (0.2 + row / 10),
      ]);
      canvas.polygon({ points: [...points, [960, 540], [0, 540]], fill: color, label: 'sea' });
      if (row !== 3) continue;

      // A group moves, turns and styles what is in it, and puts everything back behind it.
      const { swell, lamp } = dials;
      canvas.group(
        { translate: [300, 440 + swing(seconds, 3, -swell, swell)], rotate: swing(seconds, 6, -swell / 2, swell / 2) },
        () => {
          canvas.polygon({ points: [[-46, 0], [46, 0], [30, 34], [-30, 34]], fill: '#a8433a', label: 'buoy' }); // prettier-ignore
          canvas.style({ fill: 'none', stroke: { color: '#1b2f3a', width: 6, join: 'round' } });
          canvas.polygon({ points: [[-26, 0], [26, 0], [9, -104], [-9, -104]] }); // prettier-ignore
          for (const up of [26, 52, 78]) canvas.line({ from: [up / 6 - 26, -up], to: [26 - up / 6, -up] });
          canvas.style({ fill: lamp, stroke: 'none' });
          canvas.circle({ at: [0, -116], radius: swing(seconds, 2, 26, 54), opacity: 0.25 });
          canvas.circle({ at: [0, -116], radius: 14, label: 'lamp' });
        },
      );
    }
  },
});
`;export{e as default};