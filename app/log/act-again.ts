import type { EventPayloads, JobEvent } from '../../core/job'
import { saidBy } from './waiting-act'
import type { WaitingAct } from './waiting-act'

/**
 * An event of the log as an act that waits: the same id, person and moment, to be judged anew.
 * @param clockOffMs what this device adds to its own clock
 */
export function actAgain({ saidAt: _saidAt, late: _late, ...event }: JobEvent, clockOffMs = 0): WaitingAct {
  const act = { ...event, seq: null, ...(clockOffMs ? { clockOffMs } : {}) } as WaitingAct
  if (act.type !== 'options-switched') return act
  // The server plans another way itself.
  const { procedure, circumstances, clock, decided } = act.payload as EventPayloads['options-switched']
  const body = {
    id: act.id,
    options: procedure.options,
    ...(decided ? { decided } : {}),
    circumstances,
    personId: act.personId,
    deviceId: act.deviceId,
    at: saidBy(act),
    utcOffsetMinutes: clock.utcOffsetMinutes,
  }
  return { ...act, by: { id: act.id, posts: [{ path: `/api/jobs/${act.jobId}/options`, body }] } }
}
