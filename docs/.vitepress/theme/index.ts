import { defineAsyncComponent } from 'vue';
import type { Theme } from 'vitepress';
import base from 'vitepress/theme-without-fonts';
import TryOption from '../playground/TryOption.vue';
import TrySketch from '../playground/TrySketch.vue';
import './style.css';

export default {
  extends: base,
  enhanceApp({ app }) {
    app.component('TryOption', TryOption);
    app.component('TrySketch', TrySketch);
    // The editor is large, and nothing that a server could render.
    app.component(
      'Playground',
      defineAsyncComponent(() => import('../playground/Playground.vue')),
    );
  },
} satisfies Theme;
