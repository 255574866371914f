import { beforeEach, expect, it, vi } from 'vitest'
import { useCustomerLink } from './useCustomerLink'

const kept = new Map<string, object>()
const listed = vi.fn()
vi.mock('../device/fetch-kept', () => ({
  fetchKept: () => listed(),
  keepAnswer: async (address: string, body: object) => void kept.set(address, body),
  keptAnswer: async (address: string) => kept.get(address) ?? null,
}))
const out = (count: number) => ({ links: Array.from({ length: count }, (_, id) => ({ id })), origin: 'http://here' })

function begin({ ask = async () => ({}), waits = false }: { ask?: () => Promise<unknown>; waits?: boolean } = {}) {
  return useCustomerLink(
    '/share',
    ask,
    () => waits,
    async () => ({}),
  )
}
/** An answer that is on its way until it is let come. */
function onItsWay() {
  let come: (answer: unknown) => void = () => {}
  const answer = new Promise(resolve => (come = resolve))
  return { answer, come: (body: unknown) => come(body) }
}

beforeEach(() => {
  kept.clear()
  listed.mockReset()
})

it('shows a link as it is made, and keeps it on the device', async () => {
  const { own, make, links } = begin()
  listed.mockResolvedValue(out(1))
  await make(30)
  expect(own.value).toBeTruthy()
  expect(kept.get('/share/own')).toEqual({ token: own.value })
  expect(links.value!.links).toHaveLength(1)
})
it('says that it is being made until the server has said yes', async () => {
  const yes = onItsWay()
  const { isMaking, make } = begin({ ask: () => yes.answer })
  listed.mockResolvedValue(out(1))
  const making = make(30)
  expect(isMaking.value).toBe(true)
  yes.come({})
  await making
  expect(isMaking.value).toBe(false)
})
it('is making none any more where it was refused', async () => {
  const { isMaking, make } = begin({
    ask: async () => {
      throw new Error('away')
    },
  })
  listed.mockResolvedValue(out(0))
  await make(30)
  expect(isMaking.value).toBe(false)
})
it('keeps a link that was made before the server has said which there are', async () => {
  const { own, look, make } = begin()
  const first = onItsWay()
  listed.mockReturnValueOnce(first.answer).mockResolvedValue(out(1))
  const looking = look()
  await vi.waitFor(() => expect(listed).toHaveBeenCalledOnce())
  await make(30)
  first.come(out(0))
  await looking
  expect(own.value).toBeTruthy()
  expect(kept.get('/share/own')).toEqual({ token: own.value })
})
it('has the list read though making one was refused while the first answer was on its way', async () => {
  const refuse = async () => {
    throw new Error('away')
  }
  const { own, links, problem, look, make } = begin({ ask: refuse })
  const first = onItsWay()
  listed.mockReturnValueOnce(first.answer).mockResolvedValue(out(2))
  const looking = look()
  await vi.waitFor(() => expect(listed).toHaveBeenCalledOnce())
  await make(30)
  first.come(out(0))
  await looking
  expect(own.value).toBeNull()
  expect(problem.value).toBe('The server did not answer.')
  expect(links.value!.links).toHaveLength(2)
})
it('shows the link before where another could not be made', async () => {
  kept.set('/share/own', { token: 'before' })
  listed.mockResolvedValue(out(1))
  const { own, look, make } = begin({
    ask: async () => {
      throw new Error('away')
    },
  })
  await look()
  await make(30)
  expect(own.value).toBe('before')
})
it('shows one that waits for signal, though the server knows of none', async () => {
  const { own, make, look } = begin({ ask: async () => null, waits: true })
  listed.mockResolvedValue(out(0))
  await make(30)
  await look()
  expect(own.value).toBeTruthy()
})
it('forgets one that somebody else has ended, and all when they are ended here', async () => {
  kept.set('/share/own', { token: 'mine' })
  listed.mockResolvedValue(out(0))
  const { own, look, endAll, links } = begin()
  await look()
  expect([own.value, kept.get('/share/own')]).toEqual([null, { token: null }])
  kept.set('/share/own', { token: 'mine' })
  await endAll()
  expect([own.value, links.value!.links]).toEqual([null, []])
})
