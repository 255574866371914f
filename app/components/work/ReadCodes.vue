<script setup lang="ts">
import type { StoredCode } from '../../../core/job'
import type { ReaderCode } from '../../links/reader-link'

/** What the controller has stored, written down line by line as the reader shows it: the code, then what it says. */
const props = defineProps<{ stepId: string }>()
const { store, state } = useJob()
const text = ref('')
const { problems, allGood } = useProblems()
const read = computed(() => state.value.codes[props.stepId] ?? null)
/** What was read before this, to be held against it. */
const before = computed(() =>
  Object.entries(state.value.codes)
    .filter(([id]) => id !== props.stepId)
    .flatMap(([, { codes }]) => codes),
)
const cameBack = computed(() =>
  (read.value?.codes ?? []).filter(({ code }) => before.value.some(entry => entry.code === code)),
)
/** What a reader that speaks has just told, before it is kept. */
const told = shallowRef<ReaderCode[] | null>(null)
const reader = useReader({
  codes: codes => {
    told.value = codes
  },
})
watch(reader.name, name => {
  if (name) reader.readCodes()
  else told.value = null
})
/** What is cleared is gone: it is in the log before. */
const isKept = computed(() =>
  (told.value ?? []).every(({ code }) => (read.value?.codes ?? []).some(entry => entry.code === code)),
)
function keepTold() {
  const once = new Map(
    told.value!.map(({ code, text: says, state: stands }) => [code, { code, text: `${says} (${stands})` }]),
  )
  keep([...once.values()])
}
function linesOf(typed: string): StoredCode[] {
  return typed
    .split('\n')
    .map(line => line.trim())
    .filter(Boolean)
    .map(line => {
      const [, code, says] = /^(\S+)\s*(.*)$/.exec(line)!
      return { code: code!, text: says! }
    })
}
function keep(codes: StoredCode[]) {
  if (allGood({ codes: store.attempt('codes-read', { stepId: props.stepId, codes }) })) text.value = ''
}
function keepTyped() {
  const codes = linesOf(text.value)
  if (codes.length === 0) allGood({ codes: 'Write a line for each code, or say that nothing is stored.' })
  else keep(codes)
}
</script>

<template>
  <section aria-label="Codes" class="grid gap-3">
    <div v-if="read" class="border-l-4 pl-4" :class="read.codes.length ? 'border-attention' : 'border-good'">
      <p v-if="read.codes.length === 0" class="text-lg">Read: nothing is stored.</p>
      <template v-else>
        <p class="label">Stored</p>
        <ul>
          <li v-for="entry in read.codes" :key="entry.code" class="text-lg">
            <span class="figure">{{ entry.code }}</span> {{ entry.text }}
          </li>
        </ul>
        <p v-if="cameBack.length" class="mt-1">
          {{ cameBack.map(entry => entry.code).join(', ') }} stood there before as well: cleared and come back, it is
          real.
        </p>
      </template>
    </div>
    <SpeakingTool
      :id="`reader-${stepId}`"
      what="A reader that speaks"
      :tool="reader"
      v-model:address="reader.address.value"
    >
      <button type="button" class="button" @click="reader.readCodes()">Read again</button>
      <button type="button" class="button" :disabled="!told?.length || !isKept" @click="reader.clearCodes()">
        Clear them
      </button>
    </SpeakingTool>
    <div v-if="told" class="border-l-4 border-action pl-4" role="status">
      <p v-if="told.length === 0">It says that nothing is stored.</p>
      <ul v-else>
        <li v-for="entry in told" :key="entry.code" class="text-lg">
          <span class="figure">{{ entry.code }}</span> {{ entry.text }}
          <span class="text-quiet">{{ entry.state === 'active' ? 'wrong now' : 'remembered' }}</span>
        </li>
      </ul>
      <button type="button" class="button button-main mt-2" @click="keepTold">
        {{ told.length ? 'Keep these in the log' : 'Keep that nothing is stored' }}
      </button>
    </div>
    <button class="button" :class="read ? '' : 'border-action!'" @click="keep([])">Nothing is stored</button>
    <form class="grid gap-2" @submit.prevent="keepTyped">
      <Field
        v-slot="{ control }"
        :id="`codes-${stepId}`"
        label="Or code by code, a line each: the code, then what the reader says of it"
        :problem="problems.codes ?? ''"
      >
        <textarea v-bind="control" v-model="text" class="figure mt-1" rows="3" maxlength="6000" autocomplete="off" />
      </Field>
      <button class="button justify-self-start">{{ read ? 'Keep these instead' : 'Keep these codes' }}</button>
    </form>
  </section>
</template>
