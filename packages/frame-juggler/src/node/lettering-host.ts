import { createRequire } from 'node:module';
import { inflateRawSync } from 'node:zlib';
import { directionsBy, type BidiFactory } from '../text/directions.ts';
import { packed as bold } from '../text/generated/bold.ts';
import { packed as regular } from '../text/generated/regular.ts';
import { layOut } from '../text/layout.ts';
import { readFontsAtOnce } from '../text/lettering.ts';
import { lineBreaksBy, type Breaker } from '../text/line-breaks.ts';
import { readFont, type OpenFont } from '../text/read-font.ts';

/* Node can wait for a file: the font package and the library's own fonts are read once text is first set or measured. */

const require = createRequire(import.meta.url);
const packed = { regular, bold };

readFontsAtOnce({
  layOut,
  readFont: (name, bytes) => readFont(name, bytes, (require('#fontkit') as { create: OpenFont }).create),
  breaks: () => lineBreaksBy(require('#linebreak') as Breaker),
  directions: () => directionsBy(require('#bidi-js') as BidiFactory),
  ownFont: (weight) => inflateRawSync(Buffer.from(packed[weight], 'base64')),
});
