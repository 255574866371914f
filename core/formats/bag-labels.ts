import { papers } from './drawing'
import type { Paper, PageShape, Page } from './drawing'

export interface BagLabel {
  title: string
  lines: string[]
}

const LABEL = { widthMm: 62, heightMm: 36, gapMm: 2 }
const PAGE_MARGIN_MM = 10
/** A label holds no more lines than these. */
const LINES = 4
const LETTERS = 34

/** Labels for the bags that parts go into, to be cut along their frames. */
export function bagLabels(labels: BagLabel[], paper: Paper): Page[] {
  const page = papers[paper]
  const columns = Math.floor((page.widthMm - 2 * PAGE_MARGIN_MM + LABEL.gapMm) / (LABEL.widthMm + LABEL.gapMm))
  const rows = Math.floor((page.heightMm - 2 * PAGE_MARGIN_MM + LABEL.gapMm) / (LABEL.heightMm + LABEL.gapMm))
  const perSheet = columns * rows
  return Array.from({ length: Math.ceil(labels.length / perSheet) }, (_, sheet) => ({
    name: `${sheet + 1}`,
    window: null,
    drawing: [],
    shapes: labels
      .slice(sheet * perSheet, (sheet + 1) * perSheet)
      .flatMap((label, index) =>
        labelShapes(
          label,
          PAGE_MARGIN_MM + (index % columns) * (LABEL.widthMm + LABEL.gapMm),
          PAGE_MARGIN_MM + Math.floor(index / columns) * (LABEL.heightMm + LABEL.gapMm),
        ),
      ),
  }))
}

function labelShapes({ title, lines }: BagLabel, x: number, y: number): PageShape[] {
  const { widthMm, heightMm } = LABEL
  const short = (text: string, most = LETTERS) => (text.length > most ? `${text.slice(0, most - 1)}…` : text)
  return [
    {
      kind: 'path',
      closed: true,
      widthMm: 0.3,
      points: [
        [x, y],
        [x + widthMm, y],
        [x + widthMm, y + heightMm],
        [x, y + heightMm],
      ],
    },
    { kind: 'text', x: x + 3, y: y + 7, sizeMm: 4.6, anchor: 'start', bold: true, text: short(title, 24) },
    ...lines.slice(0, LINES).map((text, row): PageShape => ({
      kind: 'text',
      x: x + 3,
      y: y + 13.5 + row * 5.4,
      sizeMm: 3.4,
      anchor: 'start',
      text: short(text),
    })),
  ]
}
