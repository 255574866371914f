import { expect, it } from 'vitest'
import { understands } from './version'

it('is understood one version back, and no further either way', () => {
  expect([6, 5, 4, 3, 7].map(device => understands(5, device))).toEqual([false, true, true, false, false])
})
