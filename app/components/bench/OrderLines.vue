<script setup lang="ts">
import { momentText } from '../../lib/moments'

/** What is on order, with every day it was given. */
const { state } = useJob()
const t = useTerms()
</script>

<template>
  <ul class="ruled">
    <li v-for="order in state.orders" :key="order.orderId" class="py-2">
      <span class="font-semibold">{{ order.count }} × {{ t(order.name) }}</span>
      <span class="block text-sm text-quiet">{{ order.supplier }}<template v-if="order.orderNo">, {{ order.orderNo }}</template></span>
      <span v-for="move in order.moves" :key="move.at" class="block text-sm text-attention">{{ momentText(move.from) }} → {{ momentText(move.to) }}: {{ move.because }}</span>
      <span class="block text-sm">{{ order.cameAt ? `here since ${momentText(order.cameAt)}` : `due ${momentText(order.arrivesAt)}` }}</span>
    </li>
  </ul>
</template>
