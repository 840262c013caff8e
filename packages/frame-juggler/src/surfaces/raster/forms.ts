import type { Bits, EngineForm } from './engine.ts';

/** The form of the engine for bytes, which is all that a page needs: of the other, a bundler takes nothing along. */
export async function loadByteForm(): Promise<EngineForm> {
  return { bits: 8, packed: (await import('./generated/engine.ts')).packed };
}

const loaders = {
  8: loadByteForm,
  16: async () => ({ bits: 16, packed: (await import('./generated/deep-engine.ts')).packed }),
} satisfies Record<Bits, () => Promise<EngineForm>>;

/** The form of the engine for pictures of so many bits, loaded when it is first asked for. */
export function loadForm(bits: Bits): Promise<EngineForm> {
  return loaders[bits]();
}
