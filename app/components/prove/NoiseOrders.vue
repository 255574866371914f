<script setup lang="ts">
import { noiseOrders } from '../../../core/driveline/noise-orders'
import { FieldError } from '../../../core/base/field-error'

/** Which turning part makes which frequency at a speed. */
const t = useTerms()
const numbers = useNumbers()
const { state } = useJob()
const units = useUnits()
const heardAt = computed(() => Object.values(state.value.road).findLast(note => note.speedKmh !== undefined)?.speedKmh)
const mi = computed(() => units.preference.value.distance === 'mi')
const given = reactive({
  speed: '',
  gear: '1.0',
  final: '3.9',
  width: '205',
  aspect: '55',
  rim: '16',
  cylinders: '4',
  heard: '',
})
watch(
  heardAt,
  kmh => {
    if (kmh !== undefined) given.speed = String(Math.round(mi.value ? kmh / 1.609344 : kmh))
  },
  { immediate: true },
)
const hasShaft = ref<'yes' | 'no'>(state.value.procedure!.items.some(item => item.part === 'propshaft') ? 'yes' : 'no')
const fields = computed(
  () =>
    [
      { id: 'speed', name: `At, ${units.preference.value.distance}/h` },
      { id: 'gear', name: 'Ratio of the gear' },
      { id: 'final', name: 'Final ratio' },
      { id: 'width', name: t('{Tire} width, mm, as on its wall') },
      { id: 'aspect', name: 'Its height, in 100' },
      { id: 'rim', name: 'Rim, in' },
      { id: 'cylinders', name: 'Cylinders' },
      { id: 'heard', name: 'Heard, Hz' },
    ] as const,
)
const value = (id: keyof typeof given) => numbers.plain(given[id])
const result = computed(() => {
  if (given.speed.trim() === '') return { orders: [], problem: '' }
  try {
    return {
      problem: '',
      orders: noiseOrders({
        speedKmh: value('speed') * (mi.value ? 1.609344 : 1),
        gearRatio: value('gear'),
        finalRatio: value('final'),
        tire: { widthMm: value('width'), aspect: value('aspect'), rimIn: value('rim') },
        cylinders: value('cylinders'),
        propshaft: hasShaft.value === 'yes',
        ...(given.heard.trim() === '' ? {} : { heardHz: value('heard') }),
      }),
    }
  } catch (error) {
    if (error instanceof FieldError) return { orders: [], problem: error.reason }
    throw error
  }
})
const partWords = { wheel: 'Wheel', propshaft: 'Shaft', engine: 'Engine' } as const
const orderWords = (order: number) => ({ 1: 'first', 2: 'second', 4: 'fourth' })[order] ?? String(order)
</script>

<template>
  <section class="grid gap-3" aria-labelledby="noise-title" data-testid="noise">
    <h2 id="noise-title" class="border-b border-ink pb-1 text-lg">Which part hums</h2>
    <p>
      A turning part hums once, twice or four times a turn. Hold a speed, count the hum or read it off a meter, then
      change the gear: what follows the revs is engine or clutch, what stays is shaft or {{ t('{tire}') }}.
    </p>
    <div class="grid grid-cols-2 items-end gap-2">
      <div v-for="field in fields" :key="field.id">
        <Field v-slot="{ control }" :id="`noise-${field.id}`" :label="field.name"
          ><input v-bind="control" v-model="given[field.id]" class="figure mt-1" inputmode="decimal" autocomplete="off"
        /></Field>
      </div>
    </div>
    <ChoiceRow
      v-model="hasShaft"
      label="A shaft with joints to the axle"
      :choices="[
        { id: 'yes', label: 'yes' },
        { id: 'no', label: 'no' },
      ]"
    />
    <p v-if="result.problem" class="text-danger" role="alert">{{ t(result.problem) }}</p>
    <ol v-else class="ruled" aria-live="polite">
      <li
        v-for="(order, index) in result.orders"
        :key="order.part + order.order"
        class="flex gap-3 py-1.5"
        :class="index === 0 && order.off !== null ? 'font-semibold' : ''"
      >
        <span class="figure w-16 shrink-0 text-right">{{ order.hz.toFixed(order.hz < 20 ? 1 : 0) }} Hz</span
        ><span
          >{{ partWords[order.part] }}, {{ orderWords(order.order) }}: {{ t(order.from)
          }}<span v-if="order.off !== null && order.off > 0.12" class="text-quiet">
            (off by {{ Math.round(order.off * 100) }} in 100)</span
          ></span
        >
      </li>
    </ol>
    <p class="text-sm text-quiet">
      Orders from the turns of each part; {{ t('{tire:many}') }} roll on about 0.97 of their circumference, from memory.
    </p>
  </section>
</template>
