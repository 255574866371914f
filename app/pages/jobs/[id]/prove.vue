<script setup lang="ts">
import { openBeforeHandover, stepView } from '../../../../core/job'

const { state, path } = useJob()
const t = useTerms()
const open = computed(() => openBeforeHandover(state.value))
const without = computed(() => open.value.filter(entry => !entry.reason))
const closing = computed(() => state.value.plan?.order.map(id => stepView(state.value, id)!).filter(view => view.operation?.phase === 'prove') ?? [])
const doneCount = computed(() => closing.value.filter(view => view.done).length)
const stepsOf = (kind: 'item' | 'trouble' | 'step') => open.value.filter(entry => entry.kind === kind)
const titles = { item: 'Still off, open or slack', trouble: 'Trouble not cleared', step: 'Work not done' } as const
</script>

<template>
  <SheetWithMargin margin-title="Hand-over">
    <h1 class="text-2xl">
      <template v-if="state.handedOver">Handed over to {{ state.handedOver.to }}</template>
      <template v-else-if="state.calledOff">Called off</template>
      <template v-else-if="without.length === 0">Ready to be handed over</template>
      <template v-else><span class="figure">{{ without.length }}</span> {{ without.length === 1 ? 'entry stands' : 'entries stand' }} between this car and its owner</template>
    </h1>

    <BreakInSheet v-if="state.handedOver" class="mt-5" />

    <section class="mt-5">
      <h2 class="border-b border-ink pb-1 text-lg">Closing checks <span class="figure text-quiet">{{ doneCount }} of {{ closing.length }}</span></h2>
      <ul class="ruled">
        <li v-for="view in closing" :key="view.id" class="flex items-center gap-3 py-1.5" :class="view.done ? 'text-quiet' : ''">
          <span class="figure w-5" aria-hidden="true">{{ view.done ? '✓' : '' }}</span>
          <span class="flex-1">{{ t(view.title) }}<span v-if="view.done" class="sr-only">, done</span></span>
          <PlaceTag :place="view.planned.place" short />
        </li>
      </ul>
      <NuxtLink v-if="doneCount < closing.length" :to="path('work')" class="button mt-3">Go on with the work</NuxtLink>
    </section>

    <template v-if="!state.handedOver && !state.calledOff">
      <section v-for="kind in (['trouble', 'item', 'step'] as const).filter(each => stepsOf(each).length)" :key="kind" class="mt-6">
        <h2 class="border-b border-ink pb-1 text-lg">{{ titles[kind] }}</h2>
        <ul class="ruled"><OpenEntryLine v-for="entry in stepsOf(kind)" :key="entry.entry" :entry="entry" /></ul>
      </section>
    </template>

    <BreakInSheet v-if="!state.handedOver && !state.calledOff" class="mt-7" />

    <template #margin>
      <HandoverForm v-if="!state.calledOff" :missing="without.length" />
      <CallOff v-if="!state.handedOver" class="mt-6" />
    </template>
  </SheetWithMargin>
</template>
