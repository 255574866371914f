<script setup lang="ts">
import type { TorqueUnit } from '../../../core/fasteners'
import type { FastenerGroup } from '../../../core/packs'
import { patternLabels, renewLabels, threadLabels } from '../../words/bolt-words'
import { sourceLabels } from '../../words/sources'

/** Names the figure of a fastener group together with its source, judged as it is typed. */
const props = defineProps<{ group: FastenerGroup; computedCeiling?: boolean }>()
const emit = defineEmits<{ named: [] }>()
const { store } = useJob()
const t = useTerms()
const {
  value,
  unit,
  rows,
  sourceKind,
  reference,
  condition,
  renew,
  pattern,
  borrowFrom,
  borrowBecause,
  facts,
  ceiling,
  first,
  figure,
  problem,
  rowProblems,
  sameBook,
  takeBook,
  lendable,
  borrow,
  takeKit,
} = useFigureTyped(props.group, props.computedCeiling ?? false)
const tried = ref(false)
const describing = ref(false)
/** The figure in N·m that was said to be right although it is unusual. */
const meant = ref<number | null>(null)
const sources = computed(() => sourceLabels.filter(source => source.id !== 'computed' || props.computedCeiling))
const problemOf = (path: string) => (tried.value && problem.value?.path === path ? problem.value.reason : '')
/** What fasteners of this kind usually have, where the figure lies outside it. */
const unusual = computed(() => {
  const [low, high] = props.group.usualNm ?? [0, Infinity]
  const torqueNm = figure.value?.torqueNm
  return torqueNm !== undefined && torqueNm > 0 && (torqueNm < low || torqueNm > high) && meant.value !== torqueNm
    ? { low, high, torqueNm }
    : null
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
function sayMeant(torqueNm: number) {
  meant.value = torqueNm
  submit()
}
</script>

<template>
  <div v-if="describing" class="grid gap-4">
    <button type="button" class="button justify-self-start" @click="describing = false">Back to the figure</button>
    <LazyFastenerForm :group="group" @done="describing = false" />
  </div>
  <form v-else class="grid gap-5" novalidate data-figure-form @submit.prevent="submit">
    <p v-if="computedCeiling && ceiling" class="border-l-4 border-attention pl-3">
      <span class="label">Computed, not a specification.</span> A cautious range is
      <TorqueFigure :torque-nm="ceiling.cautiousNm.low" /> to <TorqueFigure :torque-nm="ceiling.cautiousNm.high" />. It
      stands under your name on the hand-over paper.
    </p>
    <KnownKits
      v-if="group.part === 'kit' && !computedCeiling"
      :group="group.id"
      :typed="value !== ''"
      @take="takeKit"
    />
    <div>
      <label class="label" :for="`torque-${group.id}`">Torque</label>
      <div class="mt-1 flex gap-2">
        <input
          :id="`torque-${group.id}`"
          v-model="value"
          class="figure text-2xl"
          inputmode="decimal"
          autocomplete="off"
          :aria-invalid="!!problemOf('torqueNm')"
          :aria-describedby="`torque-problem-${group.id}`"
        />
        <select v-model="unit" class="w-32!" aria-label="Unit">
          <option>N·m</option>
          <option>lbf·ft</option>
          <option>lbf·in</option>
        </select>
      </div>
      <p :id="`torque-problem-${group.id}`" class="mt-1 min-h-6 text-danger">
        {{ t(problemOf('torqueNm')) }}
        <span v-if="!problemOf('torqueNm') && first.value && first.value.torqueNm > 0" class="text-ink"
          ><TorqueFigure :torque-nm="first.value.torqueNm"
        /></span>
      </p>
      <FigureJudgement
        v-if="facts && figure && figure.torqueNm > 0"
        :facts="facts"
        :torque-nm="figure.torqueNm"
        :condition="condition || undefined"
        :typed="
          rows.length === 0 && first.value
            ? { value: first.value.value, unit: first.value.unit as TorqueUnit }
            : undefined
        "
        @unit="
          chosen => {
            unit = chosen
            value = value.replace(/[^\d.,].*$/, '').trim()
          }
        "
      />
      <p v-else-if="!facts" class="text-sm text-quiet">
        Not judged yet.
        <button type="button" class="min-h-11 font-semibold underline" @click="describing = true">
          Say what the bolts are
        </button>
      </p>
    </div>
    <div>
      <StageRows v-model="rows" :unit="unit" :problems="tried ? rowProblems : {}" />
      <p v-if="problemOf('stages')" class="text-danger" role="alert">{{ t(problemOf('stages')) }}</p>
    </div>
    <div>
      <button v-if="sameBook && !reference" type="button" class="button mb-3 text-left" @click="takeBook">
        From the same: {{ sameBook.reference }}
      </button>
      <ChoiceRow v-model="sourceKind" label="It comes from" :choices="sources" />
      <p class="mt-1 min-h-6 text-danger">{{ t(problemOf('sourceKind')) }}</p>
    </div>
    <Field
      v-slot="{ control }"
      :id="`reference-${group.id}`"
      :label="sourceKind === 'computed' ? 'Who takes it, and on what ground' : 'Which book, sheet or person'"
      :problem="problemOf('reference')"
      ><input v-bind="control" v-model="reference" class="mt-1" autocomplete="off" maxlength="200"
    /></Field>
    <details>
      <summary class="min-h-11 cursor-pointer py-2 font-semibold">
        Thread, order, renewal, another group’s figure
      </summary>
      <div class="mt-2 grid gap-4">
        <Field v-slot="{ control }" :id="`condition-${group.id}`" label="The source wants the thread"
          ><select v-bind="control" v-model="condition" class="mt-1">
            <option value="">it does not say</option>
            <option v-for="entry in threadLabels" :key="entry.id" :value="entry.id">{{ entry.label }}</option>
          </select></Field
        >
        <Field v-slot="{ control }" :id="`pattern-${group.id}`" label="Order"
          ><select v-bind="control" v-model="pattern" class="mt-1">
            <option value="">it does not say</option>
            <option v-for="entry in patternLabels" :key="entry.id" :value="entry.id">{{ entry.label }}</option>
          </select></Field
        >
        <Field v-slot="{ control }" :id="`renew-${group.id}`" label="The bolts"
          ><select v-bind="control" v-model="renew" class="mt-1">
            <option value="">it does not say</option>
            <option v-for="entry in renewLabels" :key="entry.id" :value="entry.id">{{ entry.label }}</option>
          </select></Field
        >
        <div v-if="lendable.length">
          <Field v-slot="{ control }" :id="`borrow-${group.id}`" label="Take the figure of"
            ><select v-bind="control" v-model="borrowFrom" class="mt-1" @change="borrow">
              <option value="">no other group</option>
              <option v-for="entry in lendable" :key="entry.group.id" :value="entry.group.id">
                {{ t(entry.group.name) }}
              </option>
            </select></Field
          >
        </div>
        <div v-if="borrowFrom">
          <Field
            v-slot="{ control }"
            :id="`borrow-because-${group.id}`"
            label="Why it holds for this one"
            :problem="problemOf('borrowed.because')"
            ><input v-bind="control" v-model="borrowBecause" class="mt-1" maxlength="300" autocomplete="off"
          /></Field>
        </div>
      </div>
    </details>
    <div v-if="tried && unusual && !problem" class="border-l-4 border-danger bg-attention-tint px-4 py-3" role="alert">
      <p>
        <span class="label">Look again.</span> {{ t(group.name) }}: fasteners of this kind usually have
        <TorqueFigure :torque-nm="unusual.low" /> to <TorqueFigure :torque-nm="unusual.high" />. Is the unit right, and
        the line of the book?
      </p>
      <button type="button" class="button mt-2" @click="sayMeant(unusual.torqueNm)">The source says so</button>
    </div>
    <button class="button button-main button-big">Name this figure</button>
  </form>
</template>
