<script setup lang="ts">
/** A tool that speaks, such as a gauge or a reader: called at its address, then what it is asked to do. */
defineProps<{
  /** What it is called where nobody has called it yet. */
  what: string
  id: string
  tool: {
    name: Ref<string>
    problem: Ref<string>
    connecting: Ref<boolean>
    connect: () => void
    disconnect: () => void
  }
}>()
defineSlots<{ default: () => unknown }>()
const address = defineModel<string>('address', { required: true })
const t = useTerms()
</script>

<template>
  <div class="flex flex-wrap items-center gap-2">
    <template v-if="tool.name.value">
      <span class="font-semibold">{{ tool.name.value }} speaks.</span><slot />
      <button type="button" class="button" @click="tool.disconnect()">Let go</button>
    </template>
    <details v-else class="w-full">
      <summary class="min-h-11 cursor-pointer font-semibold underline">{{ what }}</summary>
      <div class="mt-2 flex flex-wrap items-end gap-2">
        <div class="flex-1 basis-56">
          <label class="label" :for="`${id}-address`">Its address</label
          ><input :id="`${id}-address`" v-model="address" class="figure mt-1" autocomplete="off" />
        </div>
        <button type="button" class="button" @click="tool.connect()">
          {{ tool.connecting.value ? 'Calling' : 'Connect' }}
        </button>
      </div>
    </details>
    <p v-if="tool.problem.value" class="text-danger" role="alert">{{ t(tool.problem.value) }}</p>
  </div>
</template>
