<script setup lang="ts">
import { Cog6ToothIcon } from '@heroicons/vue/24/outline'

/** Light, units, words and who is working; fetched when it is asked for. */
/** Where little room is, a sign stands for its word. */
defineProps<{ compact?: boolean }>()
const store = useGarageStore()
const isAsked = ref(false)
</script>

<template>
  <LazySettingsList v-if="store.garage && isAsked" :compact="compact" />
  <button
    v-else-if="store.garage"
    class="button no-print px-3!"
    aria-label="Settings"
    aria-haspopup="menu"
    aria-expanded="false"
    @click="isAsked = true"
  >
    <Cog6ToothIcon class="size-6" :class="compact ? '2xl:hidden' : 'sm:hidden'" aria-hidden="true" /><span
      :class="compact ? 'max-2xl:hidden' : 'max-sm:hidden'"
      >Settings</span
    >
  </button>
</template>
