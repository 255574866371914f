<script setup lang="ts">
import { bagLabels, bentWire, drawingSvg, pieceCard, pieceWords, tiledSheets } from '../../../core/formats'
import type { Paper } from '../../../core/formats'
import type { BoardBolt } from '../../../core/fasteners'
import type { BentWire, Body, Outline } from '../../../core/packs'
import { saveFile } from '../../links/save-file'

/** The piece board on paper at 1:1, and a label for the bag of every pocket. */
const props = defineProps<{ open: boolean; body: Body; outline: Outline; bolts: BoardBolt[] }>()
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
const card = computed(() =>
  pieceCard(props.body, props.outline, props.bolts, {
    title: t(props.body.name),
    subtitle: `${car.value}, seen from below, front is up`,
    name: t,
    length: units.reading,
  }),
)
const sheets = computed(() => tiledSheets(card.value, paper.value, `${t(props.body.name)}, ${car.value}`))
const labels = computed(() =>
  props.body.pockets.map(pocket => ({
    title: t(pocket.bag),
    lines: [t(pocket.name), pocket.pieces.map(piece => pieceWords(piece, { name: t })).join('; '), car.value],
  })),
)
const fileName = (what: string, ending: string) =>
  `job-${state.value.number || 'new'}-${props.body.id}-${what}.${ending}`
/** A pin to bend, at 1:1 on as many sheets as it takes. */
function pdfOf(wire: BentWire) {
  const drawing = bentWire(wire, { title: t(wire.name), subtitle: car.value, length: units.reading })
  return savePdf(
    tiledSheets(drawing, paper.value, `${t(wire.name)}, ${car.value}`),
    paper.value,
    t(wire.name),
    fileName(wire.id, 'pdf'),
  )
}
function pdf(what: 'card' | 'labels') {
  const pages = what === 'card' ? sheets.value : bagLabels(labels.value, paper.value)
  return savePdf(pages, paper.value, t(props.body.name), fileName(what, 'pdf'))
}
</script>

<template>
  <BaseDialog :open="open" title="The piece board on paper" @close="emit('close')">
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
        at 100 % and measure the 100 mm bar. Every bolt has its hole{{
          body.pockets.length > 0 ? ', every pocket its bag' : ', every plug its place'
        }}.
      </p>
      <p v-if="problem" class="text-danger" role="alert">{{ t(problem) }}</p>
      <button class="button button-main button-big" :disabled="busy" @click="pdf('card')">Card at 1:1, PDF</button>
      <div class="grid grid-cols-2 gap-3">
        <button v-if="labels.length > 0" class="button" :disabled="busy" @click="pdf('labels')">Bag labels, PDF</button>
        <button v-for="wire in body.wires ?? []" :key="wire.id" class="button" :disabled="busy" @click="pdfOf(wire)">
          {{ t(wire.name) }} at 1:1, PDF
        </button>
        <button class="button" @click="saveFile(drawingSvg(card), fileName('card', 'svg'), 'image/svg+xml')">
          Card, SVG
        </button>
      </div>
    </div>
  </BaseDialog>
</template>
