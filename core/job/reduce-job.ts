import { dict } from '../base/dict'
import { nextBolt } from '../fasteners'
import { askedOrderAppliers } from './asked-orders'
import { emptyBench } from './bench-state'
import { bringIn, buildBoards, changeBolt, takeOut, turnOnBoard } from './boards'
import { breakBolt } from './broken-bolts'
import { changedPlan } from './change-plan'
import { noCircumstances } from './circumstances'
import { bleedAppliers } from './bleeding'
import { closingAppliers } from './closing'
import { diagnosisAppliers } from './diagnosis'
import { paymentAppliers } from './payments'
import { placingAppliers } from './placing'
import { roadAppliers } from './road-test'
import { cautionAppliers } from './cautions'
import { gapAppliers } from './gaps'
import { closeLadder, ladderAppliers } from './ladders'
import { effectiveEvents } from './effective-events'
import type { EventType, JobEvent } from './events'
import { issuedPaperAppliers } from './issued-papers'
import { noteOnSheets } from './note-on-sheets'
import { readPlan } from './older-plan'
import { pastOf } from './past'
import { reconcileAppliers } from './reconcile'
import { reservoirAppliers } from './reservoir'
import { benchAppliers } from './reduce-bench'
import type { JobState } from './state'
import { applyStepDone } from './step-done'
import { stopTimer } from './timers'

/** A job of which nothing is known yet. */
export function emptyJob(): JobState {
  return {
    jobId: null, number: 0, numberThere: null, vehicle: null,
    complaint: { symptoms: [], text: '' }, pumpTest: { result: 'not-done', strokes: null }, odometerKm: null, openedAt: null,
    procedure: null, plan: null, circumstances: noCircumstances, clock: null, done: dict(), ledger: dict(), everOff: dict(), facts: [], car: 'ground', place: 'top',
    notes: [], readings: [], timers: dict(), troubles: [], figures: dict(), fasteners: dict(), boards: dict(), askedOrders: [], addedParts: [], runs: [], ladderRuns: [], gaps: [], bleeding: dict(), reservoirs: dict(), gears: dict(),
    breakIn: null, site: { site: 'bay', travelMinutes: 0, notBefore: null }, payments: [], issuedPapers: [], checks: dict(), road: dict(), findings: dict(), causeFound: null, comeback: null, acknowledged: dict(), replaced: dict(), leftOpen: dict(), ...emptyBench(), handedOver: null, calledOff: null, lastSeq: 0, lastAt: null,
  }
}

/**
 * The state of a job: a pure function of its events, the same in the browser, in the server and in tests.
 *
 * Events count in the order of the list: those with a sequence number by that number, those still waiting
 * for one after them. The same event given twice counts once.
 * @param events events of one job, in any order as far as they are numbered
 */
export function reduceJob(events: JobEvent[]): JobState {
  const seen = new Set<string>()
  const unique = events.filter(event => !seen.has(event.id) && seen.add(event.id))
  const ordered = unique.map((event, index) => ({ event, index }))
    .sort((a, b) => (a.event.seq ?? Infinity) - (b.event.seq ?? Infinity) || a.index - b.index)
    .map(({ event }) => event)
  const state = emptyJob()
  for (const event of effectiveEvents(ordered)) applyEvent(state, event)
  state.lastSeq = ordered.reduce((last, event) => Math.max(last, event.seq ?? 0), 0)
  state.lastAt = ordered.at(-1)?.deviceTime ?? null
  return state
}

type Appliers = { [T in EventType]: (state: JobState, event: JobEvent<T>) => void }

const appliers: Appliers = {
  'job-opened': (state, { jobId, payload, deviceTime }) => {
    const { number, numberThere = null, vehicle, complaint, pumpTest, odometerKm } = payload
    Object.assign(state, { jobId, number, numberThere, vehicle, complaint, pumpTest, odometerKm, openedAt: deviceTime })
  },
  'plan-made': (state, { payload, deviceTime }) => {
    Object.assign(state, readPlan(payload))
    state.circumstances = payload.circumstances ?? noCircumstances
    state.clock = payload.clock ?? { at: deviceTime, minutes: 0, utcOffsetMinutes: 0 }
    state.facts = payload.procedure.facts.filter(fact => fact.initially).map(fact => fact.id)
    buildBoards(state)
  },
  'options-switched': (state, { payload }) => {
    const known = new Set(state.procedure?.facts.map(fact => fact.id))
    state.facts = [...state.facts, ...payload.procedure.facts.filter(fact => fact.initially && !known.has(fact.id)).map(fact => fact.id)]
    Object.assign(state, readPlan(payload), { circumstances: payload.circumstances, clock: payload.clock })
    buildBoards(state)
  },
  'plan-changed': (state, { payload }) => {
    state.plan = changedPlan(state, payload)
    state.circumstances = payload.circumstances
    state.clock = { at: payload.at, utcOffsetMinutes: payload.utcOffsetMinutes, minutes: pastOf(state)?.steps.at(-1)?.finishMinutes ?? 0 }
  },
  'step-done': applyStepDone,
  'note-added': (state, { payload, deviceTime, personId }) => {
    state.notes.push({ ...payload, at: deviceTime, personId })
  },
  'reading-taken': (state, { payload, deviceTime, personId }) => {
    state.readings.push({ ...payload, at: deviceTime })
    noteOnSheets(state, payload, deviceTime, personId)
  },
  'timer-started': (state, { payload, deviceTime }) => {
    state.timers[payload.stepId] = { seconds: state.timers[payload.stepId]?.seconds ?? 0, runningSince: deviceTime }
  },
  'timer-stopped': (state, { payload, deviceTime }) => stopTimer(state, payload.stepId, deviceTime),
  'trouble-raised': (state, { payload, deviceTime }) => {
    state.troubles.push({ ...payload, at: deviceTime, cleared: null })
  },
  'trouble-cleared': (state, { payload, deviceTime }) => {
    const trouble = state.troubles.find(entry => entry.troubleId === payload.troubleId)
    if (trouble) trouble.cleared = { at: deviceTime, how: payload.how }
    closeLadder(state, payload.troubleId, deviceTime)
  },
  'figure-named': (state, { payload, personId, deviceTime }) => {
    const { entered, ...figure } = payload
    state.figures[payload.group] = [...state.figures[payload.group] ?? [], { ...figure, personId: entered?.by ?? personId, at: entered?.at ?? deviceTime }]
  },
  'fastener-described': (state, { payload }) => {
    state.fasteners[payload.group] = payload.fastener
  },
  'board-outlined': (state, { payload }) => {
    const board = state.boards[payload.group]
    if (board) state.boards[payload.group] = { ...board, outline: payload.outline }
  },
  'bolt-placed': (state, { payload: { group, boltId, xMm, yMm } }) => {
    const board = state.boards[group]
    if (!board) return
    if (board.bolts.some(bolt => bolt.id === boltId)) changeBolt(state, group, boltId, bolt => ({ ...bolt, xMm, yMm }))
    else state.boards[group] = { ...board, bolts: [...board.bolts, { id: boltId, xMm, yMm, offWith: null, stand: 'untouched', entry: null, condition: null, suspect: false }] }
  },
  'bolt-lifted': (state, { payload: { group, boltId } }) => {
    const board = state.boards[group]
    if (board) state.boards[group] = { ...board, bolts: board.bolts.filter(bolt => bolt.id !== boltId) }
  },
  'bolt-described': (state, { payload: { group, boltId, details, condition } }) => {
    changeBolt(state, group, boltId, ({ id, xMm, yMm, offWith, stand, entry, suspect }) => ({ ...details, id, xMm, yMm, offWith, stand, entry, suspect, condition }))
  },
  'bolts-out': (state, { payload }) => takeOut(state, payload.group, payload.boltIds, payload.condition),
  'bolts-in': (state, { payload }) => bringIn(state, payload.group, payload.boltIds, payload.stand ?? 'snug'),
  'run-started': (state, { payload }) => {
    state.runs.push({ ...payload, turned: 0, turns: [], stops: [], dropped: null })
  },
  'pass-turned': (state, { payload: { runId, passIndex } }) => {
    const run = state.runs.find(entry => entry.runId === runId)
    if (!run) return
    for (let next = nextBolt(run, run.turned); next?.passIndex === passIndex; next = nextBolt(run, run.turned)) {
      run.turned++
      turnOnBoard(state, run, { passIndex, bolt: next.bolt })
    }
  },
  'bolt-turned': (state, { payload: { runId, ...turn } }) => {
    const run = state.runs.find(entry => entry.runId === runId)
    if (!run) return
    run.turned++
    if (turn.feel || turn.reading) run.turns.push(turn)
    turnOnBoard(state, run, turn)
  },
  'bolt-stopped': (state, { payload: { runId, ...stop }, deviceTime }) => {
    state.runs.find(entry => entry.runId === runId)?.stops.push({ ...stop, at: deviceTime, cleared: null })
  },
  'stop-cleared': (state, { payload }) => {
    const stop = state.runs.find(entry => entry.runId === payload.runId)?.stops.findLast(entry => entry.cleared === null)
    if (stop) stop.cleared = payload.how
  },
  'bolt-broken': (state, { payload, deviceTime }) => {
    const { group, boltId, how, troubleId, text, waitsFor, until } = payload
    breakBolt(state, group, boltId, how)
    state.troubles.push({ troubleId, stepId: null, text, waitsFor, until, at: deviceTime, cleared: null })
    state.addedParts.push(...payload.parts.map(name => ({ name, because: text, at: deviceTime })))
  },
  'run-dropped': (state, { payload }) => {
    const run = state.runs.find(entry => entry.runId === payload.runId)
    if (run) run.dropped = payload.reason
  },
  'gear-tried': (state, { payload }) => {
    (state.gears[payload.stepId] ??= dict())[payload.gear] = payload.result
  },
  'break-in-set': (state, { payload, deviceTime }) => {
    const { odometerKm, ...rule } = payload
    state.breakIn = { ...rule, startKm: odometerKm, startAt: deviceTime, lastKm: odometerKm, readings: [] }
  },
  'odometer-read': (state, { payload, deviceTime }) => {
    state.odometerKm = payload.odometerKm
    if (!state.breakIn) return
    state.breakIn.lastKm = payload.odometerKm
    state.breakIn.readings.push({ at: deviceTime, ...payload })
  },
  'left-open': (state, { payload, deviceTime, personId }) => {
    state.leftOpen[payload.entry] = { reason: payload.reason, personId, at: deviceTime }
  },
  'left-open-withdrawn': (state, { payload }) => {
    delete state.leftOpen[payload.entry]
  },
  'handed-over': (state, { payload, deviceTime }) => {
    state.handedOver = { ...payload, at: deviceTime }
    if (payload.odometerKm !== null) state.odometerKm = payload.odometerKm
    for (const stepId of Object.keys(state.timers)) stopTimer(state, stepId, deviceTime)
  },
  'called-off': (state, { payload, deviceTime }) => {
    state.calledOff = { reason: payload.reason, at: deviceTime }
    for (const stepId of Object.keys(state.timers)) stopTimer(state, stepId, deviceTime)
  },
  ...benchAppliers,
  ...askedOrderAppliers,
  ...issuedPaperAppliers,
  ...ladderAppliers,
  ...gapAppliers,
  ...cautionAppliers,
  ...reconcileAppliers,
  ...bleedAppliers,
  ...diagnosisAppliers,
  ...placingAppliers,
  ...paymentAppliers,
  ...closingAppliers,
  ...roadAppliers,
  ...reservoirAppliers,
  'undone': () => {},
}

/** Adds one event to a state, in place. Types it does not know, from a newer device, are passed over. */
export function applyEvent(state: JobState, event: JobEvent): void {
  const apply = appliers[event.type] as ((state: JobState, event: JobEvent) => void) | undefined
  apply?.(state, event)
}
