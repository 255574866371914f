/** Minutes as papers write them: 7 h 05. */
export const hours = (minutes: number): string =>
  `${Math.floor(Math.round(minutes) / 60)} h ${String(Math.round(minutes) % 60).padStart(2, '0')}`

export const phaseNames = {
  test: 'Tests',
  'make-safe': 'Making safe, lifting',
  strip: 'Strip',
  bench: 'Bench',
  refit: 'Refit',
  fill: 'Fluids and hydraulics',
  prove: 'Proving',
} as const

export const checkWords = { done: 'Done', left: 'Left with a reason', open: 'Open', bad: 'Not right' } as const

/** Why a bolt stopped its run. */
export const stopWords = {
  drag: 'it ran heavy',
  early: 'tight too early',
  soft: 'soft',
  yielding: 'it was stretching',
  'gave-way': 'it gave way',
} as const
