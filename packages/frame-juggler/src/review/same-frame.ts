import type { Frame } from '../frame/frame.ts';
import { givenFrame } from '../frame/given-frame.ts';

/** The parts of a frame that tell it from others: everything except the source lines of items. */
export function comparedParts({
  columns,
  path,
  matrices,
  order,
  sources: _,
  ...rest
}: Frame): [unknown, ArrayLike<number>[]] {
  const { source: _source, ...others } = columns;
  const { pictures, ...plain } = rest;
  return [
    [plain, pictures.map(({ width, height }) => [width, height])],
    [path, matrices, order, ...Object.values(others), ...pictures.map(({ data }) => data)],
  ];
}

/** Whether two frames hold the same items, painted the same way. */
export function isSameFrame(one: Frame, other: Frame): boolean {
  givenFrame.read('isSameFrame', 'one', one);
  givenFrame.read('isSameFrame', 'other', other);
  const [plain, lists] = comparedParts(one);
  const [otherPlain, otherLists] = comparedParts(other);
  return (
    JSON.stringify(plain) === JSON.stringify(otherPlain) && lists.every((list, i) => isSameList(list, otherLists[i]))
  );
}

function isSameList(one: ArrayLike<number>, other: ArrayLike<number>): boolean {
  if (one === other) return true;
  if (one.length !== other.length) return false;
  for (let i = 0; i < one.length; i++) if (!Object.is(one[i], other[i])) return false;
  return true;
}
