import { InvalidArgumentError, Option, type Command } from 'commander';

/** What the options come to that choose a run of a sketch. */
export interface RunArguments {
  size?: { width: number; height: number };
  density?: number;
  seed?: number | 'new';
  dial?: readonly (readonly [name: string, value: string])[];
  input?: string;
  patience?: number;
}

/** What the options come to that choose one frame. */
export interface FrameArguments {
  frame?: number;
  seconds?: number;
}

/** What the options come to that say how a job tells of itself. */
export interface ReportArguments {
  quiet?: boolean;
  json?: boolean;
}

/** A whole number that is not negative. */
function wholeNumber(text: string): number {
  if (/^\d+$/.test(text)) return exact(Number(text));
  throw new InvalidArgumentError('Expected a whole number, 0 or more.');
}

/** A whole number that is told from the one after it. */
function exact(number: number): number {
  if (Number.isSafeInteger(number)) return number;
  throw new InvalidArgumentError(`Expected a whole number up to ${Number.MAX_SAFE_INTEGER}.`);
}

/** A seed, or the word that asks for another. */
function seed(text: string): number | 'new' {
  return text === 'new' ? text : wholeNumber(text);
}

/** A whole number above 0. */
function count(text: string): number {
  if (/^\d+$/.test(text) && Number(text) > 0) return exact(Number(text));
  throw new InvalidArgumentError('Expected a whole number, 1 or more.');
}

/** A number that is not negative. */
function plainNumber(text: string): number {
  const value = Number(text);
  if (text.trim() !== '' && Number.isFinite(value) && value >= 0) return value;
  throw new InvalidArgumentError('Expected a number, 0 or more.');
}

/** A moment, or from when to when. */
function momentOrStretch(text: string): number | [number, number] {
  const parts = text.split('..');
  const [from, to] = parts.map(Number);
  if (parts.length === 1) return plainNumber(text);
  if (parts.length === 2 && !parts.includes('') && from >= 0 && to > from && Number.isFinite(to)) return [from, to];
  throw new InvalidArgumentError('Expected a moment, for example 4.5, or FROM..TO, for example 2..4.5.');
}

function pixelSize(text: string): { width: number; height: number } {
  const found = /^(\d+)x(\d+)$/i.exec(text);
  if (found) return { width: Number(found[1]), height: Number(found[2]) };
  throw new InvalidArgumentError('Expected WIDTHxHEIGHT, for example 1280x720.');
}

function numberRange(text: string): [number, number] {
  const found = /^(\d+)\.\.(\d+)$/.exec(text);
  if (found && Number(found[1]) <= Number(found[2])) return [exact(Number(found[1])), exact(Number(found[2]))];
  throw new InvalidArgumentError('Expected FIRST..LAST, for example 0..59.');
}

function share(text: string): [number, number] {
  const found = /^(\d+)\/(\d+)$/.exec(text);
  if (found && Number(found[1]) >= 1 && Number(found[1]) <= Number(found[2])) return [exact(Number(found[1])), exact(Number(found[2]))]; // prettier-ignore
  throw new InvalidArgumentError('Expected PART/PARTS, for example 2/8.');
}

function frameList(text: string): number[] {
  const numbers = text.split(',').map((part) => part.trim());
  if (numbers.every((part) => /^\d+$/.test(part))) return numbers.map((part) => exact(Number(part)));
  throw new InvalidArgumentError('Expected frames with commas between them, for example 0,12,30.');
}

function dialSetting(text: string, before: [string, string][] = []): [string, string][] {
  const found = /^([^=]+)=(.*)$/s.exec(text);
  if (found) return [...before, [found[1], found[2]]];
  throw new InvalidArgumentError('Expected NAME=VALUE, for example swell=20.');
}

/** A dial and its values as text; undefined for those it has by itself. */
export type Varied = readonly [name: string, values: string | undefined];

function varied(text: string, before: Varied[] = []): Varied[] {
  const [name, ...rest] = text.split('=');
  if (name === '') throw new InvalidArgumentError('Expected NAME=A..B, NAME=VALUE,VALUE or NAME.');
  return [...before, [name, rest.length === 0 ? undefined : rest.join('=')]];
}

/** The options that choose what a run is fed: chance, dials, input. */
export function addInputOptions(command: Command): Command {
  return command
    .addOption(seedOption())
    .addOption(dialOption())
    .addOption(new Option('--input <track>', 'replays recorded pointer and keys'));
}

/** The options that choose a run: its size, what it is fed, and how long it may take. */
export function addRunOptions(command: Command): Command {
  return addInputOptions(command)
    .addOption(sizeOption())
    .addOption(new Option('--density <n>', 'pixels of the picture per pixel of the canvas').argParser(plainNumber))
    .addOption(patienceOption(10));
}

export const seedOption = (): Option =>
  new Option('--seed <n>', 'the seed of its random numbers, or new for a different one each time').argParser(seed);
export const dialOption = (): Option =>
  new Option('--dial <name=value>', 'sets a dial; can be repeated').argParser(dialSetting);
export const sizeOption = (): Option =>
  new Option('--size <WxH>', "the size of the canvas, instead of the sketch's own").argParser(pixelSize);

/** @param seconds what holds where nothing is given */
export const patienceOption = (seconds: number): Option =>
  new Option('--patience <seconds>', 'how long one frame may take, 0 for no limit')
    .argParser(plainNumber)
    .default(seconds);

export const frameOption = (): Option =>
  new Option('--frame <n>', 'the frame, counted from 0').argParser(wholeNumber).conflicts('seconds');
export const secondsOption = (flag = '--seconds <s>', text = 'the frame shown at that moment'): Option =>
  new Option(flag, text).argParser(plainNumber);
export const stretchOption = (
  text = 'the frame at that moment, or A..B for all frames from one moment to another',
): Option => new Option('--seconds <s>', text).argParser(momentOrStretch);
export const seedsOption = (): Option =>
  new Option('--seeds <A..B>', 'one frame with each of these seeds, instead of several frames').argParser(numberRange);
export const varyOption = (): Option =>
  new Option('--vary <dial=values>', 'one frame with each of these values of a dial, A..B or a,b,c (default: all that the dial has); a second --vary, or --seeds, sets the rows').argParser(varied); // prettier-ignore
export const framesOption = (text = 'the first and last frame (default: the whole run)'): Option =>
  new Option('--frames <A..B>', text).argParser(numberRange);
export const pickOption = (): Option =>
  new Option('--pick <n,n,…>', 'only these frames').argParser(frameList).conflicts(['frames', 'count']);
export const wholeNumberOption = (flag: string, text: string): Option => new Option(flag, text).argParser(wholeNumber);
export const countOption = (flag: string, text: string): Option => new Option(flag, text).argParser(count);
export const shardOption = (): Option =>
  new Option('--shard <I/N>', 'makes the I-th of N parts of a sequence').argParser(share);
export const quietOption = (): Option => new Option('-q, --quiet', 'print only errors');
export const jsonOption = (): Option => new Option('--json', 'print the result as JSON');
export const portOption = (): Option =>
  new Option('--port <n>', 'the port to listen on (default: any free one)').argParser(wholeNumber);
