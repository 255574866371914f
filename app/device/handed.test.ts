import { FetchError } from 'ofetch'
import { afterEach, beforeEach, expect, it, vi } from 'vitest'
import type { GarageAnswer } from '../../contracts/answers'
import { keepHere } from '../log/keep-here'
import { handed, HANDED_KEY, sayHanded, withHanded } from './handed'

const kept = new Map<string, string>()
beforeEach(() => {
  kept.clear()
  vi.stubGlobal('localStorage', {
    getItem: (key: string) => kept.get(key) ?? null,
    setItem: (key: string, value: string) => void kept.set(key, value),
  })
  keepHere(HANDED_KEY, 'perrin')
})
afterEach(() => vi.unstubAllGlobals())

const answers = (status: number, issues: object[] | null = [{ path: 'x', reason: 'y' }]) =>
  vi.stubGlobal('$fetch', () =>
    Promise.reject(Object.assign(new FetchError('no'), { statusCode: status, data: issues && { data: { issues } } })),
  )

it('tells the server once, and then nothing waits', async () => {
  const asked = vi.fn(() => Promise.resolve(null))
  vi.stubGlobal('$fetch', asked)
  expect([await sayHanded(), await sayHanded(), handed()]).toEqual([true, true, ''])
  expect(asked).toHaveBeenCalledTimes(1)
})
it.each([
  ['nobody is signed in', 401],
  ['it is asked too often', 429],
])('says it again later where %s: their acts would be refused before', async (_name, status) => {
  answers(status)
  expect([await sayHanded(), handed()]).toEqual([false, 'perrin'])
})
it('says it again where nobody answered, and not where the server knows no such person', async () => {
  answers(502, null)
  expect([await sayHanded(), handed()]).toEqual([false, 'perrin'])
  answers(422)
  expect([await sayHanded(), handed()]).toEqual([true, ''])
})
it('has who took it over work here, by their own role', () => {
  const answer = {
    people: [{ id: 'perrin', role: 'mechanic' }],
    me: { personId: 'runa', role: 'owner', device: { id: 'd', asks: 'tag', signedInAs: 'owner' } },
  } as GarageAnswer
  expect(withHanded(answer).me).toMatchObject({ personId: 'perrin', role: 'mechanic' })
  keepHere(HANDED_KEY, '')
  expect(withHanded(answer)).toBe(answer)
})
