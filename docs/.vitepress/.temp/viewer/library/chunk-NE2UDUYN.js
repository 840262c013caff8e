import {
  oneOf
} from "./chunk-BTP6WEQV.js";

// packages/frame-juggler/dist/frame/frame.js
function emptyColumns() {
  return {
    /** The place in `names` of the call that drew it. */
    shape: new Uint32Array(0),
    /** The place in `names` of its label. */
    label: new Uint32Array(0),
    /** The place in `names` of what a text says. */
    text: new Uint32Array(0),
    /** Where its outline begins and ends in `path`. */
    pathStart: new Uint32Array(0),
    pathEnd: new Uint32Array(0),
    /** The place in `matrices` of its transform, counted from 0. */
    transform: new Uint32Array(0),
    /** What its fill and its stroke are painted with: see `noPaint`, and the paint. */
    fillKind: new Uint8Array(0),
    fill: new Int32Array(0),
    strokeKind: new Uint8Array(0),
    stroke: new Int32Array(0),
    /** In the item's own units. */
    strokeWidth: new Float64Array(0),
    /** The place in `pens` of its pen. */
    pen: new Uint32Array(0),
    /** 1 where it is filled by the even-odd rule. */
    evenOdd: new Uint8Array(0),
    /** 1 where its outline is known to wind, one way, once about all that it covers. */
    simple: new Uint8Array(0),
    opacity: new Float64Array(0),
    /** The place in `blendModes`, counted from 0. */
    blend: new Uint8Array(0),
    /** The place in `groups` of the group it is in. */
    group: new Uint32Array(0),
    layer: new Float64Array(0),
    /** The place in `sources` of the sketch's line that drew it, where the frame was painted with tracing on. */
    source: new Uint32Array(0)
  };
}
var noPaint = 0;
var colorPaint = 1;
var tablePaint = 2;
function pictureSize(frame) {
  return {
    width: Math.max(1, Math.round(frame.width * frame.density)),
    height: Math.max(1, Math.round(frame.height * frame.density))
  };
}
function frameBytes({ columns, path, matrices, order }) {
  return [...Object.values(columns), path, matrices, order].reduce((sum, { byteLength }) => sum + byteLength, 0);
}

// packages/frame-juggler/dist/paint/blend.js
var blendModes = [
  "normal",
  "multiply",
  "screen",
  "overlay",
  "darken",
  "lighten",
  "color-dodge",
  "color-burn",
  "hard-light",
  "soft-light",
  "difference",
  "exclusion",
  "hue",
  "saturation",
  "color",
  "luminosity"
];
var blendMode = oneOf(...blendModes);

// packages/frame-juggler/dist/frame/reader.js
var isIsolated = (group) => group.isolated;
var FrameReader = class {
  frame;
  matrices = [];
  paints = [];
  groups = [];
  constructor(frame) {
    this.frame = frame;
  }
  /**
   * Goes through items in painter's order, with the beginnings and ends of the groups about them.
   * @param order the frame's items, or those of a group's clip
   * @param counts which groups are visited; by default the isolated ones, which are drawn as pictures of their own
   */
  walk(order, visitor, counts = isIsolated) {
    const item = new ItemView(this.frame);
    let open = [];
    let last;
    for (let i = 0; i < order.length; i++) {
      this.load(order[i], item);
      if (item.group !== last) {
        last = item.group;
        const chain = chainOf(counts, last);
        let shared = 0;
        while (shared < chain.length && chain[shared] === open[shared])
          shared++;
        for (let depth = open.length - 1; depth >= shared; depth--)
          visitor.leave(open[depth]);
        for (let depth = shared; depth < chain.length; depth++)
          visitor.enter(chain[depth]);
        open = chain;
      }
      visitor.item(item);
    }
    for (let depth = open.length - 1; depth >= 0; depth--)
      visitor.leave(open[depth]);
  }
  /** Items as objects of their own, in painter's order. */
  items(order = this.frame.order) {
    return Array.from(order, (place) => {
      const item = new ItemView(this.frame);
      this.load(place, item);
      return item;
    });
  }
  load(place, item) {
    const { columns, names, pens } = this.frame;
    item.shape = names[columns.shape[place] - 1];
    item.label = entry(names, columns.label[place]);
    item.text = entry(names, columns.text[place]);
    item.start = columns.pathStart[place];
    item.end = columns.pathEnd[place];
    const at = columns.transform[place];
    item.transform = this.matrices[at] ?? this.readMatrix(at);
    item.fill = this.paintOf(columns.fillKind[place], columns.fill[place]);
    item.fillRule = columns.evenOdd[place] === 1 ? "evenodd" : "nonzero";
    item.simple = columns.simple[place] === 1;
    item.opacity = columns.opacity[place];
    item.blend = blendModes[columns.blend[place] ?? 0];
    item.group = this.groupAt(columns.group[place]);
    item.layer = columns.layer[place] ?? 0;
    item.source = entry(this.frame.sources, columns.source[place]);
    const strokePaint = this.paintOf(columns.strokeKind[place] ?? noPaint, columns.stroke[place]);
    if (strokePaint === void 0)
      item.stroke = void 0;
    else
      item.setStroke(strokePaint, columns.strokeWidth[place], pens[columns.pen[place] - 1]);
  }
  paintOf(kind, paint) {
    if (kind === noPaint)
      return void 0;
    if (kind === colorPaint)
      return paint;
    const { paints, pictures } = this.frame;
    return this.paints[paint] ??= withPicture(paints[paint - 1], pictures);
  }
  readMatrix(at) {
    const { matrices } = this.frame;
    const i = at * 6;
    const matrix = [
      matrices[i],
      matrices[i + 1],
      matrices[i + 2],
      matrices[i + 3],
      matrices[i + 4],
      matrices[i + 5]
    ];
    this.matrices[at] = matrix;
    return matrix;
  }
  /** A group by its place, counted from 1; undefined for none. */
  groupAt(place) {
    if (!(place > 0))
      return void 0;
    const known = this.groups[place];
    if (known !== void 0)
      return known;
    const { parent, ...group } = this.frame.groups[place - 1];
    return this.groups[place] = { ...group, parent: this.groupAt(parent) };
  }
};
function entry(table, number) {
  return number > 0 ? table[number - 1] : void 0;
}
var ItemView = class {
  shape = "";
  label = void 0;
  text = void 0;
  outlines;
  start = 0;
  end = 0;
  transform = [1, 0, 0, 1, 0, 0];
  fill = void 0;
  fillRule = "nonzero";
  simple = false;
  stroke = void 0;
  opacity = 1;
  blend = "normal";
  group = void 0;
  layer = 0;
  source = void 0;
  /** Used again from item to item. */
  ownStroke = void 0;
  constructor(frame) {
    this.outlines = frame.path;
  }
  get path() {
    return this.outlines.subarray(this.start, this.end);
  }
  setStroke(paint, width, pen) {
    const stroke = this.ownStroke ??= new StrokeView();
    stroke.paint = paint;
    stroke.width = width;
    stroke.cap = pen.cap;
    stroke.join = pen.join;
    stroke.miterLimit = pen.miterLimit;
    stroke.dash = pen.dash;
    stroke.dashOffset = pen.dashOffset;
    this.stroke = stroke;
  }
};
var StrokeView = class {
  paint = 0;
  width = 0;
  cap = "butt";
  join = "miter";
  miterLimit = 4;
  dash = [];
  dashOffset = 0;
};
function itemsOf(frame) {
  return new FrameReader(frame).items();
}
function withPicture(paint, pictures) {
  return "picture" in paint ? { ...paint, picture: pictures[paint.picture] } : paint;
}
function chainOf(counts, group) {
  const chain = [];
  for (let at = group; at !== void 0; at = at.parent)
    if (counts(at))
      chain.unshift(at);
  return chain;
}

export {
  emptyColumns,
  noPaint,
  colorPaint,
  tablePaint,
  pictureSize,
  frameBytes,
  blendModes,
  blendMode,
  FrameReader,
  itemsOf
};
