import { FieldError } from '../base/field-error'

/** How the thread and the bearing of the head are when the bolt is tightened. */
export const threadConditions = [
  'dry',
  'oiled',
  'threadlocker',
  'head-lubricated',
  'thread-oiled',
  'threadlocker-head-lubricated',
] as const
export type ThreadCondition = (typeof threadConditions)[number]

/** What is on the thread, and what is under the head: each has its own friction, and half of a torque goes into each. */
export const threadTreatments = ['dry', 'oiled', 'threadlocker'] as const
export type ThreadTreatment = (typeof threadTreatments)[number]
export const headTreatments = ['dry', 'lubricated'] as const
export type HeadTreatment = (typeof headTreatments)[number]

const treatments: Readonly<Record<ThreadCondition, { thread: ThreadTreatment; head: HeadTreatment }>> = {
  dry: { thread: 'dry', head: 'dry' },
  oiled: { thread: 'oiled', head: 'lubricated' },
  threadlocker: { thread: 'threadlocker', head: 'dry' },
  'head-lubricated': { thread: 'dry', head: 'lubricated' },
  'thread-oiled': { thread: 'oiled', head: 'dry' },
  'threadlocker-head-lubricated': { thread: 'threadlocker', head: 'lubricated' },
}

/** What a condition says of the thread, and of the head. */
export const treatmentOf = (condition: ThreadCondition): { thread: ThreadTreatment; head: HeadTreatment } =>
  treatments[condition]

/** The condition of a thread and a head, each treated in its own way. */
export const conditionOf = (thread: ThreadTreatment, head: HeadTreatment): ThreadCondition =>
  threadConditions.find(each => treatments[each].thread === thread && treatments[each].head === head)!

interface Band {
  low: number
  usual: number
  high: number
}

/**
 * Friction by condition. Steel bolts as they come, phosphated or zinc plated, scatter between about 0.08 and 0.20, and bare steel that was
 * wiped dry of its oil up to 0.35 (VDI 2230 part 1, table of friction classes, from memory): nobody sees which of them a dry bolt is.
 * How much oil, wet threadlocker or lubricant under the head shifts them: common practice, no source.
 */
const bare: Band = { low: 0.115, usual: 0.14, high: 0.35 }
const oiled: Band = { low: 0.09, usual: 0.12, high: 0.15 }
const locked: Band = { low: 0.1, usual: 0.13, high: 0.17 }
const greased: Band = { low: 0.07, usual: 0.1, high: 0.13 }
const bands: Readonly<Record<ThreadCondition, { thread: Band; head: Band }>> = {
  dry: { thread: bare, head: bare },
  oiled: { thread: oiled, head: oiled },
  threadlocker: { thread: locked, head: bare },
  'head-lubricated': { thread: bare, head: greased },
  'thread-oiled': { thread: oiled, head: bare },
  'threadlocker-head-lubricated': { thread: locked, head: greased },
}

/** Other words for them. */
const otherWords: Readonly<Record<string, ThreadCondition>> = {
  oil: 'oiled',
  lubricated: 'oiled',
  'lubricant under head': 'head-lubricated',
  'lubricant under the head': 'head-lubricated',
  'lubricant-under-head': 'head-lubricated',
  threadlock: 'threadlocker',
  clean: 'dry',
}

export interface FrictionPair {
  threadFriction: number
  headFriction: number
}

/**
 * The friction of a condition: its usual pair, and the two ends of its scatter.
 * @throws FieldError on `condition` when it is not known
 */
export function frictionOf(condition: ThreadCondition): { usual: FrictionPair; low: FrictionPair; high: FrictionPair } {
  const known = Object.hasOwn(otherWords, condition) ? otherWords[condition]! : condition
  const band = Object.hasOwn(bands, known) ? bands[known] : undefined
  if (!band)
    throw new FieldError(
      'condition',
      `"${condition}" is not a condition of a thread. Known are ${threadConditions.join(', ')}.`,
    )
  const pair = (end: keyof Band): FrictionPair => ({ threadFriction: band.thread[end], headFriction: band.head[end] })
  return { usual: pair('usual'), low: pair('low'), high: pair('high') }
}
