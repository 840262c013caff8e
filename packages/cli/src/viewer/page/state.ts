import { computed, signal } from '@preact/signals';
import type { Finding, FrameDescription } from 'frame-juggler';
import type { DialValue, LoopRange, Remark, Shown, SketchFacts } from '../messages.ts';

/*
 * What the page knows: one signal for each thing that can change by itself. `SketchHost` sets what comes from the
 * sketch; parts of the page read it, and ask the host for what they want.
 */

/** What went wrong, as the page says it. */
export interface Failure {
  /** Where: the file, the line and the frame. */
  readonly place: string;
  readonly reason: string;
  /** Where the editor can be opened at. */
  readonly file?: string;
  readonly line?: number;
}

/** A remark with its line as it was written, and how often it came in a row. */
export interface Said extends Remark {
  readonly times: number;
}

export const facts = signal<SketchFacts | undefined>();
export const shown = signal<Shown>({
  frame: 0,
  wish: 0,
  playing: true,
  reached: 0,
  usesInput: false,
  usesPointer: false,
  reproducible: true,
  perSecond: undefined,
});
export const failure = signal<Failure | undefined>();
/** Whether there is a sketch that can be played: not before the first is there, nor after one had to be ended. */
export const alive = signal(false);
/** What takes a while at the moment, in words. */
export const underWay = signal('');
export const dialValues = signal<Readonly<Record<string, DialValue>>>({});
/** Why a dial cannot have the value that was given, by its name. */
export const misfits = signal<Readonly<Record<string, string>>>({});
export const seed = signal(0);
export const speed = signal(1);
export const range = signal<LoopRange | undefined>();
export const said = signal<readonly Said[]>([]);
/** A short message about what was just done; it disappears by itself. */
export const notice = signal('');
export const recording = signal(false);
/** Whether there is a recording, and whether it plays instead of the page's own pointer and keys. */
export const recorded = signal(false);
export const replaying = signal(false);

export const seconds = computed(() => shown.value.frame / (facts.value?.frameRate ?? 60));
/** How many seconds the timeline of a sketch without an end shows at first. */
const secondsOfEndless = 10;

/** The end of the timeline: the last frame, or the farthest one so far for a sketch without an end. */
export const lastFrame = computed(() => {
  const { frames = Infinity, frameRate = 60 } = facts.value ?? {};
  if (Number.isFinite(frames)) return frames - 1;
  return Math.max(shown.value.reached, shown.value.frame, Math.round(secondsOfEndless * frameRate) - 1);
});
/** Whether the sketch moves: a still one has no time to go through. */
export const moves = computed(() => (facts.value?.frames ?? 2) > 1);

let noticeTimer = 0;
/** Says something for some seconds. */
export function notify(text: string): void {
  notice.value = text;
  clearTimeout(noticeTimer);
  noticeTimer = window.setTimeout(() => (notice.value = ''), 8000);
}

/** So many remarks are kept. */
const maxSaid = 500;

/** Adds remarks; one that comes again at once is counted rather than repeated. */
export function addRemarks(remarks: readonly Remark[]): void {
  const list = [...said.value];
  for (const remark of remarks) {
    const last = list.at(-1);
    const again = last?.text === remark.text && last.kind === remark.kind && last.source?.line === remark.source?.line;
    if (again) list[list.length - 1] = { ...last, times: last.times + 1 };
    else list.push({ ...remark, times: 1 });
  }
  said.value = list.slice(-maxSaid);
}

/** What is laid over the picture, and never in it. */
export const paper = signal(false);
/** Whether the picture is drawn pixel for pixel as `juggle render` does. */
export const exact = signal(false);
export const keysShown = signal(false);
/** Where the pointer is over the picture, in the sketch's units. */
export const pointer = signal<{ readonly x: number; readonly y: number } | undefined>();
/** Outlines only, so that what is hidden shows; boxes; numbers in the order of drawing. */
export const outlines = signal(false);
export const boxes = signal(false);
export const numbers = signal(false);

/** What the frame at hand drew, once somebody looks; of which frame. */
export const description = signal<FrameDescription | undefined>();
/** The numbers of the items that are chosen, the first of them in detail. */
export const chosen = signal<readonly number[]>([]);
/** The numbers of the items that are left out of the picture. */
export const leftOut = signal<ReadonlySet<number>>(new Set());
/** Whether the list of items is open. */
export const partsOpen = signal(false);
/** Whether a click on the picture chooses what lies there. */
export const pointing = signal(false);
/** The numbers of what lay where it was clicked last, topmost first. */
export const pile = signal<readonly number[]>([]);
/** Whether anything on the page is made of the items. */
export const looksInside = computed(
  () => partsOpen.value || outlines.value || boxes.value || numbers.value || findingShown.value,
);
/** Whether the items of a finding are set off in the picture. */
export const findingShown = signal(false);
/** What the last check has found, and in which of the sketches that were shown. */
export const checked = signal<{ readonly findings: readonly Finding[]; readonly load: number } | undefined>();
/** How many sketches have been shown: another after each save. */
export const loads = signal(0);
/** Whether something was just dragged: the click that ends it chooses nothing. */
export const dragged = signal(false);
/** Whether a change is being tried out by hand: what is shown then is no save. */
export const tryingOut = signal(false);
/** The picture that is kept to compare with: the one before the last save, or one that was chosen. */
export const held = signal<{ readonly picture: ImageBitmap; readonly words: string } | undefined>();
/** Whether it is shown next to the current picture. */
export const besides = signal(false);
