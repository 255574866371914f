import type { StandCounts } from '../../core/job'

const others = ({ slack, open, unplugged, propped }: StandCounts): [number, string][] => [
  [slack, 'loose'],
  [open, 'open'],
  [unplugged, 'unplugged'],
  [propped, 'held'],
]

/** How many pieces are off, in the fewest words; where none is, what else is not as it should be. */
export function offWords(counts: StandCounts): string {
  if (counts.off > 0) return `${counts.off} off`
  const [count, word] = others(counts).find(([each]) => each > 0) ?? [0, '']
  return count > 0 ? `${count} ${word}` : 'nothing off'
}

/** The same in full: what is off, and beside it what is loose, open, apart or held. */
export function carWords(counts: StandCounts): string {
  const all: [number, string][] = [[counts.off, counts.off === 1 ? 'piece off' : 'pieces off'], ...others(counts)]
  const told = all.filter(([count]) => count > 0).map(([count, word]) => `${count} ${word}`)
  return told.length === 0 ? 'The car is whole' : told.join(', ')
}
