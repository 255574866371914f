<script setup lang="ts">
import type { FastenerGroup, Operation } from '../../../core/packs'

/** A run over the bolts of a group, pass after pass: for a step of the plan, or by itself. */
const props = defineProps<{ operation: Operation | null; group: FastenerGroup; loosens?: boolean }>()
const { state } = useJob()
const t = useTerms()
const { run, stepId, trouble } = provideTighteningRun(props)
useScreenAwake()
const bolts = ref(state.value.boards[props.group.id]!.bolts.length || props.group.count)
const title = computed(() =>
  props.operation
    ? t(props.operation.title)
    : `${props.loosens ? 'Loosen' : 'Tighten'}: ${t(props.group.name).toLowerCase()}`,
)
</script>

<template>
  <SheetWithMargin margin-title="This run">
    <div class="pb-28">
      <h1 class="text-xl sm:text-2xl">{{ title }}</h1>
      <RunUnderWay v-if="run" />
      <RunStart v-else v-model:bolts="bolts" />
    </div>
    <template #margin>
      <RunMargin v-if="run" />
      <div v-else class="grid gap-4">
        <h2 class="text-lg max-lg:hidden">Why crosswise and in stages</h2>
        <LazyEvennessChart :bolt-count="Math.min(24, bolts)" />
        <FigureRules />
      </div>
    </template>
    <TroubleDialog :open="trouble" :step-id="stepId" :group="group.id" @close="trouble = false" />
  </SheetWithMargin>
</template>
