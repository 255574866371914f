/** Minutes that the device's local time is ahead of UTC at a moment. */
export function utcOffsetMinutes(at = new Date()): number {
  return -at.getTimezoneOffset()
}
