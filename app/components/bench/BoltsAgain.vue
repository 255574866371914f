<script setup lang="ts">
import { isOut } from '../../../core/fasteners'
import { boltReuse } from '../../../core/decisions'
import { jobFigure } from '../../../core/job'

/** Bolts group by group: do they go back, or are new ones bought? From figure, angle and how they came out. */
const { state, path } = useBench()
const t = useTerms()
const marginOpen = ref(false)
const words = {
  renew: { text: 'New ones', tone: 'text-danger' },
  measure: { text: 'Measure first', tone: 'text-attention' },
  reuse: { text: 'Again', tone: 'text-good' },
  unknown: { text: 'Not known', tone: 'text-quiet' },
} as const
const groups = computed(() =>
  state.value
    .procedure!.groups.map(group => {
      const bolts = state.value.boards[group.id]?.bolts ?? []
      return {
        group,
        bolts,
        out: bolts.filter(bolt => isOut(bolt) || bolt.condition !== null).length,
        verdict: boltReuse({
          figure: jobFigure(state.value, group.id)?.figure ?? null,
          facts: state.value.fasteners[group.id] ?? null,
          bolts,
        }),
      }
    })
    .sort((a, b) => rank(a.verdict.verdict) - rank(b.verdict.verdict)),
)
const rank = (verdict: keyof typeof words) => ['renew', 'measure', 'reuse', 'unknown'].indexOf(verdict)
</script>

<template>
  <SheetWithMargin v-model:open="marginOpen" margin-title="How it is judged">
    <slot />
    <h1 class="mt-3 text-2xl">Bolts: again or new</h1>
    <ul class="ruled mt-3">
      <li
        v-for="entry in groups"
        :key="entry.group.id"
        class="grid items-baseline gap-x-4 gap-y-1 py-3 sm:grid-cols-[8rem_minmax(0,1fr)_auto]"
        :data-testid="`again-${entry.group.id}`"
      >
        <span class="font-bold" :class="words[entry.verdict.verdict].tone">{{
          words[entry.verdict.verdict].text
        }}</span>
        <span
          ><span class="text-lg font-semibold">{{ t(entry.group.name) }}</span
          ><span class="block text-quiet">{{ t(entry.verdict.because) }}</span></span
        >
        <NuxtLink class="button" :to="path(`bolts/${entry.group.id}`)"
          >Their board<span class="sr-only">: {{ t(entry.group.name) }}</span></NuxtLink
        >
      </li>
    </ul>
    <template #margin>
      <h2 class="border-b border-ink pb-1 text-lg">How it is judged</h2>
      <div class="mt-2 grid gap-3">
        <p>
          The sheet’s rule comes first. A figure that ends in an angle stretches the bolt: whether it comes back is
          worked out from thread, class and clamped length on its board.
        </p>
        <p>
          After that counts how each came out: stretched, rounded, sheared or stripped is renewed, corroded is brushed
          and looked at.
        </p>
        <p class="border-l-4 border-rule pl-3">
          <span class="font-semibold">One school</span> renews flywheel and cover bolts always.
          <span class="font-semibold">The other</span> uses them once more where the sheet allows it. The way of doing
          it on Plan holds this garage’s.
        </p>
      </div>
    </template>
  </SheetWithMargin>
</template>
