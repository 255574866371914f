<script setup lang="ts">
/** Whether a tool is in the house. */
defineProps<{ here: boolean; name: string }>()
defineEmits<{ change: [] }>()
</script>

<template>
  <button
    class="min-h-11 rounded-soft border-2 px-3 text-sm"
    :class="here ? 'border-line' : 'border-attention font-semibold text-attention'"
    :aria-pressed="!here"
    @click="$emit('change')"
  >
    {{ here ? 'in the house' : 'not here' }}<span class="sr-only">: {{ name }}</span>
  </button>
</template>
