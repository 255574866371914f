/** Below this, in CSS pixels of the shorter side, what is touched is a phone. */
const PHONE_BELOW = 600

/** What the device is called where devices are listed, as far as it says what it is. */
export function deviceName(
  isTouched = matchMedia('(pointer: coarse)').matches,
  shorterSide = Math.min(screen.width, screen.height),
): string {
  if (!isTouched) return 'Computer'
  return shorterSide < PHONE_BELOW ? 'Phone' : 'Tablet'
}
