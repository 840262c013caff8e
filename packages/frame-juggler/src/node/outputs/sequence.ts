import { mkdir, readdir, readFile, rm, stat } from 'node:fs/promises';
import path from 'node:path';
import { SketchError } from '../../error.ts';
import { describe } from '../describe.ts';
import { isWholePng, pngSignature } from '../png-chunks.ts';
import { readProvenance, type Provenance } from '../provenance.ts';
import type { Destination } from '../sink.ts';
import { claim, type Claim } from '../unfinished.ts';
import { writeAtomically } from '../write-atomically.ts';
import type { Output, OutputSetting, SequenceOptions } from './output.ts';

/** The place of the frame's number in a sequence's name: `%d`, or `%04d` for at least four digits. */
const numberMark = /%(?:0(\d+))?d/;

/** Whether an output's name is that of a sequence. */
export function isSequence(output: Destination): output is string {
  return typeof output === 'string' && numberMark.test(path.basename(output));
}

/** The name of one frame's file. */
export function frameFile(output: string, frame: number): string {
  const named = path.basename(output).replace(numberMark, (_, digits: string | undefined) => String(frame).padStart(Number(digits ?? 0), '0')); // prettier-ignore
  return path.join(path.dirname(output), named);
}

/**
 * A file a frame, `frames/%04d.png` or `.svg`. Each tells which run it is of, so that frames of two runs are never
 * mixed: where some of another are there, it is an error, unless they are to be replaced.
 */
export async function openSequence(
  output: string,
  setting: OutputSetting,
  { resume, overwrite }: SequenceOptions,
): Promise<Output> {
  const folder = path.dirname(output);
  await makeFolder(folder);
  const claimed = await claim(output);
  try {
    return await sequenceIn(claimed, output, setting, { resume, overwrite });
  } catch (error) {
    await claimed.release();
    throw error;
  }
}

async function sequenceIn(
  { release }: Claim,
  output: string,
  setting: OutputSetting,
  { resume, overwrite }: SequenceOptions,
): Promise<Output> {
  const found = await framesThere(output);
  // With --resume, a file that was cut off before its fingerprint is simply made again.
  const others = found.filter(({ texts, cut }) => texts.Run !== setting.fingerprint && !(resume && cut));
  if (others.length > 0 && !overwrite) throw ofAnotherRun(others);
  for (const { file, texts } of others) if (texts.Software === 'Frame Juggler') await rm(file, { force: true });
  const own = found.filter(({ frame, texts }) => texts.Run === setting.fingerprint && within(frame, setting.frames));
  // A damaged frame is made again, like a missing one.
  const there = new Set(resume ? own.filter(({ whole }) => whole).map(({ frame }) => frame) : []);
  // The last frame is made again, to find out whether the sketch still paints the same.
  const last = Math.max(...there);
  there.delete(last);
  return {
    // To replace a file takes a disk as long as to draw a small frame. None may come before the one that is made again.
    inAnyOrder: last === -Infinity,
    has: (frame) => there.has(frame),
    async add(frame, bytes) {
      const file = frameFile(output, frame);
      if (frame === last && !Buffer.from(bytes).equals(await readFile(file).catch(() => bytes)))
        throw new SketchError({
          problem: `${file} is not what the sketch paints now: something it uses has changed since`,
          expected: 'expected --overwrite in place of --resume, or another folder',
        });
      await writeAtomically(file, bytes, { claims: false });
    },
    finish: release,
    abandon: release,
  };
}

interface FoundFrame {
  readonly frame: number;
  readonly file: string;
  readonly texts: Provenance;
  /** Whether all of the file is there, and as it was written. */
  readonly whole: boolean;
  /** Whether it begins like a frame's file, but ends before its fingerprint. */
  readonly cut: boolean;
}

async function framesThere(output: string): Promise<FoundFrame[]> {
  const folder = path.dirname(output);
  const [before, after] = path.basename(output).split(numberMark).filter((_, index) => index !== 1); // prettier-ignore
  const found: FoundFrame[] = [];
  for (const entry of (await readdir(folder)).sort()) {
    if (!entry.startsWith(before) || !entry.endsWith(after)) continue;
    const number = entry.slice(before.length, entry.length - after.length);
    const file = path.join(folder, entry);
    if (!/^\d+$/.test(number) || frameFile(output, Number(number)) !== file) continue;
    const bytes = await readFile(file);
    const whole = after.endsWith('.svg') ? /<\/svg>\s*$/.test(bytes.toString()) : isWholePng(bytes);
    const texts = readProvenance(bytes);
    const begins = Buffer.from(after.endsWith('.svg') ? '<svg ' : pngSignature);
    const cut = texts.Run === undefined && !whole && bytes.subarray(0, begins.length).equals(begins.subarray(0, bytes.length)); // prettier-ignore
    found.push({ frame: Number(number), file, texts, whole, cut });
  }
  return found;
}

function ofAnotherRun(others: readonly FoundFrame[]): SketchError {
  const [{ file, texts }] = others;
  if (others.every((other) => other.cut))
    return new SketchError({
      problem: `${file}${others.length > 1 ? ` and ${others.length - 1} more are` : ' is'} cut short`,
      expected: 'expected --resume to make what is missing, or --overwrite to replace what is there',
    });
  const more = others.length > 1 ? ` and ${others.length - 1} more` : '';
  const whose = texts.Seed === undefined ? '' : ` (${texts.Title}, seed ${texts.Seed})`;
  return new SketchError({
    problem: `${file}${more} ${others.length > 1 ? 'are' : 'is'} of another run${whose}`,
    expected: 'expected another folder, or --overwrite to replace what is there',
  });
}

function within(frame: number, [first, last]: readonly [number, number]): boolean {
  return frame >= first && frame <= last;
}

/**
 * Makes a folder and its parents, one by one. If asked for all of them at once, Node reports the wrong one when it is not
 * allowed to write, and never returns for a place that cannot hold folders.
 * @throws SketchError that says in words why it could not be done
 */
async function makeFolder(folder: string): Promise<void> {
  const isFolder = (place: string): Promise<boolean> => stat(place).then((found) => found.isDirectory(), () => false); // prettier-ignore
  const above = path.dirname(folder);
  if (await isFolder(folder)) return;
  if (above !== folder && !(await isFolder(above))) await makeFolder(above);
  try {
    await mkdir(folder);
  } catch (error) {
    // Another render may have made it meanwhile.
    if (await isFolder(folder)) return;
    const { code } = error as NodeJS.ErrnoException;
    const reason = code === 'ENOENT' ? `${above} takes none` : describe(error, code === 'EEXIST' ? folder : above);
    throw new SketchError({ problem: `the folder ${folder} could not be made: ${reason}` });
  }
}
