<script setup lang="ts">
import { onBeforeUnmount, onMounted, ref, watch } from 'vue';
import { useData, withBase } from 'vitepress';
import { compileSketch } from './compile.ts';
import { openEditor, type Editor } from './editor.ts';
import type { Ask, Asked, Begin, FromFrame, ToFrame } from './messages.ts';
import { readShared, writeShared } from './share.ts';
import { textEdits, type EditedSketch } from './text-edits.ts';

/* An editor beside the viewer: every change is compiled and shown. */

const {
  source,
  example,
  shared = false,
} = defineProps<{
  source: string;
  /** A sketch to put in its place when asked. */
  example?: string;
  /** Whether the page's address holds the sketch. */
  shared?: boolean;
}>();

/** Milliseconds without a key after which a change is shown. */
const settleTime = 90;

const { isDark } = useData();
const place = ref<HTMLElement>();
const frame = ref<HTMLIFrameElement>();
const said = ref('');
const wrong = ref('');
let editor: Editor | undefined;
let begin: Begin = { dials: {} };
let first: Begin | undefined;
let frameReady = false;
let timer: ReturnType<typeof setTimeout> | undefined;

const tell = (message: ToFrame): void => frame.value?.contentWindow?.postMessage(message, location.origin);
const addresses = (): Record<string, string> => ({
  'frame-juggler': new URL(withBase('/viewer/library/index.js'), location.href).href,
});

let ran: EditedSketch['ran'];

function run(source = editor?.source): void {
  if (source === undefined || !frameReady) return;
  const compiled = compileSketch(source, addresses());
  if ('code' in compiled) {
    ran = { source, code: compiled.code };
    tell({ type: 'run', code: compiled.code, begin: first });
    first = undefined;
  } else show(compiled);
}

/** What the frame asks of the text, answered. */
const answers = textEdits({
  get source() {
    return editor!.source;
  },
  get ran() {
    return ran;
  },
  change: (changes) => editor!.change(changes),
  put: (source) => editor!.put(source),
  run,
});

async function answer({ number, what, of }: Ask<keyof Asked>): Promise<void> {
  try {
    const found = await (answers[what] as (of: unknown) => unknown)(of);
    tell({ type: 'answer', to: number, answer: found });
  } catch (thrown) {
    tell({ type: 'answer', to: number, answer: undefined, problem: (thrown as Error).message });
  }
}

function show(fault: { reason: string; line: number | undefined } | undefined): void {
  editor?.mark(fault);
  wrong.value =
    fault === undefined ? '' : fault.line === undefined ? fault.reason : `Line ${fault.line}: ${fault.reason}`;
}

function heard({ data, source: from }: MessageEvent<FromFrame>): void {
  if (from !== frame.value?.contentWindow) return;
  if (data.type === 'ready') {
    frameReady = true;
    tell({ type: 'look', dark: isDark.value });
    run();
  } else if (data.type === 'fault') show(data.fault);
  else if (data.type === 'chosen') begin = data.begin;
  else if (data.type === 'ask') void answer(data);
  else editor?.goTo(data.line);
}

function changed(): void {
  said.value = '';
  clearTimeout(timer);
  timer = setTimeout(() => run(), settleTime);
}

function put(other: string): void {
  editor?.put(other);
  run();
}

async function share(): Promise<void> {
  const hash = await writeShared({ source: editor!.source, begin });
  const address = new URL(withBase('/playground.html'), location.href);
  address.hash = hash;
  if (shared) history.replaceState(history.state, '', address);
  try {
    await navigator.clipboard.writeText(address.href);
    said.value = 'Its address is copied.';
  } catch {
    said.value = shared ? 'Its address stands in the address bar.' : address.href;
  }
}

onMounted(async () => {
  const given = shared ? await readShared(location.hash) : undefined;
  first = given?.begin;
  editor = openEditor(place.value!, given?.source ?? source, changed);
  addEventListener('message', heard);
  frame.value!.src = withBase('/viewer/index.html');
});
watch(isDark, (dark) => tell({ type: 'look', dark }));
onBeforeUnmount(() => {
  clearTimeout(timer);
  removeEventListener('message', heard);
  editor?.end();
});
</script>

<template>
  <section class="playground" aria-label="Change it and look">
    <div class="playground-code">
      <div ref="place" class="playground-editor"></div>
      <p class="playground-wrong" role="status">{{ wrong }}</p>
      <div class="playground-bar">
        <button type="button" @click="put(source)">Start again</button>
        <button v-if="example" type="button" @click="put(example)">An example</button>
        <button type="button" @click="share">Share</button>
        <slot />
        <output>{{ said }}</output>
      </div>
    </div>
    <iframe ref="frame" title="The picture, and what can be tuned"></iframe>
  </section>
</template>
