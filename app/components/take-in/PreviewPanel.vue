<script setup lang="ts">
import { placeOf } from '../../../core/packs'
import { minutesText } from '../../words/durations'
import type { PlanPreview } from '../../../core/job'

const props = defineProps<{ preview: PlanPreview | null }>()
const away = computed(() => props.preview?.bay.stances[1])
</script>

<template>
  <section aria-live="polite">
    <h2 class="text-lg max-lg:hidden">The plan it makes</h2>
    <p v-if="!preview" class="mt-2 text-quiet">Working out the order</p>
    <template v-else>
      <p class="figure mt-2 text-figure font-bold leading-none">{{ minutesText(preview.totals.minutes) }}</p>
      <p class="mt-2">
        {{ preview.stepCount }} pieces of work in {{ preview.trips.length }} trips, {{ away!.name }}
        {{ preview.totals.timesRaised === 1 ? 'once' : `${preview.totals.timesRaised} times` }},
        {{ preview.toolCount }} tools.
      </p>
      <p class="mt-1 text-quiet">
        As written down it would be {{ minutesText(preview.authored.minutes) }} with
        {{ preview.authored.placeChanges }} changes of place; in this order {{ preview.totals.placeChanges }}.
      </p>
      <ol class="mt-4 grid gap-1">
        <li
          v-for="(trip, index) in preview.trips"
          :key="index"
          class="flex items-center gap-2"
          :class="trip.car === away!.id ? 'pl-6' : ''"
        >
          <PlaceTag :at="placeOf(preview, trip.place)" /><span
            class="h-0 flex-1 border-b border-dotted border-line"
          /><span class="figure">{{ minutesText(trip.minutes) }}</span>
        </li>
      </ol>
      <p class="mt-3 text-sm text-quiet">Indented: {{ away!.name }}.</p>
    </template>
  </section>
</template>
