import type { Stand } from '../../core/job/car-drawing'

/** How a thing stands, in a word. */
export const standWords: Record<Stand, string> = { off: 'off', loose: 'loose', open: 'open', held: 'holds', whole: 'on' }
