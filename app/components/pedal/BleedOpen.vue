<script setup lang="ts">
import type { BleedWay } from '../../../core/packs'

/** The way and its counts, before the first one. */
const props = defineProps<{ planned: BleedWay; ways: BleedWay[]; closed: boolean; go: string }>()
const emit = defineEmits<{ open: [way: BleedWay, perRound: number, restMinutes: number] }>()
const wayId = defineModel<string>('way', { required: true })
const way = computed(() =>
  wayId.value === props.planned.id
    ? props.planned
    : (props.ways.find(entry => entry.id === wayId.value) ?? props.planned),
)
const perRound = ref(way.value.perRound)
const restMinutes = ref(way.value.restMinutes)
watch(way, ({ perRound: each, restMinutes: rest }) => {
  perRound.value = each
  restMinutes.value = rest
})
const words = computed(
  () =>
    ({ strokes: 'Strokes a round', portions: `A round: how many of “${way.value.one}”`, minutes: 'Looks a round' })[
      way.value.counts
    ],
)
const fine = computed(
  () => perRound.value >= 1 && perRound.value <= 100 && restMinutes.value >= 1 && restMinutes.value <= 1440,
)
</script>

<template>
  <div>
    <ChoiceRow
      v-if="ways.length > 1"
      v-model="wayId"
      class="mt-4"
      label="Way"
      hide-label
      :choices="
        ways.map(entry => ({
          id: entry.id,
          label: entry.title,
          ...(entry.id === planned.id ? { note: 'as planned' } : {}),
        }))
      "
    />
    <div class="mt-5 grid max-w-md gap-4 sm:grid-cols-2">
      <div v-if="way.counts !== 'minutes'">
        <Field v-slot="{ control }" id="strokes" :label="words"
          ><input v-bind="control" v-model.number="perRound" class="figure mt-1" type="number" min="1" max="100"
        /></Field>
      </div>
      <Field
        v-slot="{ control }"
        id="rest"
        :label="way.counts === 'minutes' ? 'Bleeder open, minutes' : 'Rest, minutes'"
        ><input v-bind="control" v-model.number="restMinutes" class="figure mt-1" type="number" min="1" max="1440"
      /></Field>
    </div>
    <p v-if="!fine" class="mt-2 text-danger" role="alert">A round is 1 to 100, a rest 1 to 1440 minutes.</p>
    <button
      class="button button-main button-big mt-6"
      :disabled="closed || !fine"
      @click="emit('open', way, Number(perRound), Number(restMinutes))"
    >
      {{ go }}
    </button>
  </div>
</template>
