<script setup lang="ts">
import { defineAsyncComponent, onBeforeUnmount, ref, shallowRef } from 'vue';
import { readShared } from './share.ts';

/* A picture in a table: its sketch can be changed in a row of its own below it, or in the playground, where it links. */

const { href } = defineProps<{ href: string }>();
const link = ref<HTMLAnchorElement>();
const source = ref('');
const below = shallowRef<HTMLTableRowElement>();
const Playground = defineAsyncComponent(() => import('./Playground.vue'));

async function toggle(event: MouseEvent): Promise<void> {
  // As with any link, these ask for another window.
  if (event.ctrlKey || event.metaKey || event.shiftKey) return;
  event.preventDefault();
  if (below.value !== undefined) return close();
  const found = await readShared(new URL(href, location.href).hash);
  const row = link.value!.closest('tr')!;
  const own = document.createElement('tr');
  own.className = 'try-option';
  own.insertCell().colSpan = row.cells.length;
  row.after(own);
  source.value = found!.source;
  below.value = own;
}

function close(): void {
  below.value?.remove();
  below.value = undefined;
}

onBeforeUnmount(close);
</script>

<template>
  <!-- With a target the site's router leaves clicks to us. -->
  <a ref="link" :href="href" target="_self" title="Change it" :aria-expanded="below !== undefined" @click="toggle"
    ><slot
  /></a>
  <Teleport v-if="below" :to="below.cells[0]">
    <Playground :source="source">
      <button type="button" @click="close">Close</button>
    </Playground>
  </Teleport>
</template>
