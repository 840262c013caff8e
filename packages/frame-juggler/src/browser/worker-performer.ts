import { SketchError } from '../error.ts';
import type { View } from '../canvas/view.ts';
import type { LoadListener } from '../sketch/assets.ts';
import type { InputSource } from '../sketch/input.ts';
import type { InputTrack } from '../sketch/input-track.ts';
import type { Sketch } from '../sketch/sketch.ts';
import type { Performer, PerformerSetting } from './performer.ts';
import type { FromWorker, SketchFacts, Standing, Task, TaskName, Tasks } from './work.ts';

type Told = Extract<FromWorker, { readonly id: number }>;
type Answered = Extract<Told, { readonly type: 'answer' }>;

/** A worker that runs a sketch, asked for one thing after the other. */
export class SketchWorker {
  onLoad: LoadListener = () => undefined;
  onWants: (what: 'pointer' | 'keys') => void = () => undefined;
  /** The state in the worker's last message. */
  standing: Standing = { frame: -1, usesInput: false, dials: {} };
  /** Resolves with the facts of the sketch. */
  readonly facts: Promise<SketchFacts>;
  private readonly waiting = new Map<number, { resolve: (answer: Answered) => void; reject: (why: SketchError) => void }>(); // prettier-ignore
  private asked = 0;

  constructor(private readonly worker: Worker) {
    this.facts = new Promise((resolve, reject) => {
      worker.onmessage = ({ data }: MessageEvent<FromWorker>) => {
        if (data.type === 'sketch') resolve(data.facts);
        else if (data.type === 'load') this.onLoad(data.done, data.total, data.name);
        else if (data.type === 'wants') this.onWants(data.what);
        else this.answered(data);
      };
      worker.onerror = (event) => {
        event.preventDefault();
        const why = new SketchError({
          call: 'mountWorker',
          problem: event.message || 'the worker could not be started',
        });
        reject(why);
        this.fail(why);
      };
    });
  }

  /** @throws SketchError what the sketch threw, with its own lines */
  ask<Name extends TaskName>(
    name: Name,
    given: Tasks[Name]['given'],
    events: Task['events'] = [],
  ): Promise<Tasks[Name]['answer']> {
    const id = ++this.asked;
    this.worker.postMessage({ id, name, given, events } satisfies Task);
    return new Promise((resolve, reject) =>
      this.waiting.set(id, { resolve: ({ answer }) => resolve(answer as Tasks[Name]['answer']), reject }),
    );
  }

  end(): void {
    this.worker.terminate();
    this.fail(new SketchError({ problem: 'the player was stopped' }));
  }

  private answered(data: Told): void {
    this.standing = data.standing ?? this.standing;
    const waiting = this.waiting.get(data.id);
    this.waiting.delete(data.id);
    if (data.type === 'answer') return waiting?.resolve(data);
    const { reason, source, caller, frame } = data.fault;
    // The places are those in the worker's code, not that of this call.
    const error = new SketchError({ problem: reason }).at(source, caller);
    if (frame !== undefined) error.inFrame(frame);
    waiting?.reject(error);
  }

  private fail(why: SketchError): void {
    for (const { reject } of this.waiting.values()) reject(why);
    this.waiting.clear();
  }
}

/** A sketch that runs in a worker, with the parts of it that a player uses. */
export function standIn({ width, height, dials, ...facts }: SketchFacts): Sketch {
  const elsewhere = (): never => {
    throw new SketchError({ problem: 'the sketch runs in a worker' });
  };
  return {
    ...facts,
    canvas: { width, height, background: 0, density: 1, view: {} },
    accept: {},
    assets: {},
    dials: Object.fromEntries(Object.entries(dials).map(([name, dial]) => [name, { ...dial, read: elsewhere }])),
    start: elsewhere,
    step: undefined,
    paint: elsewhere,
  };
}

/** Has a sketch run by a worker, and shows the pictures that come from there. */
export class WorkerPerformer implements Performer {
  density: number;
  private readonly input: () => InputSource;
  private readonly element: HTMLCanvasElement;

  constructor(
    private readonly worker: SketchWorker,
    private readonly frames: number,
    private readonly opened: Tasks['open']['answer'],
    { element, run, input, onLoad }: PerformerSetting,
  ) {
    this.element = element;
    this.input = input;
    this.density = run.density;
    worker.onLoad = onLoad;
    worker.onWants = (what) => (what === 'pointer' ? input().onPointer?.() : input().onKeys?.());
  }

  get frame(): number {
    return this.worker.standing.frame;
  }
  get seed(): number {
    return this.opened.seed;
  }
  get atEnd(): boolean {
    return this.frame >= this.frames - 1;
  }
  get width(): number {
    return this.opened.width;
  }
  get height(): number {
    return this.opened.height;
  }
  get view(): View {
    return this.opened.view;
  }
  get dials(): Readonly<Record<string, unknown>> {
    return this.worker.standing.dials;
  }
  get usesInput(): boolean {
    return this.worker.standing.usesInput;
  }

  async restart(): Promise<void> {
    await this.ask('restart', {}, 0);
  }

  async goTo(frame: number): Promise<void> {
    await this.ask('goTo', { frame });
  }

  async show(frame: number, shown: number): Promise<void> {
    const { element, density } = this;
    const picture = await this.ask('show', { frame, shown, density });
    const { width, height } = picture;
    if (element.width !== width) element.width = width;
    if (element.height !== height) element.height = height;
    const context = element.getContext('2d')!;
    // A background that lets the page through covers nothing of the picture before.
    context.globalCompositeOperation = 'copy';
    context.drawImage(picture, 0, 0);
    picture.close();
  }

  async setDial(name: string, value: unknown, goingOn: boolean): Promise<void> {
    await this.ask('setDial', { name, value, goingOn });
  }

  async forgetInput(from: number): Promise<void> {
    await this.ask('forgetInput', { from });
  }

  track(): Promise<InputTrack> {
    return this.ask('track', {});
  }

  words(): Promise<string> | undefined {
    return this.frame < 0 ? undefined : this.ask('words', {});
  }

  end(): void {
    this.worker.end();
  }

  /** @param since the frame from which what pointer and keys did counts; for frame 0, how things stand */
  private ask<Name extends TaskName>(
    name: Name,
    given: Tasks[Name]['given'],
    since = 1,
  ): Promise<Tasks[Name]['answer']> {
    return this.worker.ask(name, given, this.input().take(since));
  }
}
