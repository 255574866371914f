/** The arc of a job, in its order. */
export const phases = ['test', 'make-safe', 'strip', 'bench', 'refit', 'fill', 'prove'] as const
export type Phase = (typeof phases)[number]

/** Where the mechanic stands: the id of a place of the layout's bay. */
export type Place = string

/** How the car stands: the id of one of the two stances of the layout's bay. */
export type CarPosition = string

/** A step that is done however the car stands. */
export const EITHER_POSITION = 'either'

export const linkKinds = ['physical', 'access', 'reaction', 'safety', 'clean', 'habit'] as const
/** Why one step comes before another. */
export type LinkKind = (typeof linkKinds)[number]

export const itemStates = ['off', 'open', 'unplugged', 'slack', 'propped'] as const
/** In what way a thing is not as it should leave the garage. */
export type ItemState = (typeof itemStates)[number]

/** Low, likely and high estimate, in minutes. */
export type ThreePoint = [low: number, likely: number, high: number]

/** Option ids with the choices under which a thing applies; all must hold. */
export type Choices = Record<string, string[]>

/** Under which choices a thing applies: any of the entries will do; an empty list applies always. */
export type When = Choices[]
