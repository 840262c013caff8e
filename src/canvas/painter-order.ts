import type { Group, Item } from './frame.ts';

/**
 * Items with their layers sorted: higher ones later, those of one layer as they were painted. An isolated group is one
 * picture, so its items stay together and are sorted among themselves.
 */
export function sortLayers(items: readonly Item[]): Item[] {
  const root: Entry[] = [];
  const contents = new Map<Group, Entry[]>();
  const entriesOf = (group: Group | undefined): Entry[] => {
    const isolated = nearestOf(isIsolated, group);
    if (isolated === undefined) return root;
    let entries = contents.get(isolated);
    if (entries === undefined) {
      contents.set(isolated, (entries = []));
      entriesOf(isolated.parent).push({ layer: isolated.layer, group: isolated });
    }
    return entries;
  };
  for (const item of items) entriesOf(item.group).push({ layer: item.layer ?? 0, item });

  const result: Item[] = [];
  const emit = (entries: Entry[]): void => {
    for (const { item, group } of entries.sort((a, b) => a.layer - b.layer)) {
      if (item) result.push(item);
      else emit(contents.get(group as Group) as Entry[]);
    }
  };
  emit(root);
  return result;
}

interface Entry {
  readonly layer: number;
  readonly item?: Item;
  readonly group?: Group;
}

const isIsolated = (group: Group): boolean => group.isolated;

/** The nearest group that counts, the group itself included. */
function nearestOf(counts: (group: Group) => boolean, group: Group | undefined): Group | undefined {
  while (group !== undefined && !counts(group)) group = group.parent;
  return group;
}

/** What is done on the way through a frame's items. */
export interface Visitor {
  /** A group begins: what follows is in it, until it ends. */
  enter(group: Group): void;
  leave(group: Group): void;
  item(item: Item): void;
}

/**
 * Goes through items in painter's order, with the beginnings and ends of the groups about them.
 * @param counts which groups are told of: the isolated ones, which are pictures of their own, unless it says otherwise
 */
export function walk(items: readonly Item[], visitor: Visitor, counts = isIsolated): void {
  let open: Group[] = [];
  let last: Group | undefined;
  for (const item of items) {
    if (item.group !== last) {
      last = item.group;
      const chain = chainOf(counts, item.group);
      let shared = 0;
      while (shared < chain.length && chain[shared] === open[shared]) shared++;
      for (let i = open.length - 1; i >= shared; i--) visitor.leave(open[i]);
      for (let i = shared; i < chain.length; i++) visitor.enter(chain[i]);
      open = chain;
    }
    visitor.item(item);
  }
  for (let i = open.length - 1; i >= 0; i--) visitor.leave(open[i]);
}

/** The groups that count about an item, outermost first. */
function chainOf(counts: (group: Group) => boolean, group: Group | undefined): Group[] {
  const chain: Group[] = [];
  for (let at = nearestOf(counts, group); at !== undefined; at = nearestOf(counts, at.parent)) chain.unshift(at);
  return chain;
}

/** Whether an item must be drawn apart before it is laid down: more than one part of it fades or blends as one. */
export function drawnApart({ fill, stroke, opacity, blend }: Item): boolean {
  return fill !== undefined && stroke !== undefined && (opacity < 1 || blend !== 'normal');
}
