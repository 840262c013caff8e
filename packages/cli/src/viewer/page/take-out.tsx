import { useRef, useState } from 'preact/hooks';
import { writeTrack } from 'frame-juggler';
import {
  commandLine,
  fileName,
  isStill,
  movingFormats,
  renderArguments,
  stillFormats,
  type RenderWish,
  type WishFormat,
} from '../render-wish.ts';
import { Button } from './button.tsx';
import type { SketchHost } from './host.ts';
import { NumberField } from './number-field.tsx';
import { server } from './server.ts';
import * as state from './state.ts';

/** Out of the page: this frame or the run as a file beside the sketch, the picture and the command line to be pasted. */
export function TakeOut({ host }: { host: SketchHost }) {
  const [format, setFormat] = useState<WishFormat>('png');
  const [density, setDensity] = useState(1);
  const [step, setStep] = useState('');
  const stop = useRef<AbortController | undefined>(undefined);
  const formats = state.moves.value ? [...stillFormats, ...movingFormats] : stillFormats;

  const make = async (): Promise<void> => {
    stop.current = new AbortController();
    setStep('Beginning …');
    try {
      const wish = { ...wishOf(format, density), ...(await trackOf(host)) };
      const name = await server.render(
        wish,
        (done, total) => setStep(`${done} of ${total} frames`),
        stop.current.signal,
      );
      state.notify(`Wrote ${name}, beside the sketch${unlike()}`);
    } catch (error) {
      state.notify(stop.current.signal.aborted ? 'Stopped; nothing was written' : (error as Error).message);
    }
    stop.current = undefined;
    setStep('');
  };
  const copyPicture = async (): Promise<void> => {
    const blob = await host.ask('png', {});
    await navigator.clipboard.write([new ClipboardItem({ 'image/png': blob })]);
    state.notify('The picture is copied');
  };
  const copyCommand = async (): Promise<void> => {
    const wish = wishOf(format, density);
    const sketch = host.file.replace(/\.[^.]+$/, '');
    // What was done by hand is a file of its own, for the command to find.
    const track = state.shown.value.usesInput ? await host.inputFile() : undefined;
    const line = `juggle ${commandLine(renderArguments(host.file, fileName(sketch, wish), wish, track))}`;
    await navigator.clipboard.writeText(line);
    const kept = track === undefined ? '' : `; what was done by hand is kept in ${track}`;
    state.notify(`Copied: ${line}${kept}${unlike()}`);
  };
  const savePicture = async (): Promise<void> => {
    const link = document.createElement('a');
    link.href = URL.createObjectURL(await host.ask('png', {}));
    link.download = `${state.facts.value?.title ?? 'sketch'}.png`;
    link.click();
    URL.revokeObjectURL(link.href);
  };
  const tell = (error: Error): void => state.notify(error.message);
  if (!server.keepsFiles)
    return (
      <div class="buttons">
        <Button name="Saves the picture as shown, as a PNG" onClick={() => void savePicture().catch(tell)}>
          Save picture
        </Button>
        <Button name="Copies the picture as shown" onClick={() => void copyPicture().catch(tell)}>
          Copy picture
        </Button>
      </div>
    );
  return (
    <>
      <div class="controls">
        <label for="format">As</label>
        <select id="format" value={format} onChange={(event) => setFormat(event.currentTarget.value as WishFormat)}>
          {formats.map((one) => (
            <option key={one} value={one}>
              {`.${one}, ${isStill(one) ? 'this frame' : state.range.value === undefined ? 'the run' : 'the part'}`}
            </option>
          ))}
        </select>
        <label for="out-density">Density</label>
        <NumberField
          id="out-density"
          name="Density"
          value={density}
          min={0.1}
          max={20}
          step={1}
          onChange={setDensity}
        />
      </div>
      <div class="buttons">
        {stop.current === undefined ? (
          <Button name="Makes the file, beside the sketch" onClick={() => void make()}>
            Make file
          </Button>
        ) : (
          <Button name="Stops it; nothing is left" onClick={() => stop.current?.abort()}>
            Stop
          </Button>
        )}
        <Button name="Copies the picture as shown" onClick={() => void copyPicture().catch(tell)}>
          Copy picture
        </Button>
        <Button name="Copies the command that makes the same file" onClick={() => void copyCommand().catch(tell)}>
          Copy command
        </Button>
      </div>
      <output class="quiet" aria-live="polite">
        {step}
      </output>
    </>
  );
}

function wishOf(format: WishFormat, density: number): RenderWish {
  const { frames = 1, dials = [] } = state.facts.value ?? {};
  const turned = dials.filter(
    ({ name, initial }) => JSON.stringify(initial) !== JSON.stringify(state.dialValues.value[name]),
  );
  // Of a sketch without an end, what the timeline shows.
  const part = state.range.value ?? (Number.isFinite(frames) ? undefined : ([0, state.lastFrame.value] as const));
  return {
    format,
    frame: state.shown.value.frame,
    ...(part !== undefined && { frames: part }),
    density,
    seed: state.seed.value,
    dials: Object.fromEntries(turned.map(({ name }) => [name, state.dialValues.value[name]])),
  };
}

/** In what the file is not as the picture shown, in words. */
function unlike(): string {
  return state.shown.value.reproducible ? '' : '; dials turned on the way are there from the start as they are now';
}

/** A run that used pointer or keys can only be repeated with the recorded input. */
async function trackOf(host: SketchHost): Promise<{ track?: string }> {
  if (!state.shown.value.usesInput) return {};
  return { track: writeTrack(await host.inputTrack()) };
}
