<script setup lang="ts">
import { ceilingOf, jointOf, stagesOf, torqueAngle } from '../../../core/fasteners'
import { jobFigure } from '../../../core/job'
import type { FastenerGroup } from '../../../core/packs'
import { materialLabels, patternLabel, renewLabel, threadLabel } from '../../words/bolt-words'

/** Everything about the figure of a group: source, judgement, what else is named, what the bolts are, the way to a run. */
const props = defineProps<{ group: FastenerGroup }>()
const { state, path } = useJob()
const t = useTerms()
const units = useUnits()
const naming = ref(false)
const describing = ref(false)
const computedNow = ref(false)
const facts = computed(() => state.value.fasteners[props.group.id] ?? null)
const inForce = computed(() => jobFigure(state.value, props.group.id))
const figure = computed(() => inForce.value?.figure ?? null)
const angle = computed(() => {
  const turn = figure.value && stagesOf(figure.value).find(stage => stage.kind === 'angle')
  if (!turn || !facts.value?.clampMm) return null
  return torqueAngle({
    ...jointOf(facts.value, figure.value!.condition),
    snugNm: figure.value!.torqueNm,
    angleDeg: turn.angleDeg,
    clampMm: facts.value.clampMm,
  })
})
const ceiling = computed(() => (!figure.value && facts.value ? ceilingOf(jointOf(facts.value)) : null))
const material = computed(() =>
  t(materialLabels.find(entry => entry.id === facts.value?.material)?.label ?? '').toLowerCase(),
)
const range = (nm: number) => {
  const shown = units.torque(nm)
  return `${shown.main.text} ${shown.main.unit} (${shown.other.text} ${shown.other.unit})`
}
</script>

<template>
  <section class="grid gap-3">
    <h2 class="border-b border-ink pb-1 text-lg">Figure: {{ t(group.name).toLowerCase() }}</h2>
    <FigureLine :group="group" />
    <p v-if="figure?.condition || figure?.renew || figure?.pattern" class="text-quiet">
      {{
        [threadLabel(figure.condition), patternLabel(figure.pattern), renewLabel(figure.renew)]
          .filter(Boolean)
          .join('. ')
      }}.
    </p>
    <p v-if="figure?.borrowed" class="border-l-4 border-attention pl-3">
      Taken from the
      {{
        t(
          state.procedure?.groups.find(entry => entry.id === figure!.borrowed!.group)?.name ?? figure.borrowed.group,
        ).toLowerCase()
      }}: {{ figure.borrowed.because }}
    </p>

    <p v-if="angle" class="border-l-4 pl-3" :class="angle.pastYield ? 'border-attention' : 'border-rule'">
      {{ t(angle.because) }}
    </p>

    <div v-if="ceiling" class="border-l-4 border-attention pl-3" data-testid="ceiling">
      <p>
        <span class="label">Computed, not a specification.</span> On an easy thread this fastener stands
        <span class="figure whitespace-nowrap">{{ range(ceiling.ceilingNm) }}</span>; then the
        {{ ceiling.limitedBy === 'bolt' ? 'bolt begins to yield' : 'thread begins to strip' }}. A cautious range is
        <span class="figure whitespace-nowrap">{{ range(ceiling.cautiousNm.low) }}</span> to
        <span class="figure whitespace-nowrap">{{ range(ceiling.cautiousNm.high) }}</span>.
      </p>
      <button class="mt-1 min-h-11 font-semibold underline" @click="computedNow = naming = true">
        Take a figure in it, under my name
      </button>
    </div>

    <div>
      <p v-if="facts">
        <span class="figure">{{ facts.thread }}</span>, class <span class="figure">{{ facts.propertyClass }}</span>,
        {{ threadLabel(facts.condition ?? 'dry').toLowerCase()
        }}<template v-if="material"
          >,
          <template v-if="facts.engagementMm"
            ><span class="figure">{{ units.reading(facts.engagementMm, 'mm') }}</span> engaged </template
          >in {{ material }}</template
        >.
      </p>
      <p v-else class="text-quiet">Say what the bolts are, and every figure is judged against what they can stand.</p>
      <button class="min-h-11 font-semibold underline" @click="describing = true">
        {{ facts ? 'Change what the bolts are' : 'Say what the bolts are' }}
      </button>
    </div>
    <NuxtLink v-if="state.boards[group.id]!.bolts.length >= 3" class="button" :to="path(`bolts/${group.id}/tighten`)"
      >Tighten them in passes</NuxtLink
    >
    <NuxtLink v-if="state.boards[group.id]!.bolts.length >= 3" class="button" :to="path(`bolts/${group.id}/loosen`)"
      >Loosen them in stages</NuxtLink
    >
    <ImpactAdvice />
    <FigureRules />

    <BaseDialog
      :open="naming"
      :title="`Figure for the ${t(group.name).toLowerCase()}`"
      @close="naming = computedNow = false"
    >
      <FigureForm :group="group" :computed-ceiling="computedNow" @named="naming = computedNow = false" />
    </BaseDialog>
    <BaseDialog :open="describing" :title="t(group.name)" @close="describing = false">
      <FastenerForm :group="group" @done="describing = false" />
    </BaseDialog>
  </section>
</template>
