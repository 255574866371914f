import { z } from 'zod'
import { speak } from './speak'

speak()

/** Text a person typed: trimmed, not empty, and short enough to be read. */
export const words = (most = 500) =>
  z.string().trim().min(1, 'This cannot be empty.').max(most, `At most ${most} characters.`)

const [EARLIEST, LATEST] = [Date.UTC(1970, 0, 1), Date.UTC(2200, 0, 1)]

/** A moment that a calendar and the records can hold. */
export const instant = z.iso
  .datetime({ offset: true, error: 'A date and time in ISO 8601.' })
  .refine(text => Date.parse(text) >= EARLIEST && Date.parse(text) < LATEST, 'A time from 1970 to 2199.')

export const uuid = z.uuid({ error: 'A UUID is wanted.' })

/** Kilometres on an odometer. */
export const odometer = z
  .number()
  .min(0, 'An odometer does not stand below zero.')
  .max(2_000_000, 'No odometer goes that far. Check the unit.')

/** Names that every object has of itself: nobody's part or step is called so, and none of them becomes a key. */
const inherited = new Set(Object.getOwnPropertyNames(Object.prototype))
export const isInherited = (text: string) => inherited.has(text)

/** The name of a step, a part, a group: what becomes a key. */
export const key = (most = 120) =>
  z
    .string()
    .min(1)
    .max(most)
    .refine(text => !isInherited(text), 'Nothing can be called that.')

/** What a device calls itself. */
export const device = z.string().min(1).max(80)

/** No garage has had more jobs; what a file says beyond is no number of a job. */
export const HIGHEST_JOB_NUMBER = 9_999_999
