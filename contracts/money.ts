import { z } from 'zod'

/** A price or a cost, in the garage's own money. */
export const money = z
  .number()
  .min(0, 'Money is not below zero.')
  .max(1_000_000, 'No part of this job costs that much.')
