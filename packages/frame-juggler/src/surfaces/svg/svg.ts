import { pictureSize, type Frame } from '../../frame/frame.ts';
import { countedFrom } from '../../frame/near-zero.ts';
import type { Group, Item, ItemStroke } from '../../frame/reader.ts';
import type { Box } from '../../geometry/box.ts';
import { apply, identity, inverse, type Matrix } from '../../geometry/matrix.ts';
import { isFinitePath, pathBox } from '../../geometry/path.ts';
import { inDigits, short } from '../../geometry/write-path-data.ts';
import { alphaOf, cssColor, type PackedColor } from '../../paint/color.ts';
import { Compositor, type Backend, type Mixing, type Stage } from '../compositor.ts';
import { Definitions } from './defs.ts';
import { outlineElement, transformText, written } from './outline.ts';
import { paintAttributes, placedPicture } from './paint.ts';
import { element, elementParts, emptyElement, textElement, type Attributes } from './xml.ts';
import { givenFrame } from '../../frame/given-frame.ts';
import { fail } from '../../error.ts';
import { mapOf, text } from '../../schema/kind.ts';

const givenTexts = /* @__PURE__ */ mapOf(text, "texts by keyword: { Title: 'Harbor' }");

/**
 * A frame as an SVG 2 document, for a file or a page: a shape an element, groups as groups, labels as ids and titles,
 * text as its outlines with the string beside them for search and for screen readers.
 * @param frames the frame; or several, the last of them on what its carry leaves of those before
 * @param texts what the document tells of itself, by keyword; `Title` is its title, `Description` says what is to be seen
 */
export function writeSvg(frames: Frame | readonly Frame[], texts: Readonly<Record<string, string>> = {}): string {
  givenTexts.read('writeSvg', 'texts', texts);
  const list = Array.isArray(frames) ? (frames as readonly Frame[]) : [frames as Frame];
  if (list.length === 0)
    fail({ call: 'writeSvg', option: 'frames', problem: 'has no frame', expected: 'expected one' });
  for (const [i, frame] of list.entries())
    givenFrame.read('writeSvg', Array.isArray(frames) ? `frames[${i}]` : 'frames', frame);
  return `${[...svgParts(list, texts)].join('\n')}\n`;
}

/**
 * The same in parts, each followed by a line break. They are made as they are gone through, so that a large document
 * need not be in memory twice.
 */
export function svgParts(frames: readonly Frame[], texts: Readonly<Record<string, string>> = {}): Iterable<string> {
  const list = frames.map(broughtNear);
  const backend = new SvgBackend(list.length);
  const compositor = new Compositor(backend);
  for (const frame of list) compositor.draw(frame);
  return backend.document(list[list.length - 1], texts);
}

/** If the view is farther from 0 than this many times its size, SVG renderers (24-bit precision) cannot tell its points apart. */
const farOff = 1000;

/** A frame with coordinates that renderers can tell apart. */
function broughtNear(frame: Frame): Frame {
  const { x, y, width, height } = canvasIn(frame);
  const isFar = Math.max(Math.abs(x), Math.abs(y)) > farOff * Math.max(width, height);
  return isFar ? countedFrom(frame, [x, y]) : frame;
}

/** The canvas in the sketch's units. */
function canvasIn({ width, height, view }: Frame): { x: number; y: number; width: number; height: number } {
  const back = inverse(view) ?? view;
  const corners = [apply(back, 0, 0), apply(back, width, height)];
  const [x, y] = [Math.min(corners[0][0], corners[1][0]), Math.min(corners[0][1], corners[1][1])];
  return { x, y, width: Math.abs(corners[1][0] - corners[0][0]), height: Math.abs(corners[1][1] - corners[0][1]) };
}

/** How many elements are joined into one string, since a million small strings would fill the memory. */
const chunkSize = 512;

/** Elements that are drawn one after the other. */
class SvgLayer {
  private readonly chunks: string[] = [];
  private recent: string[] = [];
  /** Each of them as it stands in a clip path; undefined where that is not wanted, or one is no plain filled outline. */
  outlines: string[] | undefined;

  constructor(
    readonly names: Attributes,
    isMask: boolean,
  ) {
    this.outlines = isMask ? [] : undefined;
  }

  add(drawn: string): void {
    if (this.recent.push(drawn) === chunkSize) {
      this.chunks.push(this.recent.join('\n'));
      this.recent = [];
    }
  }

  /** All of them, some put together. */
  get elements(): readonly string[] {
    return [...this.chunks, ...this.recent];
  }
}

class SvgBackend implements Backend<SvgLayer> {
  readonly fadesAsOne = true;
  readonly wantsGroups = true;
  private readonly takenIds = new Set<string>();
  private readonly idCounts = new Map<string, number>();
  private readonly defs = new Definitions((wanted) => this.id(wanted));
  /** What lies under all frames. */
  private ground: string[] = [];
  /** The frames so far. */
  private content: string[] = [];
  /** Whether anything of them mixes with what it lies on, which no group may be put around. */
  private mixes = false;
  private background: PackedColor | undefined;
  private stage: Stage | undefined;

  /** @param toCome of how many frames the document is */
  constructor(private toCome: number) {}

  begin(stage: Stage): { layer: SvgLayer; base: Matrix } {
    this.stage = stage;
    this.toCome--;
    this.defs.write = inDigits(digitsFor(canvasIn(stage.frame)));
    return { layer: new SvgLayer({}, false), base: identity };
  }

  /** Puts a frame's elements over what is left of the frames before it. */
  end({ elements }: SvgLayer, { background, carry, frame }: Stage): void {
    const view = transformText(frame.view, this.defs.write);
    const drawn =
      view === undefined || elements.length === 0 ? elements : [element('g', { transform: view }, elements)];
    const whole = { width: frame.width, height: frame.height, fill: cssColor(background | (255 << 24)) };
    const veil = (opacity: number): string[] =>
      opacity === 0 ? [] : [element('rect', { ...whole, 'fill-opacity': faded(opacity) })];
    const alpha = alphaOf(background);
    if (carry === 0) [this.ground, this.content] = [veil(alpha / 255), []];
    else if ((this.mixes || background !== this.background) && alpha === 255) {
      // A veil of the background leaves `carry` of what lies under it.
      this.content = [...this.ground, ...this.content, ...veil(1 - carry)];
      [this.ground, this.mixes] = [[], true];
    } else {
      // What lies on the background fades itself, all together, as the frames before do within it.
      const [now, before] = [leftAfter(this.toCome + 1, carry), leftAfter(this.toCome, carry)];
      if (now === 0) this.content = [];
      else if (now < before) this.content = [`<g opacity="${faded(now / before)}">`, ...this.content, '</g>'];
    }
    this.background = background;
    this.content.push(...drawn);
  }

  /** Of earlier frames, only what can still be seen is written. */
  private get isPast(): boolean {
    return this.toCome > 0;
  }

  document(last: Frame, texts: Readonly<Record<string, string>>): Iterable<string> {
    const { width, height } = last;
    const { Description, ...facts } = texts;
    const lines = Object.entries(facts).map(([keyword, text]) => `${keyword}: ${text.replace(/\s+/g, ' ')}`);
    const viewBox = `0 0 ${short(width)} ${short(height)}`;
    const attributes = { xmlns: 'http://www.w3.org/2000/svg', ...pictureSize(last), viewBox };
    const children = [
      ...(texts.Title === undefined ? [] : [textElement('title', texts.Title)]),
      ...(Description === undefined ? [] : [textElement('desc', Description)]),
      ...(lines.length === 0 ? [] : [textElement('metadata', `\n${lines.join('\n')}\n`)]),
      ...this.defs.elements,
      ...this.ground,
      ...this.content,
    ];
    return { [Symbol.iterator]: () => elementParts('svg', attributes, children) };
  }

  /** Ids are assigned when an element begins, so that of two with the same label the outer or earlier one gets it without a number. */
  open(group: Group | undefined): SvgLayer {
    // What belongs to no group is what a group is clipped by.
    return new SvgLayer(this.name(this.labelOf(group)), group === undefined);
  }

  composite(
    layer: SvgLayer,
    onto: SvgLayer,
    mixing: Mixing,
    mask: SvgLayer | undefined,
    group: Group | undefined,
  ): void {
    const attributes = group?.isolated === false ? {} : { ...mixingOf(mixing), ...this.maskOf(mask) };
    if (mixing.blend !== 'normal') this.mixes = true;
    onto.add(element('g', { ...layer.names, ...attributes }, [...title(this.labelOf(group)), ...layer.elements]));
    onto.outlines = undefined;
  }

  draw(layer: SvgLayer, item: Item, matrix: Matrix, mixing: Mixing): void {
    const { path, fill, stroke, fillRule } = item;
    // What has overflowed is not drawn.
    if (!isFinitePath(path) || (fill === undefined && stroke === undefined)) return;
    if (mixing.blend !== 'normal') this.mixes = true;
    const common = mixingOf(mixing);
    const label = this.labelOf(item);
    const text = this.isPast ? undefined : item.text;
    const names = this.name(label);
    if (typeof fill === 'object' && fill.type === 'picture') {
      const drawn = stroke === undefined ? [] : [this.outlined(item, matrix, { fill: 'none' }, stroke)];
      const picture = placedPicture(fill, matrix, drawn.length === 0 ? { ...names, ...common } : {}, this.defs.write);
      layer.outlines = undefined;
      if (drawn.length === 0) return layer.add(withTitle(label, picture));
      return layer.add(element('g', { ...names, ...common }, [...title(label), picture, ...drawn]));
    }
    const box = (): Box => pathBox(path);
    const painted = fill === undefined ? { fill: 'none' } : paintAttributes('fill', fill, box, 0, this.defs);
    const filled = fillRule === 'evenodd' ? { ...painted, 'fill-rule': fillRule } : painted;
    this.noteOutline(layer, item, matrix);
    if (text === undefined) {
      const drawn = this.outlined(item, matrix, filled, stroke, names, common);
      return layer.add(withTitle(label, drawn));
    }
    // The string itself is there too, over its outlines, but without paint.
    const { left, top, right, bottom } = box();
    const place = {
      ...written({ x: left, y: bottom, 'font-size': bottom - top, textLength: right - left }, this.defs.write),
      lengthAdjust: 'spacingAndGlyphs',
      fill: 'none',
      transform: transformText(matrix, this.defs.write),
    };
    layer.add(
      element('g', { ...names, ...common }, [
        ...title(label),
        this.outlined(item, matrix, filled, stroke, none, { 'aria-hidden': 'true' }),
        ...(right > left ? [textElement('text', text.replace(/\s+/g, ' '), place)] : []),
      ]),
    );
  }

  /** An item's outline as an element. */
  private outlined(
    item: Item,
    matrix: Matrix,
    filled: Attributes,
    stroke: ItemStroke | undefined,
    before: Attributes = none,
    after: Attributes = none,
  ): string {
    const { name, attributes } = outlineElement(item.path, this.defs.write);
    const drawn = stroke === undefined || stroke.width === 0 ? none : this.strokeAttributes(item, stroke);
    return emptyElement(
      name,
      before,
      attributes,
      { transform: transformText(matrix, this.defs.write) },
      filled,
      drawn,
      after,
    );
  }

  private strokeAttributes({ path }: Item, stroke: ItemStroke): Attributes {
    const reach = (stroke.width / 2) * Math.max(stroke.miterLimit, 1.5);
    return {
      ...paintAttributes('stroke', stroke.paint, () => pathBox(path), reach, this.defs),
      'stroke-width': stroke.width === 1 ? undefined : this.defs.write(stroke.width),
      'stroke-linecap': stroke.cap === 'butt' ? undefined : stroke.cap,
      'stroke-linejoin': stroke.join === 'miter' ? undefined : stroke.join,
      'stroke-miterlimit': stroke.miterLimit === 4 ? undefined : stroke.miterLimit,
      'stroke-dasharray': stroke.dash.length === 0 ? undefined : stroke.dash.map(this.defs.write).join(' '),
      'stroke-dashoffset': stroke.dashOffset === 0 || stroke.dash.length === 0 ? undefined : stroke.dashOffset,
    };
  }

  /** Notes an item as it stands in a clip path, as long as all of its layer can. */
  private noteOutline(layer: SvgLayer, { path, fill, stroke, opacity, fillRule }: Item, matrix: Matrix): void {
    const solid = typeof fill === 'number' && alphaOf(fill) === 255 && stroke === undefined && opacity === 1;
    if (!solid) layer.outlines = undefined;
    if (layer.outlines === undefined) return;
    const { name, attributes } = outlineElement(path, this.defs.write);
    const rest = {
      transform: transformText(matrix, this.defs.write),
      'clip-rule': fillRule === 'evenodd' ? fillRule : undefined,
    };
    layer.outlines.push(element(name, { ...attributes, ...rest }));
  }

  /** A group's clip: an outline, or a mask if the clip's alpha is not just 0 or 1. */
  private maskOf(mask: SvgLayer | undefined): Attributes {
    if (mask === undefined) return {};
    if (mask.outlines !== undefined) return { 'clip-path': `url(#${this.defs.add('clipPath', {}, mask.outlines)})` };
    const region = {
      maskUnits: 'userSpaceOnUse',
      ...written({ ...canvasIn(this.stage!.frame) }, this.defs.write),
    };
    // Masks work by luminance; everything in this one is made white, so that it works by coverage.
    const white = this.defs.add('filter', { 'color-interpolation-filters': 'sRGB' }, [whiten]);
    const content = element('g', { filter: `url(#${white})` }, mask.elements);
    return { mask: `url(#${this.defs.add('mask', region, [content])})` };
  }

  private labelOf(named: { readonly label: string | undefined } | undefined): string | undefined {
    return this.isPast ? undefined : named?.label;
  }

  private name(label: string | undefined): Attributes {
    return label === undefined ? none : { id: this.id(label) };
  }

  /** A name that the document has not yet: the label, as far as names may be like that. */
  private id(label: string): string {
    const base = label.replace(/[^\p{L}\p{N}_.-]+/gu, '-').replace(/^(?=[^\p{L}_])/u, '_');
    // Counted on from the last of that name: thousands may have one label.
    let count = this.idCounts.get(base) ?? 1;
    let id = count === 1 ? base : `${base}-${count}`;
    while (this.takenIds.has(id)) id = `${base}-${++count}`;
    this.idCounts.set(base, count);
    this.takenIds.add(id);
    return id;
  }
}

const none: Attributes = {};
const whiten = element('feColorMatrix', { values: '0 0 0 0 1  0 0 0 0 1  0 0 0 0 1  0 0 0 1 0' });

function mixingOf({ opacity, blend }: Mixing): Attributes {
  if (opacity === 1 && blend === 'normal') return none;
  return { opacity: faded(opacity), style: blend === 'normal' ? undefined : `mix-blend-mode:${blend}` };
}

/**
 * What a carry leaves of half a channel after some frames, in its steps. As pixels do, it loses one of them a frame at
 * least: no trail is longer than these, nor are groups nested deeper.
 */
function leftAfter(frames: number, carry: number): number {
  let left = 128;
  for (let frame = 0; frame < frames && left > 0; frame++) left = Math.trunc(left * carry);
  return left;
}

function withTitle(label: string | undefined, drawn: string): string {
  if (label === undefined) return drawn;
  const name = /^<(\w+)/.exec(drawn)![1];
  return `${drawn.slice(0, -2)}>${title(label).join('')}</${name}>`;
}

function title(label: string | undefined): string[] {
  return label === undefined ? [] : [textElement('title', label)];
}

/** As many digits as the view needs: seven, and one more for each time that it lies ten times its size away from 0. */
function digitsFor({ x, y, width, height }: { x: number; y: number; width: number; height: number }): number {
  const far = Math.max(Math.abs(x), Math.abs(y), Math.abs(x + width), Math.abs(y + height));
  let digits = 7;
  for (let size = Math.max(width, height); size < far && digits < 15; size *= 10) digits++;
  return digits;
}

/** An opacity; left out where it is 1. */
function faded(opacity: number): string | undefined {
  return opacity === 1 ? undefined : short(Number(opacity.toFixed(5)));
}
