/** A drawing in mm, origin at its top left, y down: what is printed at 1:1, as PDF or SVG. */
export type PageShape =
  | { kind: 'path'; points: [x: number, y: number][]; closed: boolean; widthMm: number; dash?: boolean }
  | { kind: 'circle'; x: number; y: number; radiusMm: number; widthMm: number }
  | {
      kind: 'text'
      x: number
      y: number
      sizeMm: number
      text: string
      anchor: 'start' | 'middle' | 'end'
      bold?: boolean
    }

export interface Drawing {
  widthMm: number
  heightMm: number
  shapes: PageShape[]
}

/** One sheet of paper: what stands on it in page millimetres, and the window through which the drawing is seen. */
export interface Page {
  name: string
  shapes: PageShape[]
  /** What is seen through the window, in millimetres of the drawing. */
  drawing: PageShape[]
  /** Where on the page the window lies, and which part of the drawing it shows. */
  window: { x: number; y: number; widthMm: number; heightMm: number; fromX: number; fromY: number } | null
}

export const papers = { a4: { widthMm: 210, heightMm: 297 }, letter: { widthMm: 215.9, heightMm: 279.4 } } as const
export type Paper = keyof typeof papers

/** A straight line. */
export function line(x1: number, y1: number, x2: number, y2: number, widthMm = 0.3): PageShape {
  return {
    kind: 'path',
    points: [
      [x1, y1],
      [x2, y2],
    ],
    closed: false,
    widthMm,
  }
}
