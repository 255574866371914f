<script setup lang="ts">
import { activityComplete } from '../../../../core/job'

const { state, next } = useJob()
const t = useTerms()
const route = useRoute()

/** The step whose run is shown: the one asked for, else the next one in work that is a run. */
const runStep = computed(() => {
  const wanted = String(route.query.step ?? '')
  const steps = state.value.procedure?.operations.filter(operation => operation.activity?.kind === 'tighten') ?? []
  return steps.find(operation => operation.id === wanted) ?? steps.find(operation => operation.id === next.value?.id) ?? null
})
const runs = computed(() => state.value.procedure?.operations.filter(operation => operation.activity?.kind === 'tighten') ?? [])
const groups = computed(() => state.value.procedure?.groups ?? [])
</script>

<template>
  <TighteningRun v-if="runStep" :key="runStep.id" :operation="runStep" />
  <SheetWithMargin v-else margin-title="Where figures come from">
    <h1 class="text-2xl">Bolts and their figures</h1>
    <section class="mt-4">
      <h2 class="border-b border-ink pb-1 text-lg">Tightening runs</h2>
      <ul class="ruled">
        <li v-for="operation in runs" :key="operation.id" class="flex flex-wrap items-center justify-between gap-3 py-2">
          <span>{{ t(operation.title) }}</span>
          <span v-if="state.done[operation.id]" class="text-good">done</span>
          <NuxtLink v-else :to="{ query: { step: operation.id } }" class="button">{{ activityComplete(state, operation) ? 'Look at it' : 'Open' }}</NuxtLink>
        </li>
      </ul>
    </section>
    <section v-for="group in groups" :key="group.id" class="mt-5">
      <h2 class="mb-2 text-lg">{{ t(group.name) }} <span class="figure text-quiet">× {{ group.count }}</span></h2>
      <FigureLine :group="group" />
    </section>
    <template #margin>
      <FigureRules />
    </template>
  </SheetWithMargin>
</template>
