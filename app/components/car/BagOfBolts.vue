<script setup lang="ts">
import { boltName, isOut, matchBag, parseThread } from '../../../core/fasteners'
import type { BagBolts, BoltPlace } from '../../../core/fasteners'
import { convert, parseQuantity, UnitError } from '../../../core/units'

/** A bag of bolts that nobody kept on a board: measured, each finds its place by thread and length. */
const { state } = useJob()
const t = useTerms()
const units = useUnits()
const numbers = useNumbers()
interface Row {
  thread: string
  length: string
  count: string
}
const rows = ref<Row[]>([{ thread: '', length: '', count: '1' }])
const problems = ref<Record<number, string>>({})
const bag = ref<BagBolts[] | null>(null)

/** Holes whose bolt is out and whose size somebody has written down. */
const places = computed(() =>
  Object.values(state.value.boards).flatMap(board => {
    const group = state.value.procedure!.groups.find(({ id }) => id === board.group)
    return board.bolts
      .filter(bolt => isOut(bolt) && bolt.thread !== undefined && bolt.lengthMm !== undefined)
      .map(bolt => ({
        id: `${board.group} ${bolt.id}`,
        thread: designation(bolt.thread!),
        lengthMm: bolt.lengthMm!,
        name: `${t(group?.name ?? board.group)}, ${boltName(board, bolt)}`,
      }))
  }),
)
const names = computed(() => new Map(places.value.map(({ id, name }) => [id, name])))
const unmeasured = computed(
  () =>
    Object.values(state.value.boards)
      .flatMap(({ bolts }) => bolts)
      .filter(bolt => isOut(bolt) && (bolt.thread === undefined || bolt.lengthMm === undefined)).length,
)
const match = computed(() => (bag.value ? matchBag(bag.value, places.value) : null))
const nameOf = ({ id }: BoltPlace) => names.value.get(id) ?? id
const kindText = ({ thread, lengthMm }: BagBolts) => `${thread}, ${units.reading(lengthMm, 'mm')}`

function designation(thread: string): string {
  try {
    return parseThread(thread).designation
  } catch {
    return thread
  }
}
function readRow({ thread, length, count }: Row): BagBolts | string {
  try {
    const { value, unit } = parseQuantity(length, units.preference.value.length, numbers.format.value)
    const many = numbers.plain(count)
    if (!Number.isInteger(many) || many < 1 || many > 200) return 'How many: a whole number from 1 to 200.'
    return { thread: parseThread(thread).designation, lengthMm: convert(value, unit, 'mm'), count: many }
  } catch (error) {
    if (error instanceof UnitError || error instanceof RangeError || error instanceof Error)
      return 'reason' in error ? String(error.reason) : error.message
    throw error
  }
}
function submit() {
  const filled = rows.value
    .map((row, index) => ({ row, index }))
    .filter(({ row }) => row.thread.trim() || row.length.trim())
  const read = filled.map(({ row, index }) => ({ index, found: readRow(row) }))
  problems.value = Object.fromEntries(
    read.flatMap(({ index, found }) => (typeof found === 'string' ? [[index, found]] : [])),
  )
  bag.value =
    read.length > 0 && Object.keys(problems.value).length === 0
      ? read.flatMap(({ found }) => (typeof found === 'string' ? [] : [found]))
      : null
}
</script>

<template>
  <section aria-label="A bag of bolts" class="mt-8">
    <h2 class="text-2xl">A bag of bolts without a board</h2>
    <p class="mt-1 text-quiet">
      Measure each kind under the head; every bolt finds its hole by thread and length. Holes with a size on their
      board: <span class="figure">{{ places.length }}</span><template v-if="unmeasured"
        >; <span class="figure">{{ unmeasured }}</span> more are out, and nobody has written down what goes in
        them</template
      >.
    </p>
    <form class="mt-3 grid max-w-2xl gap-3" novalidate @submit.prevent="submit">
      <div v-for="(row, index) in rows" :key="index" class="grid grid-cols-[1fr_1fr_5rem] gap-3">
        <Field v-slot="{ control }" :id="`bag-thread-${index}`" label="Thread" :problem="problems[index] ?? ''"
          ><input v-bind="control" v-model="row.thread" class="figure mt-1" autocomplete="off" placeholder="M8x1.25"
        /></Field>
        <Field v-slot="{ control }" :id="`bag-length-${index}`" :label="`Length, ${units.preference.value.length}`"
          ><input v-bind="control" v-model="row.length" class="figure mt-1" inputmode="decimal" autocomplete="off"
        /></Field>
        <Field v-slot="{ control }" :id="`bag-count-${index}`" label="How many"
          ><input v-bind="control" v-model="row.count" class="figure mt-1" inputmode="numeric" autocomplete="off"
        /></Field>
      </div>
      <div class="flex flex-wrap gap-3">
        <button type="button" class="button" @click="rows.push({ thread: '', length: '', count: '1' })">
          Another kind
        </button>
        <button class="button button-main">Find their places</button>
      </div>
    </form>
    <div v-if="match && bag" class="mt-4 grid gap-2" aria-live="polite" data-testid="bag-match">
      <p v-if="match.fits.length === 0" class="text-attention">None of them fits a hole whose size is known.</p>
      <ul class="ruled">
        <li v-for="{ place, bag: kind, offMm } in match.fits" :key="place.id" class="flex flex-wrap gap-x-4 py-2">
          <span class="figure font-semibold">{{ kindText(bag[kind]!) }}</span>
          <span class="flex-1">{{ nameOf(place) }}</span>
          <span v-if="offMm >= 0.5" class="text-sm text-attention"
            >{{ units.reading(offMm, 'mm') }} off: measure again</span
          >
        </li>
      </ul>
      <p v-for="place in match.empty" :key="place.id" class="text-attention">
        No bolt for {{ nameOf(place) }}: {{ place.thread }}, {{ units.reading(place.lengthMm, 'mm') }}
      </p>
      <p v-for="{ bag: kind, count } in match.over" :key="kind" class="text-quiet">
        Over: {{ count }} × {{ kindText(bag[kind]!) }}
      </p>
    </div>
  </section>
</template>
