import { spawn } from 'node:child_process';
import { once } from 'node:events';
import { rename } from 'node:fs/promises';
import path from 'node:path';
import { evenSide, y4mHead, type Chroma } from '../../formats/y4m.ts';
import { SketchError } from '../../error.ts';
import { describe } from '../describe.ts';
import { provenance, provenanceLines } from '../provenance.ts';
import { placeOf } from '../sink.ts';
import { claim } from '../unfinished.ts';
import type { Output, OutputOptions, OutputSetting, Products } from './output.ts';

/** The name of the encoder; any program that takes the same arguments will do. */
const encoder = process.env.JUGGLE_ENCODER ?? 'ffmpeg';

const codecs = {
  '.mp4': ['-c:v', 'libx264', '-crf', '16', '-preset', 'medium', '-movflags', '+faststart', '-f', 'mp4'],
  '.webm': ['-c:v', 'libvpx-vp9', '-crf', '22', '-b:v', '0', '-row-mt', '1', '-f', 'webm'],
} as const;

export type VideoExtension = keyof typeof codecs;

/**
 * A video, made by the encoder that is installed on the machine: it is handed plain pictures.
 * @throws SketchError where there is none
 */
export async function openVideo(
  file: string,
  setting: OutputSetting,
  extension: VideoExtension,
  { chroma, onProcess, onNote }: Pick<OutputOptions, 'chroma' | 'onProcess' | 'onNote'>,
): Promise<Output> {
  const place = (await placeOf(file)) ?? notAFile(file);
  const { unfinished, release } = await claim(place);
  const { width, height, frameRate, title } = setting;
  // With halved color both sides must be even: an odd one gets a copy of its last row or column.
  const even = isMadeEven(setting, chroma);
  const [wide, high] = even ? [evenSide(width), evenSide(height)] : [width, height];
  if (even)
    onNote?.(
      `${file} has ${wide} × ${high} pixels, not ${width} × ${height}: video that keeps color for pairs of pixels has even sides, and the last ones stand there twice; --chroma 444 keeps the size`,
    );
  const child = spawn(
    encoder,
    [
      // Without -xerror the encoder reports success even if a full disk cut the video short.
      ...['-hide_banner', '-loglevel', 'error', '-xerror', '-y', '-f', 'yuv4mpegpipe', '-i', 'pipe:0'],
      ...['-pix_fmt', chroma === '420' ? 'yuv420p' : 'yuv444p', '-colorspace', 'bt709', '-color_primaries', 'bt709'],
      ...['-color_trc', 'bt709', '-color_range', 'tv', ...codecs[extension]],
      ...['-metadata', `title=${title}`],
      ...[
        '-metadata',
        `comment=${provenanceLines(provenance({ ...setting, frame: setting.frames })).replaceAll('\n', '; ')}`,
      ],
      unfinished,
    ],
    // In a process group of its own, so that Ctrl-C reaches only us and we stop the encoder ourselves.
    { stdio: ['pipe', 'ignore', 'pipe'], detached: true },
  );
  let complaint = '';
  child.stderr.on('data', (data: Buffer) => (complaint += data.toString()));
  // A failed write shows when the encoder ends.
  child.stdin.on('error', () => undefined);
  const ended = new Promise<number>((resolve) => child.once('close', (code) => resolve(code ?? 1)));
  await once(child, 'spawn').catch(async (error: unknown) => {
    await release();
    throw missing(file, error);
  });
  onProcess?.(child.pid!);
  void ended.then(endWithUs(child.pid!));

  const send = async (bytes: Uint8Array): Promise<void> => {
    if (child.exitCode !== null) throw failed(file, complaint);
    if (!child.stdin.write(bytes)) await Promise.race([once(child.stdin, 'drain'), ended]);
  };
  const abandon = async (): Promise<void> => {
    // SIGKILL, because an encoder that waits for input ignores gentler signals.
    child.stdin.destroy();
    child.kill('SIGKILL');
    await ended;
    await release();
  };
  await send(y4mHead(wide, high, frameRate, chroma));
  return {
    add: (_, bytes) => send(bytes),
    async finish() {
      child.stdin.end();
      if ((await ended) !== 0) {
        await abandon();
        throw failed(file, complaint);
      }
      await rename(unfinished, place);
      await release();
    },
    abandon,
  };
}

/** What is made of a video's frames. */
export function videoProducts(setting: OutputSetting, { chroma }: Pick<OutputOptions, 'chroma'>): Products {
  const even = isMadeEven(setting, chroma);
  return () => ({ type: 'y4m', chroma, ...(even && { even }) });
}

function isMadeEven({ width, height }: OutputSetting, chroma: Chroma): boolean {
  return chroma === '420' && (width % 2 === 1 || height % 2 === 1);
}

/**
 * Makes sure that a process does not outlive this one, even if this one is killed: a shell reads from us and, when that
 * ends, kills the process. Returns a function that calls it off.
 */
function endWithUs(pid: number): () => void {
  if (process.platform === 'win32') return () => undefined;
  const stdio = ['pipe', 'ignore', 'ignore'] as const;
  const watcher = spawn('sh', ['-c', `read -r _; kill -9 ${pid}`], { stdio: [...stdio], detached: true });
  watcher.on('error', () => undefined);
  return () => watcher.kill('SIGKILL');
}

function notAFile(file: string): never {
  throw new SketchError({ problem: `${file} is not a file, and a video cannot go anywhere else` });
}

function missing(file: string, error: unknown): SketchError {
  const none = (error as NodeJS.ErrnoException).code === 'ENOENT';
  return new SketchError({
    problem: none
      ? `${path.extname(file)} needs an encoder, ${encoder}, which is not installed`
      : `the encoder ${encoder} could not be started: ${describe(error, encoder)}`,
    expected: 'install it, or write .y4m or a sequence like frames/%04d.png, which any encoder takes',
  });
}

function failed(file: string, complaint: string): SketchError {
  const last = complaint.trim().split('\n').at(-1) ?? '';
  const said = /No space left on device/.test(complaint) ? 'the disk is full' : `${encoder} says: ${last || 'nothing'}`;
  return new SketchError({ problem: `${file} could not be written: ${said}` });
}
