<script setup lang="ts">
import { XMarkIcon } from '@heroicons/vue/20/solid'

const store = useMessages()
const t = useTerms()
</script>

<template>
  <div
    class="no-print pointer-events-none fixed inset-x-0 top-2 z-60 flex flex-col items-center gap-2 px-3"
    role="status"
    aria-live="polite"
  >
    <p
      v-for="message in store.messages"
      :key="message.id"
      class="pointer-events-auto flex max-w-xl items-start gap-3 rounded-soft border-2 bg-sheet px-4 py-3"
      :class="message.kind === 'refused' ? 'border-attention' : 'border-ink'"
    >
      <span>{{ t(message.text) }}</span>
      <button class="-m-2 p-3" aria-label="Close message" @click="store.dismiss(message.id)">
        <XMarkIcon class="size-5" aria-hidden="true" />
      </button>
    </p>
  </div>
</template>
