import { Picture } from '../paint/picture.ts';
import { checkFileSize, type AssetHost } from '../sketch/assets.ts';
import { hiddenContext } from '../surfaces/canvas2d/paint.ts';

/** Reads a sketch's files over the page's own server, and pictures with the browser's decoders, in workers too. */
export const pageHost: AssetHost = {
  async read(url, maxBytes) {
    const response = await fetch(url.href);
    if (response.status === 404) throw new Error('there is no such file');
    if (!response.ok) throw new Error(`the server answered ${response.status}`);
    checkFileSize(Number(response.headers.get('Content-Length')), maxBytes);
    return new Uint8Array(await response.arrayBuffer());
  },
  async decodePicture(bytes) {
    const bitmap = await createImageBitmap(new Blob([bytes.slice()]), { premultiplyAlpha: 'none' });
    const { width, height } = bitmap;
    const context = hiddenContext(width, height);
    context.drawImage(bitmap, 0, 0);
    return new Picture(width, height, new Uint8Array(context.getImageData(0, 0, width, height).data));
  },
};
