<script setup lang="ts">
import { stepsLeft, stepView } from '../../../core/job'

/** Steps for somebody who only helps: whoever runs the job says which, and takes them back. */
const props = defineProps<{ open: boolean; stepId: string }>()
const emit = defineEmits<{ close: [] }>()
const { store, state } = useJob()
const t = useTerms()
const garage = useGarageStore()
const SHOWN = 20
const helpers = computed(() => garage.garage!.people.filter(({ role, gone }) => role === 'helper' && !gone))
const to = ref<string | null>(null)
const chosen = ref<string[]>([])
const ahead = computed(() => {
  const left = stepsLeft(state.value)
  return left.slice(Math.max(0, left.indexOf(props.stepId))).slice(0, SHOWN)
})
const nameOf = (id: string | undefined) => garage.garage!.people.find(person => person.id === id)?.name
watch(
  () => props.open,
  isOpen => {
    if (!isOpen) return
    to.value = helpers.value.length === 1 ? helpers.value[0]!.id : null
    chosen.value = state.value.handed[props.stepId] ? [] : [props.stepId]
  },
  { immediate: true },
)
function hand(who: string | null) {
  const stepIds = who === null ? chosen.value.filter(id => state.value.handed[id]) : chosen.value
  if (stepIds.length > 0 && store.write('steps-handed', { stepIds, to: who })) emit('close')
}
const taken = computed(() => chosen.value.some(id => state.value.handed[id]))
</script>

<template>
  <BaseDialog :open="open" title="Hand steps on" @close="emit('close')">
    <form class="grid gap-4" @submit.prevent="to && hand(to)">
      <p>They tick these on their own screen; you still can, too. Checks and measurements stay yours to judge.</p>
      <ChoiceRow
        v-model="to"
        label="To"
        :wanted="to === null"
        :choices="helpers.map(({ id, name }) => ({ id, label: name }))"
      />
      <fieldset>
        <legend class="label">Which</legend>
        <ul class="ruled mt-2">
          <li v-for="id in ahead" :key="id">
            <label class="flex min-h-12 items-center gap-3 py-1">
              <input v-model="chosen" type="checkbox" :value="id" class="size-6 shrink-0" />
              <span
                >{{ t(stepView(state, id)!.title)
                }}<span v-if="state.handed[id]" class="block text-sm text-quiet"
                  >with {{ nameOf(state.handed[id]) ?? 'somebody' }}</span
                ></span
              >
            </label>
          </li>
        </ul>
      </fieldset>
      <p class="sticky bottom-0 flex flex-wrap gap-3 bg-paper py-3">
        <button class="button button-main button-big" :disabled="!to || chosen.length === 0">Hand on</button>
        <button v-if="taken" type="button" class="button button-big" @click="hand(null)">Take back</button>
      </p>
    </form>
  </BaseDialog>
</template>
