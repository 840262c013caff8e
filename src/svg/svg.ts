import { pictureSize, type Frame, type Group, type Item } from '../canvas/frame.ts';
import { walk } from '../canvas/painter-order.ts';
import { apply, inverse, type Matrix } from '../geometry/matrix.ts';
import { pathBox } from '../geometry/path.ts';
import { alphaOf, cssColor } from '../paint/color.ts';
import { Definitions } from './defs.ts';
import { outlineElement, transformText } from './outline.ts';
import { paintAttributes, placedImage } from './paint.ts';
import { element, short, textElement, type Attributes } from './xml.ts';

/**
 * A frame as an SVG 2 document, for a file or a page: a shape an element, groups as groups, labels as ids and titles,
 * text as its outlines with the string beside them for search and for screen readers.
 * @param frames the frame; or several, the last of them on what its carry leaves of those before
 * @param texts what the document tells of itself, by keyword; `Title` is its title
 */
export function writeSvg(frames: Frame | readonly Frame[], texts: Readonly<Record<string, string>> = {}): string {
  const list = Array.isArray(frames) ? (frames as readonly Frame[]) : [frames as Frame];
  return new SvgWriter(list[list.length - 1]).document(list, texts);
}

class SvgWriter {
  private readonly taken = new Set<string>();
  private readonly defs = new Definitions((wanted) => this.id(wanted));

  constructor(private readonly frame: Frame) {}

  document(frames: readonly Frame[], texts: Readonly<Record<string, string>>): string {
    const { width, height } = this.frame;
    const content = frames.reduce<string[]>((under, frame, index) => this.over(under, frame, index === 0), []);
    const lines = Object.entries(texts).map(([keyword, text]) => `${keyword}: ${text.replace(/\s+/g, ' ')}`);
    const size = pictureSize(this.frame);
    return `${element(
      'svg',
      { xmlns: 'http://www.w3.org/2000/svg', ...size, viewBox: `0 0 ${short(width)} ${short(height)}` },
      [
        ...(texts.Title === undefined ? [] : [textElement('title', texts.Title)]),
        ...(lines.length === 0 ? [] : [textElement('metadata', `\n${lines.join('\n')}\n`)]),
        ...this.defs.elements,
        ...content,
      ],
    )}\n`;
  }

  /** A frame's picture over what is left of the pictures before it. */
  private over(under: string[], frame: Frame, first: boolean): string[] {
    const { width, height, background, carry } = frame;
    const items = this.items(frame.items);
    const view = transformText(frame.view);
    const painted = view === undefined || items.length === 0 ? items : [element('g', { transform: view }, items)];
    const alpha = alphaOf(background);
    const whole = { width, height, fill: cssColor(background | (255 << 24)) };
    if (first || carry === 0)
      return [...(alpha === 0 ? [] : [element('rect', { ...whole, 'fill-opacity': faded(alpha / 255) })]), ...painted];
    // A veil of the background leaves `carry` of what lies under it; where there is none to veil with, that fades itself.
    if (alpha === 255)
      return [
        ...under,
        ...(carry === 1 ? [] : [element('rect', { ...whole, 'fill-opacity': faded(1 - carry) })]),
        ...painted,
      ];
    return [element('g', { opacity: carry }, under), ...painted];
  }

  private items(items: readonly Item[]): string[] {
    const root: string[] = [];
    const open: { readonly named: Attributes; readonly children: string[] }[] = [{ named: {}, children: root }];
    walk(
      items,
      {
        // Names are given as things begin, so that of two with one label the outer or the earlier one has it plain.
        enter: (group) => void open.push({ named: this.name(group.label), children: [] }),
        leave: (group) => {
          const { named, children } = open.pop()!;
          open[open.length - 1].children.push(this.group(group, named, children));
        },
        item: (item) => void open[open.length - 1].children.push(...this.item(item)),
      },
      () => true,
    );
    return root;
  }

  private group(group: Group, named: Attributes, children: readonly string[]): string {
    const { label, opacity, blend, clip, isolated } = group;
    const style = blend === 'normal' ? undefined : `mix-blend-mode:${blend}`;
    const attributes = isolated ? { opacity: faded(opacity), style, ...this.clip(clip) } : {};
    return element('g', { ...named, ...attributes }, [...this.title(label), ...children]);
  }

  /** What keeps a group within a region: an outline, or the alpha of what is drawn where that is not all or nothing. */
  private clip(items: readonly Item[] | undefined): Attributes {
    if (items === undefined) return {};
    const solid = items.every(({ fill, stroke, opacity, group }) =>
      typeof fill === 'number' && alphaOf(fill) === 255 && stroke === undefined && opacity === 1 && group === undefined); // prettier-ignore
    if (solid) {
      const outlines = items.filter(isDrawn).map(({ path, transform, fillRule }) => {
        const { name, attributes } = outlineElement(path);
        return element(name, { ...attributes, transform: transformText(transform), 'clip-rule': fillRule === 'evenodd' ? fillRule : undefined }); // prettier-ignore
      });
      return { 'clip-path': `url(#${this.defs.add('clipPath', {}, outlines)})` };
    }
    const region = { maskUnits: 'userSpaceOnUse', ...this.canvasBox(), style: 'mask-type:alpha' };
    return { mask: `url(#${this.defs.add('mask', region, this.items(items))})` };
  }

  /** The canvas in the sketch's units. */
  private canvasBox(): { x: number; y: number; width: number; height: number } {
    const { width, height, view } = this.frame;
    const back = inverse(view) ?? view;
    const corners = [apply(back, 0, 0), apply(back, width, height)];
    const [x, y] = [Math.min(corners[0][0], corners[1][0]), Math.min(corners[0][1], corners[1][1])];
    return { x, y, width: Math.abs(corners[1][0] - corners[0][0]), height: Math.abs(corners[1][1] - corners[0][1]) };
  }

  private item(item: Item): string[] {
    const { path, transform, fill, stroke, fillRule, opacity, blend, label, text } = item;
    if (!isDrawn(item) || (fill === undefined && stroke === undefined)) return [];
    const box = (): ReturnType<typeof pathBox> => pathBox(path);
    const common = { opacity: faded(opacity), style: blend === 'normal' ? undefined : `mix-blend-mode:${blend}` };
    const named = this.name(label);
    if (typeof fill === 'object' && fill.type === 'image')
      return [this.withTitle(label, placedImage(fill, transform, { ...named, ...common }))];
    const { name, attributes } = outlineElement(path);
    const painted: Attributes = {
      ...attributes,
      transform: transformText(transform),
      ...(fill === undefined ? { fill: 'none' } : paintAttributes('fill', fill, box, 0, this.defs)),
      'fill-rule': fillRule === 'evenodd' ? fillRule : undefined,
      ...(stroke === undefined || stroke.width === 0
        ? {}
        : {
            ...paintAttributes(
              'stroke',
              stroke.paint,
              box,
              (stroke.width / 2) * Math.max(stroke.miterLimit, 1.5),
              this.defs,
            ),
            'stroke-width': stroke.width === 1 ? undefined : stroke.width,
            'stroke-linecap': stroke.cap === 'butt' ? undefined : stroke.cap,
            'stroke-linejoin': stroke.join === 'miter' ? undefined : stroke.join,
            'stroke-miterlimit': stroke.miterLimit === 4 ? undefined : stroke.miterLimit,
            'stroke-dasharray': stroke.dash.length === 0 ? undefined : stroke.dash.map(short).join(' '),
            'stroke-dashoffset': stroke.dashOffset === 0 || stroke.dash.length === 0 ? undefined : stroke.dashOffset,
          }),
    };
    if (text === undefined) return [this.withTitle(label, element(name, { ...named, ...painted, ...common }))];
    // The string itself is there, and laid over its outlines, but has no paint of its own.
    const { left, top, right, bottom } = box();
    const searched =
      right > left
        ? [
            textElement(
              'text',
              text.replace(/\s+/g, ' '),
              textPlace(left, bottom, right - left, bottom - top, transform),
            ),
          ]
        : [];
    return [
      element('g', { ...named, ...common }, [
        ...this.title(label),
        element(name, { ...painted, 'aria-hidden': 'true' }),
        ...searched,
      ]),
    ];
  }

  private withTitle(label: string | undefined, made: string): string {
    if (label === undefined) return made;
    const name = /^<(\w+)/.exec(made)![1];
    return `${made.slice(0, -2)}>${this.title(label).join('')}</${name}>`;
  }

  private title(label: string | undefined): string[] {
    return label === undefined ? [] : [textElement('title', label)];
  }

  private name(label: string | undefined): Attributes {
    return label === undefined ? {} : { id: this.id(label) };
  }

  /** A name that the document has not yet: the label, as far as names may be like that. */
  private id(label: string): string {
    const base = label.replace(/[^\p{L}\p{N}_.-]+/gu, '-').replace(/^(?=[^\p{L}_])/u, '_');
    let id = base;
    for (let count = 2; this.taken.has(id); count++) id = `${base}-${count}`;
    this.taken.add(id);
    return id;
  }
}

/** What a transform squashes flat is not drawn, nor is what has grown beyond all numbers. */
function isDrawn({ transform, path }: Item): boolean {
  return inverse(transform) !== undefined && path.every(Number.isFinite);
}

function textPlace(x: number, y: number, width: number, height: number, transform: Matrix): Attributes {
  return {
    x,
    y,
    'font-size': height,
    textLength: width,
    lengthAdjust: 'spacingAndGlyphs',
    fill: 'none',
    transform: transformText(transform),
  };
}

/** An opacity; left out where it is 1. */
function faded(opacity: number): string | undefined {
  return opacity === 1 ? undefined : short(Number(opacity.toFixed(5)));
}
