<script setup lang="ts">
import { nowDate } from '../../device/clock'
import { addHours, set } from 'date-fns'
import type { Circumstances } from '../../../core/job'
import { localField } from '../../words/dates'

/** What has to be bought under these options, where it is used, and when it is there. */
const emit = defineEmits<{ change: [change: Partial<Circumstances>] }>()
const { store, state, path } = useJob()
const t = useTerms()
const lines = computed(() =>
  state.value.procedure!.parts.map(part => {
    const users = state.value.procedure!.operations.filter(operation => part.id in operation.parts)
    return {
      part,
      users,
      used: users.every(operation => state.value.done[operation.id]),
      count: users.reduce((sum, operation) => sum + operation.parts[part.id]!, 0),
      arrival: state.value.circumstances.arrivals.find(entry => entry.partId === part.id),
    }
  }),
)
const arrivalsWithout = (partId: string) => store.ahead.circumstances.arrivals.filter(entry => entry.partId !== partId)
/** A part that was ordered came with its order; another is only taken off the list of what is on its way. */
function here(partId: string) {
  const order = state.value.orders.find(
    entry => entry.cameAt === null && (entry.partId === partId || entry.covers?.includes(partId)),
  )
  if (order) store.write('part-came', { orderId: order.orderId })
  else emit('change', { arrivals: arrivalsWithout(partId) })
}
const tomorrow = () => set(addHours(nowDate(), 24), { hours: 10, minutes: 0, seconds: 0, milliseconds: 0 })

function arrives(partId: string, at: Date) {
  if (Number.isNaN(at.getTime())) return
  emit('change', { arrivals: [...arrivalsWithout(partId), { partId, at: at.toISOString() }] })
}
</script>

<template>
  <section>
    <p class="pb-2">
      <NuxtLink no-prefetch class="font-semibold underline" :to="path('bench/parts')"
        >Prices, stock and orders</NuxtLink
      >
      are on the bench.
    </p>
    <p v-if="lines.length === 0" class="text-quiet">Nothing has to be bought for this way of doing it.</p>
    <ul v-else class="ruled">
      <li
        v-for="{ part, count, users, arrival, used } in lines"
        :key="part.id"
        class="flex flex-wrap items-center gap-x-4 gap-y-2 py-2"
      >
        <span class="figure w-10 text-right text-lg font-semibold">{{ count }}</span>
        <span class="min-w-0 flex-1 basis-60">
          <span class="font-semibold" :class="used ? 'text-quiet' : ''">{{ t(part.name) }}</span>
          <span v-if="part.about" class="block text-sm text-quiet">{{ t(part.about) }}</span>
          <span class="block text-sm text-quiet">{{ used ? 'Used. ' : '' }}{{ t(users[0]!.title) }}</span>
        </span>
        <template v-if="arrival">
          <Field v-slot="{ control }" :id="`arrives-${part.id}`" :label="`${t(part.name)} arrives`" hide-label
            ><input
              v-bind="control"
              type="datetime-local"
              class="figure w-56!"
              v-typed="localField(new Date(arrival.at))"
              @change="arrives(part.id, new Date(($event.target as HTMLInputElement).value))"
          /></Field>
          <button class="button" @click="here(part.id)">It is here</button>
        </template>
        <button v-else-if="!used" class="button" @click="arrives(part.id, tomorrow())">
          Still on its way<span class="sr-only">: {{ t(part.name) }}</span>
        </button>
      </li>
    </ul>
    <template v-if="state.addedParts.length">
      <h3 class="mt-5 border-b border-ink pb-1 font-semibold">Added on the way</h3>
      <ul class="ruled">
        <li v-for="part in state.addedParts" :key="part.at + part.name" class="py-2">
          <span class="font-semibold">{{ t(part.name) }}</span><span class="block text-sm text-quiet">{{
            t(part.because)
          }}</span>
        </li>
      </ul>
    </template>
  </section>
</template>
