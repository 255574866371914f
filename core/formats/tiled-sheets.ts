import { line, papers } from './drawing'
import type { Drawing, Paper, PageShape, Page } from './drawing'

/** Printers leave this much of a page white, in mm. */
const PAGE_MARGIN_MM = 10
/** Room below the window for the scale bar and the sheet's name. */
const FOOT_MM = 16
/** Neighbouring sheets show this much of the same: every hole stands whole on one of them, and they can be laid over each other. */
export const OVERLAP_MM = 24
export const SCALE_BAR_MM = 100
const CROSS_MM = 5
/** A longer title would run into what stands at the other end of its line. */
const TITLE_LETTERS = 50

/**
 * Cuts a drawing into sheets at 1:1. Neighbours overlap; on every sheet stand registration crosses, which lie on those of
 * its neighbours, a scale bar of 100 mm, and its place in the whole.
 * @param title printed at the foot of each sheet
 */
export function tiledSheets(drawing: Drawing, paper: Paper, title: string): Page[] {
  const page = papers[paper]
  const widthMm = page.widthMm - 2 * PAGE_MARGIN_MM
  const heightMm = page.heightMm - 2 * PAGE_MARGIN_MM - FOOT_MM
  const columns = tilesFor(drawing.widthMm, widthMm)
  const rows = tilesFor(drawing.heightMm, heightMm)
  return Array.from({ length: rows * columns }, (_, index) => {
    const [row, column] = [Math.floor(index / columns), index % columns]
    const window = {
      x: PAGE_MARGIN_MM,
      y: PAGE_MARGIN_MM,
      widthMm,
      heightMm,
      fromX: column * (widthMm - OVERLAP_MM),
      fromY: row * (heightMm - OVERLAP_MM),
    }
    const name = `${String.fromCharCode(65 + row)}${column + 1}`
    const footY = page.heightMm - PAGE_MARGIN_MM - 4
    return {
      name,
      window,
      drawing: drawing.shapes,
      shapes: [
        ...crosses(columns, rows, column, row, widthMm, heightMm),
        ...scaleBar(PAGE_MARGIN_MM, footY),
        {
          kind: 'text',
          x: page.widthMm - PAGE_MARGIN_MM,
          y: footY,
          sizeMm: 3.5,
          anchor: 'end',
          text: `sheet ${name}, ${index + 1} of ${rows * columns}`,
        },
        {
          kind: 'text',
          x: PAGE_MARGIN_MM,
          y: footY + 4,
          sizeMm: 2.8,
          anchor: 'start',
          text: `${SCALE_BAR_MM} mm: measure it. ${title.slice(0, TITLE_LETTERS)}`,
        },
        {
          kind: 'text',
          x: page.widthMm - PAGE_MARGIN_MM,
          y: footY + 4,
          sizeMm: 2.8,
          anchor: 'end',
          text: 'Print at 100 %, not fitted to the page. Lay crosses on crosses.',
        },
      ],
    }
  })
}

function tilesFor(length: number, window: number): number {
  return Math.max(1, Math.ceil((length - OVERLAP_MM) / (window - OVERLAP_MM)))
}

/** Crosses in the middle of every overlap with a neighbour, near both ends of the edge. */
function crosses(
  columns: number,
  rows: number,
  column: number,
  row: number,
  widthMm: number,
  heightMm: number,
): PageShape[] {
  const half = OVERLAP_MM / 2
  const xs = [...(column > 0 ? [half] : []), ...(column < columns - 1 ? [widthMm - half] : [])]
  const ys = [...(row > 0 ? [half] : []), ...(row < rows - 1 ? [heightMm - half] : [])]
  const points = [
    ...xs.flatMap(x => [
      [x, heightMm * 0.25],
      [x, heightMm * 0.75],
    ]),
    ...ys.flatMap(y => [
      [widthMm * 0.25, y],
      [widthMm * 0.75, y],
    ]),
  ]
  return points.flatMap(([x, y]) => {
    const [px, py] = [PAGE_MARGIN_MM + x!, PAGE_MARGIN_MM + y!]
    return [line(px - CROSS_MM, py, px + CROSS_MM, py, 0.2), line(px, py - CROSS_MM, px, py + CROSS_MM, 0.2)]
  })
}

function scaleBar(x: number, y: number): PageShape[] {
  return [
    line(x, y, x + SCALE_BAR_MM, y, 0.5),
    ...Array.from({ length: 11 }, (_, tick) =>
      line(x + tick * 10, y - (tick % 5 === 0 ? 3 : 1.8), x + tick * 10, y, 0.3),
    ),
  ]
}
