<script setup lang="ts">
import { orientationsBackWith, orientationsOffWith, partsAwaited } from '../../../core/job'
import type { StepView } from '../../../core/job'
import type { Sheet } from '../../../core/packs'
import { sheetPath, viewOf } from '../../links/sheet-path'
import { momentText } from '../../words/moments'

/** What the bench wants at a step: the sheet to fill in, which way round a part lies or goes in, a part that is not here yet. */
const props = defineProps<{ step: StepView }>()
const { store, state, path } = useJob()
const t = useTerms()
const sheets = computed(() =>
  (state.value.procedure?.bench.sheets ?? []).filter(sheet => sheet.steps.includes(props.step.id)),
)
const where = (sheet: Sheet) =>
  ({ bench: 'On the bench', pedal: 'Pedal', control: state.value.procedure?.control?.name ?? '' })[viewOf(sheet)]
const off = computed(() => orientationsOffWith(state.value, props.step.id))
const back = computed(() =>
  orientationsBackWith(state.value, props.step.id).filter(entry => state.value.orientations[entry.id]),
)
const awaited = computed(() => partsAwaited(state.value).filter(part => part.stepId === props.step.id))
const boards = computed(() => (state.value.procedure?.bodies ?? []).filter(body => body.steps.includes(props.step.id)))
const mates = computed(() => state.value.procedure?.bench.mating?.step === props.step.id)
const orderOf = (partId: string) =>
  state.value.orders.find(order => order.cameAt === null && (order.partId === partId || order.covers?.includes(partId)))
</script>

<template>
  <section
    v-if="mates || boards.length || sheets.length || off.length || back.length || awaited.length"
    class="mt-4 grid gap-3 border-y border-rule py-3"
    aria-label="Bench"
  >
    <p
      v-for="part in awaited"
      :key="part.partId"
      class="flex flex-wrap items-center gap-3 border-l-4 border-attention pl-4 text-lg"
    >
      <span class="min-w-0 flex-1 basis-56"
        ><span class="label">{{ t(part.name) }}</span> is on its way, due {{ momentText(part.at) }}.</span
      >
      <button
        v-if="orderOf(part.partId)"
        class="button"
        @click="store.write('part-came', { orderId: orderOf(part.partId)!.orderId })"
      >
        It is here
      </button>
      <NuxtLink v-else no-prefetch class="button" :to="path('bench/parts')">To the parts</NuxtLink>
    </p>
    <p v-for="entry in back" :key="entry.id" class="flex flex-wrap items-center gap-3 text-lg">
      <span class="min-w-0 flex-1 basis-56"
        ><span class="label">{{ t(entry.name) }}:</span> {{ t(state.orientations[entry.id]!.side)
        }}<template v-if="state.orientations[entry.id]!.mark">, {{ state.orientations[entry.id]!.mark }}</template
        >.</span
      >
      <span v-if="state.orientations[entry.id]!.confirmedAt" class="font-semibold text-good">✓ goes in so</span>
      <button
        v-else
        class="button border-attention!"
        @click="store.write('orientation-confirmed', { partId: entry.id })"
      >
        It goes in so
      </button>
    </p>
    <ul v-if="off.length">
      <LazyOrientationLine v-for="entry in off" :key="entry.id" :entry="entry" />
    </ul>
    <p v-if="mates">
      <NuxtLink no-prefetch class="button" :to="path('car/mating')">Mating: checks and the gap</NuxtLink>
    </p>
    <p v-if="boards.length" class="flex flex-wrap gap-2">
      <NuxtLink v-for="body in boards" :key="body.id" no-prefetch class="button" :to="path(`bolts/pieces/${body.id}`)"
        >Piece board: {{ t(body.name) }}</NuxtLink
      >
    </p>
    <p v-if="sheets.length" class="flex flex-wrap gap-2">
      <NuxtLink v-for="sheet in sheets" :key="sheet.id" no-prefetch class="button" :to="path(sheetPath(sheet))"
        >{{ where(sheet) }}: {{ t(sheet.title) }}</NuxtLink
      >
    </p>
  </section>
</template>
