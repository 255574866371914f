<script setup lang="ts">
import { nextBolt, runLength, tighteningPasses } from '../../../core/fasteners'
import { blockersOf } from '../../../core/job'
import type { Operation } from '../../../core/packs'
import { newId } from '../../lib/ids'
import { passNames } from '../../lib/passes'

const props = defineProps<{ operation: Operation }>()
const { store, state, path } = useJob()
const t = useTerms()
const router = useRouter()
const trouble = ref(false)

const groupId = computed(() => props.operation.activity?.kind === 'tighten' ? props.operation.activity.group : '')
const group = computed(() => state.value.procedure!.groups.find(entry => entry.id === groupId.value)!)
const figure = computed(() => state.value.figures[groupId.value]?.at(-1) ?? null)
const run = computed(() => state.value.runs.findLast(entry => entry.stepId === props.operation.id && entry.dropped === null) ?? null)
const next = computed(() => run.value && nextBolt(run.value, run.value.turned))
const total = computed(() => run.value ? runLength(run.value) : 0)
const blockers = computed(() => blockersOf(state.value, props.operation.id))
const boltCount = ref<string | null>(String(group.value.count))

function start() {
  if (!figure.value) return
  const count = Number(boltCount.value)
  store.write('run-started', {
    runId: newId(), stepId: props.operation.id, group: groupId.value, boltCount: count, figure: figure.value,
    passes: tighteningPasses(count, figure.value.torqueNm),
  })
}
function turn() {
  if (trouble.value || !run.value) return
  if (next.value) store.write('bolt-turned', { runId: run.value.runId, passIndex: next.value.passIndex, bolt: next.value.bolt })
  else finish()
}
function finish() {
  if (state.value.done[props.operation.id] || store.write('step-done', { stepId: props.operation.id })) void router.push(path('work'))
}
function stopRun() {
  if (!run.value) return
  boltCount.value = String(run.value.boltCount)
  store.write('run-dropped', { runId: run.value.runId, reason: 'Stopped to begin again' })
}
useKeys({ Space: turn, Backspace: store.undo, x: () => { trouble.value = true } })
</script>

<template>
  <SheetWithMargin margin-title="This run">
    <div class="pb-28">
      <h1 class="text-xl sm:text-2xl">{{ t(operation.title) }}</h1>

      <template v-if="!run">
        <div v-if="blockers.length" class="mt-4 border-l-4 border-attention pl-4" role="note">
          <p v-for="blocker in blockers.slice(0, 3)" :key="blocker.title" class="py-1"><span class="label">First: {{ t(blocker.title) }}.</span> {{ t(blocker.because) }}</p>
        </div>
        <FigureLine class="mt-5" :group="group" large />
        <ChoiceRow v-model="boltCount" class="mt-6" label="Bolts on the circle" :choices="['4', '5', '6', '8', '9', '10', '12'].map(count => ({ id: count, label: count }))" />
        <p v-if="group.treatment" class="mt-4">Thread: {{ t(group.treatment).toLowerCase() }}.</p>
        <button class="button button-main button-big mt-6 w-full sm:w-auto" :disabled="!figure || blockers.length > 0" @click="start">
          {{ figure ? 'Start the run' : 'No figure, no run' }}
        </button>
      </template>

      <template v-else>
        <p class="mt-2 text-lg" aria-live="polite">
          <template v-if="next"><span class="label">Pass {{ next.passIndex + 1 }} of {{ run.passes.length }}: {{ passNames[next.pass.kind].name }}.</span> {{ passNames[next.pass.kind].what }}</template>
          <span v-else class="label text-good">Every bolt is at its figure and checked.</span>
        </p>
        <BoltCircle :run="run" :next="next" class="mx-auto mt-2 w-full max-w-[min(30rem,calc(100dvh-25rem))]" />
        <p class="text-center text-quiet"><span class="figure">{{ run.turned }} of {{ total }}</span> turns of the wrench</p>
        <FootBar>
          <button class="button button-big px-1! text-lg!" @click="store.undo">Undo</button>
          <button class="button button-main button-big" data-testid="turn" @click="turn">{{ next ? `Bolt ${next.bolt + 1} done` : 'Step done' }}</button>
          <button class="button button-big px-1! text-lg!" @click="trouble = true">Felt wrong</button>
        </FootBar>
      </template>
    </div>

    <template #margin>
      <div class="grid gap-4">
        <template v-if="run">
          <h2 class="text-lg max-lg:hidden">This run</h2>
          <FigureLine :group="group" />
          <p v-if="figure && figure.torqueNm !== run.figure.torqueNm" class="text-attention">The run goes on with the figure it was started with: <TorqueFigure :torque-nm="run.figure.torqueNm" />.</p>
          <ol class="ruled">
            <li v-for="(pass, index) in run.passes" :key="index" class="flex items-baseline justify-between gap-3 py-2" :class="next && index === next.passIndex ? 'font-semibold' : ''">
              <span>{{ index + 1 }}. {{ passNames[pass.kind].name }}</span>
              <TorqueFigure v-if="pass.torqueNm !== null" :torque-nm="pass.torqueNm" /><span v-else class="figure text-sm">by hand</span>
            </li>
          </ol>
          <button class="button" @click="stopRun">Stop and begin again</button>
        </template>
        <FigureRules v-else />
      </div>
    </template>
    <TroubleDialog :open="trouble" :step-id="operation.id" @close="trouble = false" />
  </SheetWithMargin>
</template>
