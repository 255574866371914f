import { expect, it } from 'vitest'
import { operation, smallPack } from '../../tests/support/small-pack'
import { wayChoices } from './way-choices'

it('says what has to be chosen for a way of bleeding', () => {
  const pack = smallPack({
    operations: [
      operation('rest', {
        activity: { kind: 'bleed', way: 'rest' },
        when: [{ slave: ['opened', 'inside'], bleed: ['rest'] }],
      }),
      operation('cup', {
        activity: { kind: 'bleed', way: 'cup' },
        when: [{ slave: ['opened', 'inside'], bleed: ['cup'] }],
      }),
      operation('any', { activity: { kind: 'bleed', way: 'any' } }),
    ],
  })
  expect(wayChoices(pack, { slave: 'inside', bleed: 'rest' }, 'rest')).toEqual({})
  expect(wayChoices(pack, { slave: 'inside', bleed: 'rest' }, 'cup')).toEqual({ bleed: 'cup' })
  expect(wayChoices(pack, { slave: 'aside', bleed: 'rest' }, 'cup')).toEqual({ slave: 'opened', bleed: 'cup' })
  expect(wayChoices(pack, {}, 'any')).toEqual({})
  expect(wayChoices(pack, {}, 'magic')).toBeNull()
})
