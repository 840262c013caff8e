// What the surfaces are measured by: each scene through the library, and the same calls by hand on a browser's context.
// A scene is made of numbers alone, the same in each run.
import { gray, linearGradient, picture, radialGradient, rgb } from 'frame-juggler';

const [width, height] = [1280, 720];
export const size = { width, height };

/** Numbers from 0 to 1, the same each time (mulberry32). */
function chance(seed) {
  let state = seed;
  return () => {
    state = (state + 0x6d2b79f5) | 0;
    let t = Math.imul(state ^ (state >>> 15), 1 | state);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}

function list(count, make, seed = 7) {
  const random = chance(seed);
  return Array.from({ length: count }, (_, i) => make(random, i));
}

const spot = (random) => [random() * width, random() * height];
const channel = (random) => Math.floor(random() * 256);
const color = (random) => [channel(random), channel(random), channel(random)];
const css = ([r, g, b], alpha = 1) => `rgba(${r}, ${g}, ${b}, ${alpha})`;

function circles(count, radius, alpha = 1, blend) {
  const all = list(count, (random) => ({ at: spot(random), color: color(random) }));
  return {
    paint(canvas) {
      for (const { at, color } of all)
        canvas.circle({ at, radius, fill: rgb(...color, alpha), ...(blend && { blend }) });
    },
    byHand(context) {
      if (blend) context.globalCompositeOperation = blend;
      for (const { at, color } of all) {
        context.fillStyle = css(color, alpha);
        context.beginPath();
        context.arc(at[0], at[1], radius, 0, 2 * Math.PI);
        context.fill();
      }
    },
  };
}

function turnedRects(count) {
  const all = list(count, (random) => ({ at: spot(random), size: [20 + random() * 80, 10 + random() * 60], turn: random() * 360, color: color(random) })); // prettier-ignore
  return {
    paint(canvas) {
      for (const { at, size, turn, color } of all)
        canvas.rect({ at, size, rotate: turn, fill: rgb(...color), stroke: { color: gray(20), width: 3 } });
    },
    byHand(context) {
      context.lineWidth = 3;
      context.strokeStyle = css([20, 20, 20]);
      context.miterLimit = 4;
      for (const { at, size, turn, color } of all) {
        context.save();
        context.translate(...at);
        context.rotate((turn * Math.PI) / 180);
        context.fillStyle = css(color);
        context.beginPath();
        context.rect(-size[0] / 2, -size[1] / 2, ...size);
        context.fill();
        context.stroke();
        context.restore();
      }
    },
  };
}

function longLines(count) {
  const all = list(count, (random) => ({ from: [0, random() * height], to: [width, random() * height], color: color(random) })); // prettier-ignore
  return {
    paint(canvas) {
      for (const { from, to, color } of all) canvas.line({ from, to, stroke: { color: rgb(...color), width: 1 } });
    },
    byHand(context) {
      context.lineWidth = 1;
      for (const { from, to, color } of all) {
        context.strokeStyle = css(color);
        context.beginPath();
        context.moveTo(...from);
        context.lineTo(...to);
        context.stroke();
      }
    },
  };
}

/** @param draw draws one of them through the library @param trace traces it on a context */
function penned(all, wide, draw, trace) {
  const stroke = { color: rgb(20, 40, 90), width: wide };
  return {
    paint(canvas) {
      for (const one of all) draw(canvas, one, { fill: 'none', stroke });
    },
    byHand(context) {
      context.lineWidth = wide;
      context.miterLimit = 4;
      context.strokeStyle = css([20, 40, 90]);
      for (const one of all) {
        context.beginPath();
        trace(context, one);
        context.stroke();
      }
    },
  };
}

const rings = (count, wide) =>
  penned(
    list(count, (random) => ({ at: spot(random), radius: 50 + random() * 250 })),
    wide,
    (canvas, { at, radius }, style) => canvas.circle({ at, radius, ...style }),
    (context, { at, radius }) => context.arc(...at, radius, 0, 2 * Math.PI),
  );

const curves = (count, wide) =>
  penned(
    list(count, (random) => [spot(random), spot(random), spot(random), spot(random)]),
    wide,
    (canvas, [from, ...points], style) =>
      canvas.path({ build: (path) => path.moveTo(...from).bezierCurveTo(...points), ...style }),
    (context, [from, ...points]) => {
      context.moveTo(...from);
      context.bezierCurveTo(...points.flat());
    },
  );

function bentLines(count, wide) {
  const all = list(count, (random) => {
    let [x, y] = spot(random);
    let turn = random() * 2 * Math.PI;
    return Array.from({ length: 41 }, () => {
      turn += (random() - 0.5) / 2;
      return [(x += 8 * Math.cos(turn)), (y += 8 * Math.sin(turn))];
    });
  });
  return penned(
    all,
    wide,
    (canvas, points, { stroke }) => canvas.polyline({ points, stroke }),
    (context, points) => points.forEach((point) => context.lineTo(...point)),
  );
}

function gradientPolygons(count) {
  const all = list(count, (random, i) => {
    const [x, y] = spot(random);
    const points = Array.from({ length: 6 }, () => [x + (random() - 0.5) * 160, y + (random() - 0.5) * 160]);
    return { at: [x, y], points, colors: [color(random), color(random)], radial: i % 2 === 1 };
  });
  return {
    paint(canvas) {
      for (const { at, points, colors, radial } of all) {
        const stops = colors.map((one) => rgb(...one));
        const [x, y] = at;
        const fill = radial
          ? radialGradient({ at, radius: 80, stops })
          : linearGradient({ from: [x - 80, y - 80], to: [x + 80, y + 80], stops });
        canvas.polygon({ points, fill });
      }
    },
    byHand(context) {
      for (const { at, points, colors, radial } of all) {
        const [x, y] = at;
        const gradient = radial
          ? context.createRadialGradient(x, y, 0, x, y, 80)
          : context.createLinearGradient(x - 80, y - 80, x + 80, y + 80);
        colors.forEach((one, i) => gradient.addColorStop(i, css(one)));
        context.fillStyle = gradient;
        context.beginPath();
        points.forEach(([px, py], i) => (i === 0 ? context.moveTo(px, py) : context.lineTo(px, py)));
        context.closePath();
        context.fill();
      }
    },
  };
}

const said = ['harbor', 'Pellan', 'quay', 'tide', 'buoy', 'crane', 'ferry', 'lantern', 'signal', 'mooring'];

function words(count) {
  const all = list(count, (random, i) => ({ at: spot(random), text: said[i % said.length], color: color(random) }));
  return {
    text: true,
    paint(canvas) {
      for (const { at, text, color } of all) canvas.text(text, { at, size: 16, fill: rgb(...color) });
    },
    byHand(context) {
      context.font = '16px sans-serif';
      context.textAlign = 'center';
      context.textBaseline = 'middle';
      for (const { at, text, color } of all) {
        context.fillStyle = css(color);
        context.fillText(text, ...at);
      }
    },
  };
}

function clippedGroups(count) {
  const all = list(count, (random) => ({
    at: spot(random),
    rects: Array.from({ length: 10 }, () => ({ by: [random() * 100 - 50, random() * 100 - 50], color: color(random) })),
  }));
  return {
    paint(canvas) {
      for (const { at, rects } of all)
        canvas.group({ clip: (region) => region.circle({ at, radius: 40 }) }, () => {
          for (const { by, color } of rects)
            canvas.rect({ at: [at[0] + by[0], at[1] + by[1]], size: 50, fill: rgb(...color) });
        });
    },
    byHand(context) {
      for (const { at, rects } of all) {
        context.save();
        context.beginPath();
        context.arc(...at, 40, 0, 2 * Math.PI);
        context.clip();
        for (const { by, color } of rects) {
          context.fillStyle = css(color);
          context.fillRect(at[0] + by[0] - 25, at[1] + by[1] - 25, 50, 50);
        }
        context.restore();
      }
    },
  };
}

function crossing(corners) {
  const points = list(corners, spot);
  return {
    paint(canvas) {
      canvas.polygon({ points, fill: rgb(30, 90, 120) });
    },
    byHand(context) {
      context.fillStyle = css([30, 90, 120]);
      context.beginPath();
      points.forEach(([x, y], i) => (i === 0 ? context.moveTo(x, y) : context.lineTo(x, y)));
      context.closePath();
      context.fill();
    },
  };
}

/** Pictures of a size, each at a place, scaled and turned; the picture is one of circles. */
function pictures([across, down], places) {
  const dots = list(400, (random) => ({ at: [random() * across, random() * down], color: color(random) }));
  const radius = down / 12;
  // Made once it is needed: without a page there is nothing to draw by hand with.
  let ours, theirs;
  const painted = (canvas) => {
    canvas.rect({ from: [0, 0], to: [across, down], fill: rgb(20, 60, 90) });
    for (const { at, color } of dots) canvas.circle({ at, radius, fill: rgb(...color) });
  };
  return {
    paint(canvas) {
      ours ??= picture(across, down, painted);
      for (const { at, scale, turn } of places)
        canvas.picture(ours, { at, size: [across * scale, down * scale], rotate: turn });
    },
    byHand(context) {
      ours ??= picture(across, down, painted);
      if (theirs === undefined) {
        theirs = Object.assign(document.createElement('canvas'), { width: across, height: down });
        const own = theirs.getContext('2d', { willReadFrequently: true });
        own.putImageData(new ImageData(new Uint8ClampedArray(ours.data), across, down), 0, 0);
      }
      for (const { at, scale, turn } of places) {
        context.save();
        context.translate(...at);
        context.rotate((turn * Math.PI) / 180);
        context.scale(scale, scale);
        context.drawImage(theirs, -across / 2, -down / 2);
        context.restore();
      }
    },
  };
}

const middle = [width / 2, height / 2];

/** Those that the figures of the engine have been taken by from the beginning, by name. */
export const scenes = {
  '10,000 circles r 8': circles(10_000, 8),
  '100,000 circles r 2': circles(100_000, 2),
  '1,000 half-transparent circles r 60': circles(1000, 60, 0.5),
  '2,000 turned stroked rects': turnedRects(2000),
  '20,000 one-wide lines across': longLines(20_000),
  '500 gradient polygons': gradientPolygons(500),
  '3,000 words of 16 px': words(3000),
  '200 clipped groups of 10 rects': clippedGroups(200),
  'crossing path of 20,000 corners': crossing(20_000),
  'multiply, 300 discs r 80': circles(300, 80, 1, 'multiply'),
};

/** Others. */
export const pictureScenes = {
  'a picture of the canvas, as it is': pictures([width, height], [{ at: middle, scale: 1, turn: 0 }]),
  'a picture twice as large': pictures([width / 2, height / 2], [{ at: middle, scale: 2, turn: 0 }]),
  'a picture of the canvas, turned': pictures([width, height], [{ at: middle, scale: 1, turn: 10 }]),
  '2,000 pictures of 32, turned': pictures([32, 32], list(2000, (random) => ({ at: spot(random), scale: 1, turn: random() * 360 }))), // prettier-ignore
};

/** Where a pen goes along more than one straight line. */
export const penScenes = {
  '300 rings, one wide': rings(300, 1),
  '300 rings, three wide': rings(300, 3),
  '500 curves, one wide': curves(500, 1),
  '500 curves, six wide': curves(500, 6),
  '1,500 lines of 40 bends, one wide': bentLines(1500, 1),
  '1,500 lines of 40 bends, four wide': bentLines(1500, 4),
};

/** So many circles of one size. */
export const manyCircles = (count) => circles(count, 4);
