<script setup lang="ts">
/** The subjects of proving a job. */
const { state, path } = useJob()
const garage = useGarageStore()
const links = computed(() => [
  { to: path('prove'), name: 'Closing checks' },
  ...(state.value.procedure?.roadTest.length ? [{ to: path('prove/road'), name: 'Road test' }] : []),
  { to: path('prove/cause'), name: 'What it was' },
  { to: path('prove/break-in'), name: state.value.procedure?.control ? 'First drives' : 'Break-in' },
  ...(garage.can('see-money')
    ? [
        { to: path('prove/papers'), name: 'Papers' },
        { to: path('prove/money'), name: 'Money' },
      ]
    : []),
])
</script>

<template>
  <SubNav label="Of proving" :links="links" />
</template>
