import { byteForm, type Bits, type EngineForm } from './engine.ts';

/** The form of the engine for pictures of so many bits; that for sixteen is loaded when it is first asked for. */
export async function loadForm(bits: Bits): Promise<EngineForm> {
  return bits === 8 ? byteForm : { bits, packed: (await import('./generated/deep-engine.ts')).packed };
}
