<script setup lang="ts">
/** The stages of a figure after its first torque, as they are typed. */
export interface StageRow {
  kind: 'torque' | 'angle' | 'wait' | 'lap'
  text: string
}

const t = useTerms()
const rows = defineModel<StageRow[]>({ required: true })
defineProps<{ unit: string; problems: Record<number, string> }>()
const kinds = [
  { id: 'torque', label: 'then torque' },
  { id: 'angle', label: 'then turn by, °' },
  { id: 'wait', label: 'then wait, min' },
  { id: 'lap', label: 'then once round' },
] as const
const add = () => {
  rows.value = [...rows.value, { kind: 'angle', text: '' }]
}
const change = (index: number, row: Partial<StageRow>) => {
  rows.value = rows.value.map((entry, at) => (at === index ? { ...entry, ...row } : entry))
}
</script>

<template>
  <div class="grid gap-2">
    <div v-for="(row, index) in rows" :key="index">
      <div class="flex gap-2">
        <select
          :value="row.kind"
          class="w-44!"
          :aria-label="`Stage ${index + 2}`"
          @change="change(index, { kind: ($event.target as HTMLSelectElement).value as StageRow['kind'] })"
        >
          <option v-for="kind in kinds" :key="kind.id" :value="kind.id">
            {{ kind.label }}{{ kind.id === 'torque' ? `, ${unit}` : '' }}
          </option>
        </select>
        <input
          v-if="row.kind !== 'lap'"
          :value="row.text"
          class="figure min-w-0"
          inputmode="decimal"
          autocomplete="off"
          :aria-label="`Value of stage ${index + 2}`"
          :aria-invalid="!!problems[index]"
          @input="change(index, { text: ($event.target as HTMLInputElement).value })"
        />
        <button
          type="button"
          class="button ml-auto"
          :aria-label="`Leave stage ${index + 2} out`"
          @click="rows = rows.filter((_, at) => at !== index)"
        >
          ×
        </button>
      </div>
      <p v-if="problems[index]" class="text-danger" role="alert">{{ t(problems[index]!) }}</p>
    </div>
    <button
      v-if="rows.length < 8"
      type="button"
      class="min-h-11 justify-self-start font-semibold underline"
      @click="add"
    >
      Add a stage: angle, wait, another torque, a lap
    </button>
  </div>
</template>
