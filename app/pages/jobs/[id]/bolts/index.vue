<script setup lang="ts">
const { state, next, path } = useJob()
/** The run that is next in work, else the first board that is drawn, else the first of all. */
const first = computed(() => {
  const { operations = [], groups = [], bodies = [] } = state.value.procedure ?? {}
  const run = operations.find(operation => operation.id === next.value?.id && operation.activity?.kind === 'tighten')
  const group = groups.find(entry => entry.board) ?? groups[0]
  const [body] = bodies
  return run
    ? path(`bolts/run/${run.id}`)
    : body
      ? path(`bolts/pieces/${body.id}`)
      : group
        ? path(`bolts/${group.id}`)
        : null
})
if (first.value) void useRouter().replace(first.value)
</script>

<template>
  <main id="sheet" tabindex="-1" class="px-4 py-6 outline-none sm:px-7">
    <h1 v-if="!first" class="text-xl">This job has no fasteners on record.</h1>
  </main>
</template>
