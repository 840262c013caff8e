var e=`/*
 * The clock over the ferry pier. A round of twelve seconds is an hour of the pier: the hands are turned about the middle,
 * each as far as its part of the time has come.
 */
import { defineSketch, dial, linearGradient, smoothstep } from 'frame-juggler';
import { palette } from '../palette.ts';

const middle = [480, 270] as const;

export default defineSketch({
  title: 'The clock over the ferry pier',
  canvas: { width: 960, height: 540, background: palette.dusk },
  frameRate: 30,
  duration: 12,
  dials: { hour: dial.number(6, { min: 0, max: 11, step: 1, label: 'Hour' }) },
  paint(canvas, { progress, dials }) {
    canvas.rect({ from: [0, 0], to: [960, 540], fill: linearGradient({ from: [0, 0], to: [0, 540], stops: [palette.dusk, palette.heather, palette.buoy] }) }); // prettier-ignore
    for (let i = 0; i < 13; i++)
      canvas.rect({ at: [80 * i, 500], size: [76, 180], fill: palette.timber, label: 'plank' });
    canvas.rect({ at: [480, 470], size: [46, 300], fill: palette.ink, label: 'post' });

    canvas.circle({ at: middle, radius: 216, fill: palette.ink });
    canvas.circle({ at: middle, radius: 200, fill: palette.sail, label: 'face' });
    canvas.group({ translate: middle }, () => {
      for (let minute = 0; minute < 60; minute++) {
        const isHour = minute % 5 === 0;
        canvas.group({ rotate: 6 * minute, stroke: { color: palette.ink, width: isHour ? 6 : 2 } }, () =>
          canvas.line({ from: [0, -188], to: [0, isHour ? -166 : -178] }),
        );
      }
      canvas.style({ text: { size: 38, weight: 'bold' }, fill: palette.ink });
      // Turned out to its place, and back upright there.
      for (let hour = 1; hour <= 12; hour++)
        canvas.group({ rotate: 30 * hour }, () => canvas.text(String(hour), { at: [0, -138], rotate: -30 * hour }));

      // A minute hand that rests, then falls to the next minute.
      const minutes = 60 * progress;
      const minute = Math.floor(minutes) + smoothstep(0.8, 1, minutes % 1);
      hand(30 * dials.hour + minute / 2, 104, 15);
      hand(6 * minute, 158, 9);
      canvas.group({ rotate: 6 * ((minutes * 60) % 60), stroke: { color: palette.buoy, width: 4 } }, () => {
        canvas.line({ from: [0, 44], to: [0, -172] });
        canvas.circle({ at: [0, -132], radius: 11, fill: palette.sail });
      });
      canvas.circle({ at: [0, 0], radius: 11, fill: palette.buoy });
    });

    function hand(turn: number, length: number, width: number): void {
      const points = [[-width / 2, 24], [width / 2, 24], [width / 3, -length], [0, -length - 14], [-width / 3, -length]] as const; // prettier-ignore
      canvas.group({ rotate: turn }, () => canvas.polygon({ points, fill: palette.ink, label: 'hand' }));
    }
  },
});
`;export{e as default};