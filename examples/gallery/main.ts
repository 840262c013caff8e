/// <reference types="vite/client" />
/*
 * All sketches on one page: a wall of them, and each by itself with its dials, its seed, its source and an address to
 * share.
 */
import { frameAtRest } from 'frame-juggler';
import { mount, type Player } from 'frame-juggler/browser';
import { readAddress, readDials, writeAddress, writeDial, type Place } from './address.ts';
import { works, type Work } from './works.ts';

const main = document.querySelector('main')!;
/** What is shown now, and goes when something else is. */
const players: Player[] = [];

function show(): void {
  for (const player of players.splice(0)) player.stop();
  const place = readAddress(location.hash);
  const work = works.find(({ name }) => name === place.name);
  if (work === undefined) showAll();
  else void showWork(work, place);
}

function showAll(): void {
  document.title = 'Pellan Quay: sketches';
  main.innerHTML = `
    <h1>Pellan Quay</h1>
    <p>Sketches from a small tidal harbor, made with Frame Juggler. Each moves under the pointer, and opens with its source.</p>
    <ul class="works"></ul>`;
  const list = main.querySelector('ul')!;
  const near = new IntersectionObserver(
    (entries) => {
      for (const { isIntersecting, target } of entries) {
        if (!isIntersecting) continue;
        near.unobserve(target);
        void hang(target as HTMLElement, works[Number((target as HTMLElement).dataset.at)]);
      }
    },
    { rootMargin: '300px' },
  );
  works.forEach(({ name, title, words }, at) => {
    const item = document.createElement('li');
    item.innerHTML = `<a href="#${name}"><div class="picture" data-at="${at}"></div><b>${title}</b><span>${words}</span></a>`;
    list.append(item);
    near.observe(item.querySelector('.picture')!);
  });
}

/** Hangs a picture on the wall: at rest, and playing under the pointer or the keyboard's focus. */
async function hang(place: HTMLElement, { load }: Work): Promise<void> {
  const { default: sketch } = await load();
  if (!place.isConnected) return;
  // A link takes no pointer and no keys of its own.
  const player = mount(sketch, place, { fit: 'cover', autoplay: false, input: () => ({ take: () => [] }) });
  players.push(player);
  void player.goTo(frameAtRest(sketch));
  const link = place.closest('a')!;
  for (const type of ['pointerenter', 'focus']) link.addEventListener(type, () => player.play());
  for (const type of ['pointerleave', 'blur']) link.addEventListener(type, () => player.pause());
}

async function showWork(work: Work, place: Place): Promise<void> {
  document.title = `${work.title}: Pellan Quay`;
  main.innerHTML = `
    <a href="#">All sketches</a>
    <h1>${work.title}</h1>
    <p>${work.words}</p>
    <div class="stage"></div>
    <div class="setting">
      <label>Seed <input type="number" min="0" step="1" /></label>
      <button type="button" data-do="another">Another seed</button>
      <button type="button" data-do="copy">Copy the address</button>
    </div>
    <details><summary>Source</summary><pre tabindex="0"><code></code></pre></details>`;
  scrollTo(0, 0);
  const find = <Found extends Element>(selector: string): Found => main.querySelector<Found>(selector)!;
  const [stage, seed, details] = [
    find<HTMLElement>('.stage'),
    find<HTMLInputElement>('.setting input'),
    find('details'),
  ];
  const { default: sketch } = await work.load();
  if (!stage.isConnected) return;
  stage.style.setProperty('--ratio', String(sketch.canvas.width / sketch.canvas.height));

  let { dials } = place;
  const begin = (seedNow: number | undefined): void => {
    for (const player of players.splice(0)) player.stop();
    const player = mount(sketch, stage, {
      fit: 'contain',
      controls: true,
      dials: readDials(sketch.dials, dials),
      ...(seedNow !== undefined && { seed: seedNow }),
    });
    players.push(player);
    seed.value = String(player.seed);
    player.addEventListener('dial', ({ detail: { name, value } }) => {
      dials = { ...dials, [name]: writeDial(value) };
      note(seedNow);
    });
  };
  const note = (seedNow: number | undefined): void =>
    history.replaceState(null, '', writeAddress({ name: work.name, seed: seedNow, dials }));
  const reseed = (): void => {
    if (!seed.checkValidity() || seed.value === '') return;
    begin(seed.valueAsNumber);
    note(seed.valueAsNumber);
  };
  begin(place.seed);
  seed.addEventListener('change', reseed);
  find('[data-do=another]').addEventListener('click', () => {
    seed.value = String(Math.floor(Math.random() * 1e6));
    reseed();
  });
  const copy = find<HTMLButtonElement>('[data-do=copy]');
  copy.addEventListener('click', () => {
    void navigator.clipboard.writeText(location.href).then(
      () => (copy.textContent = 'Copied'),
      () => (copy.textContent = 'It stands above'),
    );
  });
  details.addEventListener('toggle', () => {
    void work.source().then(({ default: text }) => (find('code').textContent = text));
  });
}

addEventListener('hashchange', show);
show();
