<script setup lang="ts">
import { Dialog, DialogPanel, DialogTitle } from '@headlessui/vue'

defineProps<{ open: boolean, title: string }>()
const emit = defineEmits<{ close: [] }>()
</script>

<template>
  <Dialog :open="open" class="relative z-50" @close="emit('close')">
    <div class="fixed inset-0 bg-black/50" aria-hidden="true" />
    <div class="fixed inset-0 flex items-end justify-center overflow-y-auto sm:items-center">
      <DialogPanel class="max-h-dvh w-full max-w-xl overflow-y-auto border-2 border-ink bg-paper p-5 sm:rounded-soft sm:p-7">
        <DialogTitle class="text-xl font-semibold">{{ title }}</DialogTitle>
        <div class="mt-4"><slot /></div>
      </DialogPanel>
    </div>
  </Dialog>
</template>
