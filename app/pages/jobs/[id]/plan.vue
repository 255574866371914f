<script setup lang="ts">
import { Tab, TabGroup, TabList, TabPanel, TabPanels } from '@headlessui/vue'
import { stepTitle } from '../../../../core/job'
import { bayOf } from '../../../../core/packs'
import { criticalPath, operationOrder } from '../../../../core/sequence'
import { minutesText } from '../../../words/durations'

const { store, state, next } = useJob()
const t = useTerms()
const asked = ref<string | null>(null)
const marginOpen = ref(false)
const close = ref(false)
/** What it takes in half of the cases, once that is drawn. */
const median = ref<number | null>(null)
const plan = computed(() => state.value.plan!)
const procedure = computed(() => state.value.procedure!)
const { move, togglePin, replan, prove, cancel, progress, proving, pinned, done } = usePlanEdits()
const away = computed(() => bayOf(procedure.value).stances[1])
const titles = computed(() => new Map(procedure.value.operations.map(operation => [operation.id, operation.title])))
const titleOf = (id: string) => t(stepTitle(procedure.value, plan.value, id))
const setupSaved = computed(() => plan.value.authored.setupMinutes - plan.value.totals.setupMinutes)
const gapPercent = computed(() => {
  const proven = Math.max(plan.value.lowerBoundMinutes, proving.value?.lowerBoundMinutes ?? 0)
  return Math.max(0, (plan.value.totals.minutes / proven - 1) * 100)
})
/** To a tenth below two in a hundred, where a tenth is worth a word. */
const gapText = computed(() =>
  gapPercent.value < 2 ? (Math.ceil(gapPercent.value * 10) / 10).toFixed(1) : String(Math.ceil(gapPercent.value)),
)
const print = () => window.print()
useKeys({ Backspace: () => store.undo() })
const longest = computed(() =>
  criticalPath(
    procedure.value.operations.map(({ id, minutes }) => ({ id, minutes: minutes[1] })),
    procedure.value.links,
  ),
)
const tabs = ['Order', 'How', 'When', 'Tools', 'Parts'] as const
const ended = computed(() => state.value.handedOver !== null || state.value.calledOff !== null)

function ask(stepId: string) {
  asked.value = asked.value === stepId ? null : stepId
  marginOpen.value = asked.value !== null
}
/** A step reached by keyboard is asked without more ado. */
function point(stepId: string) {
  asked.value = stepId
}
function shift(stepId: string, by: 1 | -1) {
  if (!titles.value.has(stepId) || done.value.has(stepId)) return
  asked.value = stepId
  move(stepId, operationOrder(plan.value).indexOf(stepId) + by)
}
function pin(stepId: string) {
  if (!titles.value.has(stepId) || done.value.has(stepId)) return
  asked.value = stepId
  togglePin(stepId)
}
</script>

<template>
  <SheetWithMargin v-model:open="marginOpen" :margin-title="asked ? 'Why here' : 'About this plan'">
    <h1 class="text-2xl">
      <span class="figure">{{ minutesText(median ?? plan.totals.minutes) }}</span> in {{ plan.trips.length }} trips
    </h1>
    <p class="text-quiet">
      {{ t(procedure.title)
      }}<span v-if="median" class="print:hidden"
        >, at even odds; step by step it adds up to
        <span class="figure" data-testid="adds-up">{{ minutesText(plan.totals.minutes) }}</span></span
      >
    </p>
    <FinishOdds v-if="!ended && next" v-model:median="median" class="mt-1 print:hidden max-lg:clear-right" />

    <PlanPicture
      v-if="state.clock"
      class="mt-3 print:hidden"
      :plan="plan"
      :procedure="procedure"
      :clock="state.clock"
      :done="done"
      :pinned="pinned"
      :asked="asked"
      :next="next?.id ?? null"
      :close="close"
      @ask="ask"
      @move="move"
    />

    <div class="no-print mt-2 flex flex-wrap items-center gap-2">
      <template v-if="progress">
        <div
          class="h-3 min-w-32 flex-1 border border-line"
          role="progressbar"
          :aria-label="proving ? 'Looking for a shorter order' : 'Working out the order'"
          :aria-valuenow="Math.round(progress.share * 100)"
          aria-valuemin="0"
          aria-valuemax="100"
        >
          <div class="h-full bg-action" :style="{ width: `${progress.share * 100}%` }" />
        </div>
        <button class="button" @click="cancel">Stop</button>
      </template>
      <template v-else>
        <button class="button" :disabled="ended || !next" @click="replan()">Work the order out again</button>
        <button v-if="!plan.proven && plan.setting.pins.length === 0 && next && !ended" class="button" @click="prove">
          Look for a shorter one
        </button>
      </template>
      <button class="button" @click="store.undo()">Undo</button>
      <button class="button max-sm:hidden" @click="print">Print</button>
      <button class="button max-sm:hidden" :aria-pressed="close" @click="close = !close">
        {{ close ? 'Whole job' : 'Close up' }}
      </button>
      <p class="ml-auto text-sm text-quiet">
        <template v-if="plan.proven">No order is shorter.</template>
        <template v-else-if="plan.setting.pins.length === 0 && plan.lowerBoundMinutes > 0"
          >At most <span class="figure">{{ gapText }} %</span> above the shortest there can be.</template
        >
        <template v-else-if="plan.setting.pins.length > 0">{{ plan.setting.pins.length }} pinned.</template>
      </p>
    </div>

    <TabGroup as="div" class="mt-5">
      <TabList class="no-print flex border-b-2 border-ink" aria-label="Parts of the plan">
        <Tab v-for="tab in tabs" :key="tab" v-slot="{ selected }" as="template"
          ><button class="min-h-12 px-3 font-semibold sm:px-5" :class="selected ? 'bg-ink text-paper' : 'text-ink'">
            {{ tab }}
          </button></Tab
        >
      </TabList>
      <TabPanels>
        <TabPanel :tabindex="-1"
          ><PlanOrder
            :plan="plan"
            :procedure="procedure"
            :done="done"
            :pinned="pinned"
            :asked="asked"
            :next="next?.id ?? null"
            :title-of="titleOf"
            class="mt-2"
            @point="point"
            @ask="ask"
            @shift="shift"
            @pin="pin"
        /></TabPanel>
        <TabPanel :tabindex="-1" class="pt-5"><PlanOptions /></TabPanel>
        <TabPanel :tabindex="-1" class="pt-5"><PlanCircumstances @change="replan" /></TabPanel>
        <TabPanel :tabindex="-1" class="pt-5"
          ><PlanTools
            :plan="plan"
            :procedure="procedure"
            :busy="progress !== null"
            @without="without => replan({ without })"
        /></TabPanel>
        <TabPanel :tabindex="-1" class="pt-3"><PlanParts @change="replan" /></TabPanel>
      </TabPanels>
    </TabGroup>

    <template #margin>
      <StepMargin
        v-if="asked"
        :step-id="asked"
        :done="done"
        :pinned="pinned"
        :title-of="titleOf"
        @shift="shift"
        @pin="pin"
      />
      <div v-else class="grid gap-3">
        <h2 class="text-lg max-lg:hidden">About this plan</h2>
        <dl class="ruled">
          <div class="flex justify-between gap-4 py-1">
            <dt>Work</dt>
            <dd class="figure">{{ minutesText(plan.totals.workMinutes) }}</dd>
          </div>
          <div class="flex justify-between gap-4 py-1">
            <dt>Walking, lifting, tools</dt>
            <dd class="figure">{{ minutesText(plan.totals.setupMinutes) }}</dd>
          </div>
          <div class="flex justify-between gap-4 py-1">
            <dt>Idle waits</dt>
            <dd class="figure">{{ minutesText(plan.totals.waitMinutes) }}</dd>
          </div>
          <div v-if="plan.totals.closedMinutes >= 1" class="flex justify-between gap-4 py-1">
            <dt>Closed in between</dt>
            <dd class="figure">{{ minutesText(plan.totals.closedMinutes) }}</dd>
          </div>
          <div class="flex justify-between gap-4 py-1">
            <dt>Changes of place</dt>
            <dd class="figure">{{ plan.totals.placeChanges }}</dd>
          </div>
          <div class="flex justify-between gap-4 py-1">
            <dt class="first-letter:uppercase">{{ away.name }}</dt>
            <dd class="figure">{{ plan.totals.timesRaised === 1 ? 'once' : `${plan.totals.timesRaised} times` }}</dd>
          </div>
        </dl>
        <p>
          In the order it is written down it would take
          <span class="figure">{{ minutesText(plan.authored.minutes) }}</span> with
          {{ plan.authored.placeChanges }} changes of place.
          <template v-if="setupSaved >= 1"
            >This order saves <span class="figure font-semibold">{{ minutesText(setupSaved) }}</span> of walking,
            lifting and tool changes, {{ Math.round((setupSaved / plan.authored.setupMinutes) * 100) }} in
            100.</template
          >
        </p>
        <p>
          The longest chain of steps that must follow one another takes
          <span class="figure">{{ minutesText(longest.minutes) }}</span> with its waits, from “{{
            titleOf(longest.ids[0]!)
          }}” to “{{ titleOf(longest.ids.at(-1)!) }}”. No number of hands makes it shorter.
        </p>
        <p class="text-quiet">
          Odds: a car and whoever works on it make all of it longer or shorter together, and each step is drawn by its
          low, likely and high minutes, ten thousand times; what is done already narrows it. Ask any step to see why it
          stands where it stands, and to move it.
        </p>
        <PlanMoves />
        <PlanBeyond />
      </div>
    </template>
  </SheetWithMargin>
</template>
