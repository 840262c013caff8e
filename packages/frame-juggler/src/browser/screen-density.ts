import { maxSide } from '../sketch/sketch.ts';
import { whenDensityChanges, whenSized } from './manners.ts';
import { contentBox, sharpDensity, type Fit } from './picture-box.ts';

type Size = readonly [width: number, height: number];

/** Tells the density at which a picture's pixels are the screen's, at first and whenever its element or its screen changes. */
export class ScreenDensity {
  /** The element's size inside its padding, in pixels of the page. */
  private box: Size | undefined;
  /** The screen's pixels to one of the page, when they were last looked at. */
  private ratio = 0;
  private sides: Size = [0, 0];
  private readonly undo: readonly (() => void)[];

  /**
   * @param size the sketch's canvas, in pixels of density 1
   * @param told hears of the density, where it makes a picture of other sides than the last; at once, where it is known
   */
  constructor(
    private readonly element: HTMLCanvasElement,
    private readonly size: { readonly width: number; readonly height: number },
    private readonly told: (density: number) => void,
  ) {
    const box = contentBox(element);
    if (box.width > 0) this.follow([box.width, box.height]);
    const view = element.ownerDocument.defaultView!;
    this.undo = [whenSized(element, (now) => this.follow(now)), whenDensityChanges(view, () => this.look())];
  }

  /** Checks whether the screen's density has changed, because not every browser reports every change. */
  look(): void {
    const { devicePixelRatio } = this.element.ownerDocument.defaultView!;
    if (devicePixelRatio === this.ratio || this.box === undefined) return;
    this.follow(this.box);
  }

  end(): void {
    for (const undo of this.undo) undo();
  }

  private follow(box: Size): void {
    const { element, size } = this;
    const { devicePixelRatio } = element.ownerDocument.defaultView!;
    this.box = box;
    this.ratio = devicePixelRatio;
    const screen = [Math.round(box[0] * devicePixelRatio), Math.round(box[1] * devicePixelRatio)] as const;
    const fit = getComputedStyle(element).objectFit as Fit;
    const { width, height } = size;
    const density = Math.min(sharpDensity(fit, screen, [width, height]), maxSide / Math.max(width, height));
    const sides = [Math.round(width * density), Math.round(height * density)] as const;
    if (fit === 'contain' || fit === 'cover') {
      // Half a pixel to the side, all would be blurred.
      const start = sides.map((side, i) => Math.trunc((screen[i] - side) / 2) / devicePixelRatio);
      element.style.objectPosition = start.map((pixels) => `${pixels}px`).join(' ');
    }
    if (sides[0] === this.sides[0] && sides[1] === this.sides[1]) return;
    this.sides = sides;
    this.told(density);
  }
}
