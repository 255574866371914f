<script setup lang="ts">
import { wrenchBody } from '../../../contracts/wrenches'
import { calibratedRange, calibrationOverdue, driveSizes } from '../../../core/fasteners'
import type { DriveSize, TorqueWrench } from '../../../core/fasteners'
import { convert, parseQuantity, UnitError } from '../../../core/units'
import { newId } from '../../log/ids'
import { issuesOf } from '../../words/reason-of'

/** The garage's torque wrenches with range, drive and calibration; by these a run names the one that fits. */
const t = useTerms()
const store = useWrenchStore()
const units = useUnits()
const numbers = useNumbers()
const messages = useMessages()
const editing = ref<string | null>(null)
const form = reactive({ name: '', min: '', max: '', drive: '1/2' as DriveSize, length: '', calibratedOn: '' })
const { problems, check } = useChecked(wrenchBody)
const today = new Date().toISOString().slice(0, 10)
onMounted(() => void store.load())
const torqueUnit = computed(() => units.preference.value.torque)
const lengthUnit = computed(() => units.preference.value.length)
const shown = (nm: number) => {
  const figure = units.torque(nm).main
  return `${figure.text} ${figure.unit}`
}
const round = (value: number) => String(Math.round(value * 10) / 10)

function edit(wrench: TorqueWrench | null) {
  problems.value = {}
  editing.value = wrench?.id ?? newId()
  Object.assign(
    form,
    wrench
      ? {
          name: wrench.name,
          min: round(convert(wrench.minNm, 'N·m', torqueUnit.value)),
          max: round(convert(wrench.maxNm, 'N·m', torqueUnit.value)),
          drive: wrench.drive,
          length: round(convert(wrench.lengthMm, 'mm', lengthUnit.value)),
          calibratedOn: wrench.calibratedOn ?? '',
        }
      : { name: '', min: '', max: '', drive: '1/2', length: '', calibratedOn: '' },
  )
}
async function save() {
  const unread: Record<string, string> = {}
  const read = (field: string, text: string, unit: 'N·m' | 'lbf·ft' | 'mm' | 'in', to: 'N·m' | 'mm'): number => {
    try {
      const quantity = parseQuantity(text, unit, numbers.format.value)
      return Math.round(convert(quantity.value, quantity.unit, to) * 100) / 100
    } catch (error) {
      if (!(error instanceof UnitError)) throw error
      unread[field] = error.message
      return NaN
    }
  }
  const entry = {
    name: form.name,
    minNm: read('minNm', form.min, torqueUnit.value, 'N·m'),
    maxNm: read('maxNm', form.max, torqueUnit.value, 'N·m'),
    drive: form.drive,
    lengthMm: read('lengthMm', form.length, lengthUnit.value, 'mm'),
    calibratedOn: form.calibratedOn || null,
  }
  if (await check(entry, body => store.put(editing.value!, body), unread)) editing.value = null
}
/** The wrench just taken off the shelf, which can be put back. */
const removed = ref<TorqueWrench | null>(null)
async function putBack() {
  if (!removed.value) return
  const { id, ...body } = removed.value
  await store.put(id, body)
  removed.value = null
}
async function remove(wrench: TorqueWrench) {
  try {
    await store.remove(wrench.id)
    removed.value = wrench
  } catch (error) {
    messages.say(issuesOf(error)[0]!.reason, 'refused')
  }
}
</script>

<template>
  <section id="wrenches" aria-labelledby="wrenches-title">
    <h2 id="wrenches-title" class="text-xl">Torque wrenches</h2>
    <p v-if="store.problem" class="mt-2 text-attention" role="alert">
      {{ t(store.problem) }} <button class="underline" @click="store.load()">Try again</button>
    </p>
    <p v-else-if="!store.wrenches" class="mt-2" role="status">Fetching the wrenches</p>
    <p v-else-if="store.wrenches.length === 0" class="mt-2 text-quiet">
      None yet. With range and calibration on record, every run names the wrench that fits.
    </p>
    <ul v-else class="ruled mt-2 border-y border-rule">
      <li v-for="wrench in store.wrenches" :key="wrench.id" class="flex flex-wrap items-center gap-x-4 gap-y-1 py-2">
        <div class="min-w-56 flex-1">
          <p class="font-semibold">{{ wrench.name }}</p>
          <p class="text-quiet">
            {{ wrench.drive }} in, <span class="figure">{{ shown(wrench.minNm) }}</span> to
            <span class="figure">{{ shown(wrench.maxNm) }}</span>; calibrated from
            <span class="figure">{{ shown(calibratedRange(wrench).fromNm) }}</span> up
          </p>
        </div>
        <p :class="calibrationOverdue(wrench, today) ? 'text-attention' : ''">
          {{ wrench.calibratedOn ? `Calibrated ${wrench.calibratedOn}` : 'Never calibrated'
          }}<template v-if="calibrationOverdue(wrench, today)">: run out</template>
        </p>
        <div class="flex gap-2">
          <button class="button" @click="edit(wrench)">Change</button
          ><button class="button" :aria-label="`Take ${wrench.name} off the shelf`" @click="remove(wrench)">
            Remove
          </button>
        </div>
      </li>
    </ul>
    <p v-if="removed" class="mt-2" role="status">
      {{ removed.name }} is off the shelf.
      <button class="min-h-11 font-semibold underline" @click="putBack">Put it back</button>
    </p>
    <button class="button mt-3" @click="edit(null)">Add a wrench</button>
    <BaseDialog :open="editing !== null" title="Torque wrench" @close="editing = null">
      <form class="grid gap-4" novalidate @submit.prevent="save">
        <p v-if="problems.form" class="text-danger" role="alert">{{ t(problems.form) }}</p>
        <Field v-slot="{ control }" id="wrench-name" label="Name" :problem="problems.name"
          ><input v-bind="control" v-model="form.name" class="mt-1" autocomplete="off" maxlength="80"
        /></Field>
        <div class="grid grid-cols-2 gap-3">
          <Field v-slot="{ control }" id="wrench-min" :label="`From, ${torqueUnit}`" :problem="problems.minNm"
            ><input v-bind="control" v-model="form.min" class="figure mt-1" inputmode="decimal" autocomplete="off"
          /></Field>
          <Field v-slot="{ control }" id="wrench-max" :label="`To, ${torqueUnit}`" :problem="problems.maxNm"
            ><input v-bind="control" v-model="form.max" class="figure mt-1" inputmode="decimal" autocomplete="off"
          /></Field>
          <Field v-slot="{ control }" id="wrench-drive" label="Drive, in"
            ><select v-bind="control" v-model="form.drive" class="mt-1">
              <option v-for="size in driveSizes" :key="size">{{ size }}</option>
            </select></Field
          >
          <Field
            v-slot="{ control }"
            id="wrench-length"
            :label="`Square to grip, ${lengthUnit}`"
            :problem="problems.lengthMm"
            ><input v-bind="control" v-model="form.length" class="figure mt-1" inputmode="decimal" autocomplete="off"
          /></Field>
        </div>
        <Field v-slot="{ control }" id="wrench-calibrated" label="Last calibrated" :problem="problems.calibratedOn"
          ><input v-bind="control" v-model="form.calibratedOn" type="date" class="mt-1"
        /></Field>
        <button class="button button-main button-big">Keep</button>
      </form>
    </BaseDialog>
  </section>
</template>
