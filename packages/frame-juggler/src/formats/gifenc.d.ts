declare module 'gifenc' {
  const gifenc: { quantize(rgba: Uint8Array, most: number): number[][] };
  export default gifenc;
}
