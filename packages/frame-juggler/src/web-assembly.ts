/* Code in WebAssembly that lies in a module as base64 (scripts/wasm.mjs puts it there). */

/** The part of WebAssembly's interface that is used here, as both Node and browsers have it. */
declare const WebAssembly: {
  readonly Module: new (bytes: Uint8Array) => object;
  readonly Instance: new (module: object) => { readonly exports: unknown };
};

const compiled = new Map<string, object>();

/** What such code exports, with a memory of its own. It is compiled once. */
export function instantiate(packed: string): unknown {
  const known = compiled.get(packed);
  const module = known ?? new WebAssembly.Module(Uint8Array.from(atob(packed), (character) => character.charCodeAt(0)));
  if (known === undefined) compiled.set(packed, module);
  return new WebAssembly.Instance(module).exports;
}
