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

// Fonts are unpacked with what both Node and browsers have.
declare function atob(base64: string): string;
declare function btoa(bytes: string): string;
declare class TextEncoder {
  encode(text: string): Uint8Array;
}
declare class Blob {
  constructor(parts: Uint8Array[]);
  stream(): { pipeThrough(stream: DecompressionStream): ByteStream };
}
interface ByteStream {
  getReader(): {
    read(): Promise<{ readonly done: false; readonly value: Uint8Array } | { readonly done: true }>;
    cancel(): Promise<void>;
  };
}
declare class DecompressionStream {
  constructor(format: 'deflate' | 'deflate-raw');
}
declare class Response {
  constructor(body: object);
  arrayBuffer(): Promise<ArrayBuffer>;
}

declare function structuredClone<Value>(value: Value): Value;
