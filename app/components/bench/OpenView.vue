<script setup lang="ts">
/** While it is open: every part in reach, what it costs now and what it may cost later, and three offers to the customer. */
const { store, state, lines, packages, weigh, quotes, gone, problem, waiting } = { ...useBench(), ...useRenewals() }
const t = useTerms()
const garage = useGarageStore()
const { money, labourPerHour } = useMoney()
const { renew, sending } = useOptionSwitch()
const marginOpen = ref(false)
const asked = ref<string | null>(null)
const line = computed(() => lines.value.find(entry => entry.part.id === asked.value) ?? null)
const offerNames = { must: 'Must', sensible: 'Sensible', everything: 'Everything' } as const
const offerAbout = {
  must: 'What was found bad',
  sensible: 'And what pays on average',
  everything: 'All that is in reach',
} as const
function ask(id: string) {
  asked.value = id
  marginOpen.value = true
}
async function take(id: 'must' | 'sensible' | 'everything') {
  const offer = packages.value.find(entry => entry.id === id)!
  const open = lines.value.filter(entry => !entry.planned)
  await renew(
    open.map(({ part }) => ({
      part,
      decision: offer.parts.includes(part.id) ? ('renew' as const) : ('leave' as const),
    })),
    `The customer took “${offerNames[id]}”.`,
  )
}
const taken = computed(() => Object.values(state.value.renewals).some(entry => entry.decision))
async function keepSchool(optionId: string, choiceId: string) {
  await garage.change({ schools: { ...garage.garage!.schools, [optionId]: choiceId } })
}
useKeys({
  Backspace: store.undo,
  Escape: () => {
    asked.value = null
  },
})
</script>

<template>
  <SheetWithMargin v-model:open="marginOpen" :margin-title="line ? t(line.part.name) : 'How it is weighed'">
    <slot />
    <h1 class="mt-3 text-2xl">While it is open</h1>
    <p v-if="quotes.problem.value" class="mt-2 border-l-4 border-attention pl-3">
      {{ t(quotes.problem.value) }} Prices can be entered by hand; ask a part.
      <button class="font-semibold underline" @click="quotes.ask">Ask again</button>
    </p>
    <p v-if="gone" class="mt-2 border-l-4 border-attention pl-3">
      {{ gone }} Minutes are taken from the tables instead of this layout.
    </p>
    <p v-if="problem" class="mt-2 text-danger" role="alert">{{ t(problem) }}</p>
    <p v-if="lines.length === 0" class="mt-4 text-quiet">Nothing else comes within reach on this job.</p>
    <p v-else-if="waiting" class="mt-3 text-quiet" role="status">Working out what coming back would take</p>
    <p
      class="mt-3 grid grid-cols-[minmax(0,1fr)_5rem_11rem_5rem_5rem_5.5rem] gap-x-3 border-b-2 border-ink pb-1 font-semibold max-md:hidden"
      aria-hidden="true"
    >
      <span>Part</span><span class="text-right">Now</span><span>How sure it fails</span
      ><span class="text-right">Pays from</span><span class="text-right">Later</span><span>Advice</span>
    </p>
    <ul class="ruled max-md:mt-3">
      <OpenLine
        v-for="entry in lines"
        :key="entry.part.id"
        :line="entry"
        :asked="asked === entry.part.id"
        @ask="ask(entry.part.id)"
        @chance="chance => weigh(entry, { chance })"
      />
    </ul>
    <section v-if="packages.some(offer => offer.parts.length)" class="mt-6" aria-labelledby="offers">
      <h2 id="offers" class="border-b-2 border-ink pb-1 text-lg">Three offers to the customer, on top of the job</h2>
      <ul class="ruled">
        <li
          v-for="offer in packages"
          :key="offer.id"
          class="flex flex-wrap items-center gap-x-4 gap-y-2 py-3"
          :data-testid="`offer-${offer.id}`"
        >
          <span class="min-w-0 flex-1 basis-64"
            ><span class="text-lg font-semibold">{{ offerNames[offer.id] }}</span
            ><span class="block text-quiet"
              >{{ offerAbout[offer.id] }}:
              {{
                offer.parts.length === 0
                  ? 'nothing'
                  : offer.parts.map(id => t(lines.find(entry => entry.part.id === id)!.part.name)).join(', ')
              }}.</span
            ></span
          >
          <span class="text-right"
            ><span class="figure text-2xl font-bold">{{ money(offer.total) }}</span
            ><span class="figure block text-sm text-quiet"
              >{{ money(offer.partCost) }} parts, {{ Math.round(offer.minutes) }} min</span
            ></span
          >
          <button
            class="button"
            :disabled="sending"
            :aria-label="`The customer takes ${offerNames[offer.id]}`"
            @click="take(offer.id)"
          >
            Taken
          </button>
        </li>
      </ul>
      <p v-if="taken" class="mt-2 text-quiet">
        What is renewed is in the plan, on the parts list and on the hand-over paper. Undo takes the last decision back.
      </p>
    </section>
    <template #margin>
      <OpenQuestion
        v-if="line"
        :key="line.part.id"
        :line="line"
        @weigh="change => weigh(line!, change)"
        @school="keepSchool"
      />
      <div v-else class="grid gap-3">
        <h2 class="border-b border-ink pb-1 text-lg">How it is weighed</h2>
        <p>
          Now: the part, and the minutes more at <span class="figure">{{ money(labourPerHour) }}</span> an hour. Later:
          how sure you are that it fails before the next clutch, times the part, a comeback’s cost and every minute of
          coming back.
        </p>
        <p>
          Minutes later are computed from this very plan: what would have to come off again to reach the part, what goes
          back, and the proving. Ask a part to see the steps.
        </p>
        <p>
          The slider starts where the trade’s memory puts it, or at 90 in 100 where a sheet found the part bad. From
          “pays from” on it is cheaper to renew it now.
        </p>
      </div>
    </template>
  </SheetWithMargin>
</template>
