import { SketchError } from '../error.ts';
import type { DialMap } from '../sketch/dials.ts';
import { sketchKind, type Sketch } from '../sketch/sketch.ts';
import type { Performer, PerformerSetting } from './performer.ts';
import { Player, type MountOptions } from './player.ts';

/**
 * Shows a sketch in a page: on a canvas element, or on a new one inside any other element, which goes again with
 * `stop`.
 * @param target the element, or a selector for it
 * @throws SketchError where there is no such element, it is no sketch, or an option is unknown or not valid
 */
export function mount<Dials extends DialMap>(
  sketch: Sketch<Dials>,
  target: Element | string,
  options: MountOptions<NoInfer<Dials>> = {},
): Player<Dials> {
  return mountWith(sketch, target, options);
}

/** The same, where something else than the page may run and draw it. */
export function mountWith<Dials extends DialMap>(
  sketch: Sketch<Dials>,
  target: Element | string,
  options: MountOptions<Dials>,
  perform?: (setting: PerformerSetting) => Performer,
): Player<Dials> {
  if (typeof document === 'undefined')
    throw new SketchError({ call: 'mount', problem: 'there is no page here', expected: 'call it in a browser' });
  // What a worker runs is the worker's sketch: the page has only what is to be known of it.
  if (perform === undefined) sketchKind.read('mount', 'sketch', sketch);
  const found = elementOf(target);
  if (isCanvas(found)) return new Player(sketch, found, options, perform);
  const element = found.ownerDocument.createElement('canvas');
  element.style.height = 'auto';
  element.style.maxWidth = '100%';
  // How large it will be is known once it is there.
  found.append(element);
  try {
    return new MountedPlayer(sketch, element, options, perform);
  } catch (error) {
    element.remove();
    throw error;
  }
}

function elementOf(target: unknown): Element {
  let found: unknown;
  try {
    found = typeof target === 'string' ? document.querySelector(target) : target;
  } catch (cause) {
    throw notAnElement(target, 'is not a selector', cause);
  }
  // That of a frame within the page is one of another kind of Element.
  if (typeof found === 'object' && (found as Element | null)?.nodeType === 1) return found as Element;
  throw notAnElement(target, 'is not an element of this page');
}

function notAnElement(value: unknown, problem: string, cause?: unknown): SketchError {
  return new SketchError({ call: 'mount', option: 'target', value, problem, expected: 'expected an element, or a selector of one', cause }); // prettier-ignore
}

const isCanvas = (element: Element): element is HTMLCanvasElement => element.localName === 'canvas';

/** A player on an element that was made for it. */
class MountedPlayer<Dials extends DialMap> extends Player<Dials> {
  override stop(): void {
    super.stop();
    this.element.remove();
  }
}
