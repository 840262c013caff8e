// In a project of your own `npm install frame-juggler` is enough: here the library is the folder two levels up.
import path from 'node:path';

const dist = path.resolve(import.meta.dirname, '../../dist');

export default {
  base: './',
  resolve: {
    alias: [
      { find: /^frame-juggler\/browser$/, replacement: `${dist}/browser/index.js` },
      { find: /^frame-juggler$/, replacement: `${dist}/index.js` },
    ],
  },
  server: { host: '127.0.0.1', fs: { allow: ['../..'] } },
};
