type Tick = (now: number) => void;

/** All who are called at every frame of one window's screen: one request for all, so that they go in step. */
class Ticks {
  private readonly listeners = new Set<Tick>();
  private waiting = false;

  constructor(private readonly view: Window) {}

  add(tick: Tick): () => void {
    this.listeners.add(tick);
    this.request();
    return () => this.listeners.delete(tick);
  }

  private request(): void {
    if (this.waiting || this.listeners.size === 0) return;
    this.waiting = true;
    this.view.requestAnimationFrame((now) => {
      this.waiting = false;
      for (const tick of [...this.listeners]) tick(now);
      this.request();
    });
  }
}

const ofWindow = new WeakMap<Window, Ticks>();

/** Calls at every frame of a window's screen, with the time in milliseconds. Gives back what ends it. */
export function onTick(view: Window, tick: Tick): () => void {
  let ticks = ofWindow.get(view);
  if (ticks === undefined) ofWindow.set(view, (ticks = new Ticks(view)));
  return ticks.add(tick);
}
