import { asSketchError, SketchError } from '../error.ts';
import type { Frame } from '../frame/frame.ts';
import { plainDialValue } from '../sketch/dials.ts';
import type { InputEvent, InputSource } from '../sketch/input.ts';
import { Run } from '../sketch/run.ts';
import { isSketch, type Sketch } from '../sketch/sketch.ts';
import { Canvas2dSurface } from '../surfaces/canvas2d/surface.ts';
import { pageHost } from './page-host.ts';
import { trailOf } from './performer.ts';
import type { FromWorker, SketchFacts, Standing, Task, TaskName, Tasks } from './work.ts';

interface WorkerScope {
  postMessage(message: FromWorker, transfer?: Transferable[]): void;
  addEventListener(type: 'message', listener: (event: MessageEvent<Task>) => void): void;
}

/** Runs a sketch for a page that has mounted this worker: `perform(harbor)` is all that the worker's file has to do. */
export function perform(sketch: Sketch): void {
  if (!isSketch(sketch))
    throw new SketchError({ call: 'perform', value: sketch, problem: 'is no sketch', expected: 'expected what defineSketch({ … }) gives' }); // prettier-ignore
  new Work(sketch, globalThis as unknown as WorkerScope);
}

/** The run that a page wants to see, and the canvas that nobody sees. */
class Work {
  private run: Run | undefined;
  private readonly canvas = new OffscreenCanvas(1, 1);
  private surface: { draw(frame: Frame): void } | undefined;
  private painted: Frame | undefined;
  /** What pointer and keys did, until the next frame takes it. */
  private events: InputEvent[] = [];

  constructor(
    private readonly sketch: Sketch,
    private readonly scope: WorkerScope,
  ) {
    scope.addEventListener('message', ({ data }) => void this.answer(data));
    scope.postMessage({ type: 'sketch', facts: factsOf(sketch) });
  }

  private readonly tasks: { [Name in TaskName]: (given: Tasks[Name]['given']) => Promise<Tasks[Name]['answer']> } = {
    open: async ({ surface, run }) => {
      const { scope } = this;
      const input: InputSource = {
        take: () => this.events.splice(0),
        onPointer: () => scope.postMessage({ type: 'wants', what: 'pointer' }),
        onKeys: () => scope.postMessage({ type: 'wants', what: 'keys' }),
      };
      this.run = new Run(this.sketch, {
        ...run,
        input: () => input,
        onLoad: (done, total, name) => scope.postMessage({ type: 'load', done, total, name }),
        host: pageHost,
      });
      this.surface =
        surface === 'canvas2d'
          ? new Canvas2dSurface(this.canvas)
          : await (await import('./pixel-surface.ts')).loadPixelSurface(this.canvas);
      const { seed, width, height, view } = this.run;
      return { seed, width, height, view };
    },
    restart: async () => void (await this.run!.restart()),
    goTo: async ({ frame }) => void (await this.run!.goTo(frame)),
    show: async ({ frame, shown, density }) => {
      const run = this.run!;
      if (run.density !== density) run.density = density;
      const surface = this.surface!;
      await run.drawTo(frame, shown, (painted) => surface.draw((this.painted = painted)), trailOf(run, surface));
      // The picture has to stay, because the next frame is drawn over it.
      return this.sketch.carry > 0 ? createImageBitmap(this.canvas) : this.canvas.transferToImageBitmap();
    },
    setDial: async ({ name, value, goingOn }) => void this.run!.setDial(name, value, goingOn),
    forgetInput: async ({ from }) => this.run!.forgetInput(from) as undefined,
    track: async () => (await import('../sketch/input-track.ts')).makeTrack(this.run!),
    words: async () => (await import('../review/words.ts')).frameInWords(this.painted!),
  };

  private async answer({ id, name, given, events }: Task): Promise<void> {
    const { scope } = this;
    this.events.push(...events);
    try {
      const answer = await (this.tasks[name] as (given: unknown) => Promise<unknown>)(given);
      const moved = answer instanceof ImageBitmap ? [answer] : [];
      scope.postMessage({ type: 'answer', id, standing: this.standing, answer }, moved);
    } catch (thrown) {
      const { reason, source, caller, frame } = asSketchError(thrown);
      scope.postMessage({ type: 'fault', id, standing: this.standing, fault: { reason, source, caller, frame } });
    }
  }

  /** How things stand; undefined before there is a run. */
  private get standing(): Standing | undefined {
    if (this.run === undefined) return undefined;
    const { frame, usesInput, dials } = this.run;
    const values = Object.entries(dials).map(([name, value]) => [name, plainDialValue(value)]);
    return { frame, usesInput, dials: Object.fromEntries(values) as Record<string, unknown> };
  }
}

function factsOf({ title, frameRate, frames, repeat, carry, seed, canvas, dials }: Sketch): SketchFacts {
  const told = Object.entries(dials).map(([name, { initial, label, control }]) => [name, { initial: plainDialValue(initial), label, control }] as const); // prettier-ignore
  const { width, height } = canvas;
  return { title, frameRate, frames, repeat, carry, seed, width, height, dials: Object.fromEntries(told) };
}
