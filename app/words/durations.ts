/** Minutes as a person says them: `45 min`, `2 h 05`. */
export function minutesText(minutes: number): string {
  const whole = Math.max(0, Math.round(minutes))
  if (whole < 60) return `${whole} min`
  return `${Math.floor(whole / 60)} h ${String(whole % 60).padStart(2, '0')}`
}

/** Seconds as on a stopwatch: `04:30`, `1:04:30`. */
export function stopwatch(seconds: number): string {
  const whole = Math.max(0, Math.floor(seconds))
  const [hours, rest] = [Math.floor(whole / 3600), whole % 3600]
  const tail = `${String(Math.floor(rest / 60)).padStart(2, '0')}:${String(rest % 60).padStart(2, '0')}`
  return hours > 0 ? `${hours}:${tail}` : tail
}
