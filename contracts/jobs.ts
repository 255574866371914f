import { z } from 'zod'
import { roles } from '../core/people/roles'
import { MOST_TRAY } from '../core/sequence/instance'
import { numberFormats } from '../core/units'
import { circumstances, utcOffset, workingHours } from './circumstances'
import { device, instant, key, odometer, uuid, words } from './common'
import { decided } from './events/renewals'

const thisYear = new Date().getFullYear()

/** Option → choice. */
export const chosen = z
  .record(key(), key())
  .refine(options => Object.keys(options).length <= 100, 'No layout asks so much.')

/** `POST /api/vehicles` */
export const newVehicle = z.strictObject({
  id: uuid,
  name: words(80),
  make: words(60),
  model: words(60),
  year: z
    .number('A year is wanted, like 2013.')
    .int('A whole year, like 2013.')
    .min(1900, 'From 1900 on.')
    .max(thisYear + 1, 'That year is still to come.'),
  customer: words(120),
  gears: z
    .array(z.string().trim().min(1).max(3))
    .min(2, 'At least one gear and reverse.')
    .max(10)
    .refine(gears => new Set(gears).size === gears.length, 'Each gear once.'),
})
export type NewVehicle = z.infer<typeof newVehicle>

/** `POST /api/jobs` */
export const newJob = z.strictObject({
  id: uuid,
  vehicleId: uuid,
  packId: key(80),
  options: chosen,
  complaint: z
    .strictObject({ symptoms: z.array(key(40)).max(20), text: z.string().trim().max(2000) })
    .refine(complaint => complaint.symptoms.length > 0 || complaint.text.length > 0, {
      path: ['symptoms'],
      error: 'Say what the car does, by a symptom or in words.',
    }),
  pumpTest: z
    .strictObject({
      result: z.enum(['not-done', 'no-change', 'rises']),
      strokes: z.number().int().min(1).max(60).nullable(),
    })
    .refine(test => test.result === 'not-done' || test.strokes !== null, {
      path: ['strokes'],
      error: 'How many strokes?',
    }),
  /** What was tried before anything is dismantled: a table of causes, and test → outcome. */
  findings: z.strictObject({ tableId: key(80), outcomes: z.record(key(80), key(80)) }).optional(),
  /** The earlier job of this car that it comes back for. */
  comebackOf: uuid.optional(),
  odometerKm: odometer.nullable(),
  personId: uuid,
  deviceId: device,
  at: instant,
  /** The device's clock at the posting, where that is later: what was done without signal keeps its moment. */
  sentAt: instant.optional(),
  utcOffsetMinutes: utcOffset.default(0),
})
export type NewJob = z.infer<typeof newJob>

function isTimeZone(name: string): boolean {
  try {
    return new Intl.DateTimeFormat('en', { timeZone: name }).resolvedOptions().timeZone !== ''
  } catch {
    return false
  }
}

const amount = z.number().min(0, 'Nothing costs less than nothing.').max(1_000_000, 'No tool costs that much.')

/** What a tool that is not in the house costs, who lends it, and how often it is wanted. */
const toolTerms = z.strictObject({
  buy: amount.nullable(),
  rentPerDay: amount.nullable(),
  fetchMinutes: z.number().min(0).max(10_000, 'Minutes there and back, at most ten thousand.').nullable(),
  jobsAYear: z.number().min(0).max(1000, 'At most a thousand jobs in a year.'),
})

/** `PATCH /api/garage` */
export const garageSettings = z
  .strictObject({
    name: words(80),
    town: words(80),
    address: z.string().trim().max(200, 'At most 200 characters.'),
    massUnit: z.enum(['kg', 'lb']),
    volumeUnit: z.enum(['ml', 'US qt']),
    numberFormat: z.enum(numberFormats),
    words: z.enum(['us', 'uk']),
    torqueUnit: z.enum(['N·m', 'lbf·ft']),
    lengthUnit: z.enum(['mm', 'in']),
    distanceUnit: z.enum(['km', 'mi']),
    schools: z.record(key(80), key(80)),
    toolsMissing: z.array(key(80)).max(300),
    toolTerms: z.record(key(80), toolTerms),
    hours: workingHours.nullable(),
    labourPerHour: z.number().min(0, 'An hour costs nothing or more.').max(10_000, 'No hour costs that much.'),
    currency: z.string().regex(/^[A-Z]{3}$/, 'Three letters, like USD.'),
    taxPercent: z.number().min(0, 'No tax is below nothing.').max(100, 'No tax takes all.'),
    partsMarginPercent: z.number().min(0, 'A margin is nothing or more.').max(500, 'No margin is that high.'),
    callOut: z.number().min(0, 'A call-out costs nothing or more.').max(100_000, 'No call-out costs that much.'),
    priceShare: z.number().min(0.5, 'Half of the cases, or more.').max(0.95, 'At most 95 in 100.').nullable(),
    laterPercent: z.number().min(0, 'A year takes off nothing or more.').max(30, 'At most 30 in 100.'),
    latePerDay: z.number().min(0, 'A day costs nothing or more.').max(100_000, 'No day costs that much.'),
    earlyPerDay: z.number().min(0, 'A day costs nothing or more.').max(100_000, 'No day costs that much.'),
    trayTools: z
      .number()
      .int('A whole number of tools.')
      .min(0, 'None, or more.')
      .max(MOST_TRAY, 'No tray holds that many.'),
    paper: z.enum(['a4', 'letter']),
    timeZone: z.string().max(60).refine(isTimeZone, 'No time zone is called that. One like Europe/Lisbon is wanted.'),
    latitude: z
      .number()
      .min(-90, 'Degrees north, from -90 to 90.')
      .max(90, 'Degrees north, from -90 to 90.')
      .nullable(),
    longitude: z
      .number()
      .min(-180, 'Degrees east, from -180 to 180.')
      .max(180, 'Degrees east, from -180 to 180.')
      .nullable(),
  })
  .partial()
  .refine(settings => Object.keys(settings).length > 0, 'Nothing to change.')
export type GarageSettings = z.infer<typeof garageSettings>

/** `PUT /api/people/:id` */
export const personBody = z.strictObject({
  name: words(60),
  gone: z.boolean().default(false),
  /** Stays as it is where a device says nothing of it. */
  role: z.enum(roles).optional(),
})
export type PersonBody = z.infer<typeof personBody>

/** `POST /api/jobs/:id/options` */
export const switchOptions = z.strictObject({
  /** Id of the event that this becomes, given by the device. */
  id: uuid,
  /** The options to be chosen otherwise; what is not named stays as the job has it. */
  options: chosen,
  /** What is decided of parts in reach, where that is why. */
  decided: decided.optional(),
  circumstances,
  /** Operations not yet done, in the order the device found; worked out by the server where it is left out. */
  order: z.array(key()).max(400).optional(),
  personId: uuid,
  deviceId: device,
  at: instant,
  /** The device's clock at the posting, where that is later: what was done without signal keeps its moment. */
  sentAt: instant.optional(),
  utcOffsetMinutes: utcOffset,
})
export type SwitchOptions = z.infer<typeof switchOptions>

/** `POST /api/packs`, `PUT /api/packs/:id` */
export const packText = z.strictObject({
  yaml: z.string().min(1, 'The file is empty.').max(1_900_000, 'A pack is not that large.'),
  personId: uuid,
})
export const packChange = packText.extend({ revision: z.number().int().min(1) })

/** `POST /api/packs/:id/copies` */
export const packCopy = z.strictObject({ personId: uuid })

/** `POST /api/jobs/:id/share`: 256 bits from the device that makes the link, in the letters of base64url. */
export const shareBody = z.strictObject({
  token: z.string().regex(/^[\w-]{43}$/, 'Thirty-two bytes in base64url.'),
  days: z.number().int().min(1).max(400),
})
