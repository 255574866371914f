<script setup lang="ts">
import { countsToMark, reservoirStand, WARN_COUNTS } from '../../../core/job/views/reservoir'
import type { BleedWay } from '../../../core/packs'
import { momentText } from '../../words/moments'
import { readEntry } from '../../words/read-entry'

/** What stands in the reservoir, how many counts until its mark, what has gone through the line, what is left of the fluid bought. */
const props = defineProps<{ stepId: string; way: BleedWay }>()
const { store, state } = useJob()
const units = useUnits()
const record = computed(() => state.value.reservoirs[props.stepId])
const stand = computed(() => reservoirStand(record.value))
const counts = computed(() => (record.value ? countsToMark(record.value, props.way) : Infinity))
const upward = computed(() => props.way.portionMl < 0)
const low = computed(() => counts.value <= WARN_COUNTS)
const boughtMl = computed(() => state.value.bleeding[props.stepId]?.boughtMl ?? 0)
const leftOfBottle = computed(() => boughtMl.value - (stand.value?.addedMl ?? 0))
const fields = [
  { id: 'reservoirMl', name: 'Stands in it, ml', usual: 200, unit: 'ml' },
  { id: 'lowMl', name: 'Low mark, ml', usual: 100, unit: 'ml' },
  { id: 'fullMl', name: 'Full mark, ml', usual: 250, unit: 'ml' },
  { id: 'masterBoreMm', name: 'Bore of the master', usual: 19, unit: 'mm' },
  { id: 'strokeMm', name: 'Stroke of its piston', usual: 22, unit: 'mm' },
  { id: 'lineMl', name: 'The line holds, ml', usual: 22, unit: 'ml' },
] as const
const typed = reactive<Record<string, string>>(Object.fromEntries(fields.map(field => [field.id, ''])))
const amount = ref('')
const bottles = ref(1)
const bottleMl = ref(500)
const { problems, allGood } = useProblems()
const marks = computed(() => (counts.value === 1 ? props.way.one : props.way.many))

function set() {
  const values = fields.map(field => ({
    field,
    value:
      typed[field.id]!.trim() === ''
        ? field.usual
        : readEntry(typed[field.id]!, field.unit, units.preference.value).value,
  }))
  if (
    !allGood(Object.fromEntries(values.map(({ field, value }) => [field.id, value === null && 'A number is wanted.'])))
  )
    return
  const known = Object.fromEntries(values.map(({ field, value }) => [field.id, value!])) as Record<
    (typeof fields)[number]['id'],
    number
  >
  store.write('reservoir-set', { stepId: props.stepId, ...known, deliveredShare: props.way.strokeShare })
}
function change(type: 'reservoir-topped' | 'reservoir-drawn') {
  const { value } = readEntry(amount.value, 'ml', units.preference.value)
  if (
    allGood({ amount: (value === null || value <= 0) && 'How much was it?' }) &&
    store.write(type, { stepId: props.stepId, ml: value! })
  )
    amount.value = ''
}
function bought() {
  const good = allGood({
    bottles: !(bottles.value >= 1 && bottles.value <= 20) && 'One to twenty.',
    bottleMl: !(bottleMl.value >= 50 && bottleMl.value <= 5000) && '{50 ml} to {5000 ml}.',
  })
  if (good)
    store.write('fluid-bought', { stepId: props.stepId, bottles: Math.round(bottles.value), bottleMl: bottleMl.value })
}
</script>

<template>
  <section class="grid gap-3" aria-labelledby="reservoir-title" data-testid="reservoir">
    <h2 id="reservoir-title" class="border-b border-ink pb-1 text-lg">Reservoir</h2>
    <template v-if="stand && record">
      <p v-if="stand.ranDry" class="border-l-4 border-danger pl-3 text-lg" role="alert">
        <span class="label">It ran dry at {{ momentText(stand.ranDry) }}.</span> Air stands in the master, and in the
        brakes where they share it: fill it, begin again, prove the brakes.
      </p>
      <p :class="low ? 'border-l-4 border-danger pl-3 text-lg' : ''" role="status">
        <template v-if="counts === Infinity"
          >{{ Math.round(stand.leftMl) }} ml stand in it<template v-if="way.counts === 'strokes'"
            >; nothing leaves the line</template
          >.</template
        >
        <template v-else-if="counts < 1"
          ><span class="label">At its {{ upward ? 'full' : 'low' }} mark.</span>
          {{ upward ? 'Draw some off before the next push.' : 'Pour fluid in before the next one.' }}</template
        >
        <template v-else
          ><span class="figure text-xl font-bold">{{ counts }}</span> {{ marks }} to the
          {{ upward ? 'full' : 'low' }} mark, {{ Math.round(stand.leftMl) }} ml stand in it.</template
        >
      </p>
      <p v-if="stand.sentMl + stand.pushedMl > 0">
        {{ Math.round(stand.sentMl + stand.pushedMl) }} ml {{ upward ? 'pushed' : 'sent' }} through,
        {{
          stand.throughShare >= 1
            ? 'the old fluid is gone'
            : `${Math.round(stand.throughShare * 100)} in 100 of the line`
        }}; {{ Math.round(stand.addedMl) }} ml poured in.
      </p>
      <form
        class="flex flex-wrap items-end gap-2"
        novalidate
        @submit.prevent="change(upward ? 'reservoir-drawn' : 'reservoir-topped')"
      >
        <div class="w-28">
          <Field
            v-slot="{ control }"
            id="poured"
            :label="upward ? 'Drawn off, ml' : 'Poured in, ml'"
            :problem="problems.amount ?? ''"
            ><input v-bind="control" v-model="amount" class="figure mt-1" inputmode="decimal" autocomplete="off"
          /></Field>
        </div>
        <button class="button" :class="low ? 'button-main' : ''">{{ upward ? 'Drawn off' : 'Poured in' }}</button>
      </form>
    </template>
    <form v-else class="grid gap-2" novalidate @submit.prevent="set">
      <p class="text-quiet">Say what stands in it, and it is counted down. Left empty, what is usual counts.</p>
      <div class="grid grid-cols-2 gap-2">
        <div v-for="field in fields" :key="field.id">
          <Field
            v-slot="{ control }"
            :id="`reservoir-${field.id}`"
            :label="field.name"
            :problem="problems[field.id] ?? ''"
            ><input
              v-bind="control"
              v-model="typed[field.id]"
              class="figure mt-1"
              inputmode="decimal"
              autocomplete="off"
              :placeholder="String(field.usual)"
          /></Field>
        </div>
      </div>
      <button class="button">Watch the reservoir</button>
    </form>
    <p v-if="boughtMl > 0" data-testid="fluid">
      {{ boughtMl }} ml bought, {{ Math.round(stand?.addedMl ?? 0) }} ml used<template v-if="leftOfBottle < 0"
        >: more was poured in than was bought</template
      ><template v-else
        >, {{ Math.round(leftOfBottle) }} ml left. An opened bottle draws water: not kept for another car.</template
      >
    </p>
    <details>
      <summary class="min-h-11 cursor-pointer content-center font-semibold underline">Fluid bought</summary>
      <form class="mt-1 flex flex-wrap items-end gap-2" novalidate @submit.prevent="bought">
        <div class="w-20">
          <Field v-slot="{ control }" id="bottles" label="Bottles" :problem="problems.bottles ?? ''"
            ><input v-bind="control" v-model.number="bottles" class="figure mt-1" type="number" min="1" max="20"
          /></Field>
        </div>
        <div class="w-28">
          <Field v-slot="{ control }" id="bottle-ml" label="of ml each" :problem="problems.bottleMl ?? ''"
            ><input
              v-bind="control"
              v-model.number="bottleMl"
              class="figure mt-1"
              type="number"
              min="50"
              max="5000"
              step="50"
          /></Field>
        </div>
        <button class="button">Bought</button>
      </form>
    </details>
  </section>
</template>
