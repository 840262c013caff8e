import { runsRightToLeft } from './directions.ts';
import type { OwnWeight } from './font.ts';
import { breaksElsewhere } from './line-breaks.ts';
import { ownWeight, type TextStyle } from './style.ts';

/** What is loaded to set text: the library's own fonts, and rules that are large and that few texts need. */
export type TextNeed = OwnWeight | 'breaks' | 'directions';

export const allNeeds: readonly TextNeed[] = ['regular', 'bold', 'breaks', 'directions'];

/** What a text asks for. */
export function needsOf(string: string, style: TextStyle, maxWidth: number | undefined): TextNeed[] {
  const needs: TextNeed[] = [];
  const weight = ownWeight(style);
  if (weight !== undefined) needs.push(weight);
  if (maxWidth !== undefined && breaksElsewhere(string)) needs.push('breaks');
  if (runsRightToLeft(string)) needs.push('directions');
  return needs;
}
