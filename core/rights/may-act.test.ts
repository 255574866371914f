import { describe, expect, it } from 'vitest'
import { book } from '../job/chapters'
import type { EventType, JobEvent } from '../job/chapters'
import { actRefused, permissionOf } from './may-act'
import { may } from '../people/roles'
import type { Role } from '../people/roles'

const event = (type: EventType, change: Partial<JobEvent> = {}, payload: unknown = {}) =>
  ({ id: 'e', personId: 'me', type, payload, ...change }) as JobEvent
const refused = (role: Role, act: JobEvent, log: JobEvent[] = [], handed: Record<string, string> = {}) =>
  actRefused(role, act, { handed }, log)

describe('an act', () => {
  it('wants what it says where it is written down', () => {
    expect(refused('helper', event('stroke-counted'))).toBeNull()
    expect(refused('helper', event('options-switched'))!.reason).toContain('helper')
    expect(refused('mechanic', event('paid'))!.path).toBe('type')
    expect(refused('bookkeeper', event('paid'))).toBeNull()
    expect(permissionOf('constructor')).toBe('work')
    // Nobody who only helps spends money, plans, or hands over.
    const helped = Object.keys(book.kinds).filter(type => may('helper', permissionOf(type)))
    expect(helped.filter(type => /plan|option|part|paid|paper|handed|ladder|bolt-group|closed/.test(type))).toEqual([])
  })
  it('at a step is a helper’s where the step was handed to them', () => {
    const tick = event('step-done', {}, { stepId: 'wheels-off' })
    expect(refused('helper', tick, [], { 'wheels-off': 'me' })).toBeNull()
    const others: Record<string, string>[] = [{}, { 'wheels-off': 'them' }, { 'shield-off': 'me' }]
    for (const handed of others) expect(refused('helper', tick, [], handed)!.path).toBe('payload.stepId')
    expect(refused('mechanic', tick)).toBeNull()
  })
  it('of somebody else is not taken back by who only helps', () => {
    const log = [event('step-done', { id: 'theirs', personId: 'them' }), event('step-done', { id: 'mine' })]
    const undo = (eventId: string) => event('undone', {}, { eventId })
    expect(refused('helper', undo('mine'), log)).toBeNull()
    expect(refused('helper', undo('theirs'), log)!.path).toBe('payload.eventId')
    expect(refused('mechanic', undo('theirs'), log)).toBeNull()
  })
})
