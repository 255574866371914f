<script setup lang="ts">
import { looseningPasses, ringPlaces, tighteningPasses } from '../../../core/fasteners'
import type { TighteningPass } from '../../../core/fasteners'
import { blockersOf, jobFigure } from '../../../core/job'
import type { RunWrench } from '../../../core/job'
import { newId } from '../../log/ids'

/** Before a run: how many bolts, in which passes, with which wrench. */
const bolts = defineModel<number>('bolts', { required: true })
const { store, state } = useJob()
const t = useTerms()
const { operation, group, loosens, stepId, trouble } = useTighteningRun()

const figure = computed(() => jobFigure(state.value, group.id)?.figure ?? null)
const blockers = computed(() => (operation ? blockersOf(state.value, operation.id) : []))
const board = computed(() => state.value.boards[group.id]!)
const chosen = computed({
  get: () => String(bolts.value),
  set: (count: string | null) => {
    bolts.value = Number(count)
  },
})
const counts = computed(() =>
  [...new Set([board.value.bolts.length, 4, 5, 6, 8, 9, 10, 12])]
    .filter(count => count >= 3)
    .sort((a, b) => a - b)
    .map(count => ({ id: String(count), label: String(count) })),
)
const onBoard = computed(() => bolts.value === board.value.bolts.length)
const positions = computed(() =>
  onBoard.value ? board.value.bolts.map(bolt => ({ x: bolt.xMm, y: bolt.yMm })) : ringPlaces(bolts.value, 100),
)
const made = computed((): TighteningPass[] => {
  if (loosens) return looseningPasses(positions.value)
  return figure.value ? tighteningPasses(positions.value, figure.value) : []
})
const passes = ref<TighteningPass[]>(made.value)
watch(made, fresh => {
  passes.value = fresh
})
const wrench = ref<RunWrench | null>(null)

const runFigure = computed(() => {
  if (loosens || !figure.value) return null
  const { personId: _person, at: _at, ...plain } = figure.value
  return plain
})
const canStart = computed(
  () => blockers.value.length === 0 && passes.value.length > 0 && (loosens || runFigure.value !== null),
)
function start() {
  if (!canStart.value || trouble.value) return
  store.write('run-started', {
    runId: newId(),
    stepId: stepId.value,
    group: group.id,
    boltCount: positions.value.length,
    figure: runFigure.value,
    passes: passes.value,
    positions: positions.value,
    ...(onBoard.value ? { boltIds: board.value.bolts.map(bolt => bolt.id) } : {}),
    ...(loosens ? { loosens: true } : {}),
    ...(wrench.value && !loosens ? { wrench: wrench.value } : {}),
  })
}
useKeys({
  Space: start,
  Backspace: store.undo,
  x: () => {
    trouble.value = true
  },
})
</script>

<template>
  <div>
    <div v-if="blockers.length" class="mt-4 border-l-4 border-attention pl-4" role="note">
      <p v-for="blocker in blockers.slice(0, 3)" :key="blocker.title" class="py-1">
        <span class="label">First: {{ t(blocker.title) }}.</span> {{ t(blocker.because) }}
      </p>
    </div>
    <NewPartsAsk v-if="operation && !loosens" :step-id="operation.id" />
    <FigureLine v-if="!loosens" class="mt-5" :group="group" large />
    <p v-else class="mt-4 text-lg">
      A sprung part warps when one side is let go first. A little at a time, crosswise, until the spring is slack.
    </p>
    <ChoiceRow
      v-model="chosen"
      class="mt-6"
      :label="onBoard ? 'Bolts, where the board has them' : 'Bolts, evenly on a circle'"
      :choices="counts"
    />
    <p v-if="group.treatment" class="mt-4">Thread: {{ t(group.treatment).toLowerCase() }}.</p>
    <div v-if="loosens || figure" class="mt-5 grid gap-5 xl:grid-cols-2">
      <PassEditor v-model="passes" :figure-nm="figure?.torqueNm ?? 0" />
      <WrenchLine v-if="!loosens && figure" v-model="wrench" :torque-nm="figure.torqueNm" />
    </div>
    <FootBar>
      <button class="button button-big px-1! text-lg!" @click="store.undo">Undo</button>
      <button class="button button-main button-big" :disabled="!canStart" @click="start">
        {{ loosens || figure ? 'Start the run' : 'No figure, no run' }}
      </button>
      <button class="button button-big px-1! text-lg!" @click="trouble = true">Trouble</button>
    </FootBar>
  </div>
</template>
