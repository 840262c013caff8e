/* Its own file, because the thread that does the work needs nothing else of what reads a command's arguments. */

/** Of what the options come to, what is handed on to the work as it was given. */
export function handedOn<Given extends object, Name extends keyof Given>(
  options: Given,
  names: readonly Name[],
): { [Key in Name]?: Exclude<Given[Key], undefined> } {
  const given = names.filter((name) => options[name] !== undefined).map((name) => [name, options[name]]);
  return Object.fromEntries(given) as { [Key in Name]?: Exclude<Given[Key], undefined> };
}
