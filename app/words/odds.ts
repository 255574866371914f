/** Odds as a person says them. */
export function oddsText(odds: number): string {
  if (odds < 0.005) return 'no chance'
  if (odds < 0.05) return 'hardly a chance'
  if (odds > 0.95) return 'almost sure'
  const tenths = Math.round(odds * 10)
  return `${Math.min(9, Math.max(1, tenths))} in 10`
}
