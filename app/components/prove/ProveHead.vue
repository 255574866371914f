<script setup lang="ts">
/** The subjects of proving a job. */
const { state, path } = useJob()
const links = computed(() => [
  { to: path('prove'), name: 'Closing checks' },
  ...(state.value.procedure?.roadTest.length ? [{ to: path('prove/road'), name: 'Road test' }] : []),
  { to: path('prove/cause'), name: 'What it was' },
  { to: path('prove/break-in'), name: 'Break-in' },
  { to: path('prove/papers'), name: 'Papers' },
  { to: path('prove/money'), name: 'Money' },
])
</script>

<template>
  <SubNav label="Of proving" :links="links" />
</template>
