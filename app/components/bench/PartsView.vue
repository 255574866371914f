<script setup lang="ts">
import type { Circumstances } from '../../../core/job'

/** Everything that has to be bought: price, stock, day; ordered from here, and its day holds in the plan. */
const t = useTerms()
const { store, state, lines, supplier, asking, problem, ask, order, ordering, total, isWanted } = {
  ...useBench(),
  ...usePartsList(),
}
const { replan } = usePlanEdits()
const { money } = useMoney()
const marginOpen = ref(false)
const entering = ref<string | null>(null)
const checking = ref(false)
const { check } = usePartsCheck(checking)
const noLonger = (change: Partial<Circumstances>) => replan(change)
useKeys({ Backspace: store.undo })
</script>

<template>
  <SheetWithMargin v-model:open="marginOpen" margin-title="Orders">
    <slot />
    <h1 class="mt-3 text-2xl">Parts</h1>
    <p class="mt-1 text-lg" aria-live="polite">
      <template v-if="asking">Asking the supplier</template>
      <template v-else-if="problem"
        ><span class="border-l-4 border-attention pl-3"
          >{{ t(problem) }} What you ordered stands; prices and days can be entered by hand.
          <button class="font-semibold underline" @click="ask">Ask again</button></span
        ></template
      >
      <template v-else
        >{{ supplier }}: <span class="figure font-semibold">{{ money(total) }}</span> for what is on the list.</template
      >
    </p>
    <p v-if="lines.length === 0" class="mt-4 text-quiet">Nothing has to be bought for this way of doing it.</p>
    <ul class="ruled mt-2">
      <PartLine
        v-for="line in lines"
        :key="line.key"
        :line="line"
        :busy="ordering === line.key"
        :wanted="isWanted(line)"
        @order="order(line)"
        @enter="entering = line.key"
        @here="change => noLonger(change)"
      />
    </ul>
    <OwnOrder v-if="entering" :line="lines.find(line => line.key === entering)!" @close="entering = null" />
    <template #margin>
      <h2 class="border-b border-ink pb-1 text-lg">Orders</h2>
      <p v-if="state.orders.length + state.askedOrders.length === 0" class="mt-2 text-quiet">
        Nothing is ordered yet. A part’s day holds in the plan from the moment it is ordered.
      </p>
      <template v-else>
        <button class="button mt-2" :disabled="checking" @click="check">
          {{ checking ? 'Asking' : 'Ask after them' }}
        </button>
        <OrderLines class="mt-2" />
      </template>
      <p class="mt-4 text-quiet">
        Open orders are asked after by themselves from time to time. When a day moves, the plan and the Yard move with
        it.
      </p>
    </template>
  </SheetWithMargin>
</template>
