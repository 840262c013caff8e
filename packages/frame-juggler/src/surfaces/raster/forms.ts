import type { Bits, EngineForm } from './engine.ts';

const packs = {
  8: () => import('./generated/engine.ts'),
  16: () => import('./generated/deep-engine.ts'),
} satisfies Record<Bits, unknown>;

/** The form of the engine for pictures of so many bits, loaded when it is first asked for. */
export async function loadForm(bits: Bits): Promise<EngineForm> {
  const { packed } = await packs[bits]();
  return { bits, packed };
}
