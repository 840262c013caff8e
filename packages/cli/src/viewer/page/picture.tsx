import { useEffect, useRef } from 'preact/hooks';
import { computed, signal } from '@preact/signals';
import type { ComponentChildren } from 'preact';
import type { SketchHost } from './host.ts';
import * as state from './state.ts';

/** Room about the picture, in pixels. */
const margin = 20;
const maxZoom = 64;

/** The room that there is, in pixels of the page. */
const room = signal({ width: 0, height: 0 });
/** How many times larger than fitted the picture is shown, and where its middle lies then, in parts of its size. */
export const zoom = signal(1);
const center = signal({ x: 0.5, y: 0.5 });

/** Pixels of the page to one of the canvas, where it is fitted into the room. */
const fitted = computed(() => {
  const { width, height } = state.facts.value ?? { width: 1, height: 1 };
  const [across, down] = [(room.value.width - 2 * margin) / width, (room.value.height - 2 * margin) / height];
  return Math.max(0.05, Math.min(across, down));
});

/** Where the picture lies in its room, in pixels of the page. */
export const placed = computed(() => {
  const facts = state.facts.value ?? { width: 1, height: 1 };
  const scale = fitted.value * zoom.value;
  const [width, height] = [facts.width * scale, facts.height * scale];
  const { x, y } = center.value;
  return { scale, width, height, left: room.value.width / 2 - x * width, top: room.value.height / 2 - y * height };
});

/** Zooms about a point of the room, which stays where it is. */
export function zoomTo(wanted: number, x = room.value.width / 2, y = room.value.height / 2): void {
  const { left, top, width, height } = placed.value;
  const next = Math.min(maxZoom, Math.max(1, wanted));
  const grown = next / zoom.value;
  const [px, py] = [(x - left) / width, (y - top) / height];
  zoom.value = next;
  if (next === 1) center.value = { x: 0.5, y: 0.5 };
  else moveTo(px + (room.value.width / 2 - x) / (width * grown), py + (room.value.height / 2 - y) / (height * grown));
}

function moveTo(x: number, y: number): void {
  center.value = { x: Math.min(1, Math.max(0, x)), y: Math.min(1, Math.max(0, y)) };
}

/** Moves the picture within its room, where it is zoomed. */
export function panBy(dx: number, dy: number): void {
  const { width, height } = placed.value;
  if (zoom.value > 1) moveTo(center.value.x - dx / width, center.value.y - dy / height);
}

/** Where the picture is shown; aids lie over it, in the same place. */
export function PictureRoom(given: { host: SketchHost; place: HTMLElement; children: ComponentChildren }) {
  const { host, place, children } = given;
  const stage = useRef<HTMLElement>(null);
  useEffect(() => {
    const element = stage.current!;
    const wheel = (event: WheelEvent): void => {
      event.preventDefault();
      const box = element.getBoundingClientRect();
      if (event.ctrlKey || event.metaKey || zoom.value === 1)
        zoomTo(zoom.value * Math.exp(-event.deltaY / 300), event.clientX - box.left, event.clientY - box.top);
      else panBy(-event.deltaX, -event.deltaY);
    };
    // A page's own wheel listeners may not keep it from scrolling unless they say so.
    element.addEventListener('wheel', wheel, { passive: false });
    const resized = new ResizeObserver(() => {
      room.value = { width: element.clientWidth, height: element.clientHeight };
    });
    resized.observe(element);
    return () => {
      resized.disconnect();
      element.removeEventListener('wheel', wheel);
    };
  }, []);
  const density = fitted.value * devicePixelRatio;
  useEffect(() => {
    // While the window is being resized nothing is drawn; one picture of the new size comes at the end.
    const timer = setTimeout(() => state.facts.value && host.setDensity(density), 120);
    return () => clearTimeout(timer);
  }, [density, host]);
  const hold = useRef<HTMLDivElement>(null);
  useEffect(() => hold.current?.prepend(place), [place]);
  const { left, top, width, height } = placed.value;
  /** Chooses what lies where the picture is clicked; once more there, what lies below it. */
  const pick = (event: MouseEvent): void => {
    const at = state.pointer.value;
    const wasDragged = state.dragged.value;
    state.dragged.value = false;
    if (wasDragged) return;
    if (!state.pointing.value || at === undefined) return;
    event.preventDefault();
    host.ask('itemsAt', at).then(
      (found) => {
        const same = found.join() === state.pile.value.join();
        const next = same ? found.indexOf(state.chosen.value[0]) + 1 : 0;
        state.pile.value = found;
        state.chosen.value = found.length === 0 ? [] : [found[next % found.length]];
      },
      () => undefined,
    );
  };
  return (
    <main id="stage" ref={stage} onClick={pick}>
      <div
        id="placed"
        ref={hold}
        class={[zoom.value > 2 && 'pixels', state.outlines.value && 'outlined', state.pointing.value && 'pointed']
          .filter(Boolean)
          .join(' ')}
        style={{ left: `${left}px`, top: `${top}px`, width: `${width}px`, height: `${height}px` }}
      >
        {children}
      </div>
    </main>
  );
}
