import type { JobEvent } from './events'
import { refuse } from './refusal'
import type { Judges } from './refusal'
import type { JobState } from './state'

/** What a task of the road test showed; speed, gear and revs belong to a noise that was heard. */
export interface RoadPayloads { 'road-noted': { taskId: string, good: boolean, text: string, speedKmh?: number, gear?: string, rpm?: number } }
export type RoadNote = Omit<RoadPayloads['road-noted'], 'taskId'> & { at: string }

export const roadAppliers = {
  'road-noted': (state: JobState, { payload: { taskId, ...note }, deviceTime }: JobEvent<'road-noted'>) => {
    state.road[taskId] = { ...note, at: deviceTime }
  },
}

export const roadJudges: Pick<Judges, keyof RoadPayloads> = {
  'road-noted': (state, { payload }) => {
    if (!state.procedure?.roadTest?.some(task => task.id === payload.taskId)) return refuse('payload.taskId', `The road test has no task "${payload.taskId}".`)
    if (payload.gear !== undefined && !state.vehicle!.gears.includes(payload.gear)) return refuse('payload.gear', `This car has no gear "${payload.gear}".`)
    return payload.good || payload.text.trim() !== '' ? null : refuse('payload.text', 'Say what was heard or felt.')
  },
}
