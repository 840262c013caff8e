import { writeTrack, type Checkup, type FrameDescription, type InputTrack } from 'frame-juggler';
import { PageInput } from 'frame-juggler/browser';
import type { DialValue, Fault, LoopRange, QuestionName, Questions, Shown, ToPage, ToWorker } from '../messages.ts';
import type { Setup } from '../protocol.ts';
import { hold, nowInWords } from './held.ts';
import { failureOf, showFailure, showNote, showRemarks, showStuck } from './said.ts';
import { server } from './server.ts';
import { Stage } from './stage.ts';
import * as state from './state.ts';
import { watchMemory } from './watch-memory.ts';
import { WrittenLines } from './written-lines.ts';

/** How often, in milliseconds, the page checks whether the sketch hangs. */
const lookEvery = 100;
/** Seconds in which a worker is to answer before it is replaced: busy with one call of the sketch, and at all. */
const toAnswer = { inCall: 1, inAll: 3 };

/**
 * Runs the sketch in a worker and shows its canvas. Each save is loaded in a new worker while the last picture stays. The
 * old worker is ended once the new one has shown a picture; a worker that is overtaken by a newer save is ended at once.
 * The choices made in the page (frame, seed, dials, speed) are passed on from one worker to the next.
 */
export class SketchHost {
  /** What is shown. */
  private current: Stage | undefined;
  /** What was saved last and has not shown a picture yet. */
  private coming: Stage | undefined;
  /** A worker that has loaded the library already, for the next save. */
  private spare: Stage | undefined;
  private setup: Setup | undefined;
  private seed: number | undefined;
  /** Pointer and keys as they were recorded last, or as the command gave them. */
  private track: InputTrack | undefined;
  /** What was done by hand in the run at hand, or in the last one that could tell. */
  private done: InputTrack | undefined;
  private dials: Record<string, unknown> = {};
  private playing = true;
  /** Whether what is shown is a change that is being tried out by hand. */
  private showsTrial = false;
  /** How often a frame was asked for. */
  private wish = 0;
  private density = 1;
  private readonly lines = new WrittenLines();

  /** @param place the element in which the canvas stands */
  constructor(private readonly place: HTMLElement) {
    setInterval(() => this.look(), lookEvery);
    void watchMemory((why) => this.current && this.crashed(this.current, why));
    const sendInput = (): void => {
      requestAnimationFrame(sendInput);
      const events = this.current?.input?.take(1) ?? [];
      if (events.length > 0) this.current?.tell({ type: 'input', events });
    };
    sendInput();
  }

  /** Loads the sketch as it was saved last. @param fresh whether it begins as nobody had touched it yet */
  async load(fresh = false): Promise<void> {
    this.coming?.end();
    const stage = (this.coming = this.spare ?? this.newStage());
    this.spare = undefined;
    try {
      this.setup ??= await this.begin();
    } catch (error) {
      return showFailure({ place: 'The viewer cannot start', reason: (error as Error).message });
    }
    this.done = fresh ? undefined : await this.doneByHand();
    // A newer save may have come in the meantime.
    if (stage !== this.coming) return;
    this.lines.forget();
    const { dialTexts, seed } = this.setup;
    const track = state.replaying.value ? this.track : undefined;
    const { playing, density } = this;
    const { frame } = state.shown.value;
    const [speed, range] = [state.speed.value, state.range.value];
    const beginning = {
      frame,
      wish: this.wish,
      playing,
      speed,
      range,
      density,
      exact: state.exact.value,
      seed: this.seed ?? seed,
      dials: this.dials,
    };
    stage.open(server.sketch(), { ...beginning, dialTexts, track, done: this.done });
  }

  play(): void {
    this.playing = true;
    state.failure.value = undefined;
    if (this.current === undefined) void this.load();
    else this.tell({ type: 'play' });
  }

  pause(): void {
    this.playing = false;
    this.tell({ type: 'pause' });
  }

  toggle(): void {
    if (state.shown.value.playing) this.pause();
    else this.play();
  }

  /** Pauses, and shows a frame. */
  goTo(frame: number): void {
    if (!Number.isSafeInteger(frame)) return;
    if (state.shown.value.playing) this.pause();
    const last = (state.facts.value?.frames ?? 1) - 1;
    const target = Math.max(0, Math.min(frame, last));
    // Several steps in quick succession add up.
    state.shown.value = { ...state.shown.value, frame: target };
    this.tell({ type: 'goTo', frame: target, wish: ++this.wish });
  }

  restart(): void {
    this.tell({ type: 'restart' });
  }

  setSpeed(speed: number): void {
    state.speed.value = speed;
    this.tell({ type: 'speed', speed });
  }

  setRange(range: LoopRange | undefined): void {
    state.range.value = range;
    this.tell({ type: 'range', range });
  }

  /** Plays a second from the frame at hand round and round, or the whole run again. */
  toggleRange(): void {
    if (state.range.value !== undefined) return this.setRange(undefined);
    const { frameRate = 60 } = state.facts.value ?? {};
    const last = state.lastFrame.value;
    const first = Math.max(0, Math.min(state.shown.value.frame, last - 1));
    this.setRange([first, Math.min(last, first + Math.round(frameRate))]);
  }

  setDensity(density: number): void {
    this.density = density;
    this.tell({ type: 'density', density });
  }

  setExact(exact: boolean): void {
    state.exact.value = exact;
    this.tell({ type: 'exact', exact });
  }

  setDial(name: string, value: unknown): void {
    this.dials[name] = value;
    const { [name]: _, ...misfits } = state.misfits.value;
    state.misfits.value = misfits;
    // Shown at once; the worker's answer corrects it if necessary.
    state.dialValues.value = { ...state.dialValues.value, [name]: value as DialValue };
    this.tell({ type: 'dial', name, value });
  }

  /** Gives a dial, or all of them, back the sketch's own value. */
  resetDials(names = (state.facts.value?.dials ?? []).map(({ name }) => name)): void {
    for (const { name, initial } of state.facts.value?.dials ?? [])
      if (names.includes(name)) {
        this.setDial(name, initial);
        // After the next save, the sketch's own value applies again.
        Reflect.deleteProperty(this.dials, name);
      }
  }

  /** Leaves items out of the picture, by their numbers. */
  leaveOut(numbers: ReadonlySet<number>): void {
    state.leftOut.value = numbers;
    this.tell({ type: 'leaveOut', items: [...numbers] });
  }

  async keepDials(): Promise<void> {
    await server.keepDials(state.dialValues.value).then(
      (name) => state.notify(`Dials kept in ${name}`),
      (error: Error) => state.notify(error.message),
    );
  }

  /** Begins a run with another seed, at the frame at hand. */
  setSeed(seed: number): void {
    if (!Number.isSafeInteger(seed) || seed < 0) return;
    this.seed = seed;
    state.seed.value = seed;
    void this.load();
  }

  ask<Name extends QuestionName>(name: Name, given: Questions[Name]['given']): Promise<Questions[Name]['answer']> {
    return this.current?.ask(name, given) ?? Promise.reject(new Error('there is no sketch yet'));
  }

  /** Plays what was recorded from frame 0 on; or listens to the page's own pointer and keys again, from where it stands. */
  replay(on: boolean): void {
    state.replaying.value = on;
    if (!on) return void this.load();
    // It was recorded under a seed.
    if (this.track !== undefined) this.seed = this.track.seed;
    this.loadFromStart();
  }

  private loadFromStart(): void {
    state.shown.value = { ...state.shown.value, frame: 0 };
    this.playing = true;
    void this.load(true);
  }

  /** What the frame at hand drew, with the lines as they were written. */
  async describe(): Promise<FrameDescription> {
    const { groups, items } = await this.ask('description', {});
    const sources = await this.lines.ofAll(items.map(({ source }) => source));
    return { groups, items: items.map((item, i) => ({ ...item, source: sources[i] })) };
  }

  /** Looks the sketch over for likely mistakes, with the lines as they were written. */
  async check(): Promise<Checkup> {
    this.pause();
    const found = await this.ask('checkup', {}).finally(() => (state.underWay.value = ''));
    const lines = await this.lines.ofAll(found.findings.map(({ line }) => line));
    return {
      ...found,
      findings: found.findings.map((finding, i) => ({ ...finding, ...(lines[i] && { line: lines[i] }) })),
    };
  }

  /** Notes pointer and keys from frame 0 on. */
  startRecording(): void {
    state.recording.value = true;
    if (state.replaying.value) {
      state.replaying.value = false;
      return this.loadFromStart();
    }
    this.restart();
    this.play();
  }

  async stopRecording(): Promise<void> {
    if (!state.recording.value) return;
    state.recording.value = false;
    this.pause();
    await this.keepInput();
  }

  async keepInput(): Promise<void> {
    await this.inputFile().then(
      (name) =>
        state.notify(
          name === undefined ? 'Nothing to keep: pointer and keys did nothing since frame 0' : `Input kept in ${name}`,
        ),
      (error: Error) => state.notify(error.message),
    );
  }

  /** What pointer, keys and dials did by hand: all of a recording that plays, or what came since frame 0. */
  inputTrack(): Promise<InputTrack> {
    return state.replaying.value && this.track !== undefined ? Promise.resolve(this.track) : this.ask('track', {});
  }

  /** Keeps what was done by hand in a file beside the sketch; gives its name, if anything was done. */
  async inputFile(): Promise<string | undefined> {
    const track = await this.inputTrack();
    if (track.events.length === 0) return undefined;
    const name = await server.keepTrack(writeTrack(track));
    this.track = track;
    state.recorded.value = true;
    return name;
  }

  /** The seed that was chosen; undefined for the sketch's own. */
  get chosenSeed(): number | undefined {
    return this.seed ?? this.setup?.seed;
  }

  /** The sketch's file, without its folder. */
  get file(): string {
    return this.setup?.file ?? '';
  }

  /** What pointer, keys and dials did so far, so that a drawing is not lost with every save. */
  private async doneByHand(): Promise<InputTrack | undefined> {
    if (this.current === undefined) return this.done;
    if (!state.shown.value.usesInput || state.replaying.value) return undefined;
    const { done, current } = this;
    const asked = performance.now();
    let look: number | undefined;
    const late = new Promise<InputTrack | undefined>((resolve) => {
      // One that is busy, perhaps for ever, is not waited for.
      look = window.setInterval(() => {
        const now = performance.now();
        if (now - asked > toAnswer.inAll * 1000 || current.stuckIn(now, toAnswer.inCall)) resolve(done);
      }, lookEvery);
    });
    return Promise.race([current.ask('track', {}), late])
      .catch(() => done)
      .finally(() => clearInterval(look));
  }

  private newStage(): Stage {
    return new Stage(
      (message, stage) => this.heard(message, stage),
      (stage, why) => this.crashed(stage, why),
    );
  }

  /** Sends a message to the worker that is shown and to the one that is loading, so that a choice survives a save. */
  private tell(message: ToWorker): void {
    this.current?.tell(message);
    this.coming?.tell(message);
  }

  /** How the run is to begin: the options of the command, and the kept dials. */
  private async begin(): Promise<Setup> {
    const setup = await server.setup();
    this.dials = { ...setup.dials };
    this.track = setup.track;
    state.recorded.value = state.replaying.value = setup.track !== undefined;
    if (setup.dialFault !== undefined) showNote(setup.dialFault);
    return setup;
  }

  private heard(message: ToPage, stage: Stage): void {
    // Messages of an older save are ignored.
    if (stage !== this.current && stage !== this.coming) return;
    // The page describes the sketch that is shown; a new one counts only after its first picture.
    if (stage === this.coming && ['opened', 'dials', 'misfit'].includes(message.type)) {
      stage.held.push(message);
      return;
    }
    switch (message.type) {
      case 'loading':
        state.underWay.value = `Loading: ${message.done} of ${message.total} files`;
        return;
      case 'opened':
        return this.opened(message, stage);
      case 'dials':
        state.dialValues.value = message.values;
        return;
      case 'misfit':
        return this.misfit(message);
      case 'onTheWay':
        if (message.checking === true) state.underWay.value = `Checking: ${message.frame} of ${message.target}`;
        else if (stage === this.coming || message.target - message.frame > 1)
          state.underWay.value = `On the way: frame ${message.frame} of ${message.target}`;
        return;
      case 'shown':
        if (stage === this.coming) this.swap(stage);
        state.underWay.value = '';
        this.shown(message.shown);
        stage.canvas.dataset.frame = String(message.shown.frame);
        if (message.shown.usesPointer) stage.input?.onPointer();
        // A recording covers one round, so it ends with the last frame.
        if (state.recording.value && message.shown.frame === (state.facts.value?.frames ?? 0) - 1)
          void this.stopRecording();
        return;
      case 'failed':
        return void this.failed(message.fault, stage);
      case 'remarks':
        return void showRemarks(message.remarks, this.lines);
      case 'ready':
      case 'answer':
        return;
    }
  }

  private shown(shown: Shown): void {
    // Sent before the worker knew of the latest request, so it is about a frame that is no longer wanted.
    const { frame, playing } = shown.wish < this.wish ? state.shown.value : shown;
    state.shown.value = { ...shown, frame, playing };
  }

  private opened({ facts }: Extract<ToPage, { type: 'opened' }>, stage: Stage): void {
    state.facts.value = facts;
    state.seed.value = facts.seed;
    state.misfits.value = {};
    document.title = facts.title;
    stage.canvas.setAttribute('role', 'img');
    stage.canvas.setAttribute('aria-label', facts.title);
    stage.canvas.tabIndex = 0;
    stage.input = new PageInput(stage.canvas, facts);
  }

  /** The newest save has its first picture: it replaces what was shown before. */
  private swap(stage: Stage): void {
    const before = this.current;
    this.current = stage;
    this.coming = undefined;
    state.alive.value = true;
    state.failure.value = undefined;
    const old = this.place.querySelector<HTMLCanvasElement>('#canvas');
    // A change that was only tried out by hand does not count as the version before.
    if (old !== null && !this.showsTrial) void hold(old, `before the last change, ${nowInWords()}`);
    this.showsTrial = state.tryingOut.value;
    before?.end();
    for (const message of stage.held) this.heard(message, stage);
    state.loads.value++;
    // After a save a number may mean another item. That can be seen for a chosen item, but not for a hidden one.
    state.pile.value = [];
    state.leftOut.value = new Set();
    stage.reveal(this.place);
    this.spare ??= this.newStage();
    // What was chosen while it was loading.
    stage.tell({ type: 'density', density: this.density });
    stage.tell({ type: 'exact', exact: state.exact.value });
  }

  private misfit({ name, reason }: Extract<ToPage, { type: 'misfit' }>): void {
    const exists = state.facts.value?.dials.some((dial) => dial.name === name) === true;
    const { dials = {}, dialFile = '' } = this.setup ?? {};
    // A value that was kept and fits no more is left out, so that the sketch plays; one that was just given is marked.
    if (Object.hasOwn(dials, name) && dials[name] === this.dials[name]) showNote(`${dialFile}: ${reason}; left out`);
    if (exists) state.misfits.value = { ...state.misfits.value, [name]: reason };
    Reflect.deleteProperty(this.dials, name);
  }

  /** Looks whether the sketch has been busy with one thing for too long, and ends it if so. */
  private look(): void {
    const now = performance.now();
    // 0 is for ever.
    const patience = this.setup?.patience || Infinity;
    for (const stage of [this.coming, this.current]) {
      const stuck = stage?.stuckIn(now, patience);
      if (stage !== undefined && stuck !== undefined && this.ended(stage))
        void showStuck({ ...stuck, seed: this.chosenSeed, dials: this.dials }, patience);
    }
  }

  private crashed(stage: Stage, reason: string): void {
    if (this.ended(stage)) showFailure({ place: 'The sketch was ended', reason });
  }

  /** Ends a worker; its picture stays. Gives whether the page still was about it. */
  private ended(stage: Stage): boolean {
    stage.end();
    const counted = stage === this.current || stage === this.coming;
    if (stage === this.coming) this.coming = undefined;
    if (stage === this.current) {
      this.current = undefined;
      state.alive.value = false;
      state.shown.value = { ...state.shown.value, playing: false };
    }
    return counted;
  }

  private async failed(fault: Fault, stage: Stage): Promise<void> {
    // The old sketch stays visible, paused.
    if (stage === this.coming) this.current?.tell({ type: 'pause' });
    const failure = await failureOf(fault, this.lines);
    // A newer save is not covered by what an older one has to say.
    if (stage !== this.current && stage !== this.coming) return;
    if (stage === this.coming) this.ended(stage);
    showFailure(failure);
  }
}
