import { byId } from '../../../base/by-id'
import { dict } from '../../../base/dict'
import type { Operation } from '../../../pack/operations'
import { operationOrder } from '../../../sequence/move-step'
import type { Chapter, JobState } from '../../chapters'
import { refuse } from '../../log/chapter'
import type { Refusal } from '../../log/chapter'
import { changedPlan } from '../plan/change-plan'
import { pastOf } from '../plan/past'
import { leaveOut } from '../unforeseen/left-out'
import { carryOut } from '../steps/carry-out'
import { stopTimer } from '../steps/timers'
import { bondsOf, inOrderOf, withHeldFirst } from './held-first'
import { missingPartId, withMissing } from './missing'
import { notToBeTakenOver } from './not-to-be-taken-over'
import { tooLate } from './too-late'

/** How much of a thing that came off elsewhere is not here: missing for good, or seen by nobody yet. */
export interface ToldThing {
  itemId: string
  missing: number
  unknown: number
  /** When what is missing is there, ISO 8601; `null` where nobody knows yet. */
  until: string | null
}

export interface TakenOverEvents {
  /** Steps that somebody else has done, in their order: before the car came, or elsewhere. */
  'steps-taken-over': {
    stepIds: string[]
    by: string
    at: string
    utcOffsetMinutes: number
    /** The work goes on from how the car stands: what hangs is held first, what is too late is left out. Acts of before did not. */
    asItStands?: true
  }
  /** Of things that are off: what is here, what is missing, what nobody has seen. */
  'things-told': { things: ToldThing[]; at: string; utcOffsetMinutes: number }
}

/** What others did, and what came along with the car. */
export interface TakenOverState {
  takenOver: Record<string, { by: string; at: string }>
  /** Item id → what of it is not here, as it was last told. */
  told: Record<string, Omit<ToldThing, 'itemId'>>
}

export const nothingTakenOver = (): TakenOverState => ({ takenOver: dict(), told: dict() })

export const takenOver: Chapter<TakenOverEvents> = {
  'steps-taken-over': {
    words: (_state, { payload }) =>
      payload.stepIds.length === 1 ? 'A step done by others' : `${payload.stepIds.length} steps done by others`,
    wants: 'work',
    undo: true,
    afterHandover: false,
    afterCallOff: false,
    admit: (state, { payload }) => notToBeTakenOver(state, payload.stepIds),
    apply: (state, { id, payload, deviceTime, personId }) => {
      const { stepIds, by, at, utcOffsetMinutes, asItStands } = payload
      if (!state.procedure || !state.plan) return
      const before = { ...state.ledger }
      for (const stepId of stepIds) {
        const operation = byId(state.procedure.operations, stepId)
        if (!operation || state.done[stepId]) continue
        state.done[stepId] = { at: deviceTime, personId, eventId: id }
        state.takenOver[stepId] = { by, at: deviceTime }
        stopTimer(state, stepId, deviceTime)
        carryOut(state, operation, deviceTime)
      }
      noteUnseen(state, before)
      leaveOutTooLate(state, tooLate(state, stepIds, asItStands === true), { at: deviceTime, personId })
      if (asItStands) state.procedure = withHeldFirst(state)
      planOn(state, { at, utcOffsetMinutes }, payload)
    },
  },
  'things-told': {
    words: (state, { payload }) =>
      payload.things.length === 1
        ? `What is here: ${byId(state.procedure!.items, payload.things[0]!.itemId)?.name ?? 'a thing'}`
        : 'What is here',
    wants: 'work',
    undo: true,
    afterHandover: false,
    afterCallOff: false,
    admit: (state, { payload }) => notToBeTold(state, payload.things),
    apply: (state, { payload }) => {
      if (!state.procedure || !state.plan) return
      for (const { itemId, ...thing } of payload.things) state.told[itemId] = thing
      const own = new Set(payload.things.map(({ itemId }) => missingPartId(itemId)))
      state.circumstances = {
        ...state.circumstances,
        arrivals: [
          ...state.circumstances.arrivals.filter(({ partId }) => !own.has(partId)),
          ...payload.things.flatMap(({ itemId, missing, until }) =>
            missing > 0 && until ? [{ partId: missingPartId(itemId), at: until }] : [],
          ),
        ],
      }
      state.procedure = withMissing(state.procedure, state.told)
      planOn(state, payload, payload)
    },
  },
}

/** What is too late leaves the plan, and says so. */
function leaveOutTooLate(state: JobState, late: readonly Operation[], by: { at: string; personId: string }): void {
  for (const { id: stepId, title } of late) {
    leaveOut(state, stepId)
    state.leftOut = [...state.leftOut, { stepId, title, reason: 'It came apart', ...by }]
  }
}

/** Whatever others took off is unseen until somebody says where it is. What is set for the work is no part of the car. */
function noteUnseen(state: JobState, before: Record<string, number>): void {
  for (const { id, state: stand } of state.procedure!.items) {
    const more = (state.ledger[id] ?? 0) - (before[id] ?? 0)
    if (more <= 0 || stand !== 'off') continue
    const told = state.told[id] ?? { missing: 0, unknown: 0, until: null }
    state.told[id] = { ...told, unknown: told.unknown + more }
  }
}

function planOn(
  state: JobState,
  { at, utcOffsetMinutes }: { at: string; utcOffsetMinutes: number },
  event: object,
): void {
  const order = inOrderOf(
    operationOrder(state.plan!).filter(id => !state.done[id]),
    bondsOf(state),
  )
  const { circumstances } = state
  state.plan = changedPlan(
    state,
    { circumstances, order, at, utcOffsetMinutes, lowerBoundMinutes: 0, proven: false },
    event,
  )
  state.clock = { at, utcOffsetMinutes, minutes: pastOf(state)?.steps.at(-1)?.finishMinutes ?? 0 }
}

function notToBeTold(state: JobState, things: readonly ToldThing[]): Refusal | null {
  if (!state.procedure || !state.plan) return refuse('type', 'The job has no plan yet.')
  for (const [index, { itemId, missing, unknown }] of things.entries()) {
    const path = `payload.things.${index}`
    const item = byId(state.procedure.items, itemId)
    if (!item) return refuse(`${path}.itemId`, `This job knows no thing "${itemId}".`)
    const off = state.ledger[itemId] ?? 0
    if (missing + unknown > off)
      return refuse(`${path}.missing`, `${item.name}: ${off} ${off === 1 ? 'is' : 'are'} off, no more can be missing.`)
    if (things.findIndex(other => other.itemId === itemId) < index)
      return refuse(`${path}.itemId`, 'This thing is told twice.')
  }
  return null
}

/** After the work was expanded anew: what is missing is a part of it again. */
export function missingAgain(state: JobState): void {
  if (state.procedure) state.procedure = withMissing(state.procedure, state.told)
}
