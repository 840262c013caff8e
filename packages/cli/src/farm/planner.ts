import type { ChunkFacts } from './order.ts';

type Stretch = readonly [first: number, last: number];

/** Milliseconds that a chunk takes at best: so long that handing it over is nothing beside it, so short that a worker lost is no great loss. */
const target = { least: 1500, most: 60_000 };

/** Cuts a film into chunks as it goes on, by what its frames have cost so far. */
export class Planner {
  private at: number;
  /** Milliseconds a frame, of the chunk that came last. */
  private cost: number | undefined;
  private there = new Map<number, Stretch>();
  /** How many frames are put together. */
  joined = 0;

  /** @param early how many frames a chunk renders before its first, under a carry */
  constructor(
    private readonly frames: Stretch,
    private readonly early: number,
  ) {
    this.at = frames[0];
  }

  /** Whether all of the film is cut. */
  get done(): boolean {
    return this.at > this.frames[1];
  }

  /** Tells which chunks are rendered already. */
  know(chunks: readonly ChunkFacts[]): void {
    for (const { frames } of chunks) {
      const other = this.there.get(frames[0]);
      if (other === undefined || other[1] < frames[1]) this.there.set(frames[0], frames);
    }
  }

  /** Learns what a chunk has cost. */
  measure({ frames: [first, last], took }: ChunkFacts): void {
    this.joined += last - first + 1;
    this.cost = took / (last - first + 1);
  }

  /** The next chunk, and whether it is rendered already. */
  next(workers: number): { frames: Stretch; there: boolean } {
    const known = this.there.get(this.at);
    const last = known?.[1] ?? Math.min(this.at + this.size(workers) - 1, this.frames[1], ...this.starts());
    const frames: Stretch = [this.at, last];
    this.at = last + 1;
    return { frames, there: known !== undefined };
  }

  /** The frames before chunks that are rendered already: none is rendered twice. */
  private starts(): number[] {
    return [...this.there.keys()].filter((first) => first > this.at).map((first) => first - 1);
  }

  private size(workers: number): number {
    const left = this.frames[1] - this.at + 1;
    // Towards the end chunks get smaller, so that no worker is left with one while the others have none.
    const fair = Math.ceil(left / (workers * 3));
    const [least, most] = this.cost === undefined ? [8, 24] : [target.least / this.cost, target.most / this.cost];
    const wanted = Math.ceil(Math.max(Math.min(fair, most), least));
    // What is rendered only to be stood on is no more than half of it.
    return Math.max(wanted, Number.isFinite(this.early) ? this.early : 1);
  }
}
