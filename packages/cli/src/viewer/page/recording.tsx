import { Button } from './button.tsx';
import type { SketchHost } from './host.ts';
import * as state from './state.ts';

/** What pointer and keys did: kept, recorded from the start, played back. */
export function Recording({ host }: { host: SketchHost }) {
  const [recording, replaying] = [state.recording.value, state.replaying.value];
  return (
    <div class="buttons">
      <Button
        name="Keeps what pointer and keys did since frame 0, beside the sketch"
        disabled={recording || replaying}
        onClick={() => void host.keepInput()}
      >
        Keep input
      </Button>
      <Button
        name="Begins at frame 0, and keeps what pointer and keys do until it is stopped, or to the last frame"
        pressed={recording}
        onClick={() => (recording ? void host.stopRecording() : host.startRecording())}
      >
        {recording ? 'Stop recording' : 'Record input'}
      </Button>
      <Button
        name="Plays what was kept, from frame 0 on; pressed again, pointer and keys go on from there"
        pressed={replaying}
        disabled={!state.recorded.value || recording}
        onClick={() => host.replay(!replaying)}
      >
        Play it back
      </Button>
    </div>
  );
}
