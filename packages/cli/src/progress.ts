import { createRequire } from 'node:module';
import type { SingleBar } from 'cli-progress';
import type { LoadListener } from 'frame-juggler';

const require = createRequire(import.meta.url);

/** Where there is no terminal, a line is printed this often, in milliseconds. */
const lineEvery = 2000;
/** Jobs shorter than this say nothing of their progress. */
const quietFor = 700;

/** Tells how far a long job is: a bar on a terminal, plain lines elsewhere, nothing where nothing is to be said. */
export class Progress {
  private readonly began = Date.now();
  private lastLine = this.began;
  private lastFrame = 0;
  private bar: SingleBar | undefined;

  /** @param what is counted, "frames" */
  constructor(
    private readonly what: string,
    private readonly quiet: boolean,
    private readonly stream: NodeJS.WriteStream = process.stderr,
  ) {}

  /** Called as a sketch's files are loaded. */
  readonly loading: LoadListener = (done, total, name) => {
    if (!this.quiet && Date.now() - this.began > quietFor) this.line(`Loaded ${done} of ${total} files: ${name}`);
  };

  /** Says something about the sketch that is no error. */
  note(text: string): void {
    if (!this.quiet) this.line(`Note: ${text}`);
  }

  /** Says what the work waits for. */
  waiting(text: string): void {
    if (!this.quiet && this.bar === undefined) this.line(text);
  }

  at(done: number, total: number): void {
    if (this.quiet || total < 2) return;
    const now = Date.now();
    if (now - this.began < quietFor) return;
    this.lastFrame = Infinity;
    const seconds = (now - this.began) / 1000;
    const rate = `${(done / seconds).toFixed(1)} ${this.what}/s`;
    const left = duration(((total - done) * seconds) / done);
    if (this.stream.isTTY) {
      if (this.bar === undefined) {
        // Most jobs are done before there is a bar.
        const bars = require('cli-progress') as typeof import('cli-progress');
        const format = `{bar} {value}/{total} ${this.what} · {rate} · {left} left`;
        this.bar = new bars.SingleBar(
          { format, stream: this.stream, hideCursor: true, barsize: 30 },
          bars.Presets.shades_classic,
        );
        this.bar.start(total, done, { rate, left });
      }
      this.bar.update(done, { rate, left });
    } else if (now - this.lastLine >= lineEvery) {
      this.lastLine = now;
      this.line(`${done} of ${total} ${this.what}, ${rate}, ${left} left`);
    }
  }

  /** Tells at which frame a run is that goes to a late one, where nothing else is told. */
  onTheWay(frame: number): void {
    const now = Date.now();
    if (this.quiet || this.bar !== undefined || now - this.lastLine < lineEvery || frame <= this.lastFrame) return;
    this.lastLine = now;
    this.lastFrame = frame;
    this.line(`On the way, at frame ${frame}`);
  }

  /** Ends the bar, so that other lines can follow. */
  end(): void {
    this.bar?.stop();
    this.bar = undefined;
  }

  private line(text: string): void {
    this.stream.write(`${text}\n`);
  }
}

/** Seconds as a person reads them: `12 s`, `3 min 5 s`. */
function duration(seconds: number): string {
  const whole = Math.max(0, Math.round(seconds));
  return whole < 60 ? `${whole} s` : `${Math.floor(whole / 60)} min ${whole % 60} s`;
}
