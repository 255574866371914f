import type { SourceKind } from '../core/fasteners'
import type { NewJob } from './jobs'

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

/** What the customer may say, in plain words. */
export const symptomLabels = [
  { id: 'slips', label: 'Slips' },
  { id: 'judders', label: 'Judders as it takes up' },
  { id: 'rattles', label: 'Rattles in the first part of release' },
  { id: 'squeals', label: 'Squeals with the pedal down' },
  { id: 'will-not-select', label: 'Gears will not go in' },
  { id: 'pedal-soft', label: 'Pedal soft or low' },
  { id: 'other', label: 'Something else' },
] as const satisfies { id: NewJob['complaint']['symptoms'][number]; label: string }[]

export const symptomWords: Record<string, string> = Object.fromEntries(
  symptomLabels.map(({ id, label }) => [id, label]),
)
