import { describe, expect, it } from 'vitest'
import { exceeds, may, permissions, roles, wantsPin } from './roles'

describe('what a role allows', () => {
  it('an owner may everything, and nobody else may let people in', () => {
    for (const permission of permissions) expect(may('owner', permission), permission).toBe(true)
    expect(roles.filter(role => may(role, 'people'))).toEqual(['owner'])
  })
  it('a helper sees neither money nor customers, a bookkeeper does nothing at the car', () => {
    expect([may('helper', 'see-money'), may('helper', 'see-customers'), may('helper', 'work')]).toEqual([
      false,
      false,
      false,
    ])
    expect([may('bookkeeper', 'work'), may('bookkeeper', 'help'), may('bookkeeper', 'charge')]).toEqual([
      false,
      false,
      true,
    ])
  })
})

describe('a PIN', () => {
  const tag = { asks: 'tag' as const, signedInAs: 'mechanic' as const }
  it('is shown by whoever may more than the one who signed the device in', () => {
    const asked = roles.filter(role => wantsPin({ role, hasPin: false }, tag))
    expect(asked).toEqual(['owner', 'bookkeeper'])
    expect(asked).toEqual(roles.filter(role => exceeds(role, 'mechanic')))
  })
  it('is shown by who has one, and by everybody where the device asks for it', () => {
    expect(wantsPin({ role: 'helper', hasPin: true }, tag)).toBe(true)
    expect(wantsPin({ role: 'helper', hasPin: false }, { ...tag, asks: 'pin' })).toBe(true)
  })
})
