import { faceGap } from '../alignment/face-gap'
import { FieldError } from '../fasteners/field-error'
import type { JobEvent } from './events'
import { refuse } from './refusal'
import type { Judges } from './refusal'
import type { JobState } from './state'

/** The gap round the bell as it was measured. */
export interface GapPayloads {
  'gap-measured': { diameterMm: number, readings: { angleDeg: number, gapMm: number }[] }
}
export type GapRecord = GapPayloads['gap-measured'] & { at: string }

/** A gap that was measured is the reading of the step that brings the box up. */
export const gapAppliers = {
  'gap-measured': (state: JobState, { payload, deviceTime }: JobEvent<'gap-measured'>) => {
    state.gaps.push({ ...payload, at: deviceTime })
    const mating = state.procedure?.bench.mating
    if (!mating) return
    const { closed } = faceGap(payload.readings, payload.diameterMm)
    state.readings.push({ stepId: mating.step, readingId: mating.gap.reading, value: closed ? mating.gap.closed : mating.gap.open, unit: null, at: deviceTime })
  },
}

export const gapJudges: Pick<Judges, 'gap-measured'> = {
  'gap-measured': (state, { payload }) => {
    if (!state.procedure?.bench.mating) return refuse('type', 'On this job nothing is mated.')
    try {
      faceGap(payload.readings, payload.diameterMm)
      return null
    }
    catch (error) {
      if (error instanceof FieldError) return refuse(`payload.${error.path}`, error.reason)
      throw error
    }
  },
}

/** Why a step may not be told that the faces meet: the last gap that was measured says otherwise. */
export function gapLeft(state: JobState, stepId: string, readingId: string, value: unknown): string | null {
  const mating = state.procedure?.bench.mating
  const last = state.gaps.at(-1)
  if (!mating || !last || stepId !== mating.step || readingId !== mating.gap.reading || value !== mating.gap.closed) return null
  const { closed, widestMm } = faceGap(last.readings, last.diameterMm)
  return closed ? null : `The last gap measured was ${widestMm.toFixed(1)} mm at its widest. Measure it again when it is closed by hand; no bolt pulls it in.`
}
