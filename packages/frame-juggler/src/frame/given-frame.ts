import { givenBy } from '../schema/given.ts';
import type { Frame } from './frame.ts';

/** A frame that is handed in. */
export const givenFrame = /* @__PURE__ */ givenBy<Frame>('a frame', 'await run.paint()', 'columns', 'order');
