<script setup lang="ts">
/** Whether the box is coming out for this, in a sentence. */
const props = defineProps<{ share: number; known: boolean }>()
const level = computed(() =>
  !props.known ? 'open' : props.share > 0.85 ? 'out' : props.share < 0.35 ? 'stays' : 'unsure',
)
const words = {
  open: 'Say what it does, and Eldrin says what it may be.',
  out: 'The box is coming out for this.',
  stays: 'The box most likely stays in: prove the outside first.',
  unsure: 'Not settled: one more test before the box comes out.',
}
</script>

<template>
  <p
    class="border-l-4 pl-4 text-lg"
    :class="{ open: 'border-rule', out: 'border-good', stays: 'border-attention', unsure: 'border-attention' }[level]"
    aria-live="polite"
    data-testid="box-out"
  >
    <span class="label">{{ words[level] }}</span><template v-if="known"
      >{{ ` ${Math.round(share * 100)}` }} in 100 of what it may be want it out.</template
    >
  </p>
</template>
