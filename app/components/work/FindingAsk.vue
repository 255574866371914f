<script setup lang="ts">
import { nowIso } from '../../device/clock'
import { findingsOfStep, laddersAt, openFindings, pastOf, planSetting } from '../../../core/job'
import type { BadFinding } from '../../../core/job'
import type { StepView } from '../../../core/job'
import { minutesText } from '../../words/durations'
import { sheetPath } from '../../links/sheet-path'
import { newId } from '../../log/ids'
import { utcOffsetMinutes } from '../../words/utc-offset'

/** What was found bad at a step, and what follows: deal with it, with its minutes and its price, or answer for it by name. */
const props = defineProps<{ step: StepView }>()
const { store, state, path } = useJob()
const t = useTerms()
const { money } = useMoney()
const { pack } = usePack()
const { quotes } = useQuotes()
const { choose, renew, sending } = useOptionSwitch()
const found = computed(() => (props.step.operation ? findingsOfStep(state.value, props.step.operation) : []))
const open = computed(() => new Set(openFindings(found.value)))
const { differences } = usePlanPreview(() => {
  const { procedure, done, circumstances } = state.value
  if (!pack.value || !procedure || !found.value.some(finding => finding.ways.options)) return null
  const past = pastOf(state.value)
  const clock = {
    at: nowIso(),
    utcOffsetMinutes: utcOffsetMinutes(),
    minutes: past?.steps.at(-1)?.finishMinutes ?? 0,
  }
  return {
    pack: pack.value,
    options: procedure.options,
    setting: planSetting(circumstances, procedure.hands, clock),
    past,
    stand: { procedure, done: Object.keys(done), car: state.value.car },
  }
})

/** Minutes of the work that renews a part, by the part in reach; asked for once something wants a part. */
const minutesNow = shallowRef<Record<string, number>>({})
const worker = usePlannerWorker()
watch(
  () => found.value.some(finding => finding.ways.renews) && pack.value && state.value.procedure,
  async procedure => {
    if (!procedure) return
    const reach = await worker.ask(planner => planner.reach(posted(procedure), posted(pack.value))).catch(() => ({}))
    minutesNow.value = Object.fromEntries(Object.entries(reach).map(([id, each]) => [id, each.minutesNow]))
  },
  { immediate: true },
)

interface WayOut {
  key: string
  label: string
  note: string
  barred: string | null
  act: () => void
}
function waysOut(finding: BadFinding): WayOut[] {
  const options = Object.entries(finding.ways.options ?? {}).flatMap(([id, choices]) =>
    choices.map((choice): WayOut => {
      const option = pack.value?.options.find(entry => entry.id === id)
      const difference = differences.value[`${id}=${choice}`]
      const cost = (difference?.parts ?? []).reduce(
        (sum, part) => sum + (quotes.value.get(partIdOf(part.name))?.priceEach ?? 0) * part.count,
        0,
      )
      return {
        key: `${id}=${choice}`,
        label: `${t(option?.sentence ?? id).replace('…', t(option?.choices.find(entry => entry.id === choice)?.label ?? choice))}`,
        barred: difference?.barred ?? null,
        note: difference
          ? [
              `${difference.minutes >= 0 ? '+' : '−'}${minutesText(Math.abs(difference.minutes))}`,
              cost > 0 ? money(cost) : '',
            ]
              .filter(Boolean)
              .join(', ')
          : 'working it out',
        act: () => {
          void choose(id, choice, difference?.order ?? undefined)
        },
      }
    }),
  )
  const parts = (finding.ways.renews ?? []).flatMap((part): WayOut[] => {
    const reach = state.value.procedure!.bench.reachable.find(entry => entry.part === part)
    if (!reach) return []
    const price = quotes.value.get(part)?.priceEach
    return [
      {
        key: part,
        label: `Renew it: ${t(reach.name)}`,
        barred: null,
        note: [
          `+${minutesText(minutesNow.value[reach.id] ?? reach.minutes[1])}`,
          price === undefined ? '' : money(price),
        ]
          .filter(Boolean)
          .join(', '),
        act: () => {
          void renew([{ part: reach, decision: 'renew' }], `${t(finding.name)}: ${t(finding.answer)}`)
        },
      },
    ]
  })
  const ladder = laddersAt(state.value, props.step.id).find(entry => entry.id === finding.ways.ladder)
  const climbing = ladder && state.value.ladderRuns.some(run => run.ladderId === ladder.id && run.closedAt === null)
  return [
    ...options,
    ...parts,
    ...(ladder && !climbing
      ? [
          {
            key: ladder.id,
            label: `Its ladder: ${t(ladder.title)}`,
            barred: null,
            note: ladder.rungs[0]?.minutes
              ? `first ${minutesText(ladder.rungs[0].minutes)}`
              : `${ladder.rungs.length} rungs`,
            act: () => {
              store.write('ladder-opened', {
                ladderRunId: newId(),
                ladderId: ladder.id,
                stepId: props.step.id,
                text: `${t(finding.name)}: ${t(finding.answer)}`,
              })
            },
          },
        ]
      : []),
  ]
}
const partIdOf = (name: string) =>
  state.value.procedure!.parts.find(part => part.name === name)?.id ??
  pack.value?.modules.flatMap(module => module.parts).find(part => part.name === name)?.id ??
  ''
const sheetOf = ({ ways }: BadFinding) => state.value.procedure!.bench.sheets.find(sheet => sheet.id === ways.sheet)
const besideOf = (finding: BadFinding) => `${path(sheetPath(sheetOf(finding)!))}/beside`
const answering = ref<string | null>(null)
const reason = ref('')
const problem = ref('')
function answer(finding: BadFinding) {
  problem.value = store.attempt('left-open', { entry: finding.entry, reason: reason.value.trim() }) ?? ''
  if (problem.value) return
  answering.value = null
  reason.value = ''
}
function ask(finding: BadFinding) {
  answering.value = finding.entry
  reason.value = ''
  problem.value = ''
  void nextTick(() => document.getElementById(`answer-${props.step.id}`)?.focus())
}
</script>

<template>
  <section v-if="found.length" class="mt-4 grid gap-3" aria-label="Found bad">
    <div
      v-for="finding in found"
      :key="finding.entry"
      class="border-l-4 py-1 pl-4"
      :class="open.has(finding) ? 'border-danger' : 'border-attention'"
      :data-testid="`finding-${finding.entry.split(':')[2]}`"
    >
      <p class="text-lg">
        <span class="label">{{ t(finding.name) }}: {{ t(finding.answer) }}.</span> {{ t(finding.because) }}
      </p>
      <p v-if="finding.dealtWith" class="font-semibold text-good">✓ {{ t(finding.dealtWith) }}</p>
      <p v-else-if="finding.stops" class="text-danger">
        Put it right and take the reading again. Nobody can answer for this.
      </p>
      <template v-else-if="finding.accepted">
        <p>Answered for: {{ finding.accepted.reason }}. It stands on the hand-over.</p>
        <button class="button mt-1" @click="store.write('left-open-withdrawn', { entry: finding.entry })">
          Take that back
        </button>
      </template>
      <template v-else>
        <ul class="mt-2 grid gap-2">
          <li v-for="way in waysOut(finding)" :key="way.key">
            <button
              class="button flex w-full max-w-xl flex-wrap items-baseline justify-between gap-x-4 text-left"
              :disabled="sending || way.barred !== null"
              @click="way.act"
            >
              <span>{{ way.label }}</span><span class="figure text-sm text-quiet">{{
                way.barred ? t(way.barred) : way.note
              }}</span>
            </button>
          </li>
          <li v-if="sheetOf(finding)">
            <NuxtLink v-if="sheetOf(finding)!.beside" no-prefetch class="button" :to="besideOf(finding)">{{
              t(sheetOf(finding)!.beside!.title)
            }}</NuxtLink>
            <NuxtLink v-else no-prefetch class="button" :to="path(sheetPath(sheetOf(finding)!))"
              >Measure and weigh it on the bench</NuxtLink
            >
          </li>
          <li v-if="answering !== finding.entry">
            <button class="min-h-11 font-semibold underline" @click="ask(finding)">Leave it so: I answer for it</button>
          </li>
        </ul>
        <form
          v-if="answering === finding.entry"
          class="mt-2 flex flex-wrap items-end gap-2"
          novalidate
          @submit.prevent="answer(finding)"
          @keydown.esc.stop="answering = null"
        >
          <div class="min-w-48 flex-1">
            <Field v-slot="{ control }" :id="`answer-${step.id}`" label="Why it may stay so"
              ><input v-bind="control" v-model="reason" class="mt-1" maxlength="300"
            /></Field>
          </div>
          <button class="button button-main">Under my name</button>
          <button type="button" class="button" @click="answering = null">Back</button>
          <p class="w-full text-danger" role="alert">{{ t(problem) }}</p>
        </form>
      </template>
    </div>
  </section>
</template>
