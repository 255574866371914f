<script setup lang="ts">
import { minutesText } from '../../../lib/durations'

const { state, next } = useJob()
const t = useTerms()
const asked = ref<string | null>(null)
const marginOpen = ref(false)
const plan = computed(() => state.value.plan!)
const procedure = computed(() => state.value.procedure!)
const titles = computed(() => new Map(procedure.value.operations.map(operation => [operation.id, operation.title])))
const titleOf = (id: string) => t(titles.value.get(id) ?? procedure.value.positions[id.startsWith('raise') ? 'raised' : 'ground'].title)
const saved = computed(() => plan.value.authored.minutes - plan.value.totals.minutes)
const toolsById = computed(() => new Map(procedure.value.tools.map(tool => [tool.id, tool])))

function ask(stepId: string) {
  asked.value = asked.value === stepId ? null : stepId
  marginOpen.value = asked.value !== null
}
</script>

<template>
  <SheetWithMargin v-model:open="marginOpen" :margin-title="asked ? 'Why here' : 'Tools to lay out'">
    <div class="flex flex-wrap items-baseline justify-between gap-x-6 gap-y-1">
      <h1 class="text-2xl"><span class="figure">{{ minutesText(plan.totals.minutes) }}</span> in {{ plan.trips.length }} trips</h1>
      <p class="text-quiet">
        work <span class="figure text-ink">{{ minutesText(plan.totals.workMinutes) }}</span>, walking, lifting and tools
        <span class="figure text-ink">{{ minutesText(plan.totals.setupMinutes) }}</span><template v-if="plan.totals.waitMinutes >= 1">, waiting <span class="figure text-ink">{{ minutesText(plan.totals.waitMinutes) }}</span></template>
      </p>
    </div>
    <p class="mt-1 text-quiet">
      In the order it is written down: <span class="figure">{{ minutesText(plan.authored.minutes) }}</span>,
      {{ plan.authored.placeChanges }} changes of place. Here {{ plan.totals.placeChanges }}<template v-if="saved >= 1">, and <span class="figure">{{ minutesText(saved) }}</span> sooner</template>.
    </p>
    <p class="mt-1 text-quiet">{{ procedure.title ? t(procedure.title) : '' }}</p>

    <PlanLanes :plan="plan" :done="state.done" :asked="asked" :next="next?.id ?? null" class="mt-4" @ask="ask" />

    <ol class="mt-6">
      <li v-for="(trip, index) in plan.trips" :key="index" class="border-t-2 border-ink py-3">
        <p class="flex flex-wrap items-center gap-x-3 gap-y-1">
          <PlaceTag :place="trip.place" />
          <span>{{ trip.car === 'raised' ? 'car raised' : 'car on the ground' }}</span>
          <span class="figure ml-auto">{{ minutesText(trip.minutes) }}</span>
        </p>
        <ul class="mt-1">
          <li v-for="stepId in trip.stepIds" :key="stepId">
            <button
              class="flex min-h-11 w-full items-center gap-3 border-l-4 py-1 pl-3 text-left hover:bg-tint"
              :class="[asked === stepId ? 'border-action bg-tint' : next?.id === stepId ? 'border-ink' : 'border-transparent', state.done[stepId] ? 'text-quiet' : '']"
              :aria-pressed="asked === stepId" @click="ask(stepId)"
            >
              <span class="figure w-5" aria-hidden="true">{{ state.done[stepId] ? '✓' : next?.id === stepId ? '▸' : '' }}</span>
              <span class="flex-1">{{ titleOf(stepId) }}<span v-if="state.done[stepId]" class="sr-only">, done</span></span>
              <span class="figure text-sm">{{ Math.round(plan.steps.find(step => step.id === stepId)!.finishMinutes - plan.steps.find(step => step.id === stepId)!.startMinutes) || '<1' }} min</span>
            </button>
          </li>
        </ul>
      </li>
    </ol>

    <template #margin>
      <div v-if="asked">
        <h2 class="text-lg">{{ titleOf(asked) }}</h2>
        <p class="mb-3 mt-1 font-semibold text-action max-lg:hidden">Why here</p>
        <WhyPanel :step-id="asked" />
      </div>
      <div v-else>
        <h2 class="text-lg max-lg:hidden">Tools to lay out</h2>
        <p class="text-quiet">In the order they are first wanted. Ask any step to see why it stands where it stands.</p>
        <ul class="ruled mt-2">
          <li v-for="id in plan.tools" :key="id" class="flex justify-between gap-3 py-1"><span>{{ t(toolsById.get(id)!.name) }}</span><span class="figure">{{ toolsById.get(id)!.size }}</span></li>
        </ul>
      </div>
    </template>
  </SheetWithMargin>
</template>
