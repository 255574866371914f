<script setup lang="ts">
import { addHours, format, set } from 'date-fns'
import { partOrdered } from '../../../contracts/bench'
import type { PartsLine } from '../../composables/usePartsList'
import { newId } from '../../lib/ids'

/** A part ordered by telephone or over the counter: from whom, what it costs, when it is there. */
const numbers = useNumbers()
const props = defineProps<{ line: PartsLine }>()
const emit = defineEmits<{ close: [] }>()
const { store } = useJob()
const t = useTerms()
const { currency } = useMoney()
const form = reactive({ supplier: '', price: props.line.priceEach === null ? '' : String(props.line.priceEach), at: format(set(addHours(new Date(), 24), { hours: 10, minutes: 0 }), "yyyy-MM-dd'T'HH:mm") })
const problems = ref<Record<string, string>>({})
function keep() {
  const at = new Date(form.at)
  const price = form.price.trim() === '' ? null : numbers.plain(form.price)
  const read = partOrdered.safeParse({
    orderId: newId(), partId: props.line.partId, name: t(props.line.name), count: props.line.count, priceEach: price,
    supplier: form.supplier, orderNo: null, arrivesAt: Number.isNaN(at.getTime()) ? '' : at.toISOString(),
  })
  problems.value = read.success ? {} : Object.fromEntries(read.error.issues.map(issue => [String(issue.path[0]), issue.message]))
  if (read.success && store.write('part-ordered', read.data)) emit('close')
}
</script>

<template>
  <BaseDialog open :title="`${t(line.name)}, ordered by hand`" @close="emit('close')">
    <form class="grid gap-4" novalidate @submit.prevent="keep">
      <div><label class="label" for="own-supplier">From whom</label><input id="own-supplier" v-model="form.supplier" class="mt-1" maxlength="80"><p class="text-danger">{{ problems.supplier }}</p></div>
      <div><label class="label" for="own-price">Price of one, {{ currency }}</label><input id="own-price" v-model="form.price" class="figure mt-1" inputmode="decimal"><p class="text-danger">{{ problems.priceEach }}</p></div>
      <div><label class="label" for="own-at">There at</label><input id="own-at" v-model="form.at" type="datetime-local" class="figure mt-1"><p class="text-danger">{{ problems.arrivesAt }}</p></div>
      <button class="button button-main button-big">Keep this order</button>
    </form>
  </BaseDialog>
</template>
