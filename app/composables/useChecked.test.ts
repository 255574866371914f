import { beforeEach, expect, it, vi } from 'vitest'
import { z } from 'zod'
import { useChecked } from './useChecked'

const contract = z.strictObject({ name: z.string().min(1, 'It has a name.'), price: z.number('A price is a number.') })
const focus = vi.fn()
beforeEach(() => {
  focus.mockClear()
  vi.stubGlobal('document', { activeElement: null, querySelector: () => ({ focus }) })
})

it('sends what the contract reads, and says that it was taken', async () => {
  const { check, problems } = useChecked(contract)
  const sent: unknown[] = []
  expect(await check({ name: 'Flywheel', price: 3 }, read => sent.push(read))).toBe(true)
  expect(sent).toEqual([{ name: 'Flywheel', price: 3 }])
  expect(problems.value).toEqual({})
})
it('says what is wrong at its field, leads there, and sends nothing', async () => {
  const { check, problems } = useChecked(contract)
  const send = vi.fn()
  expect(await check({ name: '', price: 'much' }, send)).toBe(false)
  expect(problems.value).toEqual({ name: 'It has a name.', price: 'A price is a number.' })
  expect(send).not.toHaveBeenCalled()
  expect(focus).toHaveBeenCalledOnce()
})
it('tells what could not be read rather than what the contract makes of it', async () => {
  const { check, problems } = useChecked(contract)
  expect(await check({ name: 'x', price: NaN }, () => {}, { price: '“3,4,5” is not a number.' })).toBe(false)
  expect(problems.value).toEqual({ price: '“3,4,5” is not a number.' })
})
it('tells what the server refuses, and takes a plain no for one', async () => {
  const { check, problems } = useChecked(contract)
  const refuse = async () => {
    throw new Error('away')
  }
  expect(await check({ name: 'x', price: 1 }, refuse)).toBe(false)
  expect(Object.values(problems.value)).toEqual(['The server did not answer.'])
  expect(await check({ name: 'x', price: 1 }, () => false)).toBe(false)
  expect(problems.value).toEqual({})
})
