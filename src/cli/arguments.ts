import { InvalidArgumentError, Option } from 'commander';

/** What the common options come to. */
export interface RunArguments {
  frame?: number;
  at?: number;
  size?: { width: number; height: number };
  density?: number;
  seed?: number;
  quiet?: boolean;
}

/** A whole number that is not negative. */
function wholeNumber(text: string): number {
  if (/^\d+$/.test(text)) return Number(text);
  throw new InvalidArgumentError('Expected a whole number, 0 or more.');
}

/** A number that is not negative. */
function plainNumber(text: string): number {
  const value = Number(text);
  if (text.trim() !== '' && Number.isFinite(value) && value >= 0) return value;
  throw new InvalidArgumentError('Expected a number, 0 or more.');
}

function pixelSize(text: string): { width: number; height: number } {
  const found = /^(\d+)x(\d+)$/i.exec(text);
  if (found) return { width: Number(found[1]), height: Number(found[2]) };
  throw new InvalidArgumentError('Expected WIDTHxHEIGHT, for example 1280x720.');
}

export const frameOption = (): Option =>
  new Option('--frame <n>', 'the frame, counted from 0').argParser(wholeNumber).conflicts('at');
export const atOption = (): Option =>
  new Option('--at <seconds>', 'the frame that is shown at a moment').argParser(plainNumber);
export const sizeOption = (): Option =>
  new Option('--size <WxH>', "the canvas's size in place of the sketch's own").argParser(pixelSize);
export const densityOption = (): Option =>
  new Option('--density <n>', 'pixels of the picture to one of the canvas').argParser(plainNumber);
export const seedOption = (): Option => new Option('--seed <n>', 'the seed of its chance').argParser(wholeNumber);
export const quietOption = (): Option => new Option('-q, --quiet', 'print nothing but errors');
export const portOption = (): Option =>
  new Option('--port <n>', 'the port to listen on; any free one if left out').argParser(wholeNumber);
