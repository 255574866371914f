<script setup lang="ts">
import { forbiddenNow, guardWords } from '../../../core/job'
import type { GearResult } from '../../../core/job'

/** What the driver works the box with, where that is no pedal: what is forbidden now, what bears on it in its order, what was found. */
const { state, bench, verdicts, path } = useBench()
const t = useTerms()
const control = computed(() => state.value.procedure!.control!)
const forbidden = computed(() => forbiddenNow(state.value))
const words: Record<GearResult, string> = {
  clean: 'right',
  stiff: 'late or stiff',
  noisy: 'bangs or off',
  refuses: 'nothing',
}
const steps = computed(() => {
  const order = new Map(state.value.plan?.order.map((id, index) => [id, index]))
  return control.value.steps
    .flatMap(id => state.value.procedure!.operations.find(operation => operation.id === id) ?? [])
    .sort((a, b) => (order.get(a.id) ?? 0) - (order.get(b.id) ?? 0))
    .map(operation => ({ ...operation, found: foundAt(operation.id) }))
})
/** What a step brought to light, in a few words. */
function foundAt(stepId: string): string {
  const gears = Object.entries(state.value.gears[stepId] ?? {}).map(([gear, result]) => `${gear} ${words[result]}`)
  const codes = state.value.codes[stepId]
  const routine = state.value.routines[stepId]
  const said = state.value.readings.filter(reading => reading.stepId === stepId && typeof reading.value === 'string')
  return [
    ...gears,
    ...(codes ? [codes.codes.length === 0 ? 'nothing stored' : codes.codes.map(({ code }) => code).join(', ')] : []),
    ...(routine ? [routine.outcome === 'done' ? 'ran through' : `refused: ${routine.reason}`] : []),
    ...said.map(reading => t(String(reading.value))),
  ].join(', ')
}
const sheets = computed(() => bench.value.sheets.filter(sheet => sheet.row === 'control'))
</script>

<template>
  <SheetWithMargin margin-title="Its sheets">
    <ControlHead />
    <h1 class="text-2xl">{{ t(control.title) }}</h1>
    <p class="mt-3 max-w-3xl text-lg">{{ t(control.about) }}</p>
    <ul v-if="forbidden.length" class="mt-4 grid gap-2">
      <li v-for="{ guard, fact } in forbidden" :key="guard" class="border-l-4 border-danger pl-4 text-lg">
        <span class="label">{{ guardWords[guard].tag }}.</span> {{ t(guardWords[guard].sentence) }}
        {{ t(fact.because) }}
      </li>
    </ul>
    <p v-else class="mt-4 border-l-4 border-good pl-4 text-lg">Nothing forbids it now.</p>
    <h2 class="mt-6 text-lg">What bears on it, in its order</h2>
    <ol class="ruled mt-2">
      <li v-for="step in steps" :key="step.id" class="flex flex-wrap items-baseline gap-x-3 py-2">
        <span class="figure w-5" aria-hidden="true">{{ state.done[step.id] ? '✓' : '' }}</span><span
          class="min-w-0 flex-1 basis-64"
          ><NuxtLink v-if="!state.done[step.id]" :to="`${path('work')}?step=${step.id}`" class="underline">{{
            t(step.title)
          }}</NuxtLink
          ><template v-else>{{ t(step.title) }}<span class="sr-only">, done</span></template></span
        ><span v-if="step.found" class="font-semibold">{{ step.found }}</span>
      </li>
    </ol>
    <p class="mt-4 text-lg">
      All of it is asked once more among the
      <NuxtLink :to="path('prove')" class="underline">closing checks</NuxtLink>.
    </p>
    <template #margin>
      <ul class="grid gap-2">
        <li v-for="sheet in sheets" :key="sheet.id">
          <NuxtLink :to="path(`control/${sheet.id}`)" class="underline">{{ t(sheet.title) }}</NuxtLink>
          <p class="mt-1 text-quiet">
            {{ t(verdicts.get(sheet.id)!.findings[0]?.sentence ?? 'Nothing is entered yet.') }}
          </p>
        </li>
        <li v-if="sheets.length === 0" class="text-quiet">Its level is read on a stick; nothing is reckoned.</li>
      </ul>
    </template>
  </SheetWithMargin>
</template>
