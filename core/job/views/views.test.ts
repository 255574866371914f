import { describe, expect, it } from 'vitest'
import { TestLog } from '../../../tests/support/job-log'
import { coverAndPart, link, operation, smallPack } from '../../../tests/support/small-pack'
import { describeEvent, lastUndoable } from '../job'
import { openBeforeHandover } from './before-handover'
import { bleedStage } from './bleed-stage'
import { distanceToGo } from './break-in'
import { changedParts, pedalForbidden, whatHolds } from './ledger'
import { pumpVerdict } from './pump-verdict'
import { summarise } from './summary'
import { waitBefore } from './waits'

const open = () => TestLog.open(coverAndPart())

describe('bleedStage', () => {
  const bleeding = (change: object) => ({
    strokesPerRound: 25,
    restMinutes: 60,
    boughtMl: 0,
    pace: null,
    rounds: [{ way: '', strokes: 25, portions: 0, movedMl: 0, restSince: null, feel: null, ...change }],
  })
  it('tells the rest from the log alone', () => {
    const resting = bleeding({ restSince: '2026-03-02T08:00:00.000Z' })
    expect(bleedStage(resting, '2026-03-02T08:59:30.000Z')).toMatchObject({
      stage: 'rest',
      restSecondsLeft: 30,
      restEndsAt: '2026-03-02T09:00:00.000Z',
    })
    expect(bleedStage(resting, '2026-03-02T09:00:00.000Z').stage).toBe('judge')
  })
  it('is at the strokes before, and firm at the end', () => {
    expect(bleedStage(bleeding({}), '2026-03-02T08:00:00Z')).toMatchObject({ stage: 'strokes', strokes: 25, round: 1 })
    expect(bleedStage(bleeding({ feel: 'firm' }), '2026-03-02T08:00:00Z').stage).toBe('firm')
  })
})

it('opens the next round when the pedal is not firm', () => {
  const log = open()
    .add('bleed-opened', { stepId: 'look', strokesPerRound: 25, restMinutes: 60 })
    .add('stroke-counted', { stepId: 'look' })
    .add('pedal-judged', { stepId: 'look', feel: 'better' })
  expect(log.state.bleeding.look!.rounds).toMatchObject([
    { strokes: 1, restSince: null, feel: 'better' },
    { strokes: 0, restSince: null, feel: null },
  ])
})

describe('distanceToGo', () => {
  const breakIn = { distanceKm: 640, writtenAs: '400 mi', source: 'Sheet', startKm: 1000, lastKm: 1160 }
  it('counts from the hand-over', () => {
    expect(distanceToGo(breakIn)).toEqual({ drivenKm: 160, toGoKm: 480, share: 0.25 })
  })
  it('ends at nothing', () => {
    expect(distanceToGo({ ...breakIn, lastKm: 9000 })).toMatchObject({ toGoKm: 0, share: 1 })
  })
})

describe('summarise', () => {
  it('goes from planned over work to ready', () => {
    const log = open()
    expect(summarise(log.state)).toMatchObject({
      status: 'planned',
      offCount: 0,
      stepsDone: 0,
      next: { stepId: 'cover-off' },
    })
    expect(summarise(log.done('cover-off').state)).toMatchObject({ status: 'in-work', offCount: 1 })
    expect(summarise(log.all().state)).toMatchObject({ status: 'ready', minutesLeft: 0, next: null })
  })
  it('is closed when the job is called off', () => {
    expect(summarise(open().add('called-off', { reason: 'Sold' }).state).status).toBe('closed')
  })
  it('says what a trouble waits for, until it is cleared', () => {
    const log = open().add('trouble-raised', {
      troubleId: 't',
      stepId: null,
      text: 'None in stock',
      waitsFor: 'Flywheel',
      until: '2026-03-03T10:00:00.000Z',
    })
    expect(summarise(log.state)).toMatchObject({
      status: 'waiting',
      waitsFor: 'Flywheel',
      waitsUntil: '2026-03-03T10:00:00.000Z',
    })
    expect(summarise(log.add('trouble-cleared', { troubleId: 't', how: 'Came' }).state).status).toBe('planned')
  })
  it('waits through a rest between rounds', () => {
    const log = open()
      .add('bleed-opened', { stepId: 'look', strokesPerRound: 5, restMinutes: 60 })
      .add('stroke-counted', { stepId: 'look' })
      .add('rest-started', { stepId: 'look' })
    const until = new Date(Date.parse(log.events.at(-1)!.deviceTime) + 3_600_000).toISOString()
    expect(summarise(log.state)).toMatchObject({ status: 'waiting', waitsUntil: until })
  })
  it('follows the break-in to its end', () => {
    const log = open()
      .add('break-in-set', { distanceKm: 100, writtenAs: '100 km', source: 'Sheet', odometerKm: 1000 })
      .add('handed-over', { to: 'Somebody', odometerKm: 1000 })
    expect(summarise(log.state)).toMatchObject({ status: 'break-in', breakInToGoKm: 100 })
    expect(summarise(log.add('odometer-read', { odometerKm: 1100 }).state).status).toBe('closed')
    expect(log.refusal('odometer-read', { odometerKm: 1050 })).toContain('{1100 km} already')
  })
})

describe('waitBefore', () => {
  const log = TestLog.open(
    smallPack({
      operations: [operation('seal'), operation('close')],
      links: [link('seal', 'close', { waitMinutes: 60, because: 'The sealant skins.' })],
    }),
  )
  it('is nothing before the earlier step is done', () => {
    expect(waitBefore(log.state, 'close')).toBeNull()
  })
  it('runs from the end of the earlier step', () => {
    log.done('seal')
    const until = new Date(Date.parse(log.events.at(-1)!.deviceTime) + 3_600_000).toISOString()
    expect(waitBefore(log.state, 'close')).toEqual({ until, because: 'The sealant skins.' })
    expect(summarise(log.state).nextWait).toEqual({ until, because: 'The sealant skins.' })
    expect(log.refusal('step-done', { stepId: 'close' })).toBeNull()
  })
})

it('forbids the pedal while the fact that guards it does not hold', () => {
  const log = TestLog.open(
    smallPack({
      facts: [
        {
          id: 'home',
          name: 'Slave home',
          because: 'The piston is pushed out.',
          kind: 'safety',
          initially: true,
          guards: 'pedal',
        },
      ],
      operations: [operation('off', { ends: ['home'], refit: { kind: 'mirror', override: { title: 'On' } } })],
    }),
  )
  expect(pedalForbidden(log.state)).toBeNull()
  expect(pedalForbidden(log.done('off').state)?.because).toBe('The piston is pushed out.')
  expect(pedalForbidden(log.done('off.refit').state)).toBeNull()
})

describe('ledger', () => {
  it('names what holds the car', () => {
    expect(whatHolds(open().done('cover-off', 'raise-1').state).map(entry => entry.name)).toEqual(['Stands'])
    expect(changedParts(open().state)).toEqual([])
  })
  it('keeps the reason with the entry', () => {
    const log = open().done('cover-off').add('left-open', { entry: 'item:cover', reason: 'Customer fits it' })
    expect(openBeforeHandover(log.state)).toMatchObject([
      { entry: 'item:cover', left: { reason: 'Customer fits it', personId: 'p' } },
    ])
    expect(log.refusal('left-open-withdrawn', { entry: 'item:stands' })).toContain('No reason')
    expect(openBeforeHandover(log.add('left-open-withdrawn', { entry: 'item:cover' }).state)).toMatchObject([
      { entry: 'item:cover', left: null },
    ])
  })
})

describe('undo', () => {
  it('finds the last act and says it in words', () => {
    const log = open().done('cover-off')
    expect(describeEvent(lastUndoable(log.events)!, log.events)).toBe('Do cover-off')
    log.add('note-added', { stepId: null, text: 'x' })
    expect(describeEvent(lastUndoable(log.events)!, log.events)).toBe('Note')
  })
  it('finds nothing on a fresh job', () => {
    expect(lastUndoable(open().events)).toBeNull()
  })
})

describe('pumpVerdict', () => {
  it('points at the hydraulics when the pedal rises', () => {
    expect(pumpVerdict('rises', 18)).toMatchObject({ clear: true, text: expect.stringContaining('not the clutch') })
  })
  it('asks for more strokes when there were too few', () => {
    expect(pumpVerdict('no-change', 6).clear).toBe(false)
    expect(pumpVerdict('not-done', null).clear).toBe(false)
  })
})
