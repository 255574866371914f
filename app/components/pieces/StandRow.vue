<script setup lang="ts" generic="Stand extends string">
/** How something stands, one of three, a big button each; what is off or out stands out. */
defineProps<{ label: string; stands: { id: Stand; label: string }[]; stand: Stand; away: Stand }>()
const emit = defineEmits<{ set: [stand: Stand] }>()
</script>

<template>
  <div class="grid grid-cols-3 gap-1.5" role="group" :aria-label="label">
    <button
      v-for="entry in stands"
      :key="entry.id"
      class="min-h-12 rounded-soft border-2"
      :aria-pressed="stand === entry.id"
      :class="
        stand !== entry.id
          ? 'border-line bg-sheet'
          : entry.id === away
            ? 'border-attention bg-attention-tint font-semibold'
            : 'border-action bg-tint font-semibold'
      "
      @click="emit('set', entry.id)"
    >
      {{ entry.label }}
    </button>
  </div>
</template>
