<script setup lang="ts">
import { momentText } from '../../words/moments'

/** What is on order, with every day it was given. */
const { state } = useJob()
const t = useTerms()
const partName = (id: string) =>
  t(
    state.value.procedure?.parts.find(part => part.id === id)?.name ??
      state.value.procedure?.bench.reachable.find(entry => entry.part === id)?.name ??
      id,
  )
</script>

<template>
  <ul class="ruled">
    <li v-for="order in state.askedOrders" :key="order.orderId" class="py-2">
      <span class="font-semibold">{{ order.count }} × {{ partName(order.partId) }}</span>
      <span v-if="order.failed" class="block text-attention">Not ordered. {{ order.failed }}</span>
      <span v-else class="block text-sm"
        >Asked for {{ momentText(order.at) }}; the supplier has not answered yet. It is asked again by itself.</span
      >
    </li>
    <li v-for="order in state.orders" :key="order.orderId" class="py-2">
      <span class="font-semibold">{{ order.count }} × {{ t(order.name) }}</span>
      <span class="block text-sm text-quiet"
        >{{ order.supplier }}<template v-if="order.orderNo">, {{ order.orderNo }}</template></span
      >
      <span v-for="move in order.moves" :key="move.at" class="block text-sm text-attention"
        >{{ momentText(move.from) }} → {{ momentText(move.to) }}: {{ move.because }}</span
      >
      <span class="block text-sm">{{
        order.cameAt ? `here since ${momentText(order.cameAt)}` : `due ${momentText(order.arrivesAt)}`
      }}</span>
    </li>
  </ul>
</template>
