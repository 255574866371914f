<script setup lang="ts">
/** The acts of Work: done, and undo and trouble beside it. */
defineProps<{ label: string; can: boolean }>()
defineEmits<{ done: []; undo: []; trouble: [] }>()
</script>

<template>
  <FootBar>
    <button class="button button-big px-1! text-lg!" @click="$emit('undo')">Undo</button>
    <button class="button button-main button-big" :disabled="!can" data-testid="done" @click="$emit('done')">
      {{ label }}
    </button>
    <button class="button button-big px-1! text-lg!" @click="$emit('trouble')">Trouble</button>
  </FootBar>
</template>
