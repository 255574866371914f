import { describe, expect, it } from 'vitest'
import { TestLog } from '../../../tests/support/job-log'
import { link, operation, smallPack } from '../../../tests/support/small-pack'
import { refitRules } from './refit-rules'

const pack = smallPack({
  items: [
    { id: 'mount', name: 'Mount', state: 'off' },
    { id: 'tray', name: 'Tray', state: 'off' },
    { id: 'loose', name: 'Not at torque', state: 'slack' },
  ],
  operations: [
    operation('tray-off', { takesOff: { tray: 1 }, refit: { kind: 'mirror', override: { title: 'Tray on' } } }),
    operation('mount-off', {
      takesOff: { mount: 1 },
      refit: { kind: 'mirror', override: { title: 'Mount on, loose', takesOff: { loose: 2 } } },
    }),
    operation('final', { phase: 'refit', putsBack: { loose: 2 } }),
  ],
  links: [
    link('tray-off', 'mount-off', { kind: 'access', because: 'The tray covers it.' }),
    link('mount-off.refit', 'final', { kind: 'habit', because: 'Loose until all are in.', mirror: false }),
    link('final', 'tray-off.refit', { kind: 'safety', because: 'Nothing is closed over loose bolts.', mirror: false }),
  ],
})

describe('rules of the refit', () => {
  const stands = (log: TestLog) => refitRules(log.state).map(rule => [rule.link.because, rule.stand])
  it('are its own reasons, in the order of the plan, kept as the work goes on', () => {
    const log = TestLog.open(pack).done('tray-off', 'mount-off')
    expect(stands(log)).toEqual([
      ['Loose until all are in.', 'to come'],
      ['Nothing is closed over loose bolts.', 'to come'],
    ])
    log.done('mount-off.refit')
    expect(stands(log)[0]).toEqual(['Loose until all are in.', 'now'])
    log.done('final')
    expect(stands(log)).toEqual([
      ['Loose until all are in.', 'kept'],
      ['Nothing is closed over loose bolts.', 'now'],
    ])
  })
  it('are none where there is no plan', () => {
    expect(refitRules(new TestLog().state)).toEqual([])
  })
})
