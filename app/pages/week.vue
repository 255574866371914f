<script setup lang="ts">
useHead({ title: 'Days ahead · Eldrin' })
const yard = useYardStore()
const garage = useGarageStore()
useYardWatched()
</script>

<template>
  <div>
    <YardHead />
    <WeekView v-if="yard.jobs && garage.garage"
      ><YardTabs />
      <h1 class="text-2xl">Days ahead</h1></WeekView
    >
    <main v-else id="sheet" class="mx-auto max-w-[90rem] px-4 py-5 sm:px-7">
      <YardTabs />
      <h1 class="text-2xl">Days ahead</h1>
      <p v-if="yard.failed" class="mt-3 border-l-4 border-attention pl-4" role="alert">
        The server did not answer. <button class="font-semibold underline" @click="yard.load()">Try again</button>
      </p>
      <p v-else class="mt-3" role="status">Fetching the jobs</p>
    </main>
  </div>
</template>
