import type { PageInput } from 'frame-juggler/browser';
import { Calls, type SketchCall } from '../../calls.ts';
import type { Beginning, QuestionName, Questions, StuckCall, ToPage, ToWorker } from '../messages.ts';
import type { ServedSketch } from './server.ts';

/** The width and height of a canvas that has shown nothing yet. */
const unseen = 1;

/** A worker, and the canvas on which its sketch draws. */
export class Stage {
  readonly canvas = document.createElement('canvas');
  /** Which of the sketch's functions is running, in shared memory; undefined if the page is not cross-origin isolated. */
  private readonly calls = typeof SharedArrayBuffer === 'undefined' ? undefined : new Calls();
  /** The same by the worker's last message, if there is no shared memory. */
  private told: SketchCall | undefined;
  input: PageInput | undefined;
  /** The facts of a newly loaded sketch, kept until its first picture is shown. */
  readonly held: ToPage[] = [];
  private readonly worker: Worker;
  private readonly questions = new Map<number, { resolve: (answer: never) => void; reject: (why: Error) => void }>();
  private asked = 0;
  /** The call that was running when it was last looked at, and since when. */
  private seen = { number: -1, since: 0 };

  constructor(onMessage: (message: ToPage, stage: Stage) => void, onCrash: (stage: Stage, why: string) => void) {
    this.worker = new Worker(new URL('./worker.js', import.meta.url), { type: 'module' });
    this.worker.onmessage = ({ data }: MessageEvent<ToPage>) => {
      if (data.type === 'answer') this.answered(data);
      else if (data.type === 'running') this.told = data.call;
      else onMessage(data, this);
    };
    this.worker.onerror = (event) => {
      event.preventDefault();
      onCrash(this, event.message || 'the worker in which sketches run could not be started');
    };
  }

  open(sketch: ServedSketch, beginning: Beginning): void {
    this.canvas.width = this.canvas.height = unseen;
    const canvas = this.canvas.transferControlToOffscreen();
    const message: ToWorker = { type: 'open', ...sketch, canvas, calls: this.calls?.memory, beginning };
    this.worker.postMessage(message, [canvas]);
  }

  tell(message: ToWorker): void {
    this.worker.postMessage(message);
  }

  ask<Name extends QuestionName>(name: Name, given: Questions[Name]['given']): Promise<Questions[Name]['answer']> {
    const id = ++this.asked;
    return new Promise((resolve, reject) => {
      this.questions.set(id, { resolve, reject });
      this.tell({ type: 'ask', id, question: { name, given } as never });
    });
  }

  /** The call that has been running for longer than it may. @param patience seconds */
  stuckIn(now: number, patience: number): StuckCall | undefined {
    const current = this.calls?.current ?? this.told;
    if (current === undefined) this.seen = { number: -1, since: now };
    else if (current.number !== this.seen.number) this.seen = { number: current.number, since: now };
    else if (now - this.seen.since > patience * 1000) return current;
    return undefined;
  }

  /** Puts the canvas in the place of the one there once the screen has its picture, a moment later than the worker. */
  reveal(place: HTMLElement): void {
    const { canvas } = this;
    place.append(canvas);
    let looks = 0;
    const look = (): void => {
      // The canvas gets its size with its first picture; one frame later that is on the screen.
      if (canvas.width === unseen && ++looks < 100) return void requestAnimationFrame(look);
      requestAnimationFrame(() => {
        if (canvas.parentElement !== place) return;
        while (place.firstElementChild !== canvas) place.firstElementChild!.remove();
        canvas.id = 'canvas';
      });
    };
    look();
  }

  /** Ends whatever the sketch is doing. The canvas keeps its last picture. */
  end(): void {
    this.worker.terminate();
    this.input?.end();
    for (const { reject } of this.questions.values()) reject(new Error('the sketch was ended'));
  }

  private answered({ id, answer, fault }: Extract<ToPage, { type: 'answer' }>): void {
    const question = this.questions.get(id);
    this.questions.delete(id);
    if (fault === undefined) question?.resolve(answer as never);
    else question?.reject(new Error(fault.reason));
  }
}
