<script setup lang="ts">
import { boltName, parseThread } from '../../../core/fasteners'
import type { BoardBolt, BoltBoard, BoltCondition, BoltDetails, HeadKind, ThreadMaterial } from '../../../core/fasteners'
import { convert, parseQuantity, UnitError } from '../../../core/units'
import { conditionLabels, headLabels, materialLabels } from '../../lib/bolt-words'

/** What is known of one bolt. The same for all bolts of the board at a tap. */
const props = defineProps<{ board: BoltBoard, bolt: BoardBolt, seenFrom: 'box' | 'engine' }>()
const emit = defineEmits<{ done: [] }>()
const { store } = useJob()
const t = useTerms()
const units = useUnits()
const numbers = useNumbers()
const form = reactive({ thread: '', length: '', head: '' as HeadKind | '', drive: '', from: 'box' as 'box' | 'engine', holds: '', material: '' as ThreadMaterial | '', singleUse: false, note: '', condition: null as BoltCondition | null })
const problems = ref<Record<string, string>>({})

watch(() => props.bolt.id, () => {
  const { thread, lengthMm, head, drive, from, holds, material, singleUse, note, condition } = props.bolt
  const length = lengthMm === undefined ? '' : units.preference.value.length === 'mm' ? String(lengthMm) : `${Math.round(convert(lengthMm, 'mm', 'in') * 1000) / 1000}`
  Object.assign(form, { thread: thread ?? '', length, head: head ?? '', drive: drive ?? '', from: from ?? 'box', holds: holds ? t(holds) : '', material: material ?? '', singleUse: singleUse ?? false, note: note ?? '', condition })
  problems.value = {}
}, { immediate: true })

function read<T>(field: string, work: () => T): T | undefined {
  try {
    return work()
  }
  catch (error) {
    if (error instanceof UnitError) problems.value[field] = error.message
    else if (error instanceof RangeError) problems.value[field] = 'reason' in error ? String(error.reason) : error.message
    else throw error
    return undefined
  }
}
function lengthMm(): number | undefined {
  if (!form.length.trim()) return undefined
  const { value, unit } = parseQuantity(form.length, units.preference.value.length, numbers.format.value)
  const length = Math.round(convert(value, unit, 'mm') * 10) / 10
  if (length <= 0 || length > 400) throw new RangeError('A bolt is longer than nothing and shorter than 400 mm.')
  return length
}
function details(): BoltDetails | null {
  problems.value = {}
  const thread = form.thread.trim() ? read('thread', () => parseThread(form.thread).designation) : undefined
  const length = read('length', lengthMm)
  if (Object.keys(problems.value).length > 0) return null
  return {
    ...(thread ? { thread } : {}), ...(length !== undefined ? { lengthMm: length } : {}), ...(form.head ? { head: form.head } : {}),
    ...(form.drive.trim() ? { drive: form.drive.trim() } : {}), from: form.from, ...(form.holds.trim() ? { holds: form.holds.trim() } : {}),
    ...(form.material ? { material: form.material } : {}), ...(form.singleUse ? { singleUse: true } : {}), ...(form.note.trim() ? { note: form.note.trim() } : {}),
  }
}
function keep() {
  const known = details()
  if (known && store.write('bolt-described', { group: props.board.group, boltId: props.bolt.id, details: known, condition: form.condition })) emit('done')
}
/** Size, head, tool and material, which a group usually shares; place, side and what it holds stay each bolt's own. */
function keepForAll() {
  const known = details()
  if (!known) return
  const { thread, lengthMm: length, head, drive, material, singleUse } = known
  const shared = { ...(thread ? { thread } : {}), ...(length !== undefined ? { lengthMm: length } : {}), ...(head ? { head } : {}), ...(drive ? { drive } : {}), ...(material ? { material } : {}), ...(singleUse ? { singleUse } : {}) }
  for (const bolt of props.board.bolts) {
    const { id, condition, from, holds, note } = bolt
    const own = bolt.id === props.bolt.id ? known : { ...shared, ...(from ? { from } : {}), ...(holds ? { holds } : {}), ...(note ? { note } : {}) }
    if (!store.write('bolt-described', { group: props.board.group, boltId: id, details: own, condition: bolt.id === props.bolt.id ? form.condition : condition })) return
  }
  emit('done')
}
</script>

<template>
  <form class="grid gap-4" novalidate @submit.prevent="keep">
    <p class="sr-only">{{ boltName(board, bolt, seenFrom) }}</p>
    <div class="grid grid-cols-2 gap-3">
      <div>
        <label class="label" for="bolt-thread">Thread</label>
        <input id="bolt-thread" v-model="form.thread" class="figure mt-1" placeholder="M8x1.25" autocomplete="off" :aria-invalid="!!problems.thread" aria-describedby="bolt-thread-problem">
      </div>
      <div>
        <label class="label" for="bolt-length">Length under head, {{ units.preference.value.length }}</label>
        <input id="bolt-length" v-model="form.length" class="figure mt-1" inputmode="decimal" autocomplete="off" :aria-invalid="!!problems.length" aria-describedby="bolt-length-problem">
      </div>
      <p id="bolt-thread-problem" class="text-danger">{{ problems.thread }}</p>
      <p id="bolt-length-problem" class="text-danger">{{ units.sentence(problems.length ?? '') }}</p>
      <div>
        <label class="label" for="bolt-head">Head</label>
        <select id="bolt-head" v-model="form.head" class="mt-1"><option value="">not known</option><option v-for="head in headLabels" :key="head.id" :value="head.id">{{ head.label }}</option></select>
      </div>
      <div>
        <label class="label" for="bolt-drive">Tool size</label>
        <input id="bolt-drive" v-model="form.drive" class="figure mt-1" placeholder="18, E14, T50" maxlength="12" autocomplete="off">
      </div>
      <div>
        <label class="label" for="bolt-material">Goes into</label>
        <select id="bolt-material" v-model="form.material" class="mt-1"><option value="">not known</option><option v-for="material in materialLabels" :key="material.id" :value="material.id">{{ t(material.label) }}</option></select>
      </div>
      <div>
        <label class="label" for="bolt-holds">Also holds</label>
        <input id="bolt-holds" v-model="form.holds" class="mt-1" :placeholder="t('Starter, bracket, {ground-strap}')" maxlength="80" autocomplete="off">
      </div>
    </div>
    <ChoiceRow v-model="form.from" label="Goes in from" :choices="[{ id: 'box', label: 'box side' }, { id: 'engine', label: 'engine side' }]" />
    <div>
      <label class="label" for="bolt-condition">As it came out</label>
      <select id="bolt-condition" v-model="form.condition" class="mt-1"><option :value="null">not looked at</option><option v-for="condition in conditionLabels" :key="condition.id" :value="condition.id">{{ condition.label }}</option></select>
    </div>
    <label class="flex min-h-12 items-center gap-3"><input v-model="form.singleUse" type="checkbox" class="size-6! min-h-0! w-6!"> Used once, then renewed</label>
    <div><label class="label" for="bolt-note">Note</label><input id="bolt-note" v-model="form.note" class="mt-1" maxlength="300" autocomplete="off"></div>
    <div class="flex flex-wrap gap-3">
      <button class="button button-main">Keep</button>
      <button type="button" class="button" @click="keepForAll">Same size and tool for all {{ board.bolts.length }}</button>
    </div>
  </form>
</template>
