import type { Fit } from './picture-box.ts';

/*
 * How a canvas behaves in a page that is not ours. Each function gives back what undoes it, so that a player that stops
 * leaves the page as it was.
 */

type Undo = () => void;

const marks = ['role', 'aria-label', 'aria-description', 'style', 'tabindex', 'width', 'height'];

/** Gives a canvas a role and a name, where it has none, and its size in the page, which is the same at any density. */
export function dress(
  element: HTMLCanvasElement,
  title: string,
  { width, height }: { readonly width: number; readonly height: number },
  fit: Fit,
): Undo {
  const before = marks.map((name) => [name, element.getAttribute(name)] as const);
  const { cssText } = element.style;
  if (!element.hasAttribute('role')) element.setAttribute('role', 'img');
  if (!element.hasAttribute('aria-label') && !element.hasAttribute('aria-labelledby'))
    element.setAttribute('aria-label', title);
  if (fit !== 'none') Object.assign(element.style, { display: 'block', width: '100%', height: '100%', objectFit: fit });
  // Without a size by style, it would grow with its pixels.
  else if (!hasOwnSize(element)) element.style.width = `${width}px`;
  // Its pixels are whole numbers, whose proportions are a little off: its size is not to follow them.
  if (!/^\d/.test(getComputedStyle(element).aspectRatio)) element.style.aspectRatio = `${width} / ${height}`;
  return () => {
    // A page's policy may forbid to write a style as an attribute, which is only needed where the page wrote it otherwise.
    element.style.cssText = cssText;
    for (const [name, value] of before)
      if (value === null) element.removeAttribute(name);
      else if (element.getAttribute(name) !== value) element.setAttribute(name, value);
  };
}

function hasOwnSize(element: HTMLCanvasElement): boolean {
  if (element.style.width !== '' || element.clientWidth === 0) return element.style.width !== '';
  const { clientWidth } = element;
  element.width += 8;
  return element.clientWidth === clientWidth;
}

/** Reports whether a canvas is visible on the screen, whenever that changes. */
export function whenSeen(element: HTMLCanvasElement, told: (seen: boolean) => void): Undo {
  const observer = new IntersectionObserver((entries) => told(entries.at(-1)!.isIntersecting));
  observer.observe(element);
  return () => observer.disconnect();
}

/**
 * Tells an element's size inside its padding, in pixels of the page, at first and whenever that changes: as the screen has
 * it, in whole pixels of its own.
 */
export function whenSized(element: HTMLElement, told: (box: readonly [width: number, height: number]) => void): Undo {
  const view = element.ownerDocument.defaultView!;
  const observer = new ResizeObserver((entries) => {
    const { devicePixelContentBoxSize, contentRect } = entries.at(-1)!;
    const density = view.devicePixelRatio;
    const [exact] = devicePixelContentBoxSize ?? [];
    // Not every browser reports them, and an emulated screen may report wrong ones.
    const pixels = (told: number | undefined, length: number): number =>
      told !== undefined && Math.abs(told - length * density) <= 1 ? told : length * density;
    const width = pixels(exact?.inlineSize, contentRect.width);
    const height = pixels(exact?.blockSize, contentRect.height);
    if (width > 0 && height > 0) told([width / density, height / density]);
  });
  try {
    observer.observe(element, { box: 'device-pixel-content-box' });
  } catch {
    observer.observe(element);
  }
  return () => observer.disconnect();
}

/** Tells whenever the screen's density changes: as the page is enlarged, or its window moved to another screen. */
export function whenDensityChanges(view: Window, told: () => void): Undo {
  let query: MediaQueryList;
  const listen = (): void => {
    query = view.matchMedia(`(resolution: ${view.devicePixelRatio}dppx)`);
    query.addEventListener('change', changed, { once: true });
  };
  const changed = (): void => {
    listen();
    told();
  };
  listen();
  return () => query.removeEventListener('change', changed);
}

/** Whether the person has asked for little motion: then nothing plays before it is asked to. */
export function prefersRest(view: Window): boolean {
  return view.matchMedia('(prefers-reduced-motion: reduce)').matches;
}
