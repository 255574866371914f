import type { NewJob } from '../../contracts/jobs'

/** What the customer may say, in plain words. */
export const symptomLabels = [
  { id: 'slips', label: 'Slips' },
  { id: 'judders', label: 'Judders as it takes up' },
  { id: 'rattles', label: 'Rattles in the first part of release' },
  { id: 'squeals', label: 'Squeals with the pedal down' },
  { id: 'will-not-select', label: 'Gears will not go in' },
  { id: 'pedal-soft', label: 'Pedal soft or low' },
  { id: 'other', label: 'Something else' },
] as const satisfies { id: NewJob['complaint']['symptoms'][number], label: string }[]

export type SymptomId = typeof symptomLabels[number]['id']

export const symptomLabel = (id: string): string => symptomLabels.find(symptom => symptom.id === id)?.label ?? id
