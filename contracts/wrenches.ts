import { z } from 'zod'
import { driveSizes } from '../core/fasteners'
import { words } from './common'
import { torqueNm } from './fasteners'

const day = z.iso.date('A day is written like 2026-05-04.')

/** A torque wrench of the garage. */
export const wrenchBody = z
  .strictObject({
    name: words(80),
    minNm: torqueNm,
    maxNm: torqueNm,
    drive: z.enum(driveSizes),
    lengthMm: z
      .number()
      .min(50, 'A wrench is at least {50 mm} long.')
      .max(2000, 'A wrench is not that long. Check the unit.'),
    calibratedOn: day.nullable(),
  })
  .refine(wrench => wrench.maxNm > wrench.minNm, { path: ['maxNm'], error: 'The range ends above where it begins.' })

export type WrenchBody = z.infer<typeof wrenchBody>
