import type { Chapter } from '../chapters'
import { refuse } from '../log/chapter'

/** What the pedal did when pumped 15 to 20 times at take-in. */
export type PumpResult = 'not-done' | 'no-change' | 'rises'

export interface Vehicle {
  id: string
  name: string
  make: string
  model: string
  year: number
  customer: string
  /** Forward gears and reverse as they are written on the knob. */
  gears: string[]
}

export interface OpeningEvents {
  'job-opened': {
    number: number
    /** Its number in the garage that it was begun in, where that is another. */
    numberThere?: number
    vehicle: Vehicle
    complaint: { symptoms: string[]; text: string }
    pumpTest: { result: PumpResult; strokes: number | null }
    odometerKm: number | null
  }
}

/** The car as it came, and why. */
export interface OpeningState {
  jobId: string | null
  number: number
  /** Its number in the garage that it was begun in, where that is another. */
  numberThere: number | null
  vehicle: Vehicle | null
  complaint: { symptoms: string[]; text: string }
  pumpTest: { result: PumpResult; strokes: number | null }
  /** As it was last read, by whomever. */
  odometerKm: number | null
  openedAt: string | null
}

export const notOpened = (): OpeningState => ({
  jobId: null,
  number: 0,
  numberThere: null,
  vehicle: null,
  complaint: { symptoms: [], text: '' },
  pumpTest: { result: 'not-done', strokes: null },
  odometerKm: null,
  openedAt: null,
})

export const isOpen = (state: OpeningState): boolean => state.jobId !== null

export const opening: Chapter<OpeningEvents> = {
  'job-opened': {
    words: 'Take-in',
    wants: 'work',
    undo: false,
    afterHandover: false,
    afterCallOff: false,
    opens: true,
    admit: state => (state.jobId ? refuse('type', 'The job is open already.') : null),
    apply: (state, { jobId, payload, deviceTime }) => {
      const { number, numberThere = null, vehicle, complaint, pumpTest, odometerKm } = payload
      Object.assign(state, {
        jobId,
        number,
        numberThere,
        vehicle,
        complaint,
        pumpTest,
        odometerKm,
        openedAt: deviceTime,
      })
    },
  },
}
