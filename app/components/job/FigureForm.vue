<script setup lang="ts">
import { ceilingOf, figureProblem, jointOf } from '../../../core/fasteners'
import type { Figure, Pattern, RenewRule, SourceKind, Stage, ThreadCondition, TorqueUnit } from '../../../core/fasteners'
import { jobFigure } from '../../../core/job'
import type { FastenerGroup } from '../../../core/packs'
import { convert, parseQuantity, UnitError } from '../../../core/units'
import { patternLabels, renewLabels, threadLabels } from '../../lib/bolt-words'
import { sourceLabels } from '../../lib/sources'
import type { StageRow } from './StageRows.vue'

/** Names the figure of a fastener group together with its source, judged as it is typed. */
const props = defineProps<{ group: FastenerGroup, computedCeiling?: boolean }>()
const emit = defineEmits<{ named: [] }>()
const { store, state } = useJob()
const t = useTerms()
const units = useUnits()
const numbers = useNumbers()
const value = ref('')
const unit = ref<TorqueUnit>(units.preference.value.torque)
const rows = ref<StageRow[]>([])
const sourceKind = ref<SourceKind | null>(props.computedCeiling ? 'computed' : null)
const reference = ref('')
const condition = ref<ThreadCondition | ''>('')
const renew = ref<RenewRule | ''>('')
const pattern = ref<Pattern | ''>('')
const borrowFrom = ref('')
const borrowBecause = ref('')
const tried = ref(false)
/** Where the last figure of such a part came from: the same book is often still open. */
const sameBook = computed(() => (state.value.procedure?.groups ?? []).filter(group => group.part === props.group.part && group.id !== props.group.id).flatMap(group => state.value.figures[group.id] ?? [])
  .filter(entry => entry.sourceKind !== 'computed').reduce<Figure & { at: string } | null>((last, entry) => last && last.at >= entry.at ? last : entry, null))
function takeBook() {
  sourceKind.value = sameBook.value!.sourceKind
  reference.value = sameBook.value!.reference
}
const describing = ref(false)
/** The figure in N·m that was said to be right although it is unusual. */
const meant = ref<number | null>(null)

const facts = computed(() => state.value.fasteners[props.group.id] ?? null)
const ceiling = computed(() => facts.value ? ceilingOf(jointOf(facts.value, condition.value || undefined)) : null)
const sources = computed(() => sourceLabels.filter(source => source.id !== 'computed' || props.computedCeiling))
const lendable = computed(() => (state.value.procedure?.groups ?? []).filter(group => group.id !== props.group.id).flatMap((group) => {
  const lent = jobFigure(state.value, group.id)
  return lent ? [{ group, figure: lent.figure }] : []
}))

type Parsed<T> = { value: T, problem: null } | { value: null, problem: string }
function parse<T>(work: () => T): Parsed<T> {
  try {
    return { value: work(), problem: null }
  }
  catch (error) {
    if (error instanceof UnitError) return { value: null, problem: error.message }
    throw error
  }
}
const round = (torqueNm: number) => Math.round(torqueNm * 100) / 100
const readTorque = (text: string) => {
  const quantity = parseQuantity(text, unit.value, numbers.format.value)
  return { ...quantity, torqueNm: round(convert(quantity.value, quantity.unit, 'N·m')) }
}
const first = computed(() => parse(() => readTorque(value.value)))
const readRow = (row: StageRow): Stage => {
  if (row.kind === 'lap') return { kind: 'lap' }
  if (row.kind === 'torque') return { kind: 'torque', torqueNm: readTorque(row.text).torqueNm }
  return row.kind === 'angle' ? { kind: 'angle', angleDeg: parseQuantity(row.text, '°', numbers.format.value).value } : { kind: 'wait', minutes: convert(parseQuantity(row.text, 'min', numbers.format.value).value, parseQuantity(row.text, 'min', numbers.format.value).unit, 'min') }
}
const stages = computed(() => rows.value.map(row => parse(() => readRow(row))))
const rowProblems = computed(() => {
  if (!tried.value) return {}
  const unread = Object.fromEntries(stages.value.flatMap((stage, index) => stage.problem ? [[index, stage.problem]] : []))
  const at = /^stages\[(\d+)\]/.exec(problem.value?.path ?? '')
  return at ? { ...unread, [Number(at[1]) - 1]: problem.value!.reason } : unread
})
const figure = computed((): Omit<Figure, 'group'> | null => {
  if (!first.value.value || stages.value.some(stage => stage.value === null)) return null
  const all: Stage[] = [{ kind: 'torque', torqueNm: first.value.value.torqueNm }, ...stages.value.map(stage => stage.value!)]
  const last = all.findLast(stage => stage.kind === 'torque')!
  return {
    torqueNm: last.torqueNm, sourceKind: sourceKind.value as SourceKind, reference: reference.value.trim(),
    ...(rows.value.length ? { stages: all } : {}), ...(pattern.value ? { pattern: pattern.value } : {}), ...(condition.value ? { condition: condition.value } : {}), ...(renew.value ? { renew: renew.value } : {}),
    ...(borrowFrom.value ? { borrowed: { group: borrowFrom.value, because: borrowBecause.value.trim() } } : {}),
  }
})
const problem = computed(() => {
  if (first.value.problem) return { path: 'torqueNm', reason: first.value.problem }
  if (!figure.value) return { path: 'stages', reason: '' }
  if (sourceKind.value === 'computed' && ceiling.value && figure.value.torqueNm > ceiling.value.ceilingNm) return { path: 'torqueNm', reason: 'This is above the ceiling of what the fastener stands on an easy thread.' }
  const found = figureProblem(figure.value)
  return found && /^stages\[0\]/.test(found.path) ? { path: 'torqueNm', reason: found.reason } : found
})
const problemOf = (path: string) => tried.value && problem.value?.path === path ? problem.value.reason : ''

function borrow() {
  const lent = lendable.value.find(entry => entry.group.id === borrowFrom.value)
  if (!lent) return
  const shown = units.torque(lent.figure.torqueNm)
  value.value = shown.main.text
  unit.value = shown.main.unit as TorqueUnit
  sourceKind.value = 'trade-practice'
  reference.value = `Figure of the ${t(lent.group.name).toLowerCase()}: ${lent.figure.reference}`.slice(0, 200)
}
/** A kit sheet's figure from an earlier job, with its stages, into the form. */
function takeKit(kit: Figure) {
  const shown = (nm: number) => units.torque(nm).main
  const [head, ...rest] = kit.stages ?? [{ kind: 'torque' as const, torqueNm: kit.torqueNm }]
  const { text, unit: shownUnit } = shown(head?.kind === 'torque' ? head.torqueNm : kit.torqueNm)
  value.value = text
  unit.value = shownUnit as TorqueUnit
  rows.value = rest.map((stage): StageRow => stage.kind === 'torque' ? { kind: 'torque', text: shown(stage.torqueNm).text } : stage.kind === 'angle' ? { kind: 'angle', text: String(stage.angleDeg) } : stage.kind === 'wait' ? { kind: 'wait', text: String(stage.minutes) } : { kind: 'lap', text: '' })
  sourceKind.value = 'kit-sheet'
  reference.value = kit.reference
  condition.value = kit.condition ?? ''
  renew.value = kit.renew ?? ''
  pattern.value = kit.pattern ?? ''
}
/** What fasteners of this kind usually have, where the figure lies outside it. */
const unusual = computed(() => {
  const [low, high] = props.group.usualNm ?? [0, Infinity]
  const torqueNm = figure.value?.torqueNm
  return torqueNm !== undefined && torqueNm > 0 && (torqueNm < low || torqueNm > high) && meant.value !== torqueNm ? { low, high, torqueNm } : null
})
function submit() {
  tried.value = true
  if (problem.value || !figure.value) {
    void nextTick(() => document.querySelector<HTMLElement>(`[data-figure-form] [aria-invalid=true]`)?.focus())
    return
  }
  if (unusual.value) return
  if (store.write('figure-named', { group: props.group.id, ...figure.value })) emit('named')
}
</script>

<template>
  <div v-if="describing" class="grid gap-4">
    <button type="button" class="button justify-self-start" @click="describing = false">Back to the figure</button>
    <LazyFastenerForm :group="group" @done="describing = false" />
  </div>
  <form v-else class="grid gap-5" novalidate data-figure-form @submit.prevent="submit">
    <p v-if="computedCeiling && ceiling" class="border-l-4 border-attention pl-3">
      <span class="label">Computed, not a specification.</span> A cautious range is <TorqueFigure :torque-nm="ceiling.cautiousNm.low" /> to <TorqueFigure :torque-nm="ceiling.cautiousNm.high" />. It stands under your name on the hand-over paper.
    </p>
    <KnownKits v-if="group.part === 'kit' && !computedCeiling" :group="group.id" @take="takeKit" />
    <div>
      <label class="label" :for="`torque-${group.id}`">Torque</label>
      <div class="mt-1 flex gap-2">
        <input :id="`torque-${group.id}`" v-model="value" class="figure text-2xl" inputmode="decimal" autocomplete="off" :aria-invalid="!!problemOf('torqueNm')" :aria-describedby="`torque-problem-${group.id}`">
        <select v-model="unit" class="w-32!" aria-label="Unit"><option>N·m</option><option>lbf·ft</option><option>lbf·in</option></select>
      </div>
      <p :id="`torque-problem-${group.id}`" class="mt-1 min-h-6 text-danger">
        {{ problemOf('torqueNm') }}
        <span v-if="!problemOf('torqueNm') && first.value && first.value.torqueNm > 0" class="text-ink"><TorqueFigure :torque-nm="first.value.torqueNm" /></span>
      </p>
      <FigureJudgement
        v-if="facts && figure && figure.torqueNm > 0" :facts="facts" :torque-nm="figure.torqueNm" :condition="condition || undefined"
        :typed="rows.length === 0 && first.value ? { value: first.value.value, unit: first.value.unit as TorqueUnit } : undefined" @unit="chosen => { unit = chosen; value = value.replace(/[^\d.,].*$/, '').trim() }"
      />
      <p v-else-if="!facts" class="text-sm text-quiet">Not judged yet. <button type="button" class="min-h-11 font-semibold underline" @click="describing = true">Say what the bolts are</button></p>
    </div>
    <div>
      <StageRows v-model="rows" :unit="unit" :problems="rowProblems" />
      <p v-if="problemOf('stages')" class="text-danger" role="alert">{{ problemOf('stages') }}</p>
    </div>
    <div>
      <button v-if="sameBook && !reference" type="button" class="button mb-3 text-left" @click="takeBook">From the same: {{ sameBook.reference }}</button>
      <ChoiceRow v-model="sourceKind" label="It comes from" :choices="sources" />
      <p class="mt-1 min-h-6 text-danger">{{ problemOf('sourceKind') }}</p>
    </div>
    <div>
      <label class="label" :for="`reference-${group.id}`">{{ sourceKind === 'computed' ? 'Who takes it, and on what ground' : 'Which book, sheet or person' }}</label>
      <input :id="`reference-${group.id}`" v-model="reference" class="mt-1" autocomplete="off" maxlength="200" :aria-invalid="!!problemOf('reference')">
      <p class="mt-1 min-h-6 text-danger">{{ problemOf('reference') }}</p>
    </div>
    <details>
      <summary class="min-h-11 cursor-pointer py-2 font-semibold">Thread, order, renewal, another group’s figure</summary>
      <div class="mt-2 grid gap-4">
        <div><label class="label" :for="`condition-${group.id}`">The source wants the thread</label><select :id="`condition-${group.id}`" v-model="condition" class="mt-1"><option value="">it does not say</option><option v-for="entry in threadLabels" :key="entry.id" :value="entry.id">{{ entry.label }}</option></select></div>
        <div><label class="label" :for="`pattern-${group.id}`">Order</label><select :id="`pattern-${group.id}`" v-model="pattern" class="mt-1"><option value="">it does not say</option><option v-for="entry in patternLabels" :key="entry.id" :value="entry.id">{{ entry.label }}</option></select></div>
        <div><label class="label" :for="`renew-${group.id}`">The bolts</label><select :id="`renew-${group.id}`" v-model="renew" class="mt-1"><option value="">it does not say</option><option v-for="entry in renewLabels" :key="entry.id" :value="entry.id">{{ entry.label }}</option></select></div>
        <div v-if="lendable.length">
          <label class="label" :for="`borrow-${group.id}`">Take the figure of</label>
          <select :id="`borrow-${group.id}`" v-model="borrowFrom" class="mt-1" @change="borrow"><option value="">no other group</option><option v-for="entry in lendable" :key="entry.group.id" :value="entry.group.id">{{ t(entry.group.name) }}</option></select>
        </div>
        <div v-if="borrowFrom">
          <label class="label" :for="`borrow-because-${group.id}`">Why it holds for this one</label>
          <input :id="`borrow-because-${group.id}`" v-model="borrowBecause" class="mt-1" maxlength="300" autocomplete="off" :aria-invalid="!!problemOf('borrowed.because')">
          <p class="mt-1 text-danger">{{ problemOf('borrowed.because') }}</p>
        </div>
      </div>
    </details>
    <div v-if="tried && unusual && !problem" class="border-l-4 border-danger bg-attention-tint px-4 py-3" role="alert">
      <p><span class="label">Look again.</span> {{ t(group.name) }}: fasteners of this kind usually have <TorqueFigure :torque-nm="unusual.low" /> to <TorqueFigure :torque-nm="unusual.high" />. Is the unit right, and the line of the book?</p>
      <button type="button" class="button mt-2" @click="meant = unusual.torqueNm; submit()">The source says so</button>
    </div>
    <button class="button button-main button-big">Name this figure</button>
  </form>
</template>
