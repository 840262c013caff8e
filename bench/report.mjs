/** Runs `work` until it is warm, then several times, and gives the times in milliseconds, shortest first. */
export function times(work, { warm = 10, runs = 21 } = {}) {
  for (let i = 0; i < warm; i++) work();
  const taken = [];
  for (let i = 0; i < runs; i++) {
    const start = performance.now();
    work();
    taken.push(performance.now() - start);
  }
  return taken.sort((a, b) => a - b);
}

/** The median of such times. */
export function median(work, options = {}) {
  const taken = times(work, options);
  return taken[taken.length >> 1];
}

/** The shortest of such times: what is left when the machine does nothing else. */
export const best = (work, options) => times(work, options)[0];

export function row(what, figure, limit = '') {
  console.log(`${what.padEnd(64)} ${figure.padStart(12)}  ${limit}`);
}

export const ms = (value) => `${value.toFixed(1)} ms`;
export const mb = (bytes) => `${(bytes / 1048576).toFixed(1)} MB`;
