import { describe, expect, it } from 'vitest'
import { operation, smallPack } from '../../../tests/support/small-pack'
import { TestLog } from '../../../tests/support/job-log'
import { tryCompleteActivity } from '../views/activity'

const steps = [
  operation('read', { phase: 'test', activity: { kind: 'read' } }),
  operation('teach', { phase: 'prove', activity: { kind: 'teach', routine: 'It learns anew' } }),
  operation('lever', { phase: 'prove', activity: { kind: 'gears', engine: 'off', positions: ['P', 'R', 'N'] } }),
]
const opened = () => TestLog.open(smallPack({ operations: steps }))
const missing = (log: TestLog, id: string) =>
  tryCompleteActivity(
    log.state,
    log.state.procedure!.operations.find(entry => entry.id === id)!,
  )

describe('what the controller holds and learns', () => {
  it('is read before the step is done, and nothing stored is an answer too', () => {
    const log = opened()
    expect(log.refusal('step-done', { stepId: 'read' })).toContain('Nobody has written down')
    log.add('codes-read', { stepId: 'read', codes: [] })
    expect(missing(log, 'read')).toBeNull()
    log.add('codes-read', { stepId: 'read', codes: [{ code: 'T14', text: 'slip in third' }] })
    expect(log.state.codes.read!.codes).toEqual([{ code: 'T14', text: 'slip in third' }])
  })
  it('is taught to its end, or refuses with a reason that is written down as a trouble', () => {
    const log = opened()
    expect(missing(log, 'teach')).toBe('The routine has not been run.')
    expect(log.refusedAt('routine-run', { stepId: 'teach', outcome: 'refused', reason: ' ' })).toBe('payload.reason')
    log.add('routine-run', { stepId: 'teach', outcome: 'refused', reason: 'Fluid too cold' })
    expect(missing(log, 'teach')).toContain('Fluid too cold')
    log.add('trouble-raised', { troubleId: 't', stepId: 'teach', text: 'It refuses', waitsFor: null, until: null })
    expect(missing(log, 'teach')).toBeNull()
    log.add('routine-run', { stepId: 'teach', outcome: 'done', reason: '' })
    expect(log.state.routines.teach!.outcome).toBe('done')
  })
  it('belongs to steps that read or teach, each code once', () => {
    const log = opened()
    expect(log.refusedAt('codes-read', { stepId: 'teach', codes: [] })).toBe('payload.stepId')
    expect(log.refusedAt('routine-run', { stepId: 'read', outcome: 'done', reason: '' })).toBe('payload.stepId')
    const twice = [
      { code: 'T14', text: '' },
      { code: 'T14', text: 'again' },
    ]
    expect(log.refusedAt('codes-read', { stepId: 'read', codes: twice })).toBe('payload.codes[1].code')
  })
  it('moves with a lever by its positions, not by the gears of the car', () => {
    const log = opened()
    expect(log.refusal('gear-tried', { stepId: 'lever', gear: '1', result: 'clean' })).toContain('no position')
    for (const gear of ['P', 'R']) log.add('gear-tried', { stepId: 'lever', gear, result: 'clean' })
    expect(missing(log, 'lever')).toBe('Not tried yet: N.')
    log.add('gear-tried', { stepId: 'lever', gear: 'N', result: 'refuses' })
    expect(missing(log, 'lever')).toBe('Position N is not right. Write the trouble down first.')
  })
})
