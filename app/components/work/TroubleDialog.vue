<script setup lang="ts">
import { laddersAt } from '../../../core/job'
import type { Ladder } from '../../../core/packs'
import { newId } from '../../log/ids'
import type { LadderAbout } from './WhichOne.vue'

/** What will not go: a ladder to climb, or words of one's own with what the job waits for. */
const props = defineProps<{ open: boolean; stepId: string | null; group?: string }>()
const emit = defineEmits<{ close: [] }>()
const { store, state } = useJob()
const t = useTerms()
const all = ref(false)
const FIRST = 6
const ladders = computed(() => laddersAt(state.value, props.stepId))
const shown = computed(() => (all.value ? ladders.value : ladders.value.slice(0, FIRST)))
const asked = ref<Ladder | null>(null)
watch(
  () => props.open,
  () => {
    asked.value = null
  },
)
function climb(ladder: Ladder, about: LadderAbout = {}) {
  if (
    !store.write('ladder-opened', {
      ladderRunId: newId(),
      ladderId: ladder.id,
      stepId: props.stepId,
      text: t(ladder.title),
      ...about,
    })
  )
    return
  asked.value = null
  emit('close')
}
const text = ref('')
const waits = ref<'no' | 'yes'>('no')
const waitsFor = ref('')
const until = ref('')
/** Where it belongs to no step, it belongs to a group of bolts or a thing. */
const about = ref('')
const abouts = computed(() =>
  props.stepId !== null || props.group !== undefined
    ? []
    : [
        ...state.value.procedure!.groups.map(({ id, name }) => ({ id: `group:${id}`, name: t(name) })),
        ...state.value.procedure!.items.map(({ id, name }) => ({ id: `item:${id}`, name: t(name) })),
      ].sort((a, b) => a.name.localeCompare(b.name)),
)
function belonging() {
  if (props.stepId !== null) return {}
  if (props.group !== undefined) return { group: props.group }
  const [kind, id] = [about.value.slice(0, about.value.indexOf(':')), about.value.slice(about.value.indexOf(':') + 1)]
  return kind === 'group' ? { group: id } : { itemId: id }
}
const ready = computed(
  () =>
    text.value.trim() &&
    (waits.value === 'no' || waitsFor.value.trim()) &&
    (abouts.value.length === 0 || about.value !== ''),
)

function submit() {
  if (!ready.value) return
  const waiting = waits.value === 'yes'
  const written = store.write('trouble-raised', {
    troubleId: newId(),
    stepId: props.stepId,
    text: text.value.trim(),
    ...belonging(),
    waitsFor: waiting ? waitsFor.value.trim() : null,
    until: waiting && until.value ? new Date(until.value).toISOString() : null,
  })
  if (!written) return
  text.value = waitsFor.value = until.value = ''
  waits.value = 'no'
  emit('close')
}
</script>

<template>
  <BaseDialog :open="open" title="Trouble" @close="emit('close')">
    <WhichOne
      v-if="asked"
      :ladder="asked"
      :step-id="stepId"
      @back="asked = null"
      @chosen="about => climb(asked!, about)"
    />
    <section v-if="ladders.length && !asked" class="mb-5">
      <h3 class="label">A ladder for it, the gentlest way first</h3>
      <ul class="ruled mt-1">
        <li v-for="ladder in shown" :key="ladder.id">
          <button
            type="button"
            class="flex min-h-12 w-full items-center justify-between gap-3 py-1 text-left font-semibold hover:bg-tint"
            @click="ladder.asks ? (asked = ladder) : climb(ladder)"
          >
            <span>{{ t(ladder.title) }}</span><span class="figure shrink-0 text-sm font-normal text-quiet"
              >{{ ladder.rungs.length }} rungs</span
            >
          </button>
        </li>
      </ul>
      <button v-if="shown.length < ladders.length" type="button" class="min-h-11 underline" @click="all = true">
        {{ ladders.length - shown.length }} more
      </button>
    </section>
    <form v-if="!asked" class="grid gap-4" @submit.prevent="submit">
      <Field v-slot="{ control }" id="trouble-text" label="What will not go">
        <textarea
          v-bind="control"
          v-model="text"
          class="mt-1"
          maxlength="1000"
          placeholder="Bolt seized, part wrong, will not come off"
        />
      </Field>
      <Field v-if="abouts.length" v-slot="{ control }" id="trouble-about" label="What is it about"
        ><select v-bind="control" v-model="about" class="mt-1">
          <option value="" disabled>Choose a thing or its bolts</option>
          <option v-for="entry in abouts" :key="entry.id" :value="entry.id">{{ entry.name }}</option>
        </select></Field
      >
      <ChoiceRow
        v-model="waits"
        label="Does the job wait for something"
        :choices="[
          { id: 'no', label: 'No, I go on' },
          { id: 'yes', label: 'Yes, it waits' },
        ]"
      />
      <template v-if="waits === 'yes'">
        <Field v-slot="{ control }" id="trouble-waits" label="It waits for"
          ><input
            v-bind="control"
            v-model="waitsFor"
            class="mt-1"
            maxlength="200"
            placeholder="Part, machine shop, helper"
        /></Field>
        <Field v-slot="{ control }" id="trouble-until" label="Expected, if known"
          ><input v-bind="control" v-model="until" class="mt-1" type="datetime-local"
        /></Field>
      </template>
      <button class="button button-main button-big" :disabled="!ready">Write it down</button>
    </form>
  </BaseDialog>
</template>
