import { expect, it } from 'vitest'
import { todaysAddress } from './old-addresses'

it.each([
  ['/', { at: 'week' }, '/week'],
  ['/', {}, null],
  ['/library', { at: 'history' }, '/library/cars'],
  ['/library', { at: 'garage' }, '/library/garage'],
  ['/library', {}, null],
  ['/jobs/7/bench', { sheet: 'flywheel' }, '/jobs/7/bench/flywheel'],
  ['/jobs/7/bench', { at: 'ways', sheet: 'flywheel' }, '/jobs/7/bench/flywheel/ways'],
  ['/jobs/7/bench', { at: 'open' }, '/jobs/7/bench/open'],
  ['/jobs/7/pedal', { at: 'helper' }, '/jobs/7/pedal/helper'],
  ['/jobs/7/pedal', { step: 'bleed' }, null],
  ['/jobs/7/bolts', { group: 'bell-bolts', run: 'tighten' }, '/jobs/7/bolts/bell-bolts/tighten'],
  ['/jobs/7/bolts', { step: 'cover-tighten' }, '/jobs/7/bolts/run/cover-tighten'],
  ['/jobs/7/work', { step: 'drain' }, null],
  ['/jobs/7/papers/estimate', { issued: 'x' }, null],
  ['/jobs/7/car', { at: ['a', 'b'] }, null],
])('%s with %j leads to %s', (path, query, today) => {
  expect(todaysAddress(path, query)).toBe(today)
})
