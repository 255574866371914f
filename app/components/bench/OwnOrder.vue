<script setup lang="ts">
import { nowDate } from '../../device/clock'
import { addHours, set } from 'date-fns'
import { partOrdered } from '../../../contracts/events/orders'
import type { QuotedLine } from '../../composables/usePartsList'
import { newId } from '../../log/ids'
import { localField } from '../../words/dates'

/** A part ordered by telephone or over the counter: from whom, what it costs, when it is there. */
const numbers = useNumbers()
const props = defineProps<{ line: QuotedLine }>()
const emit = defineEmits<{ close: [] }>()
const { store } = useJob()
const t = useTerms()
const { currency } = useMoney()
const form = reactive({
  supplier: '',
  price: props.line.priceEach === null ? '' : String(props.line.priceEach),
  at: localField(set(addHours(nowDate(), 24), { hours: 10, minutes: 0 })),
})
const { problems, check } = useChecked(partOrdered)
async function keep() {
  const at = new Date(form.at)
  const entry = {
    orderId: newId(),
    partId: props.line.partId,
    name: t(props.line.name),
    count: props.line.count,
    priceEach: form.price.trim() === '' ? null : numbers.plain(form.price),
    supplier: form.supplier,
    orderNo: null,
    arrivesAt: Number.isNaN(at.getTime()) ? '' : at.toISOString(),
  }
  if (await check(entry, read => store.write('part-ordered', read))) emit('close')
}
</script>

<template>
  <BaseDialog open :title="`${t(line.name)}, ordered by hand`" @close="emit('close')">
    <form class="grid gap-4" novalidate @submit.prevent="keep">
      <Field v-slot="{ control }" id="own-supplier" label="From whom" :problem="problems.supplier ?? ''"
        ><input v-bind="control" v-model="form.supplier" class="mt-1" maxlength="80"
      /></Field>
      <Field
        v-slot="{ control }"
        id="own-price"
        :label="`Price of one, ${currency}`"
        :problem="problems.priceEach ?? ''"
        ><input v-bind="control" v-model="form.price" class="figure mt-1" inputmode="decimal"
      /></Field>
      <Field v-slot="{ control }" id="own-at" label="There at" :problem="problems.arrivesAt ?? ''"
        ><input v-bind="control" v-model="form.at" type="datetime-local" class="figure mt-1"
      /></Field>
      <button class="button button-main button-big">Keep this order</button>
    </form>
  </BaseDialog>
</template>
