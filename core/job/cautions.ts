import type { Caution } from '../packs/types'
import type { JobEvent } from './events'
import { refuse } from './refusal'
import type { Judges, Refusal } from './refusal'
import type { JobState } from './state'
import { stepView } from './steps'

/** Somebody has read a serious caution, once for the whole job. */
export interface CautionPayloads {
  'caution-acknowledged': { cautionIds: string[] }
}

/** Serious cautions of a step that nobody on this job has read yet. */
export function cautionsToRead(state: JobState, stepId: string): Caution[] {
  return stepView(state, stepId)?.cautions.filter(caution => caution.serious && !state.acknowledged[caution.id]) ?? []
}

export const cautionAppliers = {
  'caution-acknowledged': (state: JobState, { payload, deviceTime, personId }: JobEvent<'caution-acknowledged'>) => {
    for (const id of payload.cautionIds) state.acknowledged[id] ??= { at: deviceTime, personId }
  },
}

export const cautionJudges: Pick<Judges, 'caution-acknowledged'> = {
  'caution-acknowledged': (state, { payload }) => {
    const stranger = payload.cautionIds.find(id => !state.procedure?.cautions.some(caution => caution.id === id))
    return stranger === undefined ? null : refuse('payload.cautionIds', `This job has no caution "${stranger}".`)
  },
}

/** Why a step cannot be done before its serious cautions are read. */
export function cautionUnread(state: JobState, stepId: string): Refusal | null {
  const [caution] = cautionsToRead(state, stepId)
  return caution ? refuse('payload.stepId', `Read first, once for this job: ${caution.title}. ${caution.text}`) : null
}
