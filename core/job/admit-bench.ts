import { isAsked, openAsked } from './asked-orders'
import { partsAwaited } from './arrivals'
import type { BenchEventType } from './bench-events'
import { refuse } from './refusal'
import type { Judges, Refusal } from './refusal'
import type { JobState } from './state'

/** Whether what the bench finds, notes and decides may enter the log. */
export const benchJudges: Pick<Judges, BenchEventType> = {
  'sheet-read': (state, { payload }) => {
    const sheet = state.procedure?.bench.sheets.find(entry => entry.id === payload.sheetId)
    if (!sheet) return refuse('payload.sheetId', `This job has no sheet "${payload.sheetId}".`)
    const unknown = [...Object.keys(payload.values), ...payload.cleared].find(id => !sheet.fields.some(field => field.id === id))
    if (unknown !== undefined) return refuse(`payload.values.${unknown}`, 'This sheet does not ask for that.')
    for (const field of sheet.fields) {
      const value = payload.values[field.id]
      if (!value) continue
      if (value.kind !== field.kind) return refuse(`payload.values.${field.id}.kind`, `A value of ${field.kind} is wanted.`)
      if (field.kind === 'choice' && value.kind === 'choice' && !field.answers.some(answer => answer.id === value.answer)) {
        return refuse(`payload.values.${field.id}.answer`, `One of: ${field.answers.map(answer => answer.id).join(', ')}.`)
      }
    }
    return null
  },
  'orientation-noted': (state, { payload }) => unknownOrientation(state, payload.partId),
  'orientation-confirmed': (state, { payload }) => unknownOrientation(state, payload.partId)
    ?? (state.orientations[payload.partId] ? null : refuse('payload.partId', 'Nothing was noted of it, so there is nothing to confirm. Note which way it goes in.')),
  'old-part-gone': (state, { payload }) => {
    const part = state.procedure?.bench.oldParts.find(entry => entry.id === payload.partId)
    if (!part) return refuse('payload.partId', `This job keeps no old part "${payload.partId}".`)
    if (!part.off.some(step => state.done[step])) return refuse('payload.partId', 'It is still on the car.')
    if (state.oldPartsGone[payload.partId]) return refuse('payload.partId', 'It is gone already.')
    return part.until.every(step => state.done[step]) ? null : refuse('payload.partId', `Not before the car has driven. ${part.because}`)
  },
  'renewal-weighed': (state, { payload }) => unknownReach(state, payload.partId),
  'renewal-decided': (state, { payload }) => payload.decisions.map(({ partId }) => unknownReach(state, partId)).find(refusal => refusal !== null) ?? null,
  'way-chosen': (state, { payload }) => Object.hasOwn(state.procedure?.options ?? {}, payload.option) ? null : refuse('payload.option', `This job has no option "${payload.option}".`),
  'part-ordered': (state, { payload }) => {
    if (state.orders.some(order => order.orderId === payload.orderId)) return refuse('payload.orderId', 'This order is in the log already.')
    if (payload.partId === null) return null
    if (!state.procedure?.parts.some(part => part.id === payload.partId)) return refuse('payload.partId', `This job uses no part "${payload.partId}".`)
    if (isAsked(state, payload.orderId)) return null
    if (openAsked(state).some(order => order.partId === payload.partId)) return refuse('payload.partId', 'The supplier is being asked for this part already.')
    return state.orders.some(order => order.partId === payload.partId && order.cameAt === null) ? refuse('payload.partId', 'This part is on order already.') : null
  },
  'part-moved': (state, { payload }) => notOpen(state, payload.orderId),
  'part-came': (state, { payload }) => notOpen(state, payload.orderId),
}

/** What a step that puts parts back still has to confirm of the way they go in, or a part of it that is not here. */
export function notReadyToGoIn(state: JobState, stepId: string): Refusal | null {
  const unconfirmed = orientationsBackWith(state, stepId).find(entry => state.orientations[entry.id]?.confirmedAt === null)
  if (unconfirmed) {
    const noted = state.orientations[unconfirmed.id]!
    return refuse('payload.stepId', `Which way does it go in? ${unconfirmed.name}: ${noted.side}${noted.mark ? `, ${noted.mark}` : ''}. Confirm it first.`)
  }
  const awaited = partsAwaited(state).find(part => part.stepId === stepId)
  return awaited ? refuse('payload.stepId', `${awaited.name} is still on its way. Say that it is here first.`) : null
}

/** Parts of which a step puts back what was noted. */
export function orientationsBackWith(state: JobState, stepId: string) {
  return (state.procedure?.bench.orientations ?? []).filter(entry => entry.back.includes(stepId))
}

/** Parts of which a step is the moment to note which way they lie. */
export function orientationsOffWith(state: JobState, stepId: string) {
  return (state.procedure?.bench.orientations ?? []).filter(entry => entry.off.includes(stepId))
}

function unknownOrientation(state: JobState, partId: string): Refusal | null {
  return state.procedure?.bench.orientations.some(entry => entry.id === partId) ? null : refuse('payload.partId', `This job keeps no record of the way of "${partId}".`)
}

function unknownReach(state: JobState, partId: string): Refusal | null {
  return state.procedure?.bench.reachable.some(entry => entry.id === partId) ? null : refuse('payload.partId', `On this job no part "${partId}" comes within reach.`)
}

function notOpen(state: JobState, orderId: string): Refusal | null {
  const order = state.orders.find(entry => entry.orderId === orderId)
  if (!order) return refuse('payload.orderId', 'There is no such order on this job.')
  return order.cameAt ? refuse('payload.orderId', 'This part is here already.') : null
}
