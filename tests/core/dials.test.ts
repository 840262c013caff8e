import { expect, test } from '@jest/globals';
import { inspect } from 'node:util';
import { defineSketch, dial, Run } from '../../packages/frame-juggler/src/index.ts';
import { plainItems } from '../helpers.ts';
import { parseDial } from '../../packages/frame-juggler/src/sketch/dials.ts';

const harbor = defineSketch({
  dials: {
    swell: dial.number(14, { min: 0, max: 60 }),
    lamp: dial.color('#f1b64e'),
    fog: dial.toggle(false),
    sea: dial.choice(['calm', 'rough']),
    name: dial.text('Pellan Quay'),
    buoy: dial.point([480, 360]),
  },
  start: ({ dials }) => dials.swell,
  paint(canvas, { dials }) {
    const at: { readonly x: number; readonly y: number } = dials.buoy;
    const sea: 'calm' | 'rough' = dials.sea;
    canvas.circle({ at, radius: dials.swell, fill: dials.fog ? 'white' : dials.lamp, label: `${dials.name} ${sea}` });
  },
});

test('dials begin at their first values, are given to a run, and turned while it runs', async () => {
  expect(new Run(harbor).dials).toEqual({ swell: 14, lamp: '#f1b64e', fog: false, sea: 'calm', name: 'Pellan Quay', buoy: { x: 480, y: 360 } }); // prettier-ignore
  const run = new Run(harbor, { dials: { swell: 5, sea: 'rough' } });
  await run.restart();
  expect(plainItems(await run.paint())[0].label).toBe('Pellan Quay rough');
  run.setDial('name', 'Mole');
  expect(plainItems(await run.paint())[0].label).toBe('Mole rough');
});

test('a dial may have a name that every object has', () => {
  const sketch = defineSketch({ dials: { toString: dial.number(3), constructor: dial.number(4) }, paint() {} });
  expect({ ...new Run(sketch, { dials: { constructor: 5 } }).dials }).toEqual({ toString: 3, constructor: 5 });
});

test.each([
  [() => new Run(harbor, { dials: { swel: 5 } }), 'dials: there is no dial "swel"; did you mean "swell"?'],
  [() => new Run(harbor, { dials: { swell: 61 } }), 'dials: swell 61 is out of range; expected 0 or more, 60 or less'],
  [() => new Run(harbor, { dials: { lamp: 'tael' } }), 'dials: lamp "tael" is not a color; did you mean "teal"?'],
  [() => new Run(harbor, { dials: { sea: 'ruogh' } }), 'did you mean "rough"?'],
  [() => dial.number(70, { max: 60 }), 'dial.number: value 70 is out of range; expected 60 or less'],
  [() => dial.number(7, { maximum: 60 } as never), 'there is no option "maximum"'],
  [() => dial.number(5, { min: 6 }), 'dial.number: value 5 is out of range; expected 6 or more ('],
  [() => dial.number(5, { min: 6, max: 6 }), 'dial.number: max 6 is not above min, 6'],
  [() => dial.color('teal', { titel: 'Lamp' } as never), 'dial.color: there is no option "titel"'],
  [() => dial.text('Mole', { titel: 'Name' } as never), 'dial.text: there is no option "titel"'],
  [() => defineSketch({ dials: { swell: null } as never, paint() {} }), 'dials.swell null is not a dial'],
  [() => dial.toggle(1 as never), 'dial.toggle: value 1 is not true or false'],
  [() => dial.choice([]), 'dial.choice: choices [] is empty'],
  [() => defineSketch({ dials: { swell: 5 } as never, paint() {} }), 'dials.swell 5 is not a dial'],
])('%s is refused', (make, message) => {
  expect(make).toThrow(message);
});

test('dials are plain values to a step, however it takes them', async () => {
  const seen: unknown[] = [];
  const sketch = defineSketch({
    dials: { swell: dial.number(14), fog: dial.toggle(true) },
    step(_, { dials }) {
      seen.push(inspect(dials), dials.swell, { ...dials }, JSON.stringify(dials), Object.keys(dials));
    },
    paint() {},
  });
  const run = new Run(sketch);
  await run.goTo(1);
  expect(seen).toEqual(['{ swell: 14, fog: true }', 14, { swell: 14, fog: true }, '{"swell":14,"fog":true}', ['swell', 'fog']]); // prettier-ignore
});

test('dials are read from text', () => {
  const read = (name: string, text: string): unknown => parseDial(harbor.dials, name, text);
  expect(['swell', 'fog', 'buoy', 'name'].map((name, i) => read(name, ['7.5', 'on', '10, 20', '12'][i]))).toEqual([7.5, true, { x: 10, y: 20 }, '12']); // prettier-ignore
  expect(() => read('swell', 'much')).toThrow('dials: swell "much" is not a number; expected a number');
  expect(() => read('buoy', '10')).toThrow('is not a point');
  expect(() => read('fog', '7')).toThrow('expected on or off');
});
