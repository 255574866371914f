import { z } from 'zod'
import { speak } from './speak'

speak()

/** Text a person typed: trimmed, not empty, and short enough to be read. */
export const words = (most = 500) => z.string().trim().min(1, 'This cannot be empty.').max(most, `At most ${most} characters.`)

export const instant = z.iso.datetime({ offset: true, error: 'A date and time in ISO 8601.' })

export const uuid = z.uuid({ error: 'A UUID is wanted.' })

/** Kilometres on an odometer. */
export const odometer = z.number().min(0, 'An odometer does not stand below zero.').max(2_000_000, 'No odometer goes that far. Check the unit.')
