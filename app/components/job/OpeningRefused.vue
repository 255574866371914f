<script setup lang="ts">
import type { Asked } from '../../log/waiting-act'

/** A car taken in without signal that the server does not take: why, and how it goes on. What is done on it is kept here meanwhile. */
const device = useDeviceStore()
const store = useJobStore()
const t = useTerms()

async function again(change: (body: Record<string, unknown>) => Record<string, unknown> = body => body) {
  const { refusal: _refusal, ...by } = store.opening!
  const job = by.posts.at(-1)!
  const posts: Asked['posts'] = [...by.posts.slice(0, -1), { ...job, body: change(job.body) }]
  await device.askElse(store.jobId, { ...by, posts })
}
</script>

<template>
  <div v-if="store.opening?.refusal" class="no-print border-b-2 border-danger bg-sheet px-4 py-3 sm:px-7" role="alert">
    <p>
      <span class="label">The server does not take this car in.</span> {{ t(store.opening.refusal) }} Everything done on
      it stays on this device until it does.
    </p>
    <div class="mt-2 flex flex-wrap gap-2">
      <button class="button" @click="again()">Ask again</button>
      <button
        v-if="store.state.odometerKm !== null"
        class="button"
        @click="again(body => ({ ...body, odometerKm: null }))"
      >
        Ask without the odometer
      </button>
    </div>
  </div>
</template>
