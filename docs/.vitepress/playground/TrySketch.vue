<script setup lang="ts">
import { computed, defineAsyncComponent, ref } from 'vue';

/* A block of code that can be changed where it stands. */

const { code } = defineProps<{ code: string }>();
const source = computed(() => decodeURIComponent(code));
const open = ref(false);
// An editor is large: it comes when it is asked for.
const Playground = defineAsyncComponent(() => import('./Playground.vue'));
</script>

<template>
  <Playground v-if="open" :source="source">
    <button type="button" @click="open = false">Close</button>
  </Playground>
  <div v-else class="try-sketch">
    <slot />
    <button type="button" @click="open = true">Change it</button>
  </div>
</template>
