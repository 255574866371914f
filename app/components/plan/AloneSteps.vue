<script setup lang="ts">
import { momentOf } from '../../../core/job'
import type { Circumstances, PlanClock } from '../../../core/job'
import { aloneCosts, operationOrder } from '../../../core/sequence'
import type { HelperHour } from '../../../core/sequence'
import { minutesText } from '../../words/durations'
import { momentText } from '../../words/moments'

/** Work that wants two: what it costs to do it alone, and what an hour of a second pair of hands would save. */
const emit = defineEmits<{ change: [change: Partial<Circumstances>] }>()
const { state } = useJob()
const t = useTerms()
const messages = useMessages()
const worker = usePlannerWorker()
const hour = shallowRef<HelperHour | null>(null)
/** Where the hour's minutes lie on the wall clock. */
let axis: PlanClock | null = null
const { asPlanned } = usePlanStands()
const asked = ref<'no' | 'asking' | 'told'>('no')
const done = computed(() => new Set(Object.keys(state.value.done)))
const wantTwo = computed(
  () => state.value.procedure!.operations.filter(({ hands, id }) => hands === 2 && !done.value.has(id)).length,
)
const alone = computed(() =>
  aloneCosts(state.value.procedure!, state.value.plan!, done.value).map(cost => ({
    ...cost,
    operation: state.value.procedure!.operations.find(({ id }) => id === cost.stepId)!,
  })),
)
const costMinutes = computed(() => alone.value.reduce((sum, { minutes }) => sum + minutes, 0))
// Another plan has another hour.
watch(
  () => state.value.plan,
  () => {
    worker.cancel()
    asked.value = 'no'
  },
)
async function ask() {
  asked.value = 'asking'
  const { past, clock, setting } = asPlanned()
  const order = operationOrder(state.value.plan!)
  const { helperWindow: _window, ...alone } = setting
  try {
    hour.value = await worker.ask(planner =>
      planner.helperHour(posted(state.value.procedure!), posted(alone), posted(order), posted(past)),
    )
    axis = clock
    asked.value = 'told'
  } catch (error) {
    asked.value = 'no'
    messages.say((error as Error).message, 'refused')
  }
}
const at = (minutes: number) => momentOf(axis!, minutes)
const take = ({ fromMinutes, toMinutes }: HelperHour) =>
  emit('change', { helper: { from: at(fromMinutes), to: at(toMinutes) } })
</script>

<template>
  <div v-if="wantTwo > 0" data-testid="alone-steps">
    <p class="label">
      {{ wantTwo }} {{ wantTwo === 1 ? 'step wants' : 'steps want' }} two{{
        alone.length === 0
          ? ', and somebody is there for each.'
          : alone.length < wantTwo
            ? `; ${alone.length} of them you do alone:`
            : '; you do them alone:'
      }}
    </p>
    <ul v-if="alone.length" class="ruled mt-1">
      <li v-for="{ stepId, minutes, operation } in alone" :key="stepId" class="flex gap-4 py-2">
        <span class="flex-1"
          >{{ t(operation.title) }}<span class="block text-quiet">{{ t(operation.aloneWay ?? '') }}</span></span
        >
        <span class="figure whitespace-nowrap">+{{ minutesText(minutes) }}</span>
      </li>
    </ul>
    <div
      v-if="alone.length && state.procedure!.hands === 1"
      class="mt-2 flex flex-wrap items-center gap-3"
      aria-live="polite"
    >
      <template v-if="asked === 'told' && hour">
        <p>
          An hour of a second pair of hands from
          <span class="figure font-semibold">{{ momentText(at(hour.fromMinutes)) }}</span> saves
          <span class="figure font-semibold">{{ minutesText(hour.savedMinutes) }}</span> of yours.
        </p>
        <button class="button" @click="take(hour)">Plan it so</button>
      </template>
      <p v-else-if="asked === 'told'">An hour of a second pair of hands saves nothing here.</p>
      <button v-else class="button" :disabled="asked === 'asking'" @click="ask">
        {{ asked === 'asking' ? 'Planning it through' : 'What would an hour of help save?' }}
      </button>
      <p class="text-quiet">
        Alone they take <span class="figure">{{ minutesText(costMinutes) }}</span> more.
      </p>
    </div>
  </div>
</template>
