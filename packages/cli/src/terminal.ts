/** How many letters wide what is printed may be: as the terminal is, or 100 where there is none. */
export function terminalWidth(): number {
  return Math.max(60, process.stdout.columns || Number(process.env.COLUMNS) || 100);
}
