import { z } from 'zod'
import { instant, odometer, uuid, words } from './common'

const thisYear = new Date().getFullYear()

/** `POST /api/vehicles` */
export const newVehicle = z.strictObject({
  id: uuid,
  name: words(80),
  make: words(60),
  model: words(60),
  year: z.number().int('A whole year.').min(1900, 'From 1900 on.').max(thisYear + 1, 'That year is still to come.'),
  customer: words(120),
  gears: z.array(z.string().trim().min(1).max(3)).min(2, 'At least one gear and reverse.').max(10)
    .refine(gears => new Set(gears).size === gears.length, 'Each gear once.'),
})
export type NewVehicle = z.infer<typeof newVehicle>

/** What a clutch can do wrong, as the customer tells it. */
export const symptoms = ['slips', 'judders', 'rattles', 'squeals', 'will-not-select', 'pedal-soft', 'other'] as const

/** `POST /api/jobs` */
export const newJob = z.strictObject({
  id: uuid,
  vehicleId: uuid,
  packId: z.string().min(1).max(80),
  options: z.record(z.string(), z.string()),
  complaint: z.strictObject({ symptoms: z.array(z.enum(symptoms)).max(symptoms.length), text: z.string().trim().max(2000) })
    .refine(complaint => complaint.symptoms.length > 0 || complaint.text.length > 0, { path: ['symptoms'], error: 'Say what the car does, by a symptom or in words.' }),
  pumpTest: z.strictObject({
    result: z.enum(['not-done', 'no-change', 'rises']),
    strokes: z.number().int().min(1).max(60).nullable(),
  }).refine(test => test.result === 'not-done' || test.strokes !== null, { path: ['strokes'], error: 'How many strokes?' }),
  odometerKm: odometer.nullable(),
  personId: uuid,
  deviceId: z.string().min(1).max(80),
  at: instant,
})
export type NewJob = z.infer<typeof newJob>

/** `PATCH /api/garage` */
export const garageSettings = z.strictObject({
  words: z.enum(['us', 'uk']),
  torqueUnit: z.enum(['N·m', 'lbf·ft']),
  lengthUnit: z.enum(['mm', 'in']),
  distanceUnit: z.enum(['km', 'mi']),
}).partial().refine(settings => Object.keys(settings).length > 0, 'Nothing to change.')
export type GarageSettings = z.infer<typeof garageSettings>
