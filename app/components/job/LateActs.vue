<script setup lang="ts">
import { describeEvent } from '../../../core/job'
import { momentText } from '../../words/moments'

/** Acts that count, though whoever did them had left, or their device had been ended, by the time they arrived. */
const { store } = useJob()
const garage = useGarageStore()
const t = useTerms()
const acts = computed(() => store.log.filter(event => event.late).toReversed())
const whoOf = (id: string) => garage.garage!.people.find(person => person.id === id)?.name ?? 'Somebody who left'
</script>

<template>
  <section v-if="acts.length" class="mt-6" data-testid="late-acts">
    <h2 class="text-xl">They count, and arrived late</h2>
    <p class="mt-1 max-w-prose">
      Done without signal before their doer left the garage, or before their device was ended; sent afterwards. Look
      whether you agree; what is wrong is set right where it was done.
    </p>
    <ul class="ruled mt-2 border-y border-rule">
      <li v-for="event in acts" :key="event.id" class="py-2">
        <span class="font-semibold">{{ t(describeEvent(event, store.log)) }}</span>, {{ whoOf(event.personId) }},
        {{ momentText(event.deviceTime) }}
      </li>
    </ul>
  </section>
</template>
