<script setup lang="ts">
/** The acts of Work: done, and undo and trouble beside it. */
defineProps<{ label: string; can: boolean }>()
defineEmits<{ done: []; undo: []; trouble: [] }>()
const garage = useGarageStore()
</script>

<template>
  <FootBar>
    <button class="button button-big px-1! text-lg!" @click="$emit('undo')">Undo</button>
    <button
      class="button button-main button-big"
      :class="garage.can('work') ? '' : 'col-span-2'"
      :disabled="!can"
      data-testid="done"
      @click="$emit('done')"
    >
      {{ label }}
    </button>
    <button v-if="garage.can('work')" class="button button-big px-1! text-lg!" @click="$emit('trouble')">
      Trouble
    </button>
  </FootBar>
</template>
