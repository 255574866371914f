<script setup lang="ts">
import { hangingSince, holdingAhead, holdingNow } from '../../../core/job'
import { momentText } from '../../words/moments'

/** What holds each heavy thing now, and which steps to come change that. */
const { state, store } = useJob()
const t = useTerms()
const held = computed(() => holdingNow(state.value))
const since = computed(() => (held.value.some(({ hangs }) => hangs !== null) ? hangingSince(store.log) : {}))
const shown = ref(false)
const ahead = computed(() => (shown.value ? holdingAhead(state.value) : []))
</script>

<template>
  <section v-if="held.length" aria-labelledby="held" data-testid="held-now">
    <div class="flex flex-wrap items-end justify-between gap-3 border-b border-ink pb-1">
      <h2 id="held" class="text-lg">What holds it</h2>
      <button class="button" :aria-expanded="shown" @click="shown = !shown">
        Step by step<span class="sr-only">: what holds it</span>
      </button>
    </div>
    <ul class="ruled">
      <li
        v-for="load in held"
        :key="load.loadId"
        class="py-2"
        :class="load.hangs ? 'border-l-4 border-l-danger pl-3' : ''"
      >
        <HoldsLine :load="load" />
        <span v-if="since[load.loadId]" class="block text-quiet">Since {{ momentText(since[load.loadId]!) }}.</span>
      </li>
    </ul>
    <template v-if="shown">
      <p v-if="ahead.length === 0" class="mt-2 text-quiet">No step to come changes it.</p>
      <ol v-else class="ruled mt-2 text-sm" aria-label="What holds it, step by step">
        <li v-for="row in ahead" :key="row.stepId" class="grid gap-x-4 py-1.5 sm:grid-cols-2">
          <span>{{ t(row.title) }}</span>
          <span class="grid"><HoldsLine v-for="load in row.holding" :key="load.loadId" :load="load" /></span>
        </li>
      </ol>
    </template>
    <p class="mt-2 text-sm text-quiet">
      Bolts that nobody touched and those at their figure hold; started, snug and cracked ones do not. How many are
      enough is common practice; the maker’s instructions go before it.
    </p>
  </section>
</template>
