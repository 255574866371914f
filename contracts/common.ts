import { z } from 'zod'

/** What a person reads where a value is of the wrong kind or missing; sentences of a schema's own go before these. */
const kinds: Record<string, string> = { number: 'A number is wanted.', string: 'Words are wanted here.', boolean: 'Yes or no is wanted.', array: 'A list is wanted.', object: 'Several fields are wanted here.', int: 'A whole number is wanted.', date: 'A date is wanted.' }
z.config({
  customError: (issue) => {
    if (issue.code !== 'invalid_type') return undefined
    return issue.input === undefined ? 'This is missing.' : kinds[issue.expected] ?? undefined
  },
})

/** Text a person typed: trimmed, not empty, and short enough to be read. */
export const words = (most = 500) => z.string().trim().min(1, 'This cannot be empty.').max(most, `At most ${most} characters.`)

export const instant = z.iso.datetime({ offset: true, error: 'A date and time in ISO 8601.' })

export const uuid = z.uuid({ error: 'A UUID is wanted.' })

/** Kilometres on an odometer. */
export const odometer = z.number().min(0, 'An odometer does not stand below zero.').max(2_000_000, 'No odometer goes that far. Check the unit.')
