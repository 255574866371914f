import { expect, it } from 'vitest'
import { TestLog } from '../../../tests/support/job-log'
import { operation, smallPack } from '../../../tests/support/small-pack'
import { noCircumstances } from '../chapters/plan/circumstances'
import { breachesAhead, newBreach } from './breaches-ahead'

/** A box on two bolts and a jack; no link says that the jack goes first, as in a layout that nobody looked through. */
const open = () => {
  const log = TestLog.open(
    smallPack({
      items: [
        { id: 'jack', name: 'Jack', state: 'propped' },
        { id: 'bolt', name: 'Bolt', state: 'off', group: 'bolts' },
      ],
      groups: [{ id: 'bolts', name: 'Bell bolts', count: 2, part: 'vehicle' }],
      loads: [{ id: 'box', name: 'Box', heldBy: [{ prop: 'jack' }, { bolts: { group: 'bolts', atFigure: 2 } }] }],
      operations: [
        operation('jack-under', { takesOff: { jack: 1 }, refit: { kind: 'mirror', override: { title: 'Jack away' } } }),
        operation('bolts-out', {
          takesOff: { bolt: 2 },
          refit: { kind: 'mirror', override: { title: 'Bolts set', figure: 'bolts' } },
        }),
      ],
    }),
  )
  const sound = ['jack-under', 'bolts-out', 'bolts-out.refit', 'jack-under.refit']
  return { log, sound, fallen: ['bolts-out', 'jack-under', 'bolts-out.refit', 'jack-under.refit'] }
}
const change = (order: string[]) => ({
  circumstances: noCircumstances,
  order,
  at: '2026-03-02T08:30:00.000Z',
  utcOffsetMinutes: 0,
  lowerBoundMinutes: 0,
  proven: false,
})

it('tells what would hang from how the car stands now', () => {
  const { log, sound, fallen } = open()
  expect(breachesAhead(log.state, sound)).toEqual([])
  expect(breachesAhead(log.state, fallen)).toMatchObject([{ rule: 'held', step: 'bolts-out', what: 'box' }])
  log.add('plan-changed', change(sound)).done('jack-under')
  expect(breachesAhead(log.state, ['bolts-out', 'bolts-out.refit', 'jack-under.refit'])).toEqual([])
})
it('refuses an order that lets something fall, with the sentence, and lets a sound one through', () => {
  const { log, sound, fallen } = open()
  log.add('plan-changed', change(sound))
  expect(log.refusal('plan-changed', change(fallen))).toBe('Box hangs. Jack: away. Bell bolts: 0 of 2 at their figure.')
  expect(log.refusal('plan-changed', change(sound))).toBeNull()
})
it('is no worse than the plan as it stands where that is amiss itself', () => {
  const { log, fallen } = open()
  const amiss = {
    ...log.state,
    plan: {
      ...log.state.plan!,
      order: fallen,
      steps: fallen.map(id => ({ ...log.state.plan!.steps.find(step => step.id === id)! })),
    },
  }
  expect(newBreach(amiss, fallen)).toBeNull()
})
