<script setup lang="ts">
import { boltName, parseThread } from '../../../core/fasteners'
import type {
  BoardBolt,
  BoltBoard,
  BoltCondition,
  BoltDetails,
  HeadKind,
  ThreadMaterial,
} from '../../../core/fasteners'
import { convert, parseQuantity, UnitError } from '../../../core/units'
import { conditionLabels, headLabels, materialLabels } from '../../words/bolt-words'

/** What is known of one bolt. The same for all bolts of the board at a tap. */
const props = defineProps<{ board: BoltBoard; bolt: BoardBolt; seenFrom: 'box' | 'engine' }>()
const emit = defineEmits<{ done: [] }>()
const { store } = useJob()
const t = useTerms()
const units = useUnits()
const numbers = useNumbers()
const form = reactive({
  thread: '',
  length: '',
  head: '' as HeadKind | '',
  drive: '',
  from: 'box' as 'box' | 'engine',
  holds: '',
  material: '' as ThreadMaterial | '',
  singleUse: false,
  note: '',
  condition: null as BoltCondition | null,
})
const { problems, allGood } = useProblems()

watch(
  () => props.bolt.id,
  () => {
    const { thread, lengthMm, head, drive, from, holds, material, singleUse, note, condition } = props.bolt
    const length =
      lengthMm === undefined
        ? ''
        : units.preference.value.length === 'mm'
          ? String(lengthMm)
          : `${Math.round(convert(lengthMm, 'mm', 'in') * 1000) / 1000}`
    Object.assign(form, {
      thread: thread ?? '',
      length,
      head: head ?? '',
      drive: drive ?? '',
      from: from ?? 'box',
      holds: holds ? t(holds) : '',
      material: material ?? '',
      singleUse: singleUse ?? false,
      note: note ?? '',
      condition,
    })
    problems.value = {}
  },
  { immediate: true },
)

/** What was read of a field; what it is not goes to `found`. */
function read<T>(field: string, work: () => T, found: Record<string, string>): T | undefined {
  try {
    return work()
  } catch (error) {
    if (!(error instanceof UnitError || error instanceof RangeError)) throw error
    found[field] = 'reason' in error ? String(error.reason) : error.message
    return undefined
  }
}
function lengthMm(): number | undefined {
  if (!form.length.trim()) return undefined
  const { value, unit } = parseQuantity(form.length, units.preference.value.length, numbers.format.value)
  const length = Math.round(convert(value, unit, 'mm') * 10) / 10
  if (length <= 0 || length > 400) throw new RangeError('A bolt is longer than nothing and shorter than {400 mm}.')
  return length
}
function details(): BoltDetails | null {
  const found: Record<string, string> = {}
  const thread = form.thread.trim() ? read('thread', () => parseThread(form.thread).designation, found) : undefined
  const length = read('length', lengthMm, found)
  if (!allGood(found)) return null
  return {
    ...(thread ? { thread } : {}),
    ...(length !== undefined ? { lengthMm: length } : {}),
    ...(form.head ? { head: form.head } : {}),
    ...(form.drive.trim() ? { drive: form.drive.trim() } : {}),
    from: form.from,
    ...(form.holds.trim() ? { holds: form.holds.trim() } : {}),
    ...(form.material ? { material: form.material } : {}),
    ...(form.singleUse ? { singleUse: true } : {}),
    ...(form.note.trim() ? { note: form.note.trim() } : {}),
  }
}
function keep() {
  const known = details()
  if (
    known &&
    store.write('bolt-described', {
      group: props.board.group,
      boltId: props.bolt.id,
      details: known,
      condition: form.condition,
    })
  )
    emit('done')
}
/** Size, head, tool and material, which a group usually shares; place, side and what it holds stay each bolt's own. */
function keepForAll() {
  const known = details()
  if (!known) return
  const { thread, lengthMm: length, head, drive, material, singleUse } = known
  const shared = {
    ...(thread ? { thread } : {}),
    ...(length !== undefined ? { lengthMm: length } : {}),
    ...(head ? { head } : {}),
    ...(drive ? { drive } : {}),
    ...(material ? { material } : {}),
    ...(singleUse ? { singleUse } : {}),
  }
  for (const bolt of props.board.bolts) {
    const { id, condition, from, holds, note } = bolt
    const own =
      bolt.id === props.bolt.id
        ? known
        : { ...shared, ...(from ? { from } : {}), ...(holds ? { holds } : {}), ...(note ? { note } : {}) }
    if (
      !store.write('bolt-described', {
        group: props.board.group,
        boltId: id,
        details: own,
        condition: bolt.id === props.bolt.id ? form.condition : condition,
      })
    )
      return
  }
  emit('done')
}
</script>

<template>
  <form class="grid gap-4" novalidate @submit.prevent="keep">
    <p class="sr-only">{{ boltName(board, bolt, seenFrom) }}</p>
    <div class="grid grid-cols-2 gap-3">
      <Field v-slot="{ control }" id="bolt-thread" label="Thread" :problem="problems.thread ?? ''"
        ><input v-bind="control" v-model="form.thread" class="figure mt-1" placeholder="M8x1.25" autocomplete="off"
      /></Field>
      <Field
        v-slot="{ control }"
        id="bolt-length"
        :label="`Length under head, ${units.preference.value.length}`"
        :problem="problems.length ?? ''"
        ><input v-bind="control" v-model="form.length" class="figure mt-1" inputmode="decimal" autocomplete="off"
      /></Field>
      <Field v-slot="{ control }" id="bolt-head" label="Head"
        ><select v-bind="control" v-model="form.head" class="mt-1">
          <option value="">not known</option>
          <option v-for="head in headLabels" :key="head.id" :value="head.id">{{ head.label }}</option>
        </select></Field
      >
      <Field v-slot="{ control }" id="bolt-drive" label="Tool size"
        ><input
          v-bind="control"
          v-model="form.drive"
          class="figure mt-1"
          placeholder="18, E14, T50"
          maxlength="12"
          autocomplete="off"
      /></Field>
      <Field v-slot="{ control }" id="bolt-material" label="Goes into"
        ><select v-bind="control" v-model="form.material" class="mt-1">
          <option value="">not known</option>
          <option v-for="material in materialLabels" :key="material.id" :value="material.id">
            {{ t(material.label) }}
          </option>
        </select></Field
      >
      <Field v-slot="{ control }" id="bolt-holds" label="Also holds"
        ><input
          v-bind="control"
          v-model="form.holds"
          class="mt-1"
          :placeholder="t('Starter, bracket, {ground-strap}')"
          maxlength="80"
          autocomplete="off"
      /></Field>
    </div>
    <ChoiceRow
      v-model="form.from"
      label="Goes in from"
      :choices="[
        { id: 'box', label: 'box side' },
        { id: 'engine', label: 'engine side' },
      ]"
    />
    <Field v-slot="{ control }" id="bolt-condition" label="As it came out"
      ><select v-bind="control" v-model="form.condition" class="mt-1">
        <option :value="null">not looked at</option>
        <option v-for="condition in conditionLabels" :key="condition.id" :value="condition.id">
          {{ condition.label }}
        </option>
      </select></Field
    >
    <label class="flex min-h-12 items-center gap-3"
      ><input v-model="form.singleUse" type="checkbox" class="size-6! min-h-0! w-6!" /> Used once, then renewed</label
    >
    <Field v-slot="{ control }" id="bolt-note" label="Note"
      ><input v-bind="control" v-model="form.note" class="mt-1" maxlength="300" autocomplete="off"
    /></Field>
    <div class="flex flex-wrap gap-3">
      <button class="button button-main">Keep</button>
      <button type="button" class="button" @click="keepForAll">
        Same size and tool for all {{ board.bolts.length }}
      </button>
    </div>
  </form>
</template>
