import { useState } from 'preact/hooks';
import { Button } from './button.tsx';
import type { SketchHost } from './host.ts';
import { NumberField } from './number-field.tsx';
import * as state from './state.ts';
import { Variations } from './variations.tsx';

/** The seed: typed, the one before, the next, any; and a sheet of several to choose from. */
export function Chance({ host }: { host: SketchHost }) {
  const seed = state.seed.value;
  const [sheet, setSheet] = useState(0);
  return (
    <>
      <div class="controls">
        <label for="seed">Seed</label>
        <NumberField
          id="seed"
          name="Seed"
          value={seed}
          whole
          digits={15}
          min={0}
          onChange={(value) => host.setSeed(value)}
        />
        <Button name="The seed before" icon="back" onClick={() => host.setSeed(seed - 1)} disabled={seed === 0} />
        <Button name="The next seed" icon="on" onClick={() => host.setSeed(seed + 1)} />
        <Button name="Any seed" icon="dice" keys="R" onClick={() => host.setSeed(anySeed())} />
      </div>
      <div class="buttons">
        {[9, 16].map((count) => (
          <Button
            key={count}
            name={`Shows this frame with ${count} seeds to choose from`}
            onClick={() => setSheet(count)}
          >
            {count} variations
          </Button>
        ))}
      </div>
      {sheet > 0 && <Seeds host={host} count={sheet} onClose={() => setSheet(0)} />}
    </>
  );
}

export function anySeed(): number {
  return 1 + Math.floor(Math.random() * 999_999);
}

function Seeds({ host, count, onClose }: { host: SketchHost; count: number; onClose: () => void }) {
  const [first, setFirst] = useState(state.seed.value);
  const seeds = Array.from({ length: count }, (_, i) => first + i);
  return (
    <Variations
      host={host}
      title={`under ${count} seeds`}
      columns={Math.sqrt(count)}
      variations={seeds.map((seed) => ({
        text: `Seed ${seed}`,
        isCurrent: seed === state.seed.value,
        change: { seed },
        choose: () => host.setSeed(seed),
      }))}
      onClose={onClose}
    >
      <Button name="Earlier seeds" onClick={() => setFirst(Math.max(0, first - count))} disabled={first === 0}>
        Earlier
      </Button>
      <Button name="Later seeds" onClick={() => setFirst(first + count)}>
        Later
      </Button>
    </Variations>
  );
}
