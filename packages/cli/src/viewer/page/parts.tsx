import { useState } from 'preact/hooks';
import type { FrameDescription, ItemDescription } from 'frame-juggler';
import { Button } from './button.tsx';
import { Given } from './given.tsx';
import type { SketchHost } from './host.ts';
import { SourceLink } from './notes.tsx';
import { short } from './number-field.tsx';
import * as state from './state.ts';

/** So many rows are shown; a search finds the others. */
const maxRows = 400;

/** A group with what is in it, or an item. */
type Row =
  | { readonly kind: 'group'; readonly depth: number; readonly group: number; readonly items: readonly number[] }
  | { readonly kind: 'item'; readonly depth: number; readonly item: ItemDescription };

/** The items in the order of drawing, the groups about them as rows of their own. */
function rowsOf({ items }: FrameDescription, wanted: (item: ItemDescription) => boolean): Row[] {
  const rows: Row[] = [];
  let open: readonly number[] = [];
  const inside = new Map<number, number[]>();
  for (const item of items)
    for (const group of item.groups) inside.set(group, [...(inside.get(group) ?? []), item.number]);
  for (const item of items) {
    if (!wanted(item)) continue;
    item.groups.forEach((group, depth) => {
      if (open[depth] !== group || open.slice(0, depth).some((other, i) => other !== item.groups[i]))
        rows.push({ kind: 'group', depth, group, items: inside.get(group) ?? [] });
    });
    open = item.groups;
    rows.push({ kind: 'item', depth: item.groups.length, item });
  }
  return rows;
}

function matches(item: ItemDescription, frame: FrameDescription, words: string): boolean {
  const text = [
    item.shape,
    item.label,
    item.text,
    item.style,
    ...item.groups.map((group) => frame.groups[group].label),
  ];
  return words
    .toLowerCase()
    .split(/\s+/)
    .every((word) => text.join(' ').toLowerCase().includes(word));
}

/** Leaves items out of the picture, or takes them in again. */
function leaveOut(host: SketchHost, numbers: Iterable<number>, out: boolean): void {
  const next = new Set(state.leftOut.value);
  for (const number of numbers) {
    if (out) next.add(number);
    else next.delete(number);
  }
  host.leaveOut(next);
}

function Eye({ host, numbers, name }: { host: SketchHost; numbers: readonly number[]; name: string }) {
  const out = numbers.every((number) => state.leftOut.value.has(number));
  return (
    <button
      type="button"
      class="eye"
      title={out ? `Show ${name}` : `Leave out ${name}`}
      aria-label={out ? `Show ${name}` : `Leave out ${name}`}
      aria-pressed={out}
      onClick={() => leaveOut(host, numbers, !out)}
    >
      {out ? '○' : '●'}
    </button>
  );
}

const nameOf = ({ number, shape, label, text }: ItemDescription): string =>
  [`${number}`, shape, label ?? (text === undefined ? undefined : `“${text.slice(0, 24)}”`)].filter(Boolean).join(' ');

/** What part of it can be seen, in words. */
function seenInWords({ seen, hidden }: ItemDescription): string {
  if (hidden !== undefined) return hidden;
  if (seen === undefined) return '';
  return seen > 0.995 ? 'all of it seen' : `${Math.max(1, Math.round(seen * 100))} % seen`;
}

/** Brings what is chosen into the list's view; the page around it stays where it is. */
function scrollTo(row: HTMLElement | null): void {
  const list = row?.closest('ol');
  if (row === null || !list) return;
  const [top, bottom] = [row.offsetTop - list.offsetTop, row.offsetTop - list.offsetTop + row.offsetHeight];
  if (top < list.scrollTop || bottom > list.scrollTop + list.clientHeight) list.scrollTop = top - list.clientHeight / 3;
}

/** Every item that the frame drew, in order, as a tree of groups; what is chosen is set off in the picture. */
export function Parts({ host }: { host: SketchHost }) {
  const [words, setWords] = useState('');
  const frame = state.description.value;
  if (frame === undefined) return <p class="quiet">Reading the frame …</p>;
  const { items } = frame;
  const rows = rowsOf(frame, (item) => words.trim() === '' || matches(item, frame, words.trim()));
  const chosen = new Set(state.chosen.value);
  const out = state.leftOut.value;
  const choose = (number: number): void => {
    state.chosen.value = [number];
  };
  const solo = (): void =>
    host.leaveOut(new Set(items.map(({ number }) => number).filter((number) => !chosen.has(number))));
  return (
    <>
      <div class="buttons">
        <Button
          name="A click on the picture chooses what lies there"
          pressed={state.pointing.value}
          onClick={() => (state.pointing.value = !state.pointing.value)}
        >
          Point
        </Button>
        <Button name="Shows only what is chosen" onClick={solo} disabled={chosen.size === 0}>
          Alone
        </Button>
        <Button name="Shows everything again" onClick={() => host.leaveOut(new Set())} disabled={out.size === 0}>
          Show all
        </Button>
      </div>
      {state.pile.value.length > 1 && (
        <p class="pile">
          There, from the top:{' '}
          {state.pile.value.map((number) => {
            const item = items.find((one) => one.number === number);
            return item === undefined ? null : (
              <button
                key={number}
                type="button"
                class="link"
                aria-pressed={chosen.has(number)}
                onClick={() => choose(number)}
              >
                {nameOf(item)}
              </button>
            );
          })}
        </p>
      )}
      <Chosen frame={frame} />
      <input
        type="search"
        class="search"
        aria-label="Search the items"
        placeholder={`Search ${items.length} items`}
        value={words}
        onInput={(event) => setWords(event.currentTarget.value)}
      />
      <ol class="parts" aria-label="Items in the order of drawing" tabIndex={0}>
        {rows.slice(0, maxRows).map((row) =>
          row.kind === 'group' ? (
            <li key={`g${row.group}-${row.items[0]}`} class="group" style={{ paddingLeft: `${row.depth * 14}px` }}>
              <Eye host={host} numbers={row.items} name={`group ${frame.groups[row.group].label ?? ''}`} />
              <span>
                {frame.groups[row.group].label ?? 'group'} <small>{frame.groups[row.group].style}</small>
              </span>
            </li>
          ) : (
            <li
              key={row.item.number}
              class={row.item.hidden && 'unseen'}
              style={{ paddingLeft: `${row.depth * 14}px` }}
            >
              <Eye host={host} numbers={[row.item.number]} name={nameOf(row.item)} />
              <button
                type="button"
                class="item"
                ref={row.item.number === state.chosen.value[0] ? scrollTo : undefined}
                aria-pressed={chosen.has(row.item.number)}
                onClick={() => choose(row.item.number)}
              >
                {nameOf(row.item)} <small>{row.item.hidden}</small>
              </button>
            </li>
          ),
        )}
      </ol>
      {rows.length > maxRows && <p class="quiet">{rows.length - maxRows} more; search for them.</p>}
    </>
  );
}

/** One item in detail. */
function Chosen({ frame }: { frame: FrameDescription }) {
  const item = frame.items.find(({ number }) => number === state.chosen.value[0]);
  if (item === undefined) return null;
  const { source, box, placed, style, groups } = item;
  const about = groups.map((group) => frame.groups[group].label ?? 'group').join(' › ');
  const coverer = frame.items.find(({ number }) => number === item.coveredBy);
  const siblings = frame.items.filter((other) => isSameLine(other, item)).map(({ number }) => number);
  return (
    <dl class="chosen">
      <dt>Item</dt>
      <dd>
        <strong>{nameOf(item)}</strong>
        {about !== '' && ` in ${about}`}
      </dd>
      {source !== undefined && (
        <>
          <dt>Line</dt>
          <dd>
            <SourceLink file={source.file} line={source.line} />
            {siblings.length > 1 && (
              <Button
                name="Chooses everything this line drew"
                onClick={() => (state.chosen.value = [item.number, ...siblings.filter((one) => one !== item.number)])}
              >
                all {siblings.length} of this line
              </Button>
            )}
          </dd>
        </>
      )}
      <dt>Where</dt>
      <dd>
        {short(box.left)}, {short(box.top)} to {short(box.right)}, {short(box.bottom)} ({short(box.right - box.left)} ×{' '}
        {short(box.bottom - box.top)})
      </dd>
      <dt>Its units</dt>
      <dd>{placed === '' ? "are the sketch's own" : placed}</dd>
      <dt>Style</dt>
      <dd>{style}</dd>
      <dt>Seen</dt>
      <dd>
        {seenInWords(item) || 'not worked out for so many items'}
        {coverer !== undefined && (
          <>
            {' by '}
            <Button name="Chooses what covers it" onClick={() => (state.chosen.value = [coverer.number])}>
              {nameOf(coverer)}
            </Button>
          </>
        )}
      </dd>
      <Given others={siblings.length - 1} />
    </dl>
  );
}

function isSameLine({ source: one }: ItemDescription, { source: other }: ItemDescription): boolean {
  return one !== undefined && one.file === other?.file && one.line === other.line && one.column === other.column;
}
