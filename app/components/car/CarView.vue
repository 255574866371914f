<script setup lang="ts">
import { standCounts } from '../../../core/job'
import { standingThings, thingStory } from '../../../core/job/views/car-drawing'
import { carryingNow } from '../../../core/job/views/carrying'
import { carWords } from '../../words/off-words'
import { standWords } from '../../words/stand-words'

/** The car as it stands now: what is off, loose or open, and what carries the weight. Any thing can be asked. */
const { store, state } = useJob()
const t = useTerms()
const asked = ref<string | null>(null)
const marginOpen = ref(false)
const carrying = computed(() => carryingNow(state.value))
const counts = computed(() => standCounts(state.value))
const story = computed(() => (asked.value ? thingStory(state.value, asked.value) : null))
const load = computed(
  () => carrying.value.flatMap(body => body.loads).find(entry => entry.thingId === asked.value) ?? null,
)
const things = computed(() =>
  [...standingThings(state.value)].sort((a, b) => Number(a.stand === 'whole') - Number(b.stand === 'whole')),
)
const marks = { off: '○', loose: '╱', open: '┄', held: '▲', whole: '●' } as const

function ask(thingId: string) {
  asked.value = asked.value === thingId ? null : thingId
  marginOpen.value = asked.value !== null
}
useKeys({
  Backspace: store.undo,
  Escape: () => {
    asked.value = null
  },
})
</script>

<template>
  <SheetWithMargin v-model:open="marginOpen" :margin-title="story ? t(story.thing.name) : 'Coming back to it'">
    <CarHead />
    <h1 class="text-2xl">{{ carWords(counts) }}</h1>
    <CarPicture class="mt-4" :carrying="carrying" :asked="asked" @ask="ask" />
    <HeldNow class="mt-6" />
    <CarriedNow class="mt-6" :carrying="carrying" />
    <section class="mt-6" aria-labelledby="things">
      <h2 id="things" class="border-b border-ink pb-1 text-lg">Ask about</h2>
      <ul class="mt-2 flex flex-wrap gap-2">
        <li v-for="{ thing, stand } in things" :key="thing.id">
          <button
            class="button"
            :class="
              asked === thing.id ? 'border-action! bg-tint!' : stand === 'whole' ? 'font-normal! text-quiet!' : ''
            "
            :aria-pressed="asked === thing.id"
            @click="ask(thing.id)"
          >
            <span class="figure" aria-hidden="true">{{ marks[stand] }}</span>{{ t(thing.name)
            }}<span class="text-quiet">{{ standWords[stand] }}</span>
          </button>
        </li>
      </ul>
    </section>
    <template #margin>
      <template v-if="story">
        <ThingStory :story="story" :load="load" />
        <button class="button mt-4 max-lg:hidden" @click="asked = null">Back to the whole car</button>
      </template>
      <ReturnPanel v-else :carrying="carrying" />
    </template>
  </SheetWithMargin>
</template>
