<script setup lang="ts">
import { toolsInCase } from '../../../core/job'
import { placeOf, stanceOf } from '../../../core/packs'
import type { Procedure } from '../../../core/packs'
import type { Plan } from '../../../core/sequence'

/** The tool roll: every tool by trip, those wanted for the first time apart, and what it costs to have those that are not in the house. */
const props = defineProps<{ plan: Plan; procedure: Procedure; busy: boolean }>()
const emit = defineEmits<{ without: [toolIds: string[]] }>()
const { state } = useJob()
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
const without = computed(() => state.value.circumstances.without ?? [])
const inCase = computed(() => toolsInCase(state.value))
/** Not in the house: what the plan uses first, then what only the ladders do. */
const toBeHad = computed(() => [...props.plan.tools, ...inCase.value].filter(id => missing.value.has(id)))
const goWithout = (id: string, on: boolean) =>
  emit('without', on ? [...without.value, id] : without.value.filter(other => other !== id))

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
      <span v-if="toBeHad.length === 0" class="text-quiet"
        >Mark what is not in the house: then it says here what it costs to have it, or to do without it.</span
      >
    </p>
    <section v-if="toBeHad.length" class="mt-3" aria-labelledby="tools-missing">
      <h2 id="tools-missing" class="border-b-2 border-ink pb-1 text-lg">Not in the house</h2>
      <MissingTool
        v-for="id in toBeHad"
        :key="id"
        :tool-id="id"
        :without="without.includes(id)"
        :busy="busy"
        @without="on => goWithout(id, on)"
      />
    </section>
    <div v-for="roll in rolls" :key="roll.index" class="mt-4 border-t-2 border-ink pt-3">
      <p class="flex items-center gap-3">
        <PlaceTag :at="placeOf(procedure, roll.trip.place)" /><span class="text-quiet"
          >trip {{ roll.index + 1 }}, {{ stanceOf(procedure, roll.trip.car).name }}</span
        >
      </p>
      <ul class="mt-1 grid gap-x-8 sm:grid-cols-2">
        <li v-for="id in roll.fresh" :key="id" class="flex items-center gap-3 border-b border-rule py-1">
          <span class="min-w-0 flex-1"
            >{{ t(tools.get(id)!.name) }} <span class="figure text-quiet">{{ tools.get(id)!.size }}</span></span
          >
          <ToolHere :here="!missing.has(id)" :name="t(tools.get(id)!.name)" @change="toggle(id)" />
        </li>
      </ul>
      <p v-if="roll.known.length" class="mt-1 text-quiet">
        {{ roll.fresh.length ? 'And from before' : 'From before' }}: {{ roll.known.map(label).join(', ') }}.
      </p>
    </div>
    <details v-if="inCase.length" class="mt-4 border-t-2 border-ink pt-2">
      <summary class="min-h-11 cursor-pointer text-lg font-semibold">
        In case something sticks: {{ inCase.length }} tools of the ladders
      </summary>
      <ul class="mt-1 grid gap-x-8 sm:grid-cols-2">
        <li v-for="id in inCase" :key="id" class="flex items-center gap-3 border-b border-rule py-1">
          <span class="min-w-0 flex-1"
            >{{ t(tools.get(id)!.name) }} <span class="figure text-quiet">{{ tools.get(id)!.size }}</span></span
          >
          <ToolHere :here="!missing.has(id)" :name="t(tools.get(id)!.name)" @change="toggle(id)" />
        </li>
      </ul>
    </details>
  </section>
</template>
