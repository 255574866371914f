<script setup lang="ts">
import { adviseBleed } from '../../../../../core/hydraulics/advise-bleed'
import { pedalForbidden } from '../../../../../core/job'

const { state, path } = useJob()
const t = useTerms()
const bleeding = computed(
  () => state.value.procedure?.operations.find(operation => operation.activity?.kind === 'bleed') ?? null,
)
/** Steps that work the pedal, or take away what it works. */
const pedalSteps = computed(() => {
  const guarded = new Set(state.value.procedure?.facts.filter(fact => fact.guards === 'pedal').map(fact => fact.id))
  const order = new Map(state.value.plan?.order.map((id, index) => [id, index]))
  return (state.value.procedure?.operations ?? [])
    .filter(operation => [...operation.needs, ...operation.ends, ...operation.gives].some(fact => guarded.has(fact)))
    .sort((a, b) => order.get(a.id)! - order.get(b.id)!)
})
/** Why there is none. */
const unopened = adviseBleed({
  opened: false,
  preFilled: false,
  slave: 'outside',
  bleeder: 'low',
  helper: false,
  tools: [],
  minutesLeft: Infinity,
  sharedReservoir: true,
})[0]!.because[0]!
const forbidden = computed(() => pedalForbidden(state.value)?.because ?? null)
</script>

<template>
  <BleedRun v-if="bleeding" :operation="bleeding" :blocked="forbidden" />
  <SheetWithMargin v-else margin-title="If it is opened">
    <PedalHead />
    <h1 class="text-2xl">Nothing to bleed on this job</h1>
    <p v-if="forbidden" class="mt-4 border-l-4 border-danger pl-4 text-lg">
      <span class="label">No stroke now.</span> {{ t(forbidden) }}
    </p>
    <p class="mt-3 border-l-4 border-good pl-4 text-lg"><span class="label">None needed.</span> {{ unopened }}</p>
    <p class="mt-3 text-lg">What works the pedal, in its order:</p>
    <ol class="ruled mt-3">
      <li v-for="operation in pedalSteps" :key="operation.id" class="flex gap-3 py-2">
        <span class="figure w-5" aria-hidden="true">{{ state.done[operation.id] ? '✓' : '' }}</span><span
          >{{ t(operation.title) }}<span v-if="state.done[operation.id]" class="sr-only">, done</span></span
        >
      </li>
    </ol>
    <p class="mt-4 text-lg">
      The pedal is judged among the <NuxtLink :to="path('prove')" class="underline">closing checks</NuxtLink>.
    </p>
    <template #margin
      ><ReleaseAsked class="mb-5" />
      <p class="text-quiet">
        If the line has to be opened after all, or bled another way, switch that in the
        <NuxtLink :to="path('plan')" class="underline">plan</NuxtLink> under How; its steps then stand in the order.
      </p></template
    >
  </SheetWithMargin>
</template>
