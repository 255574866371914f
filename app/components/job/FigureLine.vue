<script setup lang="ts">
import { stagesOf } from '../../../core/fasteners'
import type { Stage } from '../../../core/fasteners'
import { jobFigure } from '../../../core/job'
import type { FastenerGroup } from '../../../core/packs'
import { sourceLabel } from '../../words/sources'
import { dateText } from '../../words/dates'

/** The figure of a group with its source, others that disagree, and its judgement; or that there is none, and the way to name one. */
const props = defineProps<{ group: FastenerGroup; large?: boolean }>()
const { state } = useJob()
const t = useTerms()
const units = useUnits()
const garage = useGarageStore()
const naming = ref(false)
/** Until somebody names one, nothing of the dialog is fetched. */
const wasNaming = ref(false)
watch(naming, open => open && (wasNaming.value = true))
const inForce = computed(() => jobFigure(state.value, props.group.id))
const current = computed(() => inForce.value?.figure)
const facts = computed(() => state.value.fasteners[props.group.id])
const more = computed(() => (current.value?.stages ? stagesOf(current.value).map(words).join(', ') : ''))
const who = computed(() => garage.garage?.people.find(person => person.id === current.value?.personId)?.name)
function words(stage: Stage): string {
  switch (stage.kind) {
    case 'torque': {
      const shown = units.torque(stage.torqueNm)
      return `${shown.main.text} ${shown.main.unit}`
    }
    case 'angle':
      return `then ${stage.angleDeg}°`
    case 'wait':
      return `wait ${stage.minutes} min`
    case 'lap':
      return 'once round'
  }
}
const difference = (torqueNm: number) =>
  `${torqueNm > current.value!.torqueNm ? '+' : '−'}${Math.abs(Math.round((torqueNm / current.value!.torqueNm - 1) * 100))} %`
</script>

<template>
  <div
    class="border-l-4 pl-4"
    :class="current ? (current.sourceKind === 'computed' ? 'border-attention' : 'border-action') : 'border-attention'"
  >
    <template v-if="current">
      <TorqueFigure :torque-nm="current.torqueNm" :large="large" />
      <p v-if="more" class="figure mt-1 font-semibold">{{ more }}</p>
      <p class="mt-1">
        {{ sourceLabel(current.sourceKind) }}: {{ current.reference
        }}<span class="text-sm text-quiet">
          · {{ [who, dateText(new Date(current.at))].filter(Boolean).join(', ') }}</span
        >
      </p>
      <p v-for="other in inForce!.others" :key="other.at + other.sourceKind" class="mt-1 text-attention">
        Another source says <TorqueFigure :torque-nm="other.torqueNm" />, {{ difference(other.torqueNm) }}.
        {{ sourceLabel(other.sourceKind) }}: {{ other.reference }}
      </p>
      <LazyFigureJudgement
        v-if="facts"
        class="mt-2"
        :facts="facts"
        :torque-nm="current.torqueNm"
        :condition="current.condition"
        :brief="large"
      />
    </template>
    <p v-else class="text-lg">
      No figure is named for the {{ t(group.name).toLowerCase() }}. Eldrin does not guess one.<template
        v-if="group.safety"
      >
        Somebody drives on them: the step is not done without.</template
      >
    </p>
    <div class="flex flex-wrap items-center gap-x-5">
      <button class="mt-1 min-h-11 font-semibold underline" @click="naming = true">
        {{ current ? 'Name another figure' : 'Name it with its source' }}
      </button>
      <LazyFigureExcuse v-if="!current && group.safety" :group="group" class="min-w-0" />
    </div>
    <LazyFigureDialog v-if="wasNaming" :group="group" :open="naming" @close="naming = false" />
  </div>
</template>
