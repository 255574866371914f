import type { NewVehicle } from '../../contracts/jobs'
import { keepHere, readHere } from '../log/keep-here'

const KEY = 'eldrin-new-cars'

/** Cars that were typed on this device and that the server had not heard of. */
export function newCarsHere(): NewVehicle[] {
  try {
    return (JSON.parse(readHere(KEY) ?? '[]') as NewVehicle[] | null) ?? []
  } catch {
    return []
  }
}

export const keepNewCar = (car: NewVehicle): void => keepHere(KEY, JSON.stringify([...newCarsHere(), car]))

/** Forgets those that the server knows by now. @returns those that it does not know */
export function stillNewCars(known: { id: string }[]): NewVehicle[] {
  const all = newCarsHere()
  const left = all.filter(car => !known.some(({ id }) => id === car.id))
  if (left.length < all.length) keepHere(KEY, left.length > 0 ? JSON.stringify(left) : null)
  return left
}
