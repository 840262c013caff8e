export { mount, Player } from './player.ts';
export type { MountOptions } from './player.ts';
export { Canvas2dSurface } from './canvas2d.ts';
