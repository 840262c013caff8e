import { beforeAll, describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { SaxesParser, type SaxesTagPlain } from 'saxes';
import {
  linearGradient,
  loadFonts,
  pattern,
  picture,
  radialGradient,
  textOutline,
  writeSvg,
  type Canvas,
} from '../../packages/frame-juggler/src/index.ts';
import { pathData } from '../../packages/frame-juggler/src/geometry/write-path-data.ts';
import { pathBox } from '../../packages/frame-juggler/src/geometry/path.ts';
import { parsePathData } from '../../packages/frame-juggler/src/geometry/path-data.ts';
import { randomSketches, recorded } from '../fixtures/random-sketch.ts';
import { record } from '../helpers.ts';

interface Element {
  readonly name: string;
  readonly attributes: Readonly<Record<string, string>>;
  readonly children: Element[];
  text: string;
}

/** A document as a tree. Throws where it is not well-formed XML. */
function parse(svg: string): Element {
  const open: Element[] = [{ name: '', attributes: {}, children: [], text: '' }];
  const parser = new SaxesParser();
  parser.on('error', (error) => {
    throw error;
  });
  parser.on('opentag', ({ name, attributes }: SaxesTagPlain) => {
    const element = { name, attributes, children: [], text: '' };
    open.at(-1)!.children.push(element);
    open.push(element);
  });
  parser.on('closetag', () => void open.pop());
  parser.on('text', (text) => (open.at(-1)!.text += text));
  parser.write(svg).close();
  return open[0].children[0];
}

const all = (element: Element): Element[] => [element, ...element.children.flatMap(all)];
/** What a document defines, and what is drawn. */
const written = (paint: (canvas: Canvas) => void): { defs: Element[]; shapes: Element[] } => {
  const root = parse(writeSvg(record(paint)));
  return { defs: root.children.find(({ name }) => name === 'defs')?.children ?? [], shapes: root.children.filter(({ name }) => name !== 'defs').slice(1) };
}; // prettier-ignore

const drawn = (paint: (canvas: Canvas) => void): Element[] => written(paint).shapes;

beforeAll(() => loadFonts(['regular']));

describe('an SVG document', () => {
  test('of any sketch is well-formed, with finite numbers, names used once, and no reference to nothing', () => {
    fc.assert(
      fc.property(randomSketches, (sketch) => {
        const elements = all(parse(writeSvg(recorded(sketch), { Title: 'a < b & "c"', Seed: '7' })));
        const ids = elements.flatMap(({ attributes: { id } }) => (id === undefined ? [] : [id]));
        expect(new Set(ids).size).toBe(ids.length);
        for (const { name, attributes } of elements)
          for (const [key, value] of Object.entries(attributes)) {
            if (/NaN|Infinity|undefined/.test(value)) throw new Error(`${name} ${key}="${value}"`);
            const [, target] = /^url\(#(.*)\)$/.exec(value) ?? [];
            if (target !== undefined) expect(ids).toContain(target);
          }
      }),
      { numRuns: 200, interruptAfterTimeLimit: 30_000 },
    );
  });

  test('has as many digits as its view needs', () => {
    for (const [corner, size] of [
      [[0, 0], 400],
      [[3120.5, -20_500], 40],
      [[0.123456, 0.654321], 0.002],
    ] as const) {
      const [x, y] = [corner[0] + size * 0.377777, corner[1] + size * 0.123456];
      const frame = record((canvas) => canvas.circle({ at: [x, y], radius: size / 7 }));
      const view = [1, 0, 0, 1, -corner[0], -corner[1]] as const;
      const svg = writeSvg({ ...frame, view, width: size, height: size });
      const [, cx, cy] = /cx="([^"]+)" cy="([^"]+)"/.exec(svg)!;
      expect(Math.max(Math.abs(Number(cx) - x), Math.abs(Number(cy) - y))).toBeLessThan(size * 1e-5);
    }
    const third = writeSvg(record((canvas) => canvas.circle({ at: [1 / 3, 2 / 3], radius: 1 })));
    expect(third).toContain('cx="0.3333333" cy="0.6666667"');
  });

  test('of a view far from 0 has its coordinates counted from the corner of that', () => {
    const frame = record((canvas) =>
      canvas.group({ translate: [431_210, 5_713_420], rotate: 90 }, () => canvas.circle({ at: [1, 2], radius: 3 })),
    );
    const svg = writeSvg({ ...frame, view: [10, 0, 0, 10, -4_312_000, -57_134_000] });
    // About (431208, 5713421), ten pixels to a unit.
    expect(svg).toContain('<g transform="matrix(10 0 0 10 0 0)">');
    expect(svg).toMatch(/<circle cx="21" cy="-8" r="3" transform="matrix\(0 1 -1 0 0 0\)"/);
  });

  test('leaves out an arc that reaches beyond all numbers', () => {
    const { MAX_VALUE } = Number;
    expect(drawn((c) => c.arc({ at: [MAX_VALUE, 0], radius: 1e300, start: 0, end: 90, stroke: 'teal' }))).toEqual([]);
    expect(drawn((c) => c.arc({ at: [1e306, 0], radius: 1e306, start: 0, end: 90, stroke: 'teal' })).length).toBe(1);
  });

  test('names plain shapes by plain elements, with no attribute that says what goes without saying', () => {
    const shapes = drawn((canvas) => {
      canvas.circle({ at: [10, 20], radius: 5, fill: 'teal' });
      canvas.ellipse({ at: [10, 20], radii: [5, 3], fill: 'teal' });
      canvas.rect({ from: [1, 2], to: [11, 8], fill: 'teal' });
      canvas.polygon({ points: [[0, 0], [9, 0], [4, 7]], fill: 'teal' }); // prettier-ignore
      canvas.line({ from: [0, 0], to: [9, 9], stroke: 'navy' });
      canvas.polyline({ points: [[0, 0], [9, 0], [4, 7]], stroke: { color: 'navy', width: 2, cap: 'round', dash: [3, 1] } }); // prettier-ignore
      canvas.path({ data: 'M1 1 q5 5 9 0', stroke: 'navy' });
    });
    expect(shapes.map(({ name, attributes }) => [name, attributes])).toEqual([
      ['circle', { cx: '10', cy: '20', r: '5', fill: '#008080' }],
      ['ellipse', { cx: '10', cy: '20', rx: '5', ry: '3', fill: '#008080' }],
      ['rect', { x: '1', y: '2', width: '10', height: '6', fill: '#008080' }],
      ['polygon', { points: '0,0 9,0 4,7', fill: '#008080' }],
      ['line', { x1: '0', y1: '0', x2: '9', y2: '9', fill: 'none', stroke: '#000080' }],
      ['polyline', { points: '0,0 9,0 4,7', fill: 'none', stroke: '#000080', 'stroke-width': '2', 'stroke-linecap': 'round', 'stroke-dasharray': '3 1' }],
      ['path', { d: 'M1 1Q6 6 10 1', fill: 'none', stroke: '#000080' }],
    ]);
  }); // prettier-ignore

  test('holds groups as groups: transforms on what they move, opacity, blend and clip on the group', () => {
    const { defs, shapes } = written((canvas) =>
      canvas.group({ translate: [30, 40], opacity: 0.5, blend: 'multiply', label: 'dock', clip: (region) => region.circle({ at: [0, 0], radius: 9 }) }, () =>
        canvas.rect({ at: [0, 0], size: 10, rotate: 90, fill: '#11223380', label: 'dock' })),
    );
    const [{ name, attributes, children }] = shapes;
    expect([name, attributes]).toEqual(['g', { id: 'dock', opacity: '0.5', style: 'mix-blend-mode:multiply', 'clip-path': 'url(#clipPath-1)' }]);
    expect(children.map((child) => [child.name, child.attributes.id, child.text.trim()])).toEqual([['title', undefined, 'dock'], ['rect', 'dock-2', '']]);
    expect(children[1].attributes).toMatchObject({ transform: 'matrix(0 1 -1 0 30 40)', fill: '#112233', 'fill-opacity': '0.502' });
    expect(defs.map((element) => [element.name, element.children[0].name])).toEqual([['clipPath', 'circle']]);
  }); // prettier-ignore

  test('masks where a clip is not all or nothing', () => {
    const { defs, shapes } = written((canvas) =>
      canvas.group({ clip: (region) => region.circle({ at: [50, 50], radius: 40, fill: '#0008' }) }, () => canvas.rect({ from: [0, 0], to: [100, 100] })),
    );
    expect(shapes[0].attributes).toEqual({ mask: 'url(#mask-1)' });
    // By how light it is, as every reader has it, with all of it made white.
    expect(defs.map(({ name }) => name)).toEqual(['filter', 'mask']);
    expect(defs[1].attributes).toMatchObject({ width: '100', height: '100' });
    expect(defs[1].children[0].attributes.filter).toBe('url(#filter-1)');
  }); // prettier-ignore

  test('defines a paint once, however often it is used', () => {
    const sea = linearGradient({ from: [0, 0], to: [0, 50], stops: ['#0077b6', [0.5, '#00b4d880'], 'navy'], spread: 'reflect' });
    const lamp = radialGradient({ at: [0.5, 0.5], radius: 0.5, focus: [0.3, 0.4], stops: ['white', 'gold'], units: 'box' });
    const tile = pattern(picture(4, 4, (canvas) => canvas.clear('teal')), { size: 8 });
    const { defs, shapes } = written((canvas) => {
      for (const fill of [sea, sea, lamp, tile, tile]) canvas.rect({ from: [10, 10], to: [30, 50], fill });
    });
    expect(shapes.map(({ attributes }) => attributes.fill)).toEqual(['url(#linearGradient-1)', 'url(#linearGradient-1)', 'url(#radialGradient-1)', 'url(#pattern-1)', 'url(#pattern-1)']);
    const [linear, radial, tiles] = defs;
    expect(linear.attributes).toEqual({ id: 'linearGradient-1', gradientUnits: 'userSpaceOnUse', spreadMethod: 'reflect', x1: '0', y1: '0', x2: '0', y2: '50' });
    expect(linear.children.map(({ attributes }) => attributes)).toEqual([{ offset: '0', 'stop-color': '#0077b6' }, { offset: '0.5', 'stop-color': '#00b4d8', 'stop-opacity': '0.502' }, { offset: '1', 'stop-color': '#000080' }]);
    expect(radial.attributes).toMatchObject({ gradientTransform: 'matrix(20 0 0 40 10 10)', fx: '0.3', fy: '0.4' });
    expect(tiles.attributes).toMatchObject({ width: '4', patternTransform: 'matrix(2 0 0 2 0 0)' });
    expect(tiles.children[0].attributes.href).toMatch(/^data:image\/png;base64,iVBORw0KGgo/);
  }); // prettier-ignore

  test('keeps the string of a text for search and for readers, and draws its outlines', () => {
    const [text] = drawn((canvas) => canvas.text('Quay <3> & “pier”', { at: [50, 50], size: 12 }));
    expect(text.children.map(({ name, attributes, text: string }) => [name, attributes['aria-hidden'], string.trim()])).toEqual([['path', 'true', ''], ['text', undefined, 'Quay <3> & “pier”']]);
    expect(text.children[1].attributes.fill).toBe('none');
  }); // prettier-ignore

  const frames = (blend: 'normal' | 'multiply', background?: number): ReturnType<typeof record>[] =>
    [0, 0.75, 0.75].map((carry, index) =>
      record((canvas) => canvas.circle({ at: [index * 10, 50], radius: 5, blend, label: 'buoy' }), { carry, background: background ?? -1 }),
    ); // prettier-ignore

  test.each([['white', -1], ['nothing', 0]])('of several frames holds on %s what a carry leaves of the earlier ones', (_, background) => {
    const root = parse(writeSvg(frames('normal', background)));
    // Each frame lies over the group of those before it; only what is there now has a name.
    const [recent, last] = root.children.slice(-2);
    expect([recent.name, recent.attributes.opacity, last.attributes.id]).toEqual(['g', '0.75', 'buoy']);
    expect(recent.children.map(({ name, attributes }) => [name, attributes.opacity, attributes.id])).toEqual([['g', '0.75', undefined], ['circle', undefined, undefined]]);
    expect(all(root).filter(({ name }) => name === 'title')).toHaveLength(1);
    expect(root.children.filter(({ name }) => name === 'rect')).toHaveLength(background === 0 ? 0 : 1);
  }); // prettier-ignore

  test('veils them where they mix with what they lie on, which a group would keep from them', () => {
    const shapes = parse(writeSvg(frames('multiply'))).children;
    expect(shapes.map(({ name, attributes }) => `${name} ${attributes.cx ?? attributes['fill-opacity'] ?? ''}`.trim())).toEqual(['rect', 'circle 0', 'rect 0.25', 'circle 10', 'rect 0.25', 'circle 20']);
  }); // prettier-ignore

  test('leaves out frames of which nothing is left, and none where all is', () => {
    const many = (carry: number): number => {
      const list = Array.from({ length: 300 }, (_, index) => record((canvas) => canvas.dot({ at: [1, index] }), { carry: index === 0 ? 0 : carry }));
      return all(parse(writeSvg(list))).filter(({ name }) => name === 'circle').length;
    };
    expect(many(1)).toBe(300);
    expect(many(0.999)).toBe(128);
    expect(many(0.5)).toBe(8);
  }); // prettier-ignore
});

describe('path data', () => {
  test('that was written reads back as the same outline', () => {
    const outlines = record((canvas) => {
      canvas.arc({ at: [40, 30], radii: [20, 11], start: 20, end: 300, close: 'sector', rotate: 25 });
      canvas.star({ at: [40, 30], radius: 20, innerRadius: 8, tips: 5 });
      canvas.spline({ points: [[0, 0], [30, 8], [12, 40]], closed: true }); // prettier-ignore
      canvas.rect({ at: [50, 50], size: [40, 20], corners: [8, 0, 3, 99] });
      canvas.text('Fähre', { at: [50, 50], size: 20 });
    }).items;
    for (const { path } of outlines) {
      const [before, after] = [path, parsePathData('path', pathData(path))].map((each) => pathBox(each));
      for (const side of ['left', 'top', 'right', 'bottom'] as const) expect(after[side]).toBeCloseTo(before[side], 3);
    }
  });

  test('of an arc without a height reaches as far as the arc', () => {
    fc.assert(
      fc.property(fc.integer({ min: -720, max: 720 }), fc.integer({ min: -720, max: 720 }), (start, end) => {
        const flat = record((canvas) => canvas.arc({ at: [40, 30], radii: [20, 0], start, end })).items[0].path;
        const [before, after] = [flat, parsePathData('path', pathData(flat))].map((each) => pathBox(each));
        for (const side of ['left', 'right'] as const) expect(after[side]).toBeCloseTo(before[side], 3);
      }),
    );
  });

  test('of an arc that begins after more turns than can be counted comes to an end', () => {
    for (const start of [3e17, -1e18, 1e300]) {
      const flat = record((canvas) => canvas.arc({ at: [40, 30], radii: [20, 0], start, end: 2 * start })).items[0]
        .path;
      expect(pathData(flat).length).toBeLessThan(100);
    }
  });

  test('of a text draws what the text draws', () => {
    const data = textOutline('Mole 7', { at: [50, 50], size: 24 });
    const [text, path] = record((canvas) => {
      canvas.text('Mole 7', { at: [50, 50], size: 24 });
      canvas.path({ data });
    }).items;
    expect(pathBox(path.path).right).toBeCloseTo(pathBox(text.path).right, 3);
    expect(path.fill).toBe(text.fill);
  });
});
