<script setup lang="ts">
import { canBeAnew, holdingAhead } from '../../../core/job'
import { legalRange, operationOrder } from '../../../core/sequence'

/** What the margin says of the step asked: moving and pinning it, the range it may stand in, and why. */
const props = defineProps<{ stepId: string; done: Set<string>; pinned: Set<string>; titleOf: (id: string) => string }>()
const emit = defineEmits<{ shift: [stepId: string, by: 1 | -1]; pin: [stepId: string] }>()
const { state } = useJob()
const t = useTerms()
const operation = computed(() => state.value.procedure!.operations.find(entry => entry.id === props.stepId))
const step = computed(() => state.value.plan!.steps.find(entry => entry.id === props.stepId))
const movable = computed(() => operation.value && !props.done.has(props.stepId))
const range = computed(() =>
  movable.value ? legalRange(state.value.procedure!, state.value.plan!, props.stepId, props.done) : null,
)
const anew = ref(false)
const isAsked = ref(false)
const splitting = ref(false)
const isSplitAsked = ref(false)
const ended = computed(() => state.value.handedOver !== null || state.value.calledOff !== null)
const doneAnew = computed(
  () => operation.value && props.done.has(props.stepId) && !ended.value && canBeAnew(state.value, operation.value),
)
const place = computed(() => operationOrder(state.value.plan!).indexOf(props.stepId))
const heldThen = computed(() => holdingAhead(state.value).find(row => row.stepId === props.stepId)?.holding ?? [])
const school = computed(
  () =>
    state.value.procedure!.links.find(
      link => link.school && (link.before === props.stepId || link.after === props.stepId),
    )?.school,
)
</script>

<template>
  <div class="grid gap-4">
    <h2 class="text-lg">{{ titleOf(stepId) }}</h2>
    <p v-if="step?.shortHanded" class="border-l-4 border-attention pl-3">
      Wants two, and you are alone here: {{ t(operation!.aloneWay ?? '') }}
    </p>
    <HeldThen :holding="heldThen" />
    <p v-if="school" class="text-quiet">School: {{ school }}</p>
    <p v-if="operation?.learned" class="text-quiet">
      Our own {{ operation.minutes[1].toFixed(0) }} min where the layout has {{ operation.learned.from[1].toFixed(0) }}:
      learned from {{ operation.learned.times }} {{ operation.learned.times === 1 ? 'time' : 'times' }}.
    </p>
    <div v-if="movable && range" class="grid gap-2" data-testid="move">
      <div class="grid grid-cols-3 gap-2">
        <button class="button px-2!" :disabled="place <= range.first" @click="emit('shift', stepId, -1)">
          Earlier
        </button>
        <button class="button px-2!" :disabled="place >= range.last" @click="emit('shift', stepId, 1)">Later</button>
        <button class="button px-2!" :aria-pressed="pinned.has(stepId)" @click="emit('pin', stepId)">
          {{ pinned.has(stepId) ? 'Unpin' : 'Pin here' }}
        </button>
      </div>
      <button v-if="!ended" class="button" @click="splitting = isSplitAsked = true">In two goes</button>
      <LazySplitDialog
        v-if="isSplitAsked"
        :open="splitting"
        :step-id="stepId"
        :minutes="operation!.minutes[1]"
        @close="splitting = false"
      />
      <p class="text-sm text-quiet">
        <template v-if="range.first === range.last">It can stand only here.</template>
        <template v-else>It can stand in {{ range.last - range.first + 1 }} places.</template>
        <template v-if="range.after"> After “{{ titleOf(range.after.stepId) }}”: {{ t(range.after.because) }}</template>
        <template v-if="range.before && range.before !== range.after">
          Before “{{ titleOf(range.before.stepId) }}”: {{ t(range.before.because) }}</template
        >
      </p>
      <p class="text-sm text-quiet max-lg:hidden">
        <kbd class="figure">Alt ↑ ↓</kbd> moves it, <kbd class="figure">P</kbd> pins it.
      </p>
    </div>
    <div v-if="doneAnew">
      <button class="button" @click="anew = isAsked = true">Do it anew</button>
      <LazyApartAgainDialog
        v-if="isAsked"
        :open="anew"
        :about="{ stepId }"
        because=""
        :trouble-id="null"
        @close="anew = false"
      />
    </div>
    <WhyPanel :step-id="stepId" />
  </div>
</template>
