<script setup lang="ts">
import { passLimitNm } from '../../../core/job'
import { passNames } from '../../words/passes'
import { boltVerdicts, feelLabels } from '../../words/verdicts'

/** The bolt that is next, with what to set and how it went; bolt after bolt until the run is over. */
const { store, path } = useJob()
const t = useTerms()
const units = useUnits()
const {
  operation,
  loosens,
  run: made,
  next,
  stop,
  total,
  wait,
  link,
  settingNm,
  siblings,
  unlike,
  trouble,
  refused,
  act,
  feel,
  turnPass,
} = useTighteningRun()
const run = computed(() => made.value!)
useRunUnderWay(() => next.value !== null)
const speaks = computed(() => link.name.value !== '')
const now = computed(() => {
  const last = speaks.value ? link.samples.value.at(-1) : undefined
  return last ? units.torque(last.torqueNm).main : null
})
const columns = computed(() => {
  if (!speaks.value) return ''
  return stop.value ? 'grid md:grid-cols-2' : 'grid md:grid-cols-[minmax(15rem,2fr)_minmax(0,3fr)]'
})
const mainLabel = computed(() => {
  if (stop.value) return 'Stopped'
  return next.value ? `Bolt ${next.value.bolt + 1} done` : operation ? 'Step done' : 'Run done'
})
useKeys({
  Space: act,
  Backspace: store.undo,
  p: turnPass,
  x: () => {
    trouble.value = true
  },
  1: () => feel('tight-early'),
  2: () => feel('keeps-turning'),
  3: () => feel('gave-way'),
})
</script>

<template>
  <div>
    <p class="mt-2 text-lg" aria-live="polite">
      <template v-if="next">
        <span class="label">
          Pass {{ next.passIndex + 1 }} of {{ run.passes.length }}: {{ passNames[next.pass.kind].name }}.
        </span>
        {{ passNames[next.pass.kind].what }}
      </template>
      <span v-else class="label text-good">
        {{ loosens ? 'Every bolt is out.' : 'Every bolt is at its figure and checked.' }}
      </span>
    </p>
    <p v-if="wait" class="mt-1 border-l-4 border-attention pl-3">
      Wait <span class="figure font-bold">{{ wait }} min</span> before this pass.
    </p>
    <p v-for="odd in unlike" :key="odd.bolt" class="mt-1 border-l-4 border-attention pl-3" role="alert">
      <span class="label">Look at bolt {{ odd.bolt + 1 }} again.</span> It was read before its neighbors were known;
      against them it is {{ boltVerdicts[odd.reading.verdict!].name.toLowerCase() }}. {{ t(odd.reading.because) }}
    </p>
    <div class="mt-2 items-center gap-4" :class="columns">
      <StopPanel v-if="stop" :run="run" :stop="stop" @cleared="link.startBolt(true)" />
      <RunPicture
        v-if="!stop || !speaks"
        :run="run"
        :next="next"
        :setting-nm="settingNm"
        class="mx-auto w-full min-w-60"
        :class="
          speaks
            ? 'max-w-[min(24rem,calc(100dvh-26rem))]'
            : 'max-w-[min(30rem,calc(100dvh-38rem))] sm:max-w-[min(30rem,calc(100dvh-31rem))]'
        "
      />
      <LazyTorqueCurve
        v-if="speaks && next && run.figure"
        :samples="link.samples.value"
        :siblings="siblings"
        :figure-nm="run.figure.torqueNm"
        :limit-nm="passLimitNm(run, next.passIndex) ?? run.figure.torqueNm"
        :reading="link.reading.value"
      />
    </div>
    <p class="text-center text-quiet">
      <span class="figure">{{ run.turned }} of {{ total }}</span> turns of the wrench<template
        v-if="run.wrench?.adapterLengthMm"
      >
        · set for the adapter</template
      >
      <template v-if="now">
        ·
        <span class="figure text-2xl font-bold text-ink" data-testid="torque-now">{{ now.text }} {{ now.unit }}</span>
      </template>
    </p>
    <template v-if="!next && operation">
      <NewPartsAsk v-if="!loosens" :step-id="operation.id" />
      <div v-if="refused" class="mt-3 border-l-4 border-danger bg-attention-tint px-4 py-3" role="alert">
        <p>{{ t(refused) }}</p>
        <NuxtLink :to="{ path: path('work'), query: { step: operation.id } }" class="button mt-2">To the step</NuxtLink>
      </div>
    </template>
    <template v-if="next && !stop && !speaks">
      <button class="button button-big mt-2 w-full" data-testid="turn-pass" @click="turnPass">
        {{ next.turnedInPass ? 'The rest of this pass' : `All ${next.pass.order.length} of this pass` }} done
      </button>
      <div v-if="!loosens" class="mt-2 grid grid-cols-3 gap-2" role="group" aria-label="How it felt, if not normal">
        <button
          v-for="(felt, index) in feelLabels.slice(1)"
          :key="felt.id"
          class="button px-1! max-sm:text-[0.95rem]"
          @click="feel(felt.id)"
        >
          {{ felt.label }} <span class="figure text-quiet max-sm:hidden">{{ index + 1 }}</span>
        </button>
      </div>
    </template>
    <FootBar>
      <button class="button button-big px-1! text-lg!" @click="store.undo">Undo</button>
      <button class="button button-main button-big" data-testid="turn" :disabled="!!stop" @click="act">
        {{ mainLabel }}
      </button>
      <button class="button button-big px-1! text-lg!" @click="trouble = true">Trouble</button>
    </FootBar>
  </div>
</template>
