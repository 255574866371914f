<script setup lang="ts">
import { changedParts, openEntries, whatHolds } from '../../../../core/job'
import type { ItemState } from '../../../../core/packs'

const { state, next } = useJob()
const t = useTerms()
const route = useRoute()
const groups: { state: ItemState, title: string }[] = [
  { state: 'propped', title: 'Holds, hangs or props' }, { state: 'open', title: 'Open' }, { state: 'slack', title: 'Slack' },
  { state: 'unplugged', title: 'Unplugged' }, { state: 'off', title: 'Off' },
]
const entries = computed(() => openEntries(state.value))
const total = computed(() => entries.value.reduce((sum, entry) => sum + entry.count, 0))
const troubles = computed(() => state.value.troubles.filter(trouble => !trouble.cleared))
const holding = computed(() => whatHolds(state.value).filter(entry => entry.item?.part))
const facts = computed(() => state.value.procedure?.facts.filter(fact => state.value.facts.includes(fact.id)) ?? [])
</script>

<template>
  <MatingView v-if="route.query.at === 'mating' && state.procedure?.bench.mating" />
  <SheetWithMargin v-else margin-title="Coming back to it">
    <CarHead />
    <h1 class="text-2xl">{{ total === 0 ? 'The car is whole' : `${total} pieces are not as they leave the garage` }}</h1>
    <CarGlyph :car="state.car" :parts="changedParts(state)" class="mt-4 w-full max-w-xl" />
    <div class="mt-6 grid gap-x-8 gap-y-5 md:grid-cols-2">
      <section v-for="group in groups.filter(each => entries.some(entry => entry.item?.state === each.state))" :key="group.state">
        <h2 class="border-b border-ink pb-1 text-lg">{{ group.title }}</h2>
        <ul class="ruled">
          <li v-for="entry in entries.filter(each => each.item?.state === group.state)" :key="entry.entry" class="flex justify-between gap-3 py-1.5">
            <span>{{ t(entry.name) }}<span v-if="entry.item?.goesTo" class="block text-sm text-quiet">{{ t(entry.item.goesTo) }}</span></span>
            <span class="figure">{{ entry.count }}</span>
          </li>
        </ul>
      </section>
    </div>
    <template #margin>
      <div class="grid gap-3">
        <h2 class="text-lg max-lg:hidden">Coming back to it</h2>
        <p>{{ state.car === 'raised' ? 'The car is raised.' : 'The car is on the ground.' }} {{ holding.length ? `Weight rests on: ${holding.map(entry => t(entry.name).toLowerCase()).join(', ')}.` : '' }}</p>
        <p v-if="facts.length">As it stands: {{ facts.map(fact => t(fact.name).toLowerCase()).join(', ') }}.</p>
        <p v-if="next"><span class="label">Next.</span> {{ t(next.title) }}</p>
        <TroubleLine v-for="trouble in troubles" :key="trouble.troubleId" :trouble="trouble" />
      </div>
    </template>
  </SheetWithMargin>
</template>
