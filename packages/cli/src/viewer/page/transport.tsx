import { Button } from './button.tsx';
import type { SketchHost } from './host.ts';
import { NumberField } from './number-field.tsx';
import * as state from './state.ts';

const speeds = [0.1, 0.25, 0.5, 1, 2, 4];

/** Time: play and pause, a frame on and back, a line to drag along, a part that is played round and round. */
export function Transport({ host }: { host: SketchHost }) {
  const { frame, playing } = state.shown.value;
  const still = !state.moves.value;
  const { frameRate = 60 } = state.facts.value ?? {};
  const dead = !state.alive.value;
  const last = state.lastFrame.value;
  const [first, end] = state.range.value ?? [0, last];
  const ranged = state.range.value !== undefined;
  return (
    <section class="transport" aria-label="Time">
      <div class="buttons">
        <Button name="To the start" icon="start" keys="Home" onClick={() => host.restart()} disabled={dead} />
        <Button
          name="One frame back"
          icon="back"
          keys="ArrowLeft"
          onClick={() => host.goTo(frame - 1)}
          disabled={dead || still}
        />
        <Button
          name={playing ? 'Pause' : 'Play'}
          icon={playing ? 'pause' : 'play'}
          keys="Space"
          strong
          onClick={() => host.toggle()}
          disabled={still && !dead}
        />
        <Button
          name="One frame on"
          icon="on"
          keys="ArrowRight"
          onClick={() => host.goTo(frame + 1)}
          disabled={dead || still}
        />
      </div>
      <div class="timeline">
        <input
          type="range"
          aria-label="Frame along the run"
          aria-valuetext={`frame ${frame}, ${state.seconds.value.toFixed(2)} seconds`}
          min={0}
          max={Math.max(1, last)}
          step={1}
          value={Math.min(frame, last)}
          disabled={dead || still}
          onInput={(event) => host.goTo(event.currentTarget.valueAsNumber)}
        />
        {ranged && (
          <span
            class="part"
            style={{
              left: `${(100 * first) / Math.max(1, last)}%`,
              right: `${100 - (100 * end) / Math.max(1, last)}%`,
            }}
          />
        )}
      </div>
      <div class="fields">
        <label>
          Frame{' '}
          <NumberField
            name="Frame"
            value={frame}
            whole
            digits={12}
            min={0}
            max={last}
            disabled={dead || still}
            onChange={(value) => host.goTo(value)}
          />
        </label>
        <label>
          Seconds{' '}
          <NumberField
            name="Seconds"
            value={Number(state.seconds.value.toFixed(3))}
            digits={8}
            min={0}
            step={1 / frameRate}
            disabled={dead || still}
            onChange={(value) => host.goTo(Math.round(value * frameRate))}
          />
        </label>
        <label>
          Speed{' '}
          <select
            value={String(state.speed.value)}
            disabled={still}
            onChange={(event) => host.setSpeed(Number(event.currentTarget.value))}
          >
            {speeds.map((speed) => (
              <option key={speed} value={String(speed)}>
                {speed === 1 ? 'normal' : `× ${speed}`}
              </option>
            ))}
          </select>
        </label>
        <Button
          name="Play a part round and round"
          icon="loop"
          keys="L"
          pressed={ranged}
          disabled={still}
          onClick={() => host.toggleRange()}
        />
        {ranged && (
          <span class="range">
            <NumberField
              name="First frame of the part"
              value={first}
              whole
              digits={12}
              min={0}
              max={end - 1}
              onChange={(value) => host.setRange([Math.min(Math.max(0, value), end - 1), end])}
            />
            {' to '}
            <NumberField
              name="Last frame of the part"
              value={end}
              whole
              digits={12}
              min={first + 1}
              max={last}
              onChange={(value) => host.setRange([first, Math.max(Math.min(value, last), first + 1)])}
            />
          </span>
        )}
      </div>
    </section>
  );
}
