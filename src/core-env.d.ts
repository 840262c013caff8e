// All that the core asks of its surroundings: any ES module host has it.
interface ImportMeta {
  readonly url: string;
}

declare class URL {
  constructor(url: string, base?: string | URL);
  readonly href: string;
  readonly pathname: string;
}

declare class TextDecoder {
  constructor(encoding?: string, options?: { fatal?: boolean });
  decode(bytes: Uint8Array): string;
}
