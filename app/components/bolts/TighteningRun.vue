<script setup lang="ts">
import { feelVerdict, looseningPasses, nextBolt, ringPlaces, runLength, tighteningPasses, wrenchSetting } from '../../../core/fasteners'
import type { BoltReading, Feel, TighteningPass } from '../../../core/fasteners'
import { blockersOf, jobFigure, openStop, passLimitNm, siblingCurves, unlikeSiblings } from '../../../core/job'
import type { RunWrench } from '../../../core/job'
import type { FastenerGroup, Operation } from '../../../core/packs'
import { newId } from '../../lib/ids'
import { passNames } from '../../lib/passes'
import { boltVerdicts, feelLabels } from '../../lib/verdicts'

/** A run over the bolts of a group, pass after pass: for a step of the plan, or by itself. */
const props = defineProps<{ operation: Operation | null, group: FastenerGroup, loosens?: boolean }>()
const { store, state, path } = useJob()
const t = useTerms()
const units = useUnits()
const router = useRouter()
const speech = useSpeech()
const trouble = ref(false)
useScreenAwake()

const stepId = computed(() => props.operation?.id ?? null)
const figure = computed(() => jobFigure(state.value, props.group.id)?.figure ?? null)
const run = computed(() => state.value.runs.findLast(entry => entry.stepId === stepId.value && entry.group === props.group.id && !!entry.loosens === !!props.loosens && entry.dropped === null && !closed.value.includes(entry.runId)) ?? null)
/** Free runs that are done stay in the log; a new one can begin. */
const closed = ref<string[]>([])
const next = computed(() => run.value && nextBolt(run.value, run.value.turned))
const stop = computed(() => run.value && openStop(run.value))
const total = computed(() => run.value ? runLength(run.value) : 0)
const blockers = computed(() => props.operation ? blockersOf(state.value, props.operation.id) : [])
const board = computed(() => state.value.boards[props.group.id]!)

const boltCount = ref<string | null>(String(board.value.bolts.length || props.group.count))
const counts = computed(() => [...new Set([board.value.bolts.length, 4, 5, 6, 8, 9, 10, 12])].filter(count => count >= 3).sort((a, b) => a - b).map(count => ({ id: String(count), label: String(count) })))
const onBoard = computed(() => Number(boltCount.value) === board.value.bolts.length)
const positions = computed(() => onBoard.value ? board.value.bolts.map(bolt => ({ x: bolt.xMm, y: bolt.yMm })) : ringPlaces(Number(boltCount.value), 100))
const made = computed((): TighteningPass[] => props.loosens ? looseningPasses(positions.value) : figure.value ? tighteningPasses(positions.value, figure.value) : [])
const passes = ref<TighteningPass[]>(made.value)
watch(made, (fresh) => { passes.value = fresh })
const wrench = ref<RunWrench | null>(null)

const runFigure = computed(() => {
  if (props.loosens || !figure.value) return null
  const { personId: _person, at: _at, ...plain } = figure.value
  return plain
})
const canStart = computed(() => blockers.value.length === 0 && passes.value.length > 0 && (props.loosens || runFigure.value !== null))
function start() {
  if (!canStart.value) return
  store.write('run-started', {
    runId: newId(), stepId: stepId.value, group: props.group.id, boltCount: positions.value.length, figure: runFigure.value, passes: passes.value, positions: positions.value,
    ...(onBoard.value ? { boltIds: board.value.bolts.map(bolt => bolt.id) } : {}), ...(props.loosens ? { loosens: true } : {}), ...(wrench.value && !props.loosens ? { wrench: wrench.value } : {}),
  })
}
function turned(more: { feel?: Feel, reading?: BoltReading } = {}) {
  if (!run.value || !next.value) return false
  return store.write('bolt-turned', { runId: run.value.runId, passIndex: next.value.passIndex, bolt: next.value.bolt, ...more })
}
const spoken = computed(() => {
  if (!next.value || stop.value) return ''
  const setting = settingNm.value === null ? passNames[next.value.pass.kind].name : `${units.torque(settingNm.value).main.text} ${units.torque(settingNm.value).main.unit === 'N·m' ? 'newton meters' : units.torque(settingNm.value).main.unit === 'lbf·ft' ? 'foot pounds' : 'inch pounds'}`
  return `Bolt ${next.value.bolt + 1}, ${setting}`
})
/** The rest of a pass at once: a plain wrench clicks, and nobody taps with oily hands for every bolt. */
function turnPass() {
  if (run.value && next.value && !stop.value) store.write('pass-turned', { runId: run.value.runId, passIndex: next.value.passIndex })
}
const link = useWrench({
  run: () => run.value,
  next: () => stop.value ? null : next.value,
  done: (reading) => { turned({ reading }) },
  stopped: (reading, kept) => {
    if (!run.value || !next.value || reading.verdict === null || reading.verdict === 'good') return
    store.write('bolt-stopped', { runId: run.value.runId, passIndex: next.value.passIndex, bolt: next.value.bolt, verdict: reading.verdict, because: reading.because, by: 'wrench', reading: kept })
    speech.say(`Stop. Bolt ${next.value.bolt + 1}. ${boltVerdicts[reading.verdict].name}.`)
  },
})
const settingNm = computed(() => {
  const pass = next.value?.pass
  if (!run.value || !pass) return null
  const targetNm = link.name.value ? passLimitNm(run.value, next.value!.passIndex) : pass.torqueNm
  if (targetNm === null) return null
  const { wrench: held } = run.value
  return held?.adapterLengthMm ? wrenchSetting({ targetNm, wrenchLengthMm: held.lengthMm, adapterLengthMm: held.adapterLengthMm, adapterAngleDeg: held.adapterAngleDeg }).settingNm : targetNm
})
watch(spoken, words => words && speech.say(words))

function act() {
  if (trouble.value || stop.value) return
  if (!run.value) {
    start()
    return
  }
  if (next.value) turned({ feel: 'normal' })
  else finish()
}
function feel(felt: Feel) {
  if (!run.value || !next.value || stop.value) return
  const { verdict, because } = feelVerdict(felt)
  if (verdict === 'good') turned({ feel: felt })
  else if (store.write('bolt-stopped', { runId: run.value.runId, passIndex: next.value.passIndex, bolt: next.value.bolt, verdict, because, by: 'feel' })) speech.say(`Stop. ${boltVerdicts[verdict].name}.`)
}
function finish() {
  if (!props.operation) {
    closed.value = [...closed.value, run.value!.runId]
    void router.push({ path: path('bolts'), query: { group: props.group.id } })
    return
  }
  refused.value = state.value.done[props.operation.id] ? '' : store.attempt('step-done', { stepId: props.operation.id }) ?? ''
  if (!refused.value) void router.push(path('work'))
}
function stopRun() {
  if (run.value) store.write('run-dropped', { runId: run.value.runId, reason: 'Stopped to begin again' })
}
const siblings = computed(() => run.value && next.value ? siblingCurves(run.value, next.value.passIndex, next.value.bolt) : [])
const unlike = computed(() => run.value && next.value && next.value.passIndex > 0 && next.value.turnedInPass === 0 ? unlikeSiblings(run.value, next.value.passIndex - 1) : [])
const wait = computed(() => next.value?.turnedInPass === 0 ? next.value.pass.waitMinutes ?? 0 : 0)
const refused = ref('')
watch(() => [run.value?.turned, state.value.readings.length, Object.keys(state.value.replaced).length], () => { refused.value = '' })
const title = computed(() => props.operation ? t(props.operation.title) : `${props.loosens ? 'Loosen' : 'Tighten'}: ${t(props.group.name).toLowerCase()}`)
useKeys({ Space: act, Backspace: store.undo, p: turnPass, x: () => { trouble.value = true }, 1: () => feel('tight-early'), 2: () => feel('keeps-turning'), 3: () => feel('gave-way') })
</script>

<template>
  <SheetWithMargin margin-title="This run">
    <div class="pb-28">
      <h1 class="text-xl sm:text-2xl">{{ title }}</h1>

      <template v-if="!run">
        <div v-if="blockers.length" class="mt-4 border-l-4 border-attention pl-4" role="note">
          <p v-for="blocker in blockers.slice(0, 3)" :key="blocker.title" class="py-1"><span class="label">First: {{ t(blocker.title) }}.</span> {{ t(blocker.because) }}</p>
        </div>
        <NewPartsAsk v-if="operation && !loosens" :step-id="operation.id" />
        <FigureLine v-if="!loosens" class="mt-5" :group="group" large />
        <p v-else class="mt-4 text-lg">A sprung part warps when one side is let go first. A little at a time, crosswise, until the spring is slack.</p>
        <ChoiceRow v-model="boltCount" class="mt-6" :label="onBoard ? 'Bolts, where the board has them' : 'Bolts, evenly on a circle'" :choices="counts" />
        <p v-if="group.treatment" class="mt-4">Thread: {{ t(group.treatment).toLowerCase() }}.</p>
        <div v-if="loosens || figure" class="mt-5 grid gap-5 xl:grid-cols-2">
          <PassEditor v-model="passes" :figure-nm="figure?.torqueNm ?? 0" />
          <WrenchLine v-if="!loosens && figure" v-model="wrench" :torque-nm="figure.torqueNm" />
        </div>
        <FootBar>
          <button class="button button-big px-1! text-lg!" @click="store.undo">Undo</button>
          <button class="button button-main button-big" :disabled="!canStart" @click="start">{{ loosens || figure ? 'Start the run' : 'No figure, no run' }}</button>
          <button class="button button-big px-1! text-lg!" @click="trouble = true">Trouble</button>
        </FootBar>
      </template>

      <template v-else>
        <p class="mt-2 text-lg" aria-live="polite">
          <template v-if="next"><span class="label">Pass {{ next.passIndex + 1 }} of {{ run.passes.length }}: {{ passNames[next.pass.kind].name }}.</span> {{ passNames[next.pass.kind].what }}</template>
          <span v-else class="label text-good">{{ loosens ? 'Every bolt is out.' : 'Every bolt is at its figure and checked.' }}</span>
        </p>
        <p v-if="wait" class="mt-1 border-l-4 border-attention pl-3">Wait <span class="figure font-bold">{{ wait }} min</span> before this pass.</p>
        <p v-for="odd in unlike" :key="odd.bolt" class="mt-1 border-l-4 border-attention pl-3" role="alert"><span class="label">Look at bolt {{ odd.bolt + 1 }} again.</span> It was read before its neighbors were known; against them it is {{ boltVerdicts[odd.reading.verdict!].name.toLowerCase() }}. {{ units.sentence(odd.reading.because) }}</p>
        <div class="mt-2 items-center gap-4" :class="link.name.value ? stop ? 'grid md:grid-cols-2' : 'grid md:grid-cols-[minmax(15rem,2fr)_minmax(0,3fr)]' : ''">
          <StopPanel v-if="stop" :run="run" :stop="stop" @cleared="link.startBolt(true)" />
          <RunPicture v-if="!stop || !link.name.value" :run="run" :next="next" :setting-nm="settingNm" class="mx-auto w-full min-w-60" :class="link.name.value ? 'max-w-[min(24rem,calc(100dvh-26rem))]' : 'max-w-[min(30rem,calc(100dvh-38rem))] sm:max-w-[min(30rem,calc(100dvh-31rem))]'" />
          <LazyTorqueCurve v-if="link.name.value && next && run.figure" :samples="link.samples.value" :siblings="siblings" :figure-nm="run.figure.torqueNm" :limit-nm="passLimitNm(run, next.passIndex) ?? run.figure.torqueNm" :reading="link.reading.value" />
        </div>
        <p class="text-center text-quiet">
          <span class="figure">{{ run.turned }} of {{ total }}</span> turns of the wrench<template v-if="run.wrench?.adapterLengthMm"> · set for the adapter</template>
          <template v-if="link.name.value && link.samples.value.length"> · <span class="figure text-2xl font-bold text-ink" data-testid="torque-now">{{ units.torque(link.samples.value.at(-1)!.torqueNm).main.text }} {{ units.torque(link.samples.value.at(-1)!.torqueNm).main.unit }}</span></template>
        </p>
        <template v-if="!next && operation">
          <NewPartsAsk v-if="!loosens" :step-id="operation.id" />
          <div v-if="refused" class="mt-3 border-l-4 border-danger bg-attention-tint px-4 py-3" role="alert">
            <p>{{ units.sentence(t(refused)) }}</p>
            <NuxtLink :to="{ path: path('work'), query: { step: operation.id } }" class="button mt-2">To the step</NuxtLink>
          </div>
        </template>
        <button v-if="next && !stop && !link.name.value" class="button button-big mt-2 w-full" data-testid="turn-pass" @click="turnPass">{{ next.turnedInPass ? 'The rest of this pass' : `All ${next.pass.order.length} of this pass` }} done</button>
        <div v-if="next && !stop && !link.name.value && !loosens" class="mt-2 grid grid-cols-3 gap-2" role="group" aria-label="How it felt, if not normal">
          <button v-for="(felt, index) in feelLabels.slice(1)" :key="felt.id" class="button px-1! max-sm:text-[0.95rem]" @click="feel(felt.id)">{{ felt.label }} <span class="figure text-quiet max-sm:hidden">{{ index + 1 }}</span></button>
        </div>
        <FootBar>
          <button class="button button-big px-1! text-lg!" @click="store.undo">Undo</button>
          <button class="button button-main button-big" data-testid="turn" :disabled="!!stop" @click="act">{{ stop ? 'Stopped' : next ? `Bolt ${next.bolt + 1} done` : props.operation ? 'Step done' : 'Run done' }}</button>
          <button class="button button-big px-1! text-lg!" @click="trouble = true">Trouble</button>
        </FootBar>
      </template>
    </div>

    <template #margin>
      <div class="grid gap-4">
        <template v-if="run">
          <h2 class="text-lg max-lg:hidden">This run</h2>
          <WrenchPanel v-if="!loosens && next" v-model:address="link.address.value" :name="link.name.value" :problem="link.problem.value" :connecting="link.connecting.value" @connect="link.connect" @disconnect="link.disconnect" />
          <p v-if="run.wrench">{{ run.wrench.name }}<span v-if="run.wrench.overdue" class="text-attention">, calibration run out</span></p>
          <label v-if="speech.isSupported.value" class="flex min-h-12 items-center gap-3"><input v-model="speech.on.value" type="checkbox" class="size-6! min-h-0! w-6!"> Say each bolt aloud</label>
          <FigureLine v-if="!loosens" :group="group" />
          <p v-if="figure && run.figure && figure.torqueNm !== run.figure.torqueNm" class="text-attention">The run goes on with the figure it was started with: <TorqueFigure :torque-nm="run.figure.torqueNm" />.</p>
          <ol class="ruled">
            <li v-for="(pass, index) in run.passes" :key="index" class="flex items-baseline justify-between gap-3 py-2" :class="next && index === next.passIndex ? 'font-semibold' : ''">
              <span>{{ index + 1 }}. {{ passNames[pass.kind].name }}</span>
              <TorqueFigure v-if="pass.torqueNm !== null" :torque-nm="pass.torqueNm" /><span v-else class="figure text-sm">{{ pass.angleDeg ? `${pass.angleDeg}°` : 'by hand' }}</span>
            </li>
          </ol>
          <p v-for="each in run.stops.filter(entry => entry.cleared)" :key="each.at" class="border-l-4 border-rule pl-3">Bolt {{ each.bolt + 1 }} stopped the run: {{ boltVerdicts[each.verdict].name.toLowerCase() }}. {{ each.cleared }}.</p>
          <button class="button" @click="stopRun">Stop and begin again</button>
        </template>
        <template v-else>
          <h2 class="text-lg max-lg:hidden">Why crosswise and in stages</h2>
          <LazyEvennessChart :bolt-count="Math.min(24, positions.length)" />
          <FigureRules />
        </template>
      </div>
    </template>
    <TroubleDialog :open="trouble" :step-id="stepId" @close="trouble = false" />
  </SheetWithMargin>
</template>
