<script setup lang="ts">
import { conditionOf, treatmentOf } from '../../../core/fasteners'
import type { HeadTreatment, ThreadCondition, ThreadTreatment } from '../../../core/fasteners'
import { headTreatmentLabels, threadTreatmentLabels } from '../../words/bolt-words'

/** How thread and head are when a bolt is tightened, each asked by itself. */
const model = defineModel<ThreadCondition>({ required: true })
const thread = computed<ThreadTreatment>({
  get: () => treatmentOf(model.value).thread,
  set: value => {
    model.value = conditionOf(value, treatmentOf(model.value).head)
  },
})
const head = computed<HeadTreatment>({
  get: () => treatmentOf(model.value).head,
  set: value => {
    model.value = conditionOf(treatmentOf(model.value).thread, value)
  },
})
</script>

<template>
  <div class="grid gap-3">
    <ChoiceRow v-model="thread" label="On the thread" :choices="threadTreatmentLabels" />
    <ChoiceRow v-model="head" label="Under the head" :choices="headTreatmentLabels" />
  </div>
</template>
