<script setup lang="ts">
import { finishBy, promiseShare } from '../../../core/sequence'
import { momentText } from '../../words/moments'

/** The time whose promise costs the least on average: a day late set against a day too early. */
const emit = defineEmits<{ take: [at: Date] }>()
const garage = useGarageStore()
const { money } = useMoney()
const { times, from } = useFinishTimes()
const costs = computed(() => {
  const { latePerDay = 0, earlyPerDay = 0 } = garage.garage ?? {}
  return latePerDay + earlyPerDay > 0 ? { latePerDay, earlyPerDay } : null
})
const share = computed(() => (costs.value ? promiseShare(costs.value) : null))
/** To the next quarter of an hour: nobody promises a minute. */
const QUARTER_MS = 900_000
const at = computed(() => {
  if (share.value === null || !times.value) return null
  const finish = from.value.getTime() + finishBy(times.value, share.value) * 60_000
  return new Date(Math.ceil(finish / QUARTER_MS) * QUARTER_MS)
})
</script>

<template>
  <div v-if="garage.can('see-money')" data-testid="promise-by-cost" aria-live="polite">
    <div v-if="costs && share !== null" class="flex flex-wrap items-center gap-x-3">
      <p>
        A day late costs us <span class="figure">{{ money(costs.latePerDay) }}</span>, a day too early
        <span class="figure">{{ money(costs.earlyPerDay) }}</span>: it costs least to promise what is kept in
        <span class="figure">{{ Math.round(share * 100) }}</span> of 100 cases<template v-if="at"
          >, <span class="figure font-semibold">{{ momentText(at, from) }}</span></template
        >.
      </p>
      <button v-if="at" type="button" class="button" @click="emit('take', at)">Take that</button>
    </div>
    <p v-else class="text-quiet">
      Say what a day late and a day too early cost you (<NuxtLink to="/library/garage" class="underline"
        >Library</NuxtLink
      >, Money), and the time that costs least is told here.
    </p>
  </div>
</template>
