import type { Sketch } from 'frame-juggler';

/** A sketch of the gallery. */
export interface Work {
  /** What it is called in addresses. */
  readonly name: string;
  readonly title: string;
  readonly words: string;
  readonly load: () => Promise<{ readonly default: Sketch }>;
  readonly source: () => Promise<{ readonly default: string }>;
}

export const works: readonly Work[] = [
  {
    name: 'quay',
    title: 'A day at Pellan Quay',
    words: 'Tide, ferry, crane and light, from dawn to night in twenty-four seconds.',
    load: () => import('../pellan-quay/quay.ts'),
    source: () => import('../pellan-quay/quay.ts?raw'),
  },
  {
    name: 'lighthouse',
    title: 'The light of Pellan Quay',
    words: 'Gradients, blends and clips on one night.',
    load: () => import('../lighthouse/lighthouse.ts'),
    source: () => import('../lighthouse/lighthouse.ts?raw'),
  },
  {
    name: 'wakes',
    title: 'Wakes in the harbor',
    words: 'Trails: each picture stands on the last, and fades.',
    load: () => import('../wakes/wakes.ts'),
    source: () => import('../wakes/wakes.ts?raw'),
  },
  {
    name: 'rain',
    title: 'Rain and gulls',
    words: 'Chance by a seed: another seed, another squall.',
    load: () => import('../rain/rain.ts'),
    source: () => import('../rain/rain.ts?raw'),
  },
  {
    name: 'watch',
    title: 'The watch on the tower',
    words: 'A beam that follows the pointer. Move over it, and press.',
    load: () => import('../watch/watch.ts'),
    source: () => import('../watch/watch.ts?raw'),
  },
  {
    name: 'crane',
    title: 'Loading the barge',
    words: 'Keyframes: an arm of two parts, a crate, a rope.',
    load: () => import('../crane/crane.ts'),
    source: () => import('../crane/crane.ts?raw'),
  },
  {
    name: 'bunting',
    title: 'Bunting, without a seam',
    words: 'A loop of four seconds whose end is its beginning.',
    load: () => import('../bunting/bunting.ts'),
    source: () => import('../bunting/bunting.ts?raw'),
  },
  {
    name: 'dusk',
    title: 'Buoy at dusk',
    words: 'What juggle new begins with: a loop, two dials.',
    load: () => import('../start/animated/sketch.ts'),
    source: () => import('../start/animated/sketch.ts?raw'),
  },
  {
    name: 'tiles',
    title: 'Tiles for a harbor wall',
    words: 'One picture, another for each seed.',
    load: () => import('../start/still/sketch.ts'),
    source: () => import('../start/still/sketch.ts?raw'),
  },
  {
    name: 'clock',
    title: 'The clock over the ferry pier',
    words: 'Hands turned about the middle; an hour in twelve seconds.',
    load: () => import('../clock/clock.ts'),
    source: () => import('../clock/clock.ts?raw'),
  },
  {
    name: 'currents',
    title: 'Currents off the mole',
    words: 'Seven hundred drops of dye in a field of noise.',
    load: () => import('../currents/currents.ts'),
    source: () => import('../currents/currents.ts?raw'),
  },
  {
    name: 'badge',
    title: 'The pilots’ badge',
    words: 'Letters along a ring, a light that goes round.',
    load: () => import('../badge/badge.ts'),
    source: () => import('../badge/badge.ts?raw'),
  },
  {
    name: 'flares',
    title: 'Flares over the quay',
    words: 'Chance, gravity and a carry. Press to send one up.',
    load: () => import('../flares/flares.ts'),
    source: () => import('../flares/flares.ts?raw'),
  },
  {
    name: 'moorings',
    title: 'Moorings',
    words: 'Turns within turns: boats about buoys, tenders about boats.',
    load: () => import('../moorings/moorings.ts'),
    source: () => import('../moorings/moorings.ts?raw'),
  },
  {
    name: 'letters',
    title: 'Letters on the swell',
    words: 'Each letter is measured, and rises with the wave.',
    load: () => import('../letters/letters.ts'),
    source: () => import('../letters/letters.ts?raw'),
  },
  {
    name: 'net',
    title: 'A net, for a print',
    words: 'Over or under by chance: no two seeds are tied alike.',
    load: () => import('../net/net.ts'),
    source: () => import('../net/net.ts?raw'),
  },
  {
    name: 'tide',
    title: 'The tide of a day',
    words: 'Data, in units of its own, with y upwards.',
    load: () => import('../tide/tide.ts'),
    source: () => import('../tide/tide.ts?raw'),
  },
  {
    name: 'chart',
    title: 'Chart of Pellan Quay',
    words: 'Tables and text: depths, marks, a rose.',
    load: () => import('../harbor-chart/chart.ts'),
    source: () => import('../harbor-chart/chart.ts?raw'),
  },
  {
    name: 'flags',
    title: 'Signal flags at Pellan Quay',
    words: 'Pieces cut from one sheet of pictures.',
    load: () => import('../signal-flags/flags.ts'),
    source: () => import('../signal-flags/flags.ts?raw'),
  },
  {
    name: 'shapes',
    title: 'Every shape, with its pin and its box',
    words: 'One rule for where things go.',
    load: () => import('../shapes/shapes.ts'),
    source: () => import('../shapes/shapes.ts?raw'),
  },
];
