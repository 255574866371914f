<script setup lang="ts">
import { Dialog, DialogPanel, DialogTitle } from '@headlessui/vue'
import { XMarkIcon } from '@heroicons/vue/20/solid'
import { useMutationObserver } from '@vueuse/core'

/** A dialog: it opens in its first field, shows what was refused in it, and goes with the browser's back. */
const props = defineProps<{
  open: boolean
  title: string
  /** Where it opens instead: what is chosen by taps brings up no keyboard of a phone. */
  first?: string
}>()
const emit = defineEmits<{ close: [] }>()
const t = useTerms()
const messages = useMessages()
const content = ref<HTMLElement | null>(null)
const closer = ref<HTMLElement | null>(null)
const FIELDS = ['input:not([type=radio],[type=checkbox]), select, textarea', 'input, [role=radio]']
const firstField = () =>
  [...(props.first ? [props.first] : []), ...FIELDS]
    .map(selector => content.value?.querySelector<HTMLElement>(`:is(${selector}):not(:disabled)`))
    .find(Boolean) ?? null
// A form that arrives later takes the focus that waits on the closing cross.
useMutationObserver(
  content,
  () => {
    if (document.activeElement === closer.value) firstField()?.focus()
  },
  { childList: true, subtree: true },
)

const refused = computed(() =>
  messages.messages.filter(message => message.kind === 'refused' && message.id > opened.value),
)
const opened = ref(0)
watch(
  () => props.open,
  open => {
    if (!open) return
    opened.value = messages.last
    // The dialog itself takes the focus first.
    setTimeout(() => {
      if (!content.value?.contains(document.activeElement)) firstField()?.focus()
    }, 60)
  },
  { immediate: true },
)
watch(refused, (list, before) => {
  if (list.length > 0 && list.at(-1) !== before.at(-1))
    void nextTick(() => (content.value?.querySelector<HTMLElement>('[aria-invalid=true]') ?? firstField())?.focus())
})
useBackCloses(
  () => props.open,
  () => emit('close'),
)
</script>

<template>
  <Dialog :open="open" class="relative z-50" @close="emit('close')">
    <div class="fixed inset-0 bg-[rgb(0_0_0/0.55)]" aria-hidden="true" />
    <div class="fixed inset-0 flex items-end justify-center overflow-y-auto sm:items-center">
      <DialogPanel
        class="max-h-dvh w-full max-w-xl overflow-y-auto border-2 border-ink bg-paper p-5 sm:rounded-soft sm:p-7"
      >
        <div class="flex items-start justify-between gap-4">
          <DialogTitle class="text-xl font-semibold">{{ title }}</DialogTitle>
          <button ref="closer" type="button" class="-m-2 p-3" aria-label="Close" @click="emit('close')">
            <XMarkIcon class="size-6" aria-hidden="true" />
          </button>
        </div>
        <p
          v-for="message in refused"
          :key="message.id"
          class="mt-3 border-l-4 border-danger bg-attention-tint px-3 py-2"
          role="alert"
        >
          {{ t(message.text) }}
        </p>
        <div ref="content" class="mt-4"><slot /></div>
      </DialogPanel>
    </div>
  </Dialog>
</template>
