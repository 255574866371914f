<script setup lang="ts">
import type { TighteningPass } from '../../../core/fasteners'
import { convert, parseQuantity, UnitError } from '../../../core/units'
import { passNames } from '../../words/passes'

/** The passes of a run before it starts: settings on the way can be changed, a pass added or left out; none goes beyond the figure. */
const t = useTerms()
const props = defineProps<{ figureNm: number }>()
const passes = defineModel<TighteningPass[]>({ required: true })
const units = useUnits()
const numbers = useNumbers()
const problems = ref<Record<number, string>>({})
const editable = (pass: TighteningPass) => pass.kind === 'part'
const shownUnit = computed(() => units.torque(Math.max(props.figureNm, 1)).main.unit)

function set(index: number, text: string) {
  const { [index]: _gone, ...others } = problems.value
  try {
    const { value, unit } = parseQuantity(text, shownUnit.value, numbers.format.value)
    const torqueNm = Math.round(convert(value, unit, 'N·m') * 10) / 10
    const reason =
      torqueNm <= 0
        ? 'A torque is a number above zero.'
        : torqueNm >= props.figureNm
          ? 'On the way, so below the figure.'
          : ''
    problems.value = reason ? { ...others, [index]: reason } : others
    if (!reason) passes.value = passes.value.map((pass, at) => (at === index ? { ...pass, torqueNm } : pass))
  } catch (error) {
    if (!(error instanceof UnitError)) throw error
    problems.value = { ...others, [index]: error.message }
  }
}
/** Half way between the pass before the full one and the figure. */
function addPart() {
  const full = passes.value.findIndex(pass => pass.kind === 'full')
  if (full < 1) return
  const before = passes.value[full - 1]!
  const torqueNm = Math.round((((before.torqueNm ?? 0) + props.figureNm) / 2) * 10) / 10
  passes.value = [
    ...passes.value.slice(0, full),
    { kind: 'part', torqueNm, order: before.order },
    ...passes.value.slice(full),
  ]
}
</script>

<template>
  <section aria-label="Passes">
    <h2 class="label">Passes</h2>
    <ol class="ruled mt-1 border-y border-rule">
      <li v-for="(pass, index) in passes" :key="index" class="py-1.5">
        <div class="flex flex-wrap items-center gap-x-3">
          <span class="min-w-36"
            >{{ index + 1 }}. {{ passNames[pass.kind].name
            }}<span v-if="pass.waitMinutes" class="text-quiet"> after {{ pass.waitMinutes }} min</span></span
          >
          <template v-if="editable(pass)">
            <input
              class="figure w-28!"
              inputmode="decimal"
              v-typed="units.torque(pass.torqueNm!).main.text"
              :aria-label="`Setting of pass ${index + 1}`"
              :aria-invalid="!!problems[index]"
              @change="set(index, ($event.target as HTMLInputElement).value)"
            />
            <span class="figure text-quiet">{{ shownUnit }}</span>
            <button
              type="button"
              class="button ml-auto"
              :aria-label="`Leave pass ${index + 1} out`"
              @click="passes = passes.filter((_, at) => at !== index)"
            >
              ×
            </button>
          </template>
          <TorqueFigure v-else-if="pass.torqueNm !== null" :torque-nm="pass.torqueNm" />
          <span v-else class="figure">{{ pass.angleDeg ? `${pass.angleDeg}°` : 'by hand' }}</span>
        </div>
        <p v-if="problems[index]" class="text-danger" role="alert">{{ t(problems[index]!) }}</p>
      </li>
    </ol>
    <button
      v-if="passes.length < 10 && passes.some(pass => pass.kind === 'full')"
      type="button"
      class="min-h-11 font-semibold underline"
      @click="addPart"
    >
      Add a pass on the way
    </button>
  </section>
</template>
