<script setup lang="ts">
import { unforeseen } from '../../../contracts/events/unforeseen'
import { stepTitle } from '../../../core/job'
import { nowIso } from '../../device/clock'
import { newId } from '../../log/ids'
import { utcOffsetMinutes } from '../../words/utc-offset'

/** A step in two goes: what comes first and what is left of it, each with its minutes. */
const props = defineProps<{ open: boolean; stepId: string; minutes: number }>()
const emit = defineEmits<{ close: [] }>()
const { store, state } = useJob()
const messages = useMessages()
const t = useTerms()
const numbers = useNumbers()
const first = reactive({ title: '', minutes: '' })
const rest = reactive({ title: '', minutes: '' })
const { problems, check } = useChecked(unforeseen['step-split'])
const title = computed(() => t(stepTitle(state.value.procedure!, state.value.plan!, props.stepId)))
watch(
  () => props.open,
  open => {
    if (!open) return
    const half = String(Math.max(1, Math.round(props.minutes / 2)))
    Object.assign(first, { title: '', minutes: half })
    Object.assign(rest, { title: title.value, minutes: half })
    problems.value = {}
  },
  { immediate: true },
)

async function submit() {
  const [before, after] = [first.minutes, rest.minutes].map(numbers.plain) as [number, number]
  const taken = await check(
    {
      stepId: props.stepId,
      firstId: `own-${newId()}`,
      first: { title: first.title, minutes: before },
      rest: { title: rest.title, minutes: after },
      at: nowIso(),
      utcOffsetMinutes: utcOffsetMinutes(),
    },
    payload => store.write('step-split', payload),
    {
      ...(first.title.trim() && before >= 1 ? {} : { first: 'Say what comes first, and its minutes.' }),
      ...(rest.title.trim() && after >= 1 ? {} : { rest: 'Say what is left of it, and its minutes.' }),
    },
  )
  if (!taken) return
  messages.say(`In two: ${first.title.trim()}; ${rest.title.trim()}.`)
  emit('close')
}
</script>

<template>
  <BaseDialog :open="open" title="In two goes" first="input" @close="emit('close')">
    <form class="grid gap-4" novalidate @submit.prevent="submit">
      <p>
        “{{ title }}” is done in two goes, with other work in between if need be. What comes off, the second one does.
      </p>
      <div
        v-for="[id, part, label] in [['first', first, 'First'] as const, ['rest', rest, 'Then'] as const]"
        :key="id"
        class="grid grid-cols-[minmax(0,1fr)_6rem] gap-3"
      >
        <Field v-slot="{ control }" :id="`split-${id}`" :label="label" :problem="problems[id] ?? ''"
          ><input v-bind="control" v-model="part.title" class="mt-1" maxlength="120" autocomplete="off"
        /></Field>
        <Field v-slot="{ control }" :id="`split-${id}-minutes`" label="Minutes"
          ><input v-bind="control" v-model="part.minutes" class="figure mt-1" inputmode="decimal"
        /></Field>
      </div>
      <p v-if="problems.form || problems.stepId" class="text-danger" role="alert">
        {{ t(problems.form ?? problems.stepId ?? '') }}
      </p>
      <button class="button button-main button-big">Split it</button>
    </form>
  </BaseDialog>
</template>
