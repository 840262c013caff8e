/** The part of the package that is used. */
declare module 'linebreak' {
  export default class LineBreaker {
    constructor(text: string);
    /** The next place to break at, with whether it must be; null after the last. */
    nextBreak(): { readonly position: number; readonly required: boolean } | null;
  }
}
