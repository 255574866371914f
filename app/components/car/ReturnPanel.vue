<script setup lang="ts">
import { partsAwaited, waitBefore } from '../../../core/job'
import type { Carrying } from '../../../core/job/views/carrying'
import { returning } from '../../../core/job/views/returning'
import { stanceOf } from '../../../core/packs'
import { momentText } from '../../words/moments'

/** Coming back after days: what is off, loose, open, what holds it, what waits, and what is next. */
defineProps<{ carrying: Carrying[] }>()
const { state, next, path } = useJob()
const t = useTerms()
const units = useUnits()
const now = useSeconds()
const back = computed(() => returning(state.value, now.value))
const troubles = computed(() => state.value.troubles.filter(trouble => !trouble.cleared))
const wait = computed(() => (next.value ? waitBefore(state.value, next.value.id) : null))
const awaited = computed(() => partsAwaited(state.value))
const away = computed(() => {
  const hours = back.value.awayMinutes / 60
  return hours >= 36
    ? `${Math.round(hours / 24)} days`
    : hours >= 1
      ? `${Math.round(hours)} h`
      : `${Math.round(back.value.awayMinutes)} min`
})
const stance = computed(() => stanceOf(state.value.procedure ?? {}, state.value.car))
const groups = {
  loose: 'Loose: not to be trusted',
  open: 'Open: cover it',
  unplugged: 'Unplugged',
  held: 'Held by',
} as const
</script>

<template>
  <div class="grid gap-4" data-testid="return-panel">
    <h2 class="border-b border-ink pb-1 text-lg max-lg:hidden">Coming back to it</h2>
    <p v-if="state.lastAt">
      <span class="label">Last touched {{ momentText(state.lastAt) }}</span
      >, {{ away }} ago<template v-if="back.lastStep">: {{ t(back.lastStep) }}</template
      >.
    </p>
    <p>
      {{ stance.said }}. <span class="figure">{{ back.offCount }}</span> pieces off.
    </p>
    <p v-if="stance.returning" class="border-l-4 border-danger pl-3">{{ stance.returning }}</p>
    <section
      v-for="kind in (['held', 'loose', 'open', 'unplugged'] as const).filter(each => back[each].length)"
      :key="kind"
    >
      <h3 class="label">{{ groups[kind] }}</h3>
      <ul class="list-disc pl-5">
        <li v-for="entry in back[kind]" :key="entry.entry">
          {{ t(entry.name) }}<template v-if="entry.count > 1"> ({{ entry.count }})</template>
        </li>
      </ul>
    </section>
    <ul v-if="back.held.length && carrying[0]" class="text-sm text-quiet">
      <li v-for="load in carrying[0].loads" :key="load.thingId">
        {{ t(load.name) }}: about {{ units.measure(load.kg[1], 'kg', 0) }}{{ load.pieces > 1 ? ' each' : '' }}
      </li>
    </ul>
    <section v-if="troubles.length || wait || awaited.length">
      <h3 class="label">Waits</h3>
      <TroubleLine v-for="trouble in troubles" :key="trouble.troubleId" :trouble="trouble" />
      <p v-if="wait && wait.until > now">Until {{ momentText(wait.until) }}: {{ t(wait.because) }}</p>
      <p v-for="part in awaited" :key="part.partId">{{ t(part.name) }}, due {{ momentText(part.at) }}</p>
    </section>
    <p v-for="fact in back.mustNot" :key="fact" class="border-l-4 border-danger pl-3">{{ t(fact) }}</p>
    <p v-if="next"><span class="label">Next.</span> {{ t(next.title) }}</p>
    <NuxtLink v-if="next" :to="path('work')" class="button button-main">Go on with the work</NuxtLink>
  </div>
</template>
