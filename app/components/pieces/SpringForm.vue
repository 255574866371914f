<script setup lang="ts">
import type { SpringVerdict } from '../../../core/bench'
import type { SpringOf } from '../../../core/job'
import type { Piece } from '../../../core/packs'
import { convert } from '../../../core/units'

/** A spring measured, the old one or the one that goes in, and what it is against the sheet of its pocket. */
const props = defineProps<{
  bodyId: string
  piece: Piece
  of: SpringOf
  verdict: SpringVerdict | null
  pocketOf: (springId: string) => string
}>()
const { store, state } = useJob()
const t = useTerms()
const units = useUnits()
const open = ref(false)
const kept = computed(() => state.value.bodies[props.bodyId]?.springs[props.piece.id]?.[props.of] ?? {})
const { entered, read } = useSpringTyped(() => kept.value)
const { problems, allGood } = useProblems()
function keep() {
  const { measures, unread } = read()
  if (unread) return void allGood({ spring: unread })
  const refusal = store.attempt('spring-measured', {
    bodyId: props.bodyId,
    pieceId: props.piece.id,
    of: props.of,
    measures,
  })
  if (allGood({ spring: refusal })) open.value = false
}
/** A rate as the reader writes it. */
function rate(newtonPerMm: number): string {
  return units.preference.value.length === 'mm'
    ? `${newtonPerMm.toFixed(2)} N/mm`
    : `${(convert(newtonPerMm, 'N', 'lbf') * 25.4).toFixed(1)} lbf/in`
}
const words = computed(
  () =>
    ({
      old: { name: 'The old one', measure: 'Measure the old one', again: 'Measure it again' },
      returned: { name: 'What goes in', measure: 'Measure what goes in', again: 'Measure it again' },
    })[props.of],
)
const tone = computed(() => (props.verdict?.verdict === 'same' ? 'border-good' : 'border-attention'))
</script>

<template>
  <div>
    <p v-if="verdict" class="border-l-4 pl-3" :class="tone" :data-testid="`spring-${piece.id}-${of}`">
      <span class="label">{{ words.name }}.</span> {{ t(verdict.because) }}
      <template v-if="verdict.pocket">It is the one of the {{ pocketOf(verdict.pocket) }}.</template>
      <span v-if="verdict.rateNmm !== null" class="figure text-quiet">
        {{ rate(verdict.rateNmm)
        }}<template v-if="verdict.wantedNmm !== null"> for {{ rate(verdict.wantedNmm) }}</template>
      </span>
    </p>
    <button v-if="!open" class="button mt-1" @click="open = true">
      {{ verdict ? words.again : words.measure }}
    </button>
    <form v-else class="mt-1 grid gap-2" @submit.prevent="keep">
      <SpringFields v-model="entered" :id-of="`${piece.id}-${of}`" />
      <p class="text-danger" role="alert">{{ t(problems.spring ?? '') }}</p>
      <div class="flex gap-2">
        <button class="button button-main">Keep</button>
        <button type="button" class="button" @click="open = false">Leave it</button>
      </div>
    </form>
  </div>
</template>
