<script setup lang="ts">
import { jobFigure } from '../../../core/job'
import { passNames } from '../../words/passes'
import { boltVerdicts } from '../../words/verdicts'

/** What stands beside a run: the wrench that speaks, the figure, the passes, what stopped it. */
const { state } = useJob()
const { group, loosens, run: made, next, link, speech, dropRun } = useTighteningRun()
const run = computed(() => made.value!)
const figure = computed(() => jobFigure(state.value, group.id)?.figure ?? null)
const cleared = computed(() => run.value.stops.filter(entry => entry.cleared))
</script>

<template>
  <div class="grid gap-4">
    <h2 class="text-lg max-lg:hidden">This run</h2>
    <WrenchPanel
      v-if="!loosens && next"
      v-model:address="link.address.value"
      :name="link.name.value"
      :problem="link.problem.value"
      :connecting="link.connecting.value"
      @connect="link.connect"
      @disconnect="link.disconnect"
    />
    <p v-if="run.wrench">
      {{ run.wrench.name }}<span v-if="run.wrench.overdue" class="text-attention">, calibration run out</span>
    </p>
    <label v-if="speech.isSupported.value" class="flex min-h-12 items-center gap-3">
      <input v-model="speech.on.value" type="checkbox" class="size-6! min-h-0! w-6!" /> Say each bolt aloud
    </label>
    <FigureLine v-if="!loosens" :group="group" />
    <p v-if="figure && run.figure && figure.torqueNm !== run.figure.torqueNm" class="text-attention">
      The run goes on with the figure it was started with: <TorqueFigure :torque-nm="run.figure.torqueNm" />.
    </p>
    <ol class="ruled">
      <li
        v-for="(pass, index) in run.passes"
        :key="index"
        class="flex items-baseline justify-between gap-3 py-2"
        :class="next && index === next.passIndex ? 'font-semibold' : ''"
      >
        <span>{{ index + 1 }}. {{ passNames[pass.kind].name }}</span>
        <TorqueFigure v-if="pass.torqueNm !== null" :torque-nm="pass.torqueNm" />
        <span v-else class="figure text-sm">{{ pass.angleDeg ? `${pass.angleDeg}°` : 'by hand' }}</span>
      </li>
    </ol>
    <p v-for="each in cleared" :key="each.at" class="border-l-4 border-rule pl-3">
      Bolt {{ each.bolt + 1 }} stopped the run: {{ boltVerdicts[each.verdict].name.toLowerCase() }}. {{ each.cleared }}.
    </p>
    <button class="button" @click="dropRun">Stop and begin again</button>
  </div>
</template>
