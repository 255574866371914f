<script setup lang="ts">
import { orderYard } from '../../core/job'

useHead({ title: 'Yard · Eldrin' })
const yard = useYardStore()
useYardWatched()
const open = computed(() => orderYard(yard.jobs ?? []).filter(job => job.status !== 'closed'))
const closed = computed(() => (yard.jobs ?? []).filter(job => job.status === 'closed'))
</script>

<template>
  <div>
    <YardHead />
    <main id="sheet" class="mx-auto max-w-[90rem] px-4 py-5 sm:px-7">
      <YardTabs />
      <h1 class="text-2xl">Yard</h1>
      <p v-if="yard.failed" class="mt-3 border-l-4 border-attention pl-4" role="alert">
        The server did not answer{{ yard.jobs ? '; this is how it stood last' : '' }}.
        <button class="font-semibold underline" @click="yard.load()">Try again</button>
      </p>
      <YardWaits />
      <p v-if="!yard.jobs && !yard.failed" class="mt-3" role="status">Fetching the jobs</p>
      <div v-else-if="yard.jobs && open.length === 0" class="mt-6">
        <p class="text-lg">No car is waiting.</p>
        <NuxtLink to="/jobs/new" class="button button-main button-big mt-4">Take a car in</NuxtLink>
      </div>
      <ul class="mt-2">
        <YardLine v-for="job in open" :key="job.jobId" :job="job" />
      </ul>
      <section v-if="closed.length" class="mt-8">
        <h2 class="text-lg text-quiet">Closed</h2>
        <ul class="ruled">
          <li v-for="job in closed" :key="job.jobId" class="py-2">
            <NuxtLink :to="`/jobs/${job.jobId}/handover`" class="underline"
              ><span class="figure">{{ job.number }}</span> {{ job.vehicleName }}, {{ job.customer }}</NuxtLink
            >
          </li>
        </ul>
      </section>
    </main>
  </div>
</template>
