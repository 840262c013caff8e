export { looksLike } from './looks-like.ts';
export type { Look, LookOptions, LookSubject } from './looks-like.ts';
export { lookMatchers } from './matchers.ts';
export type { LookMatchers } from './matchers.ts';
