// In a project of your own `npm install frame-juggler` is enough: here the library is the workspace's.
export default {
  base: './',
  server: { host: '127.0.0.1', fs: { allow: ['../..'] } },
};
