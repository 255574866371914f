<script setup lang="ts">
import { boltName } from '../../../core/fasteners'
import type { BoardBolt, BoltBoard } from '../../../core/fasteners'
import { newId } from '../../log/ids'

/** The way out for a bolt, a thread or a head that went: rung by rung, written into the log, with the part it needs. */
const props = defineProps<{
  open: boolean
  board: BoltBoard
  bolt: BoardBolt
  first?: 'sheared' | 'stripped' | 'rounded'
}>()
const emit = defineEmits<{ close: []; written: [] }>()
const { store, state } = useJob()
const t = useTerms()
type How = 'sheared' | 'stripped' | 'rounded'
const how = ref<How>(props.first ?? 'sheared')
const rungId = ref<string | null>(null)
const until = ref('')
watch(
  () => [props.open, props.first],
  () => {
    if (props.open && props.first) how.value = props.first
  },
)
watch(how, () => {
  rungId.value = null
})
const ladder = computed(() => state.value.procedure?.ladders?.find(entry => entry.when.includes(how.value)) ?? null)
const rung = computed(() => ladder.value?.rungs.find(entry => entry.id === rungId.value) ?? null)
const cautions = computed(() =>
  (ladder.value?.cautions ?? []).flatMap(
    id => state.value.procedure!.cautions.find(caution => caution.id === id) ?? [],
  ),
)
function toolName(id: string): string {
  const tool = state.value.procedure!.tools.find(entry => entry.id === id)
  return tool ? [tool.size, t(tool.name)].filter(Boolean).join(' ') : id
}
const group = computed(() => state.value.procedure!.groups.find(entry => entry.id === props.board.group)!)

function submit() {
  if (!rung.value || !ladder.value) return
  const { group: groupId } = props.board
  const troubleId = newId()
  const where = `${t(group.value.name)}, ${boltName(props.board, props.bolt)}`
  const went = `${where}: ${{ sheared: 'sheared', stripped: 'thread stripped', rounded: 'head rounded' }[how.value]}`
  const written = store.write('bolt-broken', {
    group: groupId,
    boltId: props.bolt.id,
    how: how.value,
    wayOut: rung.value.title,
    troubleId,
    text: `${went}. ${rung.value.title}.`,
    parts: rung.value.parts,
    waitsFor: rung.value.waits ? 'Machine shop' : null,
    until: rung.value.waits && until.value ? new Date(until.value).toISOString() : null,
  })
  if (!written) return
  emit('written')
  // Who works on it elsewhere wants it off the car: what that means for the plan is asked next.
  if (rung.value.waits) after.value = { troubleId, because: went }
  else emit('close')
}
const after = ref<{ troubleId: string; because: string } | null>(null)
function planned() {
  after.value = null
  emit('close')
}
</script>

<template>
  <LazyApartAgainDialog
    v-if="after"
    :open="open"
    :about="{ stepId: null, group: board.group }"
    :because="after.because"
    :trouble-id="after.troubleId"
    sent-to="Machine shop"
    @close="planned"
  />
  <BaseDialog v-else :open="open" :title="ladder ? t(ladder.title) : 'It broke'" @close="emit('close')">
    <form class="grid gap-4" @submit.prevent="submit">
      <ChoiceRow
        v-model="how"
        label="What went"
        :choices="[
          { id: 'sheared', label: 'The bolt sheared' },
          { id: 'stripped', label: 'The thread stripped' },
          { id: 'rounded', label: 'The head rounded' },
        ]"
      />
      <p v-for="caution in cautions" :key="caution.id" class="border-l-4 border-attention pl-3">
        <span class="label">{{ t(caution.title) }}.</span> {{ t(caution.text) }}
      </p>
      <fieldset v-if="ladder">
        <legend class="label">The way out, the gentlest first</legend>
        <label
          v-for="(each, index) in ladder.rungs"
          :key="each.id"
          class="mt-2 grid cursor-pointer grid-cols-[2rem_minmax(0,1fr)] border-l-4 py-1 pl-3"
          :class="rungId === each.id ? 'border-action bg-tint' : 'border-rule'"
        >
          <input v-model="rungId" type="radio" name="rung" :value="each.id" class="mt-1.5 size-5! min-h-0! w-5!" />
          <span>
            <span class="font-semibold">{{ index + 1 }}. {{ t(each.title) }}</span>
            <span class="block">{{ t(each.text) }}</span>
            <span v-if="each.tools.length || each.parts.length" class="block text-sm text-quiet">{{
              [...each.tools.map(toolName), ...each.parts.map(part => `part: ${t(part)}`)].join(' · ')
            }}</span>
          </span>
        </label>
      </fieldset>
      <p v-else>This layout has no ladder for that. Write it down as a trouble.</p>
      <div v-if="rung?.waits">
        <Field v-slot="{ control }" id="shop-until" label="Expected back, if known"
          ><input v-bind="control" v-model="until" type="datetime-local" class="mt-1"
        /></Field>
      </div>
      <p v-if="how !== 'rounded'" class="text-quiet">
        The other {{ board.bolts.length - 1 }} of this group are marked suspect: they have had the same load.
      </p>
      <button class="button button-main button-big" :disabled="!rung">Write it down and take this way</button>
      <p class="text-sm text-quiet">
        The vehicle maker’s instructions and licensed practice go before anything written here.
      </p>
    </form>
  </BaseDialog>
</template>
