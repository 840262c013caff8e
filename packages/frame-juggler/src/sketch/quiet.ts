const global = globalThis as { console?: object };
const nothing = (): void => undefined;

/** Calls a sketch's function, which prints nothing meanwhile: what is run once more, to be looked at, has been printed. */
export function quietly<T>(call: () => T): T {
  const { console } = global;
  global.console = new Proxy({}, { get: () => nothing });
  try {
    return call();
  } finally {
    global.console = console;
  }
}
