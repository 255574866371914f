<script setup lang="ts">
import type { ThingStory } from '../../../core/job/views/car-drawing'
import type { SupportLoad } from '../../../core/job/views/carrying'
import { momentText } from '../../words/moments'
import { standWords } from '../../words/stand-words'

/** What is known of the thing that was tapped: when it came off, where its bolts are, what goes back before it. */
const props = defineProps<{ story: ThingStory; load: SupportLoad | null }>()
const { path } = useJob()
const t = useTerms()
const units = useUnits()
const garage = useGarageStore()
const person = (id: string) => garage.garage?.people.find(entry => entry.id === id)?.name ?? ''
const kg = (value: number) => units.measure(value, 'kg', 0)
const firsts = computed(
  () => new Set(props.story.entries.flatMap(entry => entry.putBack?.first.map(blocker => blocker.title) ?? [])),
)
</script>

<template>
  <section class="grid gap-3" aria-live="polite" data-testid="thing-story">
    <h2 class="border-b border-ink pb-1 text-lg">{{ t(story.thing.name) }}: {{ standWords[story.stand] }}</h2>
    <p v-if="load">
      <span class="label">{{ load.pieces > 1 ? 'Each carries' : 'Carries' }} about {{ kg(load.kg[1]) }}</span
      >, between {{ kg(load.kg[0]) }} and {{ kg(load.kg[2]) }}.
    </p>
    <p v-else-if="story.thing.holds">
      <span class="label">Holds {{ t(story.thing.holds.name).toLowerCase() }}</span
      >, about {{ kg(story.thing.holds.kg[1]) }}, between {{ kg(story.thing.holds.kg[0]) }} and
      {{ kg(story.thing.holds.kg[2]) }}; typical.
    </p>
    <p v-if="story.entries.length === 0" class="text-quiet">Nothing of it is off, open or loose.</p>
    <div v-for="entry in story.entries" :key="entry.item.id" class="border-l-4 border-rule pl-3">
      <p class="label">
        <span class="figure">{{ entry.count }}</span> × {{ t(entry.item.name) }},
        {{ entry.item.state === 'slack' ? 'loose' : entry.item.state }}
      </p>
      <p v-if="entry.item.goesTo">Lies: {{ t(entry.item.goesTo) }}.</p>
      <p v-if="entry.takenOff" class="text-quiet">
        {{ momentText(entry.takenOff.at) }}, {{ person(entry.takenOff.personId) }}: {{ t(entry.takenOff.title) }}
      </p>
      <template v-if="entry.putBack">
        <p>Back with: {{ t(entry.putBack.title) }}</p>
      </template>
    </div>
    <div v-if="firsts.size">
      <h3 class="label">Before it goes back</h3>
      <ul class="list-disc pl-5">
        <li v-for="title in [...firsts].slice(0, 6)" :key="title">{{ t(title) }}</li>
        <li v-if="firsts.size > 6" class="text-quiet">and {{ firsts.size - 6 }} more</li>
      </ul>
    </div>
    <p v-for="board in story.bolts" :key="board.group.id" class="flex flex-wrap items-center gap-3">
      <span class="min-w-0 flex-1"
        ><span class="label">{{ t(board.group.name) }}:</span> <span class="figure">{{ board.out }}</span> of
        <span class="figure">{{ board.count }}</span> out</span
      >
      <NuxtLink class="button" :to="path(`bolts/${board.group.id}`)"
        >Board<span class="sr-only">: {{ t(board.group.name) }}</span></NuxtLink
      >
    </p>
  </section>
</template>
