<script setup lang="ts">
import { isOut } from '../../../core/fasteners'
import { currentRung, ladderOf, ladderSpent } from '../../../core/job'
import type { LadderRun } from '../../../core/job'
import { stopwatch } from '../../words/durations'

/** A trouble on its ladder: the rung to try, how long, what it may cost; then how it went. */
const props = defineProps<{ run: LadderRun }>()
const { store, state, path } = useJob()
const t = useTerms()
const now = useSeconds()
const ladder = computed(() => ladderOf(state.value, props.run.ladderId))
const current = computed(() => currentRung(state.value, props.run))
const ticked = ref<string[]>([])
watch(
  () => current.value?.rung.id,
  () => {
    ticked.value = []
  },
)
const cautions = computed(() =>
  (ladder.value?.cautions ?? []).flatMap(
    id => state.value.procedure!.cautions.find(caution => caution.id === id) ?? [],
  ),
)
const tools = computed(() =>
  (current.value?.rung.tools ?? []).flatMap(id => state.value.procedure!.tools.find(tool => tool.id === id) ?? []),
)
const left = computed(() => {
  const { rung, try: trying } = current.value ?? {}
  return rung?.minutes && trying
    ? rung.minutes * 60 - (Date.parse(now.value) - Date.parse(trying.begunAt)) / 1000
    : null
})
/** Boards that are not clear: "is one left?" */
const boards = computed(() =>
  current.value?.rung.board
    ? Object.values(state.value.boards).filter(
        board => board.bolts.some(bolt => !isOut(bolt)) && board.bolts.some(isOut),
      )
    : [],
)
const groupName = (id: string) =>
  t(state.value.procedure!.groups.find(group => group.id === id)?.name ?? id).toLowerCase()
const ready = computed(() =>
  (current.value?.rung.precautions ?? []).every(precaution => ticked.value.includes(precaution)),
)
const begin = () =>
  store.write('rung-begun', {
    ladderRunId: props.run.ladderRunId,
    rungId: current.value!.rung.id,
    ticked: ticked.value,
  })
const end = (outcome: 'worked' | 'failed' | 'stopped') =>
  store.write('rung-ended', { ladderRunId: props.run.ladderRunId, rungId: current.value!.rung.id, outcome, note: null })
</script>

<template>
  <LadderLeft v-if="ladder && ladderSpent(state, run)" :run="run" :title="ladder.title" />
  <section
    v-else-if="ladder && current"
    class="mt-4 border-2 border-danger px-4 py-3"
    :aria-label="t(ladder.title)"
    data-testid="ladder"
  >
    <p class="flex flex-wrap items-baseline justify-between gap-x-4">
      <span class="label text-danger"
        >{{ t(run.text) }}<template v-if="run.about">: {{ run.about }}</template></span
      ><span class="figure text-quiet">rung {{ current.place + 1 }} of {{ ladder.rungs.length }}</span>
    </p>
    <h2 class="mt-1 text-2xl">{{ t(current.rung.title) }}</h2>
    <p class="mt-1 text-lg">{{ t(current.rung.text) }}</p>
    <p v-for="board in boards" :key="board.group" class="mt-2 border-l-4 border-attention pl-3">
      The board counts
      <span class="figure font-semibold">{{ board.bolts.filter(bolt => !isOut(bolt)).length }}</span> of
      {{ board.bolts.length }} {{ groupName(board.group) }} still in.
      <NuxtLink no-prefetch class="underline" :to="path(`bolts/${board.group}`)">See which</NuxtLink>
    </p>
    <ul v-if="tools.length" class="mt-2 flex flex-wrap gap-2" aria-label="Tools">
      <li v-for="tool in tools" :key="tool.id" class="tag">
        <span v-if="tool.size" class="figure font-bold">{{ tool.size }}</span>{{ t(tool.name) }}
      </li>
    </ul>
    <dl class="mt-2">
      <div v-if="current.rung.risk">
        <dt class="inline font-semibold">It may ruin:</dt>
        <dd class="inline">{{ t(current.rung.risk) }}</dd>
      </div>
      <div v-if="current.rung.hurts">
        <dt class="inline font-semibold">It may hurt:</dt>
        <dd class="inline">{{ t(current.rung.hurts) }}</dd>
      </div>
      <div v-if="current.rung.cost">
        <dt class="inline font-semibold">It costs:</dt>
        <dd class="inline">{{ t(current.rung.cost) }}</dd>
      </div>
      <div v-if="current.rung.parts.length">
        <dt class="inline font-semibold">If it works, on the list:</dt>
        <dd class="inline">{{ current.rung.parts.map(part => t(part)).join(', ') }}</dd>
      </div>
    </dl>
    <p
      v-for="caution in cautions"
      :key="caution.id"
      class="mt-2 border-l-4 pl-3"
      :class="caution.serious ? 'border-danger' : 'border-attention'"
    >
      <span class="label">{{ t(caution.title) }}.</span> {{ t(caution.text) }}
    </p>
    <fieldset v-if="current.rung.precautions && !current.try" class="mt-3 border-l-4 border-danger pl-3">
      <legend class="label">Before it begins</legend>
      <label v-for="precaution in current.rung.precautions" :key="precaution" class="flex min-h-11 items-center gap-3"
        ><input v-model="ticked" type="checkbox" :value="precaution" class="size-6! min-h-0! w-6!" />
        {{ t(precaution) }}</label
      >
    </fieldset>
    <div class="mt-3 flex flex-wrap items-center gap-2">
      <template v-if="current.try">
        <p v-if="left !== null" class="figure text-2xl font-bold" :class="left < 0 ? 'text-danger' : ''" role="timer">
          {{ left < 0 ? `over by ${stopwatch(-left)}` : stopwatch(left) }}
        </p>
        <button class="button button-main" @click="end('worked')">It worked</button>
        <button class="button" @click="end('failed')">It did not: next rung</button>
        <button class="button" @click="end('stopped')">Stop here</button>
        <p v-if="left !== null && left < 0" class="w-full text-attention">
          Its time is up. More of the same breaks things; go on to the next rung.
        </p>
      </template>
      <button v-else class="button button-main" :disabled="!ready" @click="begin">
        Try it<template v-if="current.rung.minutes"
          >, <span class="figure">{{ current.rung.minutes }}</span> min at most</template
        >
      </button>
    </div>
    <p class="mt-2 text-sm text-quiet">
      The vehicle maker’s instructions and licensed practice go before anything written here.
    </p>
  </section>
</template>
