import { SketchError } from '../error.ts';
import type { DialMap } from '../sketch/dials.ts';
import type { Sketch } from '../sketch/sketch.ts';
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
  const found = typeof target === 'string' ? document.querySelector(target) : target;
  if (!(found instanceof Element))
    throw new SketchError({
      call: 'mount',
      option: 'target',
      value: target,
      problem: 'is not an element of this page',
      expected: 'expected an element, or a selector of one',
    });
  if (found instanceof HTMLCanvasElement) return new Player(sketch, found, options, perform);
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

/** A player on an element that was made for it. */
class MountedPlayer<Dials extends DialMap> extends Player<Dials> {
  override stop(): void {
    super.stop();
    this.element.remove();
  }
}
