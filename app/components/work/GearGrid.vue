<script setup lang="ts">
import { badGears } from '../../../core/job'
import type { GearResult } from '../../../core/job'

/** Every gear tried, one after another. */
const props = defineProps<{ stepId: string }>()
const { store, state } = useJob()
const results: { id: GearResult; label: string }[] = [
  { id: 'clean', label: 'Clean' },
  { id: 'stiff', label: 'Stiff' },
  { id: 'noisy', label: 'Noise' },
  { id: 'refuses', label: 'Refuses' },
]
const tried = computed(() => state.value.gears[props.stepId] ?? {})
const untried = computed(() => (state.value.vehicle?.gears ?? []).filter(gear => !tried.value[gear]))
function allClean() {
  for (const gear of untried.value)
    if (!store.write('gear-tried', { stepId: props.stepId, gear, result: 'clean' })) return
}
const bad = computed(() => badGears(tried.value))
</script>

<template>
  <section aria-label="Gears">
    <button v-if="untried.length > 1" class="button mb-2 w-full border-action!" @click="allClean">
      {{
        untried.length === state.vehicle?.gears.length
          ? 'Every gear goes in clean'
          : `The other ${untried.length} go in clean`
      }}
    </button>
    <div
      v-for="gear in state.vehicle?.gears"
      :key="gear"
      class="flex items-center gap-3 border-b border-rule py-1.5"
      role="group"
      :aria-label="`Gear ${gear}`"
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
      Gear {{ bad.join(', ') }}: the clutch may be dragging. Judge the pedal and the line again before the car is
      driven, and write the trouble down.
    </p>
  </section>
</template>
