import type { EngineForm } from './engine.ts';
import { packed } from './generated/engine.ts';

/*
 * The form of the engine for all pictures but those of sixteen bits, there at once, for calls that cannot wait. Whoever
 * can wait takes it from forms.ts, and imports nothing of this file's: a bundler may give a page at once whatever its
 * imports lead to, used or not.
 */

export const byteForm: EngineForm = { bits: 8, packed };
