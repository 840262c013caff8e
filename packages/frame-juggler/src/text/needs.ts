import { runsRightToLeft } from './directions.ts';
import type { OwnWeight } from './font.ts';
import { latin } from './generated/latin.ts';
import { breaksElsewhere } from './line-breaks.ts';
import { ownWeight, type TextStyle } from './style.ts';

/** The library's own fonts: whole, or with Latin letters only, which give the same Latin text at a quarter of the size. */
export type OwnFont = OwnWeight | `${OwnWeight}-latin`;

/** What a text may need loaded: fonts, and tables of rules that are large and rarely needed. */
export type TextNeed = OwnFont | 'breaks' | 'directions';

/** The weight of one of the library's own fonts. */
export function weightOf(font: OwnFont): OwnWeight {
  return font.split('-')[0] as OwnWeight;
}

export const allNeeds: readonly TextNeed[] = ['regular', 'bold', 'breaks', 'directions'];

/** What a text needs. */
export function needsOf(string: string, style: TextStyle, maxWidth: number | undefined): TextNeed[] {
  const needs: TextNeed[] = [];
  const weight = ownWeight(style);
  if (weight !== undefined) needs.push(latin.test(string) ? `${weight}-latin` : weight);
  if (maxWidth !== undefined && breaksElsewhere(string)) needs.push('breaks');
  if (runsRightToLeft(string)) needs.push('directions');
  return needs;
}
