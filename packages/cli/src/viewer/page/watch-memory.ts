/** So many bytes the workers may hold. More is a sketch that keeps what it should let go, and soon takes the page with it. */
const maxMemory = 3e9;

/** Tells as soon as the page's workers hold too much memory, and why it is. The browser takes its time to tell, some 20 s. */
export async function watchMemory(tooMuch: (why: string) => void): Promise<void> {
  const { performance: measuring } = window as {
    performance: Performance & { measureUserAgentSpecificMemory?(): Promise<{ bytes: number }> };
  };
  while (measuring.measureUserAgentSpecificMemory !== undefined) {
    const held = await measuring.measureUserAgentSpecificMemory().then(
      ({ bytes }) => bytes,
      () => undefined,
    );
    // Not every browser reports this, and not for every page.
    if (held === undefined) return;
    if (held > maxMemory)
      tooMuch(
        `the sketch holds ${(held / 1e9).toFixed(1)} GB of memory: look for a list that grows from frame to frame`,
      );
    await new Promise((resolve) => setTimeout(resolve, 1000));
  }
}
