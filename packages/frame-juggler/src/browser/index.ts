export { mount } from './mount.ts';
export { Player } from './player.ts';
export type { MountOptions, PlayerEvents } from './player.ts';
export { Canvas2dSurface } from '../surfaces/canvas2d/surface.ts';
export { ExactSurface } from './exact-surface.ts';
export type { PageSurface } from './exact-surface.ts';
export { PageInput } from './page-input.ts';
export type { InputArea } from './page-input.ts';
export { pageHost } from './page-host.ts';
