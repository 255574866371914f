<script setup lang="ts">
/** The bar at the foot: one main act, undo and trouble under either thumb. */
defineProps<{ label: string, can: boolean }>()
defineEmits<{ done: [], undo: [], trouble: [] }>()
</script>

<template>
  <div class="no-print fixed inset-x-0 bottom-14 z-20 border-t-2 border-ink bg-paper sm:bottom-0 lg:right-1/3">
    <div class="mx-auto grid max-w-4xl grid-cols-[minmax(5rem,1fr)_minmax(0,2.4fr)_minmax(5rem,1fr)] gap-2 p-2">
      <button class="button button-big px-1! text-lg!" @click="$emit('undo')">Undo</button>
      <button class="button button-main button-big" :disabled="!can" data-testid="done" @click="$emit('done')">{{ label }}</button>
      <button class="button button-big px-1! text-lg!" @click="$emit('trouble')">Trouble</button>
    </div>
  </div>
</template>
