/** Runs `work` until it is warm, then several times, and gives the median in milliseconds. */
export function median(work, { warm = 10, runs = 21 } = {}) {
  for (let i = 0; i < warm; i++) work();
  const times = [];
  for (let i = 0; i < runs; i++) {
    const start = performance.now();
    work();
    times.push(performance.now() - start);
  }
  return times.sort((a, b) => a - b)[runs >> 1];
}

export function row(what, figure, limit = '') {
  console.log(`${what.padEnd(64)} ${figure.padStart(12)}  ${limit}`);
}

export const ms = (value) => `${value.toFixed(1)} ms`;
export const mb = (bytes) => `${(bytes / 1048576).toFixed(1)} MB`;
