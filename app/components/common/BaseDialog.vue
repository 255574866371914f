<script setup lang="ts">
import { Dialog, DialogPanel, DialogTitle } from '@headlessui/vue'
import { XMarkIcon } from '@heroicons/vue/20/solid'

defineProps<{ open: boolean, title: string }>()
const emit = defineEmits<{ close: [] }>()
</script>

<template>
  <Dialog :open="open" class="relative z-50" @close="emit('close')">
    <div class="fixed inset-0 bg-[rgb(0_0_0/0.55)]" aria-hidden="true" />
    <div class="fixed inset-0 flex items-end justify-center overflow-y-auto sm:items-center">
      <DialogPanel class="max-h-dvh w-full max-w-xl overflow-y-auto border-2 border-ink bg-paper p-5 sm:rounded-soft sm:p-7">
        <div class="flex items-start justify-between gap-4">
          <DialogTitle class="text-xl font-semibold">{{ title }}</DialogTitle>
          <button type="button" class="-m-2 p-3" aria-label="Close" @click="emit('close')"><XMarkIcon class="size-6" aria-hidden="true" /></button>
        </div>
        <div class="mt-4"><slot /></div>
      </DialogPanel>
    </div>
  </Dialog>
</template>
