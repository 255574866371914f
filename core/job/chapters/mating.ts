import { faceGap } from '../../alignment/face-gap'
import type { Chapter, JobState } from '../chapters'
import { refuse } from '../log/chapter'
import { asRefusal } from './as-refusal'

export interface MatingEvents {
  /** The gap round the bell as it was measured. */
  'gap-measured': { diameterMm: number; readings: { angleDeg: number; gapMm: number }[] }
}
export type GapRecord = MatingEvents['gap-measured'] & { at: string }

export interface MatingState {
  /** Gaps measured round the bell, the newest last. */
  gaps: GapRecord[]
}

export const noMating = (): MatingState => ({ gaps: [] })

/** A gap that was measured is the reading of the step that brings the box up. */
export const mating: Chapter<MatingEvents> = {
  'gap-measured': {
    words: 'Gap',
    wants: 'work',
    undo: true,
    afterHandover: false,
    afterCallOff: false,
    admit: (state, { payload }) =>
      state.procedure?.bench.mating
        ? asRefusal(() => faceGap(payload.readings, payload.diameterMm))
        : refuse('type', 'On this job nothing is mated.'),
    apply: (state, { payload, deviceTime }) => {
      state.gaps.push({ ...payload, at: deviceTime })
      const mated = state.procedure?.bench.mating
      if (!mated) return
      const { closed } = faceGap(payload.readings, payload.diameterMm)
      state.readings.push({
        stepId: mated.step,
        readingId: mated.gap.reading,
        value: closed ? mated.gap.closed : mated.gap.open,
        unit: null,
        at: deviceTime,
      })
    },
  },
}

/** Why a step may not be told that the faces meet: the last gap that was measured says otherwise. */
export function gapLeft(state: JobState, stepId: string, readingId: string, value: unknown): string | null {
  const mated = state.procedure?.bench.mating
  const last = state.gaps.at(-1)
  if (!mated || !last || stepId !== mated.step || readingId !== mated.gap.reading || value !== mated.gap.closed)
    return null
  const { closed, widestMm } = faceGap(last.readings, last.diameterMm)
  return closed
    ? null
    : `The last gap measured was {${widestMm.toFixed(1)} mm} at its widest. Measure it again when it is closed by hand; no bolt pulls it in.`
}
