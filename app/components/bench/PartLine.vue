<script setup lang="ts">
import type { Circumstances } from '../../../core/job'
import type { QuotedLine } from '../../composables/usePartsList'
import { momentText } from '../../words/moments'

/** One part: how many, what is in the kit, what it costs, when it can be there, how it stands. */
const props = defineProps<{ line: QuotedLine; busy: boolean; wanted: boolean }>()
const emit = defineEmits<{ order: []; enter: []; here: [change: Partial<Circumstances>] }>()
const { store, state } = useJob()
const t = useTerms()
const { money } = useMoney()
const now = useSeconds()
const late = computed(() => props.line.dueAt !== null && props.line.dueAt < now.value)
function here() {
  if (props.line.order) store.write('part-came', { orderId: props.line.order.orderId })
  else
    emit('here', { arrivals: state.value.circumstances.arrivals.filter(entry => entry.partId !== props.line.partId) })
}
</script>

<template>
  <li class="flex flex-wrap items-center gap-x-4 gap-y-2 py-3" :data-testid="`part-${line.partId ?? line.key}`">
    <span class="figure w-10 text-right text-xl font-semibold">{{ line.count }}</span>
    <span class="min-w-0 flex-1 basis-64">
      <span class="text-lg font-semibold" :class="line.used ? 'text-quiet' : ''">{{ t(line.name) }}</span>
      <span v-if="line.quote" class="block"
        >{{ line.quote.name }} <span class="figure text-sm text-quiet">{{ line.quote.sku }}</span></span
      >
      <span v-if="line.quote?.kit.length" class="block text-sm text-quiet"
        >In the kit:
        {{
          line.quote.kit
            .map(part => part.name)
            .join(', ')
            .toLowerCase()
        }}</span
      >
      <span class="block text-sm text-quiet">{{ line.used ? 'Used. ' : '' }}{{ t(line.because) }}</span>
    </span>
    <span class="w-40 sm:text-right">
      <span v-if="line.inKit" class="font-semibold"
        >in the kit<span class="block text-sm font-normal text-quiet">{{ t(line.inKit) }}</span></span
      >
      <span v-else-if="line.priceEach !== null" class="figure text-lg font-semibold">{{
        money(line.priceEach * line.count)
      }}</span><span v-else class="text-quiet">no price</span>
      <span
        v-if="line.quote && !line.order && !line.inKit"
        class="block text-sm"
        :class="line.quote.backOrder ? 'text-attention' : 'text-quiet'"
        >{{ line.quote.backOrder ? 'back order' : line.quote.stock ? `${line.quote.stock} in stock` : 'to be got' }},
        {{ momentText(line.quote.arrivesAt) }}</span
      >
    </span>
    <span class="flex w-full flex-wrap justify-end gap-2 sm:w-56">
      <template v-if="line.used" />
      <span v-else-if="line.order?.cameAt" class="font-semibold text-good">✓ here</span>
      <template v-else-if="line.dueAt">
        <span class="self-center font-semibold" :class="late ? 'text-danger' : 'text-attention'"
          >{{ late ? 'was due' : 'due' }} {{ momentText(line.dueAt, new Date(now)) }}</span
        >
        <button v-if="!line.inKit" class="button" @click="here">
          It is here<span class="sr-only">: {{ t(line.name) }}</span>
        </button>
      </template>
      <span v-else-if="wanted" class="self-center font-semibold text-attention">waits for signal</span>
      <template v-else-if="!line.inKit">
        <button v-if="line.quote" class="button" :disabled="busy" @click="emit('order')">
          {{ busy ? 'Ordering' : 'Order' }}<span class="sr-only">: {{ t(line.name) }}</span>
        </button>
        <button class="button" @click="emit('enter')">
          By hand<span class="sr-only">: {{ t(line.name) }}</span>
        </button>
      </template>
    </span>
  </li>
</template>
