<script setup lang="ts">
import type { Procedure } from '../../../core/packs'
import type { Plan } from '../../../core/sequence'

/** The tool roll: every tool by trip, those wanted for the first time apart, and which ones have to be borrowed. */
const props = defineProps<{ plan: Plan; procedure: Procedure }>()
const t = useTerms()
const garage = useGarageStore()
const messages = useMessages()
const missing = computed(() => new Set(garage.garage?.toolsMissing))
const tools = computed(() => new Map(props.procedure.tools.map(tool => [tool.id, tool])))
const rolls = computed(() => {
  const seen = new Set<string>()
  return props.plan.trips
    .map((trip, index) => {
      const known = trip.tools.filter(id => seen.has(id))
      return { trip, index, known, fresh: trip.tools.filter(id => !seen.has(id) && seen.add(id)) }
    })
    .filter(roll => roll.trip.tools.length > 0)
})
const label = (id: string) => [t(tools.value.get(id)!.name), tools.value.get(id)!.size].filter(Boolean).join(' ')
const toBorrow = computed(() => props.plan.tools.filter(id => missing.value.has(id)))

async function toggle(id: string) {
  const toolsMissing = missing.value.has(id) ? [...missing.value].filter(other => other !== id) : [...missing.value, id]
  try {
    await garage.change({ toolsMissing })
  } catch {
    messages.say('The server did not answer. The tool stays as it was.', 'refused')
  }
}
</script>

<template>
  <section>
    <p class="text-lg">
      <span class="figure font-semibold">{{ plan.tools.length }}</span> tools, laid out trip by trip.
      <span v-if="toBorrow.length" class="font-semibold text-attention"
        >To borrow: {{ toBorrow.map(id => t(tools.get(id)!.name)).join(', ') }}.</span
      >
      <span v-else class="text-quiet">Mark what is not in the house, and it is listed here to borrow.</span>
    </p>
    <div v-for="roll in rolls" :key="roll.index" class="mt-4 border-t-2 border-ink pt-3">
      <p class="flex items-center gap-3">
        <PlaceTag :place="roll.trip.place" /><span class="text-quiet"
          >trip {{ roll.index + 1 }}, {{ roll.trip.car === 'raised' ? 'car raised' : 'car on the ground' }}</span
        >
      </p>
      <ul class="mt-1 grid gap-x-8 sm:grid-cols-2">
        <li v-for="id in roll.fresh" :key="id" class="flex items-center gap-3 border-b border-rule py-1">
          <span class="min-w-0 flex-1"
            >{{ t(tools.get(id)!.name) }} <span class="figure text-quiet">{{ tools.get(id)!.size }}</span></span
          >
          <button
            class="min-h-11 rounded-soft border-2 px-3 text-sm"
            :class="missing.has(id) ? 'border-attention font-semibold text-attention' : 'border-line'"
            :aria-pressed="missing.has(id)"
            @click="toggle(id)"
          >
            {{ missing.has(id) ? 'to borrow' : 'in the house'
            }}<span class="sr-only">: {{ t(tools.get(id)!.name) }}</span>
          </button>
        </li>
      </ul>
      <p v-if="roll.known.length" class="mt-1 text-quiet">
        {{ roll.fresh.length ? 'And from before' : 'From before' }}: {{ roll.known.map(label).join(', ') }}.
      </p>
    </div>
  </section>
</template>
