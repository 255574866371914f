import type { SourceKind } from '../core/fasteners'

/** Where a figure can come from, as a person says it. */
export const sourceLabels: { id: SourceKind; label: string }[] = [
  { id: 'vehicle-book', label: 'Vehicle book' },
  { id: 'kit-sheet', label: 'Kit sheet' },
  { id: 'fastener-sheet', label: 'Fastener maker’s sheet' },
  { id: 'measured', label: 'Measured' },
  { id: 'trade-practice', label: 'Trade practice' },
  { id: 'computed', label: 'Computed, not a specification' },
]

export const sourceWords: Record<string, string> = Object.fromEntries(sourceLabels.map(({ id, label }) => [id, label]))
