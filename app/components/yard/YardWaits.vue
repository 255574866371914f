<script setup lang="ts">
import { momentText } from '../../words/moments'

/** What this device cannot know or do without signal: how old its picture of the Yard is, the jobs of which something waits, and what the server alone can do. */
const yard = useYardStore()
const errands = useErrandsStore()
const device = useDeviceStore()
const nameOf = (jobId: string) => yard.jobs?.find(job => job.jobId === jobId)?.vehicleName ?? 'A car of this garage'
const waiting = ref<{ jobId: string; count: number }[]>([])
watch(
  () => [yard.jobs, errands.waiting],
  async () => {
    waiting.value = await device.jobsWaiting()
  },
  { immediate: true },
)
</script>

<template>
  <section
    v-if="yard.isLost && yard.asOf"
    class="mt-3 border-l-4 border-attention pl-4"
    aria-label="Waits for signal"
    data-testid="yard-waits"
  >
    <p>
      No word from the server: this is how the Yard stood {{ momentText(yard.asOf) }}. What others take in or do shows
      when it answers.
    </p>
    <p v-for="{ jobId, count } in waiting" :key="jobId">
      {{ nameOf(jobId) }}: <span class="figure">{{ count }}</span> waiting to be sent.
    </p>
    <template v-if="errands.waiting.length">
      <h2 class="label mt-2">Done by the server when there is signal</h2>
      <ErrandList :errands="errands.waiting" />
    </template>
  </section>
  <section v-else-if="errands.waiting.length" class="mt-3" aria-label="Asked of the server">
    <h2 class="label">Asked of the server</h2>
    <ErrandList :errands="errands.waiting" />
  </section>
</template>
