import { describe, expect, it } from 'vitest'
import type { JobEvent } from '../../core/job'
import { Outbox } from './outbox'
import type { PostResult } from './outbox'

const event = (id: string) => ({ id, jobId: 'j', seq: null, deviceId: 'd', deviceTime: '2026-03-02T08:00:00.000Z', personId: 'p', type: 'note-added', payload: { stepId: null, text: id } }) as JobEvent
const settle = () => new Promise(resolve => setTimeout(resolve, 5))

function outboxWith(answers: ((events: JobEvent[]) => PostResult)[]) {
  const posted: string[][] = []
  const accepted: JobEvent[] = []
  const refused: string[] = []
  const offline: boolean[] = []
  const waits: number[] = []
  const outbox = new Outbox({
    post: async (events) => {
      posted.push(events.map(({ id }) => id))
      return (answers.shift() ?? accept)(events)
    },
    accepted: events => accepted.push(...events),
    refused: ({ id }, reason) => refused.push(`${id}: ${reason}`),
    changed: (_pending, isOffline) => offline.push(isOffline),
    wait: async (milliseconds) => { waits.push(milliseconds) },
  })
  return { outbox, posted, accepted, refused, offline, waits }
}
let seq = 0
const accept = (events: JobEvent[]): PostResult => ({ kind: 'accepted', accepted: events.map(({ id }) => ({ id, seq: ++seq })) })
const noAnswer = (): PostResult => ({ kind: 'offline' })
const refuse = (index: number) => (): PostResult => ({ kind: 'refused', issues: [{ path: `events[${index}].payload.stepId`, reason: 'First the other' }] })

describe('Outbox', () => {
  it('sends one after another and gives each its number', async () => {
    const { outbox, posted, accepted } = outboxWith([])
    for (const id of ['a', 'b', 'c']) outbox.push(event(id))
    await settle()
    expect(posted).toEqual([['a'], ['b', 'c']])
    expect(accepted.map(({ id, seq: number }) => [id, typeof number])).toEqual([['a', 'number'], ['b', 'number'], ['c', 'number']])
    expect(outbox.waiting).toEqual([])
  })
  it('keeps what nobody answered for and sends it again in order, ever more patiently', async () => {
    const { outbox, posted, offline, waits } = outboxWith([noAnswer, noAnswer, noAnswer])
    outbox.push(event('a'))
    outbox.push(event('b'))
    await settle()
    expect(posted.flat().filter(id => id === 'b').length).toBeGreaterThan(0)
    expect(posted.at(-1)).toEqual(['a', 'b'])
    expect(waits).toEqual([500, 1000, 2000])
    expect(offline).toContain(true)
    expect(offline.at(-1)).toBe(false)
    expect(outbox.waiting).toEqual([])
  })
  it('takes out the one that is refused and sends the rest', async () => {
    const { outbox, accepted, refused } = outboxWith([noAnswer, refuse(1)])
    for (const id of ['a', 'b', 'c']) outbox.push(event(id))
    await settle()
    expect(refused).toEqual(['b: First the other'])
    expect(accepted.map(({ id }) => id)).toEqual(['a', 'c'])
  })
})
