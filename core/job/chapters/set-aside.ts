import type { Chapter } from '../chapters'
import { refuse } from '../log/chapter'

/** An act as the device had it: whatever it says, it has not counted. */
export interface UncountedAct {
  id: string
  type: string
  payload: unknown
  deviceId: string
  deviceTime: string
  personId: string
}

export interface SetAsideEvents {
  /** An act that could not count any more when it arrived: somebody was there before, or the job had gone another way. `settled` where nothing is left to do about it. */
  'act-set-aside': { act: UncountedAct; reason: string; settled?: true }
  /** What became of such an act: done anew as another act, or put away. */
  'aside-ended': { actId: string; how: 'taken-up' | 'put-away' }
}

export interface AsideRecord {
  act: UncountedAct
  reason: string
  /** When it was set aside. */
  at: string
  ended: { how: SetAsideEvents['aside-ended']['how'] | 'settled'; at: string; personId: string } | null
}

/** Acts that did not count, in the order they were set aside. */
export interface SetAsideState {
  aside: AsideRecord[]
}

export const nothingAside = (): SetAsideState => ({ aside: [] })

export const setAsideChapter: Chapter<SetAsideEvents> = {
  'act-set-aside': {
    words: 'Act set aside',
    wants: 'work',
    undo: false,
    afterHandover: true,
    afterCallOff: true,
    admit: (state, { payload: { act } }) =>
      state.aside.some(record => record.act.id === act.id)
        ? refuse('payload.act.id', 'This act is set aside already.')
        : null,
    apply: (state, { payload: { act, reason, settled }, deviceTime, personId }) => {
      state.aside.push({
        act,
        reason,
        at: deviceTime,
        ended: settled ? { how: 'settled', at: deviceTime, personId } : null,
      })
    },
  },
  'aside-ended': {
    words: (_state, { payload }) => (payload.how === 'taken-up' ? 'Act taken up again' : 'Act put away'),
    wants: 'work',
    undo: true,
    afterHandover: true,
    afterCallOff: true,
    admit: (state, { payload: { actId } }) => {
      const record = state.aside.find(({ act }) => act.id === actId)
      if (!record) return refuse('payload.actId', 'No such act is set aside here.')
      return record.ended ? refuse('payload.actId', 'Something became of this act already.') : null
    },
    apply: (state, { payload: { actId, how }, deviceTime, personId }) => {
      const record = state.aside.find(({ act }) => act.id === actId)
      if (record) record.ended = { how, at: deviceTime, personId }
    },
  },
}
