import type { JobState } from '../chapters'

/** As they were called before layouts brought words of their own; logs from then name no others. */
const before: Record<string, string> = {
  slips: 'Slips',
  judders: 'Judders as it takes up',
  rattles: 'Rattles in the first part of release',
  squeals: 'Squeals with the pedal down',
  'will-not-select': 'Gears will not go in',
  'pedal-soft': 'Pedal soft or low',
  other: 'Something else',
}

/** What somebody told of the car, in words: as its layout calls it. */
export function symptomLabel({ procedure }: Pick<JobState, 'procedure'>, id: string): string {
  return procedure?.symptoms?.find(symptom => symptom.id === id)?.label ?? before[id] ?? id
}
