// Which example shows an option: one of its own call or type, or one of another that has the same option.

/** Whether a type is a set of options, and not something that is given. */
export const isOptionType = (name) => /Options$|Definition$|Timing$/.test(name);

/** The options of a thing: those of its calls, or those that it consists of. */
export function optionsOf({ name, sort, calls = [], made = [], members }) {
  const options = [...calls, ...made].flatMap(({ parameters }) => parameters.flatMap((one) => one.options));
  const all = sort === 'type' && isOptionType(name) ? [...options, ...members] : options;
  return [...new Map(all.map((one) => [one.name, one])).values()];
}

/**
 * @param written for each call and type, its options that have an example
 * @param users for each type, the names of what takes it
 * @returns for each thing with options, of each option its name, and its example or the name of what shows it
 */
export function findOptionExamples(things, written, users) {
  const isSame = (one, other) => one.name === other.name && one.words === other.words;
  const showing = things.filter(({ name }) => written.has(name));
  const homeOf = (thing, option) => {
    const having = showing.filter((one) => written.get(one.name).has(option.name) && optionsOf(one).some((other) => isSame(option, other))); // prettier-ignore
    const near = new Set(users.get(thing.name));
    return (having.find(({ name }) => near.has(name)) ?? having[0])?.name;
  };
  const shown = (thing, option) => {
    const example = written.get(thing.name)?.get(option.name);
    return { name: option.name, ...(example ?? { home: homeOf(thing, option) }) };
  };
  return new Map(things.map((thing) => [thing.name, optionsOf(thing).map((option) => shown(thing, option))]));
}
