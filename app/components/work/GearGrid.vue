<script setup lang="ts">
import { badGears, gearsOf } from '../../../core/job'
import type { GearResult } from '../../../core/job'
import type { Activity } from '../../../core/packs'

/** Every gear of the car, or every position of its lever, tried one after another. */
const props = defineProps<{ stepId: string; activity: Activity & { kind: 'gears' } }>()
const { store, state } = useJob()
const t = useTerms()
const what = computed(() => (props.activity.positions ? 'Position' : 'Gear'))
const gears = computed(() => gearsOf(state.value, props.activity))
const words: Record<'gear' | 'position' | 'lever', Record<GearResult, string>> = {
  gear: { clean: 'Clean', stiff: 'Stiff', noisy: 'Noise', refuses: 'Refuses' },
  position: { clean: 'Takes up', stiff: 'Late', noisy: 'Bangs', refuses: 'Nothing' },
  lever: { clean: 'Clicks in', stiff: 'Stiff', noisy: 'Off a notch', refuses: 'Missing' },
}
const results = computed(() => {
  const { positions, engine } = props.activity
  const said = words[positions ? (engine === 'running' ? 'position' : 'lever') : 'gear']
  return Object.entries(said).map(([id, label]) => ({ id: id as GearResult, label }))
})
const tried = computed(() => state.value.gears[props.stepId] ?? {})
const untried = computed(() => gears.value.filter(gear => !tried.value[gear]))
function allClean() {
  for (const gear of untried.value)
    if (!store.write('gear-tried', { stepId: props.stepId, gear, result: 'clean' })) return
}
const bad = computed(() => badGears(tried.value))
</script>

<template>
  <section :aria-label="`${what}s`">
    <button v-if="untried.length > 1" class="button mb-2 w-full border-action!" @click="allClean">
      {{
        activity.positions
          ? untried.length === gears.length
            ? `Every position: ${results[0]!.label.toLowerCase()}`
            : `The other ${untried.length}: ${results[0]!.label.toLowerCase()}`
          : untried.length === gears.length
            ? 'Every gear goes in clean'
            : `The other ${untried.length} go in clean`
      }}
    </button>
    <div
      v-for="gear in gears"
      :key="gear"
      class="flex items-center gap-3 border-b border-rule py-1.5"
      role="group"
      :aria-label="`${what} ${gear}`"
    >
      <span class="figure w-8 text-2xl font-bold">{{ gear }}</span>
      <div class="grid flex-1 grid-cols-4 gap-1.5">
        <button
          v-for="result in results"
          :key="result.id"
          class="min-h-13 rounded-soft border-2 font-semibold"
          :aria-pressed="tried[gear] === result.id"
          :class="
            tried[gear] === result.id
              ? result.id === 'clean'
                ? 'border-action bg-tint'
                : 'border-attention bg-attention-tint'
              : 'border-line bg-sheet font-normal'
          "
          @click="store.write('gear-tried', { stepId, gear, result: result.id })"
        >
          {{ result.label }}
        </button>
      </div>
    </div>
    <p v-if="bad.length" class="mt-3 border-l-4 border-danger pl-4 text-lg">
      {{ what }} {{ bad.join(', ') }}:
      {{
        activity.bad
          ? t(activity.bad)
          : 'the clutch may be dragging. Judge the pedal and the line again before the car is driven, and write the trouble down.'
      }}
    </p>
  </section>
</template>
