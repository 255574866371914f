export const paperKinds = ['estimate', 'work-order', 'hand-over', 'break-in', 'invoice'] as const
export type PaperKind = (typeof paperKinds)[number]

export interface PaperTable {
  head: string[]
  rows: string[][]
  /** Columns of figures, which stand at the right. */
  right: number[]
  /** Columns whose cells stand on one line, such as a figure with its unit. */
  whole?: number[]
  /** Rows at the end that are sums. */
  sums?: number
}
export interface PaperSection {
  title: string
  lines?: string[]
  table?: PaperTable
  caution?: boolean
}

/** A paper as content, whatever it is printed on. */
export interface PaperDoc {
  kind: PaperKind
  title: string
  facts: [string, string][]
  sections: PaperSection[]
}
