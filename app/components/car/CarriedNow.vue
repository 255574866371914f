<script setup lang="ts">
import { carryingAhead } from '../../../core/job/views/carrying'
import type { Carrying } from '../../../core/job/views/carrying'

/** What carries the weight now, and how that changes with the steps to come. */
const props = defineProps<{ carrying: Carrying[] }>()
const { state } = useJob()
const t = useTerms()
const units = useUnits()
const shown = ref<string | null>(null)
const kg = (value: number) => units.measure(value, 'kg', 0)
const ahead = computed(() => (shown.value ? carryingAhead(state.value, shown.value) : []))
const columns = computed(() => {
  const names = new Map<string, string>()
  for (const carrying of [
    ...props.carrying.filter(entry => entry.bodyId === shown.value),
    ...ahead.value.map(row => row.carrying),
  ])
    for (const load of carrying.loads) names.set(load.thingId, load.name)
  return [...names].map(([id, name]) => ({ id, name }))
})
const loadIn = (carrying: Carrying, id: string) => carrying.loads.find(load => load.thingId === id)
</script>

<template>
  <section v-if="carrying.length" aria-labelledby="carried">
    <h2 id="carried" class="border-b border-ink pb-1 text-lg">What carries the weight</h2>
    <div
      v-for="body in carrying"
      :key="body.bodyId"
      class="border-b border-rule py-3"
      :data-testid="`carried-${body.bodyId}`"
    >
      <div class="flex flex-wrap items-baseline justify-between gap-3">
        <h3 class="label text-lg">{{ t(body.name) }}</h3>
        <button
          class="button"
          :aria-expanded="shown === body.bodyId"
          @click="shown = shown === body.bodyId ? null : body.bodyId"
        >
          Step by step<span class="sr-only">: {{ t(body.name) }}</span>
        </button>
      </div>
      <ul class="mt-1 grid gap-x-6 sm:grid-cols-2">
        <li v-for="load in body.loads" :key="load.thingId" class="flex items-baseline justify-between gap-3 py-1">
          <span>{{ t(load.name) }}</span><span class="figure whitespace-nowrap"
            ><span class="text-lg font-bold">{{ kg(load.kg[1]) }}</span
            ><span v-if="load.pieces > 1"> each</span>
            <span class="text-sm text-quiet">{{ Math.round(load.kg[0]) }}–{{ Math.round(load.kg[2]) }}</span></span
          >
        </li>
      </ul>
      <p v-if="body.swings" class="border-l-4 border-danger pl-3">
        It would swing: the balance point is not between what carries it. Steady it before anything else moves.
      </p>
      <div
        v-if="shown === body.bodyId"
        class="mt-2 overflow-x-auto"
        tabindex="0"
        role="region"
        :aria-label="`Loads step by step: ${t(body.name)}`"
      >
        <p v-if="ahead.length === 0" class="text-quiet">No step to come changes it.</p>
        <table v-else class="w-full text-left text-sm">
          <thead>
            <tr class="border-b border-ink align-bottom">
              <th scope="col" class="py-1 pr-3">After this step</th>
              <th v-for="column in columns" :key="column.id" scope="col" class="px-2 text-right">
                {{ t(column.name) }}
              </th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="row in ahead" :key="row.stepId" class="border-b border-rule align-top">
              <th scope="row" class="py-1 pr-3 font-normal">{{ t(row.title) }}</th>
              <td v-for="column in columns" :key="column.id" class="figure whitespace-nowrap px-2 text-right">
                {{ loadIn(row.carrying, column.id) ? kg(loadIn(row.carrying, column.id)!.kg[1]) : '–' }}
              </td>
            </tr>
          </tbody>
        </table>
      </div>
      <p class="mt-1 text-sm text-quiet">
        Taken:
        {{
          body.masses
            .map(
              mass =>
                `${t(mass.name)} ${mass.known ? kg(mass.kg[1]) : `${kg(mass.kg[0])} to ${kg(mass.kg[2])}, typical`}`,
            )
            .join(' · ')
        }}.
      </p>
    </div>
    <p class="mt-2 text-sm text-quiet">
      Worked out on one line through the supports, all equally stiff; a prop that only touches carries nothing until a
      mount lets go. What stands on the plates of stands, beam and jack, the maker’s lifting points and local rules go
      before this. Weigh the box and write it on the bench sheet “Hands or jack”, and these narrow.
    </p>
  </section>
</template>
