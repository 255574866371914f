<script setup lang="ts">
import { blockersFor, stepsLeft, stepView } from '../../../core/job'

/** The steps ahead: those that can be done now can be taken first, the others say what they wait for. */
defineProps<{ open: boolean }>()
const emit = defineEmits<{ close: []; choose: [stepId: string] }>()
const { state } = useJob()
const garage = useGarageStore()
const t = useTerms()
const SHOWN = 30
const ahead = computed(() =>
  stepsLeft(state.value)
    .slice(0, SHOWN)
    .map(id => ({ view: stepView(state.value, id)!, blocker: blockersFor(state.value, id, garage.personId)[0] })),
)
</script>

<template>
  <BaseDialog :open="open" title="Do another step first" @close="emit('close')">
    <ul class="ruled">
      <li v-for="{ view, blocker } in ahead" :key="view.id" class="py-1">
        <button
          v-if="!blocker"
          class="flex min-h-12 w-full items-center gap-3 text-left"
          @click="emit('choose', view.id)"
        >
          <PlaceTag :at="view.at" short /><span class="underline">{{ t(view.title) }}</span>
        </button>
        <p v-else class="flex items-start gap-3 py-2 text-quiet">
          <PlaceTag :at="view.at" short /><span
            >{{ t(view.title)
            }}<span class="block text-sm">First: {{ t(blocker.title) }}. {{ t(blocker.because) }}</span></span
          >
        </p>
      </li>
    </ul>
  </BaseDialog>
</template>
