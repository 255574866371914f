<script setup lang="ts">
import { boltName } from '../../../core/fasteners'
import { boltsBackWith, boltsOffWith, stepView } from '../../../core/job'
import type { LadderBolt } from '../../../core/job'
import type { Ladder } from '../../../core/packs'

export interface LadderAbout {
  about?: string
  bolt?: LadderBolt
}

/** Which bolt or thing a ladder is about: one of the boards of its step, or words. */
const props = defineProps<{ ladder: Ladder; stepId: string | null }>()
const emit = defineEmits<{ back: []; chosen: [about: LadderAbout] }>()
const { state } = useJob()
const t = useTerms()
const words = ref('')
const root = useTemplateRef('root')
onMounted(() => root.value?.querySelector<HTMLElement>('button, input')?.focus())
const boards = computed(() => {
  const step = props.stepId === null ? null : stepView(state.value, props.stepId)
  const touched =
    step === null
      ? []
      : [...boltsOffWith(state.value, step.id), ...(step.operation ? boltsBackWith(state.value, step.operation) : [])]
  const here = [...new Set(touched.map(({ board }) => board.group))]
  return (here.length > 0 ? here : step?.group ? [step.group.id] : []).flatMap(group => state.value.boards[group] ?? [])
})
const groupName = (id: string) => t(state.value.procedure!.groups.find(group => group.id === id)?.name ?? id)
const choose = (board: (typeof boards.value)[number], bolt: (typeof boards.value)[number]['bolts'][number]) =>
  emit('chosen', {
    about: `${groupName(board.group)}, ${boltName(board, bolt)}`,
    bolt: { group: board.group, boltId: bolt.id },
  })
</script>

<template>
  <section ref="root" class="grid gap-4">
    <h3 class="text-lg">{{ t(ladder.asks!) }}</h3>
    <div v-for="board in boards" :key="board.group">
      <p class="label">{{ groupName(board.group) }}</p>
      <ul class="mt-1 flex flex-wrap gap-2">
        <li v-for="bolt in board.bolts" :key="bolt.id">
          <button type="button" class="button" @click="choose(board, bolt)">{{ boltName(board, bolt) }}</button>
        </li>
      </ul>
    </div>
    <form
      class="flex flex-wrap items-end gap-2"
      @submit.prevent="words.trim() && emit('chosen', { about: words.trim() })"
    >
      <div class="min-w-48 flex-1">
        <Field v-slot="{ control }" id="which-one" :label="boards.length ? 'Another one' : 'Which one'"
          ><input v-bind="control" v-model="words" class="mt-1" maxlength="200" autocomplete="off"
        /></Field>
      </div>
      <button class="button button-main" :disabled="!words.trim()">This one</button>
      <button type="button" class="button" @click="emit('back')">Back</button>
    </form>
  </section>
</template>
