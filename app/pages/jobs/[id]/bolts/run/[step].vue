<script setup lang="ts">
const { state } = useJob()
const route = useRoute()
/** The run of the plan that the address names, with its bolts. */
const run = computed(() => {
  const operation = state.value.procedure?.operations.find(entry => entry.id === route.params.step)
  const { activity } = operation ?? {}
  const group =
    activity?.kind === 'tighten' ? state.value.procedure!.groups.find(entry => entry.id === activity.group) : undefined
  return operation && group ? { operation, group } : null
})
</script>

<template>
  <TighteningRun v-if="run" :key="run.operation.id" v-bind="run" />
  <NotHere v-else what="run" />
</template>
