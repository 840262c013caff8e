var e=`/*
 * A day of tide, drawn in the units that it was measured in: hours to the right, meters upwards. The gauge's table lies
 * beside the demo.
 */
import { asset, defineSketch, linearGradient, mix, type Canvas } from 'frame-juggler';
import { palette } from '../palette.ts';

const paper = palette.sail;
const ink = palette.ink;

interface Reading {
  readonly hour: number;
  readonly level: number;
  readonly wind: number;
}

export default defineSketch({
  title: 'The tide of a day',
  canvas: {
    width: 960,
    height: 540,
    background: paper,
    // From an hour before midnight to one after, and from half a meter below chart datum to 5.4 m above.
    viewBox: [-1.6, -1.05, 27.2, 6.45],
    preserveAspectRatio: 'none',
    yAxis: 'up',
  },
  frameRate: 30,
  duration: 12,
  assets: { gauge: asset.table(new URL('../pellan-quay/data/tide-gauge.csv', import.meta.url)) },
  paint(canvas, { progress, assets }) {
    // Six readings an hour; the last is that of the next midnight.
    const readings = assets.gauge.map(({ level_m, wind_m_s }, index) => ({
      hour: index / 6,
      level: Number(level_m),
      wind: Number(wind_m_s),
    }));
    rules(canvas);
    const now = progress * 24;
    const seen = readings.filter(({ hour }) => hour <= now);
    const level = levelAt(readings, now);
    const line = [...seen.map(({ hour, level: at }): [number, number] => [hour, at]), [now, level] as [number, number]];
    water(canvas, line);
    wind(canvas, seen);
    turns(canvas, readings, now);
    gauge(canvas, now, level);
  },
});

/** Lines of equal width want units that are square: lengths on paper are turned into hours and meters. */
const perHour = 960 / 27.2;
const perMeter = 540 / 6.45;

/** Draws in pixels about a point of the chart, y downwards as letters stand. */
function onPaper(canvas: Canvas, at: readonly [number, number], body: () => void): void {
  canvas.group({ translate: at, scale: [1 / perHour, 1 / perMeter] }, body);
}

function rules(canvas: Canvas): void {
  const letters = { size: 15, fill: ink, opacity: 0.75 } as const;
  for (let meter = 0; meter <= 4; meter++) {
    canvas.line({ from: [0, meter], to: [24, meter], stroke: { color: ink, width: 0.012 }, opacity: meter === 0 ? 0.9 : 0.25 }); // prettier-ignore
    onPaper(canvas, [0, meter], () => canvas.text(\`\${meter} m\`, { at: [-12, 0], anchor: 'right', ...letters }));
  }
  for (let hour = 0; hour <= 24; hour += 3)
    onPaper(canvas, [hour, 0], () => {
      canvas.line({ from: [0, 0], to: [0, -7], stroke: { color: ink, width: 1.2 } });
      canvas.text(\`\${String(hour).padStart(2, '0')}:00\`, { at: [0, -14], anchor: 'top', ...letters });
    });
  onPaper(canvas, [0, 5.05], () =>
    canvas.text('Pellan Quay: height of the tide', { at: [0, 0], anchor: 'left', size: 24, weight: 'bold', fill: ink }),
  );
}

function levelAt(readings: readonly Reading[], hour: number): number {
  const next = readings.findIndex((reading) => reading.hour > hour);
  if (next <= 0) return readings[next < 0 ? readings.length - 1 : 0].level;
  const [before, after] = [readings[next - 1], readings[next]];
  return mix(before.level, after.level, (hour - before.hour) / (after.hour - before.hour));
}

function water(canvas: Canvas, line: readonly [number, number][]): void {
  const [last] = line[line.length - 1];
  canvas.polygon({
    points: [[0, 0], ...line, [last, 0]],
    fill: linearGradient({ from: [0, 0], to: [0, 4], stops: ['#bfe0e2', '#3d8fa8'] }),
    opacity: 0.85,
    label: 'water',
  });
  for (let i = 1; i < line.length; i++) {
    // A pen of the same width whichever way the line runs: drawn on paper, not in hours and meters.
    const [from, to] = [line[i - 1], line[i]].map(([x, y]) => [x * perHour, y * perMeter] as const);
    canvas.group({ scale: [1 / perHour, 1 / perMeter] }, () =>
      canvas.line({ from, to, stroke: { color: '#1c6480', width: 3, cap: 'round' } }),
    );
  }
}

function wind(canvas: Canvas, seen: readonly Reading[]): void {
  for (const { hour, wind: speed } of seen.filter((_, index) => index % 3 === 0))
    onPaper(canvas, [hour, -0.72], () =>
      canvas.rect({ at: [0, 0], anchor: 'bottom', size: [9, speed * 3], corners: 2, fill: '#d98f5c', label: 'wind' }),
    );
  onPaper(canvas, [0, -0.72], () => canvas.text('Wind', { at: [-12, 12], anchor: 'right', size: 15, fill: '#94521f' }));
}

/** High and low water, once they have passed. */
function turns(canvas: Canvas, readings: readonly Reading[], now: number): void {
  const around = 9;
  readings.forEach(({ hour, level }, index) => {
    if (hour > now || index < around || index + around >= readings.length) return;
    const near = readings.slice(index - around, index + around + 1).map((reading) => reading.level);
    const high = level === Math.max(...near);
    if ((!high && level !== Math.min(...near)) || near.indexOf(level) !== around) return;
    onPaper(canvas, [hour, level], () => {
      const up = high ? 1 : -1;
      canvas.circle({ at: [0, 0], radius: 5, fill: paper, stroke: { color: '#1c6480', width: 2.5 } });
      canvas.text(\`\${high ? 'High' : 'Low'} water\\n\${level.toFixed(1)} m\`, {
        at: [0, up * 14],
        anchor: high ? 'bottom' : 'top',
        size: 14,
        weight: 'bold',
        fill: ink,
      });
    });
  });
}

function gauge(canvas: Canvas, now: number, level: number): void {
  canvas.line({ from: [now, 0], to: [now, 4.2], stroke: { color: palette.buoy, width: 0.04, dash: [0.12, 0.08] } });
  onPaper(canvas, [now, level], () => {
    canvas.circle({ at: [0, 0], radius: 8, fill: palette.buoy, stroke: { color: paper, width: 2.5 }, label: 'now' });
  });
}
`;export{e as default};