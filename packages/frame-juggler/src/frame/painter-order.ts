import type { Columns, TableGroup } from './frame.ts';

/**
 * Items by their places with their layers sorted: higher ones later, those of one layer as they were painted. An
 * isolated group is one picture, so its items stay together and are sorted among themselves.
 */
export function sortLayers(
  items: readonly number[],
  { group: groupOf, layer: layerOf }: Pick<Columns, 'group' | 'layer'>,
  groups: readonly Pick<TableGroup, 'parent' | 'isolated' | 'layer'>[],
): Uint32Array {
  const root: Entry[] = [];
  const contents = new Map<number, Entry[]>();
  /** The entries of the nearest isolated group, the group itself included. */
  const entriesOf = (place: number): Entry[] => {
    while (place !== 0 && !groups[place - 1].isolated) place = groups[place - 1].parent;
    if (place === 0) return root;
    let entries = contents.get(place);
    if (entries === undefined) {
      contents.set(place, (entries = []));
      entriesOf(groups[place - 1].parent).push({ layer: groups[place - 1].layer, group: place });
    }
    return entries;
  };
  for (const item of items) entriesOf(groupOf[item] ?? 0).push({ layer: layerOf[item] ?? 0, item });

  const result: number[] = [];
  const emit = (entries: Entry[]): void => {
    for (const { item, group } of entries.sort((a, b) => a.layer - b.layer)) {
      if (item !== undefined) result.push(item);
      else emit(contents.get(group!)!);
    }
  };
  emit(root);
  return new Uint32Array(result);
}

interface Entry {
  readonly layer: number;
  readonly item?: number;
  readonly group?: number;
}
