<script setup lang="ts">
/** A label, its control, and what is wrong with what stands there: seen and heard alike. The control takes `control` from the slot. */
const props = defineProps<{ id: string; label: string; problem?: string; hideLabel?: boolean }>()
const t = useTerms()
/** A control that is never refused has no line for it. */
const checked = computed(() => props.problem !== undefined)
const control = computed(() => ({
  id: props.id,
  'aria-invalid': props.problem ? true : undefined,
  'aria-describedby': checked.value ? `${props.id}-problem` : undefined,
}))
</script>

<template>
  <div>
    <label :class="hideLabel ? 'sr-only' : 'label'" :for="id">{{ label }}</label>
    <slot :control="control" />
    <p v-if="checked" :id="`${id}-problem`" class="mt-1 text-danger" :role="problem ? 'alert' : undefined">
      {{ t(problem ?? '') }}
    </p>
  </div>
</template>
