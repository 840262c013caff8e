import { inspect, type InspectOptions } from 'node:util';
import { Canvas } from '../canvas/canvas.ts';
import { Color } from '../paint/color.ts';
import { Picture } from '../paint/picture.ts';

/* What `console.log` prints of a canvas, a color and a picture: what a sketch can ask of them, not how they are made. */

printAs('Canvas', Canvas.prototype, ({ width, height, matrix }) => ({ width, height, matrix }));
printAs('Color', Color.prototype, ({ red, green, blue, alpha }) => ({ red, green, blue, alpha }));
printAs('Picture', Picture.prototype, ({ width, height }) => ({ width, height }));

function printAs<Thing extends object>(name: string, prototype: Thing, facts: (thing: Thing) => object): void {
  Object.defineProperty(prototype, inspect.custom, {
    value(this: Thing, _: number, options: InspectOptions) {
      return `${name} ${inspect(facts(this), options)}`;
    },
  });
}
