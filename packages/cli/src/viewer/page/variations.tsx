import type { ComponentChildren } from 'preact';
import { useRef, useState } from 'preact/hooks';
import type { Variation } from '../messages.ts';
import { Button } from './button.tsx';
import type { SketchHost } from './host.ts';
import * as state from './state.ts';

/** One picture of a sheet of variations. */
export interface Choice {
  /** What is otherwise in it, in words. */
  readonly text: string;
  /** Whether the sketch is like that now. */
  readonly isCurrent: boolean;
  readonly change: Variation;
  /** Makes the sketch like that. */
  readonly choose: () => void;
}

/**
 * A sheet of the frame at hand as it would be otherwise, to choose from. Its children are buttons of its head.
 * Whatever plays on behind it, all of it is of one frame.
 */
export function Variations(given: {
  host: SketchHost;
  /** Under what it is shown: "under 9 seeds". */
  title: string;
  columns: number;
  variations: readonly Choice[];
  onClose: () => void;
  children?: ComponentChildren;
}) {
  const { host, title, columns, variations, onClose, children } = given;
  const [frame] = useState(state.shown.value.frame);
  const dialog = useRef<HTMLDialogElement>(null);
  const open = (element: HTMLDialogElement | null): void => {
    dialog.current = element;
    if (element !== null && !element.open) element.showModal();
  };
  return (
    <dialog ref={open} class="sheet" aria-label="Variations" onClose={onClose}>
      <header>
        <h2>
          Frame {frame} {title}
        </h2>
        <div class="buttons">
          {children}
          <Button name="Close without choosing" onClick={() => dialog.current?.close()}>
            Close
          </Button>
        </div>
      </header>
      <div class="variations" style={{ '--columns': columns }}>
        {variations.map((choice) => (
          <Tile
            key={choice.text}
            host={host}
            frame={frame}
            choice={choice}
            onChoose={() => {
              choice.choose();
              dialog.current?.close();
            }}
          />
        ))}
      </div>
    </dialog>
  );
}

function Tile(given: { host: SketchHost; frame: number; choice: Choice; onChoose: () => void }) {
  const { host, frame, choice, onChoose } = given;
  const [fault, setFault] = useState('');
  const asked = useRef(false);
  const { width = 1, height = 1 } = state.facts.value ?? {};
  const paint = (canvas: HTMLCanvasElement | null): void => {
    if (canvas === null || asked.current) return;
    asked.current = true;
    host.ask('variation', { ...choice.change, frame, width: 320 }).then(
      (picture) => {
        canvas.width = picture.width;
        canvas.height = picture.height;
        canvas.getContext('bitmaprenderer')?.transferFromImageBitmap(picture);
      },
      (error: Error) => setFault(error.message),
    );
  };
  return (
    <button type="button" class="variation" aria-current={choice.isCurrent} onClick={onChoose}>
      <canvas ref={paint} style={{ aspectRatio: `${width} / ${height}` }} />
      <span>{choice.text}</span>
      {fault !== '' && <span class="fault">{fault}</span>}
    </button>
  );
}
