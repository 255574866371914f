<script setup lang="ts">
import type { SpringTyped } from '../../composables/useSpringTyped'

/** The five things by which a spring is known. */
defineProps<{ idOf: string }>()
const entered = defineModel<SpringTyped>({ required: true })
const units = useUnits()
const unit = computed(() => units.preference.value.length)
const fields = computed(
  () =>
    [
      { id: 'wireMm', label: `Wire, ${unit.value}` },
      { id: 'coilDiameterMm', label: `Coil, middle to middle, ${unit.value}` },
      { id: 'activeCoils', label: 'Turns that give' },
      { id: 'freeLengthMm', label: `Free length, ${unit.value}` },
      { id: 'paint', label: 'Paint' },
    ] as const,
)
</script>

<template>
  <div class="grid grid-cols-2 gap-2">
    <Field v-for="field in fields" :key="field.id" v-slot="{ control }" :id="`${idOf}-${field.id}`" :label="field.label"
      ><input
        v-bind="control"
        v-model="entered[field.id]"
        class="mt-1"
        :class="field.id === 'paint' ? '' : 'figure'"
        :inputmode="field.id === 'paint' ? 'text' : 'decimal'"
        autocomplete="off"
        maxlength="30"
    /></Field>
  </div>
</template>
