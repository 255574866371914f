/** A minute of the day as on a clock: `07:30`. */
export function clockText(minutes: number): string {
  return `${String(Math.floor(minutes / 60)).padStart(2, '0')}:${String(minutes % 60).padStart(2, '0')}`
}

/** The minute of the day that a clock text names. */
export function minuteOfDay(text: string): number {
  const [hours, minutes] = text.split(':').map(Number)
  return (hours ?? 0) * 60 + (minutes ?? 0)
}
