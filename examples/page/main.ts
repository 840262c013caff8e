/*
 * Sketches in a page of one's own: `mount` shows each in an element, and gives a player to hold it by.
 */
import { mount } from 'frame-juggler/browser';
import lighthouse from '../lighthouse/lighthouse.ts';
import quay from '../pellan-quay/quay.ts';
import flags from '../signal-flags/flags.ts';
import chart from '../harbor-chart/chart.ts';
import wakes from '../wakes/wakes.ts';
import watch from '../watch/watch.ts';

const main = document.querySelector('main')!;
for (const sketch of [quay, watch, lighthouse, wakes, flags, chart]) {
  const figure = document.createElement('figure');
  const caption = document.createElement('figcaption');
  const button = document.createElement('button');
  caption.append(`${sketch.title} `, button);
  main.append(figure);
  const player = mount(sketch, figure, {
    onFrame: ({ playing }) => (button.textContent = playing ? 'Pause' : 'Play'),
  });
  button.addEventListener('click', () => (player.playing ? player.pause() : player.play()));
  figure.append(caption);
}
