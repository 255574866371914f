<script setup lang="ts">
/** The sheet with its margin: at the side on a desk, a drawer from below on a phone. */
defineProps<{ marginTitle: string }>()
const open = defineModel<boolean>('open', { default: false })
const drawer = useTemplateRef('drawer')
watch(open, async isOpen => {
  if (!isOpen) return
  await nextTick()
  drawer.value?.focus()
})
</script>

<template>
  <div class="mx-auto grid max-w-[90rem] print:block print:max-w-none lg:grid-cols-[minmax(0,2fr)_minmax(19rem,1fr)]">
    <main
      id="sheet"
      tabindex="-1"
      class="min-w-0 border-rule px-4 py-5 outline-none sm:px-7 lg:min-h-[calc(100dvh-7.2rem)] lg:border-r print:min-h-0 print:border-0 print:p-0"
    >
      <button class="button no-print float-right mb-2 ml-3 lg:hidden" :aria-expanded="open" @click="open = !open">
        {{ marginTitle }}
      </button>
      <slot />
    </main>
    <aside
      ref="drawer"
      tabindex="0"
      :aria-label="marginTitle"
      class="no-print bg-paper -outline-offset-4 max-lg:fixed max-lg:inset-x-0 max-lg:bottom-0 max-lg:z-30 max-lg:max-h-[60dvh] max-lg:overflow-y-auto max-lg:border-t-4 max-lg:border-ink max-lg:px-4 max-lg:pb-24 lg:sticky lg:top-0 lg:max-h-dvh lg:self-start lg:overflow-y-auto lg:px-6 lg:py-5"
      :class="open ? '' : 'max-lg:hidden'"
      @keydown.esc="open = false"
    >
      <div class="sticky top-0 flex items-center justify-between bg-paper py-2 lg:hidden">
        <h2 class="text-lg">{{ marginTitle }}</h2>
        <button class="button" @click="open = false">Close</button>
      </div>
      <slot name="margin" />
    </aside>
  </div>
</template>
