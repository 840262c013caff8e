import { useEffect, useRef, useState } from 'preact/hooks';
import { Button } from './button.tsx';
import { hold, nowInWords } from './held.ts';
import * as state from './state.ts';

/** Pixels are marked if a channel differs by more than this, from 0 to 255. */
const tolerance = 2;

/** Two at once: the picture beside the one before the last save, or beside one that was kept, with what differs. */
export function Beside() {
  const held = state.held.value;
  return (
    <>
      <div class="buttons">
        <Button
          name="Keeps this picture for comparison"
          onClick={() => {
            const canvas = document.querySelector<HTMLCanvasElement>('#canvas');
            if (canvas !== null) void hold(canvas, nowInWords());
          }}
        >
          Keep picture
        </Button>
        <Button
          name="Shows the kept picture beside the current one"
          pressed={state.besides.value}
          disabled={held === undefined}
          onClick={() => (state.besides.value = !state.besides.value)}
        >
          Compare
        </Button>
      </div>
      <p class="quiet">{held === undefined ? 'Each save keeps the picture from before it.' : `Kept: ${held.words}.`}</p>
    </>
  );
}

/** The two pictures and their difference, over the room of the picture. */
export function BesideView() {
  const held = state.held.value;
  const [share, setShare] = useState<number>();
  const canvases = [useRef<HTMLCanvasElement>(null), useRef<HTMLCanvasElement>(null), useRef<HTMLCanvasElement>(null)];
  const shown = state.besides.value && held !== undefined;
  const stamp = `${state.loads.value} ${JSON.stringify(state.shown.value)} ${JSON.stringify(state.dialValues.value)}`;
  useEffect(() => {
    if (!shown) return undefined;
    let over = false;
    // The new picture is on the screen a moment after the page is told about it.
    const timer = setTimeout(() => {
      const now = document.querySelector<HTMLCanvasElement>('#canvas');
      const [before, after, difference] = canvases.map((one) => one.current);
      if (over || now === null || before === null || after === null || difference === null) return;
      setShare(drawDifference(held.picture, now, before, after, difference));
    }, 80);
    return () => {
      over = true;
      clearTimeout(timer);
    };
  }, [shown, held, stamp]);
  if (!shown) return null;
  const titles = [`Kept: ${held.words}`, `Now: ${nowInWords()}`, differenceInWords(share)];
  return (
    <section id="beside" aria-label="Two at once">
      {titles.map((title, i) => (
        <figure key={i}>
          <canvas ref={canvases[i]} role="img" aria-label={title} />
          <figcaption>{title}</figcaption>
        </figure>
      ))}
    </section>
  );
}

function differenceInWords(share: number | undefined): string {
  if (share === undefined) return 'Difference';
  if (share === 0) return 'No pixel differs';
  return `${share < 0.001 ? 'Less than 0.1' : (share * 100).toFixed(1)} % of the pixels differ, marked here`;
}

/** Draws two pictures at the size of the newer, and marks where they differ; gives the share of such pixels. */
function drawDifference(
  kept: ImageBitmap,
  now: HTMLCanvasElement,
  ...targets: [before: HTMLCanvasElement, after: HTMLCanvasElement, difference: HTMLCanvasElement]
): number {
  const { width, height } = now;
  const [before, after, difference] = targets.map((target) => {
    target.width = width;
    target.height = height;
    return target.getContext('2d', { willReadFrequently: true })!;
  });
  before.drawImage(kept, 0, 0, width, height);
  after.drawImage(now, 0, 0);
  const [one, other] = [before.getImageData(0, 0, width, height), after.getImageData(0, 0, width, height)];
  const marks = difference.createImageData(width, height);
  let count = 0;
  for (let at = 0; at < one.data.length; at += 4) {
    const differs = [0, 1, 2, 3].some(
      (channel) => Math.abs(one.data[at + channel] - other.data[at + channel]) > tolerance,
    );
    // Equal pixels stay visible, faintly, for orientation.
    const gray = (other.data[at] + other.data[at + 1] + other.data[at + 2]) / 3;
    const mark = differs ? [224, 33, 138, 255] : [gray, gray, gray, 60];
    marks.data.set(mark, at);
    if (differs) count++;
  }
  difference.putImageData(marks, 0, 0);
  return count / (width * height);
}
