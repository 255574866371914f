<script setup lang="ts">
import { bagLabels, boltCard, cardLabel, drawingSvg, tiledSheets } from '../../../core/formats'
import type { Paper } from '../../../core/formats'
import type { BoltBoard } from '../../../core/fasteners'
import type { FastenerGroup, Outline } from '../../../core/packs'
import { saveFile } from '../../links/save-file'

/** The board on paper at 1:1: a card to cut out and push the bolts through, labels for the bags, or the card as SVG. */
const props = defineProps<{
  open: boolean
  board: BoltBoard
  outline: Outline
  group: FastenerGroup
  seenFrom: 'box' | 'engine'
}>()
const emit = defineEmits<{ close: [] }>()
const { state } = useJob()
const t = useTerms()
const units = useUnits()
const garage = useGarageStore()
const paper = ref<Paper>(garage.garage?.units.length === 'in' ? 'letter' : 'a4')
const { busy, problem, savePdf } = useCardPdf()
const car = computed(
  () => `${state.value.number ? `Job ${state.value.number}` : 'New job'}, ${state.value.vehicle?.name ?? ''}`,
)
const card = computed(() => {
  const outline = { ...props.outline, marks: props.outline.marks.map(mark => ({ ...mark, name: t(mark.name) })) }
  const board = {
    ...props.board,
    bolts: props.board.bolts.map(bolt => ({ ...bolt, ...(bolt.holds ? { holds: t(bolt.holds) } : {}) })),
  }
  return boltCard(
    board,
    outline,
    {
      title: t(props.group.name),
      subtitle: `${car.value}, seen from the ${props.seenFrom}`,
      label: bolt => cardLabel(bolt, props.seenFrom, units.reading),
    },
    props.seenFrom,
  )
})
const sheets = computed(() => tiledSheets(card.value, paper.value, `${t(props.group.name)}, ${car.value}`))
/** One for every thing that goes into a bag or on a shelf, and one for each group of bolts. */
const labels = computed(() => {
  const { procedure } = state.value
  if (!procedure) return []
  const bags = procedure.items.filter(item => item.state === 'off' && item.goesTo)
  return [
    ...procedure.groups.map(group => ({
      title: t(group.name),
      lines: [
        car.value,
        `${state.value.boards[group.id]?.bolts.length ?? group.count} pieces`,
        t(group.treatment ?? ''),
      ].filter(Boolean),
    })),
    ...bags.map(item => ({ title: t(item.goesTo!), lines: [t(item.name), car.value] })),
  ]
})
const fileName = (what: string, ending: string) =>
  `job-${state.value.number || 'new'}-${props.group.id}-${what}.${ending}`

function pdf(what: 'card' | 'labels') {
  const pages = what === 'card' ? sheets.value : bagLabels(labels.value, paper.value)
  return savePdf(pages, paper.value, t(props.group.name), fileName(what, 'pdf'))
}
</script>

<template>
  <BaseDialog :open="open" title="The board on paper" @close="emit('close')">
    <div class="grid gap-5">
      <ChoiceRow
        v-model="paper"
        label="Paper"
        :choices="[
          { id: 'a4', label: 'A4' },
          { id: 'letter', label: 'Letter' },
        ]"
      />
      <p>
        The card is
        <span class="figure"
          >{{ units.measure(card.widthMm, 'mm', 0) }} × {{ units.measure(card.heightMm, 'mm', 0) }}</span
        >
        and takes <span class="figure">{{ sheets.length }}</span> {{ sheets.length === 1 ? 'sheet' : 'sheets' }}. Print
        at 100 %, lay crosses on crosses, measure the 100 mm bar, then cut it out and push each bolt through its hole.
      </p>
      <p v-if="problem" class="text-danger" role="alert">{{ t(problem) }}</p>
      <button class="button button-main button-big" :disabled="busy" @click="pdf('card')">Card at 1:1, PDF</button>
      <div class="grid grid-cols-2 gap-3">
        <button class="button" :disabled="busy" @click="pdf('labels')">Bag labels, PDF</button>
        <button class="button" @click="saveFile(drawingSvg(card), fileName('card', 'svg'), 'image/svg+xml')">
          Card, SVG
        </button>
      </div>
    </div>
  </BaseDialog>
</template>
