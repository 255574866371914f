<script setup lang="ts">
import { reservoirStand, WARN_STROKES } from '../../../core/job/reservoir'
import { readEntry } from '../../lib/read-entry'

/** What stands in the reservoir, strokes until its low mark, and what has gone through the line. */
const props = defineProps<{ stepId: string, deliveredShare: number }>()
const { store, state } = useJob()
const units = useUnits()
const record = computed(() => state.value.reservoirs[props.stepId])
const stand = computed(() => reservoirStand(record.value))
const low = computed(() => stand.value !== null && stand.value.strokesLeft <= WARN_STROKES)
const fields = [
  { id: 'reservoirMl', name: 'Stands in it, ml', usual: 200, unit: 'ml' }, { id: 'lowMl', name: 'Low mark, ml', usual: 100, unit: 'ml' }, { id: 'masterBoreMm', name: 'Bore of the master', usual: 19, unit: 'mm' },
  { id: 'strokeMm', name: 'Stroke of its piston', usual: 22, unit: 'mm' }, { id: 'lineMl', name: 'The line holds, ml', usual: 22, unit: 'ml' },
] as const
const typed = reactive<Record<string, string>>(Object.fromEntries(fields.map(field => [field.id, ''])))
const poured = ref('')
const problem = ref('')

function set() {
  const values = fields.map(field => ({ field, value: typed[field.id]!.trim() === '' ? field.usual : readEntry(typed[field.id]!, field.unit, units.preference.value).value }))
  const bad = values.find(({ value }) => value === null)
  problem.value = bad ? `${bad.field.name}: a number is wanted.` : ''
  if (bad) return
  const known = Object.fromEntries(values.map(({ field, value }) => [field.id, value!])) as Record<typeof fields[number]['id'], number>
  store.write('reservoir-set', { stepId: props.stepId, ...known, deliveredShare: props.deliveredShare })
}
function pour() {
  const { value } = readEntry(poured.value, 'ml', units.preference.value)
  problem.value = value === null || value <= 0 ? 'How much went in?' : ''
  if (!problem.value && store.write('reservoir-topped', { stepId: props.stepId, ml: value! })) poured.value = ''
}
</script>

<template>
  <section class="grid gap-3" aria-labelledby="reservoir-title" data-testid="reservoir">
    <h2 id="reservoir-title" class="border-b border-ink pb-1 text-lg">Reservoir</h2>
    <template v-if="stand && record">
      <p :class="low ? 'border-l-4 border-danger pl-3 text-lg' : ''" role="status">
        <template v-if="stand.strokesLeft === Infinity">Nothing leaves the line: {{ Math.round(stand.leftMl) }} ml stand in it.</template>
        <template v-else-if="stand.strokesLeft < 1"><span class="label">At its low mark.</span> Pour fluid in before the next stroke.</template>
        <template v-else><span class="figure text-xl font-bold">{{ stand.strokesLeft }}</span> {{ stand.strokesLeft === 1 ? 'stroke' : 'strokes' }} to the low mark, {{ Math.round(stand.leftMl) }} ml stand in it.</template>
      </p>
      <p v-if="stand.sentMl > 0">{{ Math.round(stand.sentMl) }} ml sent through, {{ stand.throughShare >= 1 ? 'the old fluid is gone' : `${Math.round(stand.throughShare * 100)} in 100 of the line` }}; {{ Math.round(stand.addedMl) }} ml poured in.</p>
      <form class="flex flex-wrap items-end gap-2" novalidate @submit.prevent="pour"><div class="w-28"><label class="label" for="poured">Poured in, ml</label><input id="poured" v-model="poured" class="figure mt-1" inputmode="decimal" autocomplete="off"></div><button class="button" :class="low ? 'button-main' : ''">Poured in</button></form>
    </template>
    <form v-else class="grid gap-2" novalidate @submit.prevent="set">
      <p class="text-quiet">Say what stands in it, and it is counted down with the strokes. Left empty, what is usual counts.</p>
      <div class="grid grid-cols-2 gap-2"><div v-for="field in fields" :key="field.id"><label class="label" :for="`reservoir-${field.id}`">{{ field.name }}</label><input :id="`reservoir-${field.id}`" v-model="typed[field.id]" class="figure mt-1" inputmode="decimal" autocomplete="off" :placeholder="String(field.usual)"></div></div>
      <button class="button">Watch the reservoir</button>
    </form>
    <p v-if="problem" class="text-danger" role="alert">{{ problem }}</p>
  </section>
</template>
