import type { ThingStand } from '../../core/job/views/car-drawing'

/** How a thing stands, in a word. */
export const standWords: Record<ThingStand, string> = {
  off: 'off',
  loose: 'loose',
  open: 'open',
  held: 'holds',
  whole: 'on',
}
