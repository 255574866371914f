import type { JobEvent } from './events'
import type { JobState } from './state'

/** Where a car is worked on, how far that is, and until when it is put off. */
export interface WeekPlacing { site: 'bay' | 'driveway', travelMinutes: number, notBefore: string | null }
export interface PlacingPayloads { 'week-placed': WeekPlacing }

export const placingAppliers = {
  'week-placed': (state: JobState, { payload }: JobEvent<'week-placed'>) => {
    state.site = payload
  },
}
