<script setup lang="ts">
import { blowLeft } from '../../../core/fasteners'
import type { StackPiece } from '../../../core/fasteners'

/** How much of an impact gun's blow is left behind a stack of extensions and wobble joints. */
const t = useTerms()
const extensions = ref(2)
const lengthMm = ref(250)
const joints = ref(0)
const angleDeg = ref(15)
const drives = [
  { id: '9.5', label: '3/8 in' },
  { id: '12.7', label: '1/2 in' },
] as const
const drive = ref<'9.5' | '12.7'>('12.7')
const units = useUnits()
const inches = computed(() => units.preference.value.length === 'in')
const shownLength = computed({
  get: () => (inches.value ? Math.round((lengthMm.value / 25.4) * 10) / 10 : lengthMm.value),
  set: (value: number) => {
    lengthMm.value = inches.value ? value * 25.4 : value
  },
})
const result = computed(() => {
  const diameterMm = Number(drive.value)
  const stack: StackPiece[] = [
    ...Array.from({ length: extensions.value }, () => ({
      kind: 'extension' as const,
      lengthMm: lengthMm.value,
      diameterMm,
    })),
    ...Array.from({ length: joints.value }, () => ({
      kind: 'wobble' as const,
      diameterMm: diameterMm * 1.3,
      angleDeg: angleDeg.value,
    })),
  ]
  try {
    return { share: blowLeft({ kind: 'socket', lengthMm: 40, diameterMm: diameterMm * 1.8 }, stack).share, problem: '' }
  } catch (error) {
    if (error instanceof RangeError)
      return { share: null, problem: 'reason' in error ? String(error.reason) : error.message }
    throw error
  }
})
</script>

<template>
  <details class="border-y border-rule">
    <summary class="min-h-12 cursor-pointer py-3 font-semibold">What is left of an impact gun’s blow?</summary>
    <div class="grid grid-cols-2 gap-3 pb-3">
      <Field v-slot="{ control }" id="stack-count" label="Extensions"
        ><select v-bind="control" v-model.number="extensions" class="mt-1">
          <option v-for="n in [0, 1, 2, 3, 4]" :key="n" :value="n">{{ n }}</option>
        </select></Field
      >
      <Field v-slot="{ control }" id="stack-length" :label="`Each, ${units.preference.value.length}`"
        ><input v-bind="control" v-model.number="shownLength" type="number" min="1" class="figure mt-1"
      /></Field>
      <Field v-slot="{ control }" id="stack-drive" label="Drive"
        ><select v-bind="control" v-model="drive" class="mt-1">
          <option v-for="entry in drives" :key="entry.id" :value="entry.id">{{ entry.label }}</option>
        </select></Field
      >
      <Field v-slot="{ control }" id="stack-joints" label="Wobble joints"
        ><select v-bind="control" v-model.number="joints" class="mt-1">
          <option v-for="n in [0, 1, 2, 3]" :key="n" :value="n">{{ n }}</option>
        </select></Field
      >
      <div v-if="joints">
        <Field v-slot="{ control }" id="stack-angle" label="Bent by, degrees"
          ><input v-bind="control" v-model.number="angleDeg" type="number" min="0" max="45" class="figure mt-1"
        /></Field>
      </div>
    </div>
    <p v-if="result.share !== null" class="pb-3" aria-live="polite">
      About <span class="figure text-xl font-bold">{{ Math.round(result.share * 100) }} %</span> of the blow reaches the
      bolt.
      <template v-if="result.share < 0.6"
        >Crack it by hand first, while there is still swing for a bar; then the gun runs it out.</template
      >
      <template v-else>The gun can do it; a tight or stretched bolt is still cracked by hand.</template>
      <span class="block text-sm text-quiet"
        >Each bar winds up as a spring; they stand in series, and the peak goes with the root of their stiffness.</span
      >
    </p>
    <p v-else class="pb-3 text-danger" role="alert">{{ t(result.problem) }}</p>
  </details>
</template>
