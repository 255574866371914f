<script setup lang="ts">
import type { CautionSign } from '../../../core/packs'

/** Our own small drawings for what can hurt. */
defineProps<{ sign: CautionSign }>()
const paths: Record<CautionSign, string> = {
  under:
    'M6 26 H58 M14 26 l4 -10 h26 l6 10 M16 26 v6 M48 26 v6 M12 56 l4 -22 h4 l4 22 Z M40 56 l4 -22 h4 l4 22 Z M27 52 a5 5 0 1 0 .1 0',
  heavy: 'M14 40 h36 l-6 -24 h-24 Z M26 16 v-5 h12 v5 M32 44 v8 M26 47 l6 7 6 -7 M8 58 H56',
  dust: 'M20 22 h24 v14 a12 12 0 0 1 -24 0 Z M20 26 l-8 -4 M44 26 l8 -4 M22 30 h20 M24 35 h16 M12 50 h.1 M22 54 h.1 M34 52 h.1 M44 56 h.1 M52 48 h.1 M10 40 h.1 M54 38 h.1',
  fire: 'M32 58 c-14 0 -16 -14 -8 -22 c0 6 4 8 6 8 c-4 -12 2 -22 8 -28 c0 12 12 18 10 30 c-1 8 -8 12 -16 12 Z',
  fluid: 'M32 8 c10 14 16 20 16 30 a16 16 0 0 1 -32 0 c0 -10 6 -16 16 -30 Z M24 40 a8 8 0 0 0 8 8',
  spring: 'M32 6 v6 l-14 5 28 8 -28 8 28 8 -28 8 14 5 v6 M52 20 l6 -6 M52 44 l6 6',
  eye: 'M6 32 c10 -18 42 -18 52 0 c-10 18 -42 18 -52 0 Z M32 24 a8 8 0 1 0 .1 0 M14 12 L50 54',
  current: 'M36 6 L18 36 h12 l-4 22 20 -32 h-12 l6 -20 Z',
  moving: 'M12 44 a10 10 0 1 0 .1 0 M46 44 a10 10 0 1 0 .1 0 M4 44 l6 -16 h12 l8 -12 h14 l8 12 8 2 2 14 M2 58 h60',
  hot: 'M12 52 h40 M18 44 c-6 -8 6 -12 0 -22 M32 44 c-6 -8 6 -12 0 -22 M46 44 c-6 -8 6 -12 0 -22',
}
</script>

<template>
  <svg
    viewBox="0 0 64 64"
    aria-hidden="true"
    fill="none"
    stroke="currentColor"
    stroke-width="3.4"
    stroke-linecap="round"
    stroke-linejoin="round"
  >
    <path :d="paths[sign]" />
  </svg>
</template>
