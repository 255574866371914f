import { beforeEach, expect, it, vi } from 'vitest'
import { keepNewCar, newCarsHere, stillNewCars } from './new-cars'

const car = (id: string) => ({
  id,
  name: id,
  make: 'Tavisk',
  model: 'Hallend',
  year: 2011,
  customer: 'Oren Fallowmere',
  gears: ['1', 'R'],
})
const store = new Map<string, string>()
beforeEach(() => {
  store.clear()
  vi.stubGlobal('localStorage', {
    getItem: (name: string) => store.get(name) ?? null,
    setItem: (name: string, value: string) => store.set(name, value),
    removeItem: (name: string) => store.delete(name),
  })
})

it('keeps a car until the server knows it', () => {
  keepNewCar(car('a'))
  keepNewCar(car('b'))
  expect(newCarsHere().map(({ id }) => id)).toEqual(['a', 'b'])
  expect(stillNewCars([{ id: 'a' }, { id: 'x' }]).map(({ id }) => id)).toEqual(['b'])
  expect(stillNewCars([{ id: 'b' }])).toEqual([])
  expect(store.size).toBe(0)
})
it('has none where what is kept cannot be read', () => {
  store.set('eldrin-new-cars', '{not JSON')
  expect(newCarsHere()).toEqual([])
})
