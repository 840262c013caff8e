// packages/frame-juggler/dist/text/brotli.js
var decoder;
function useBrotli(decompress2) {
  decoder = decompress2;
}
function decompress(bytes, size) {
  return decoder(bytes, size);
}

export {
  useBrotli,
  decompress
};
