import type { JobEvent } from '../../core/job'
import type { WaitingAct } from '../log/waiting-act'
import type { Keep, KeptAnswer } from './keep'

/** Keeps while the page is open, for a browser that forbids more. */
export function memoryKeep(): Keep {
  const events = new Map<string, Map<number, JobEvent>>()
  const answers = new Map<string, KeptAnswer>()
  let waiting: WaitingAct[] = []
  return {
    isLasting: false,
    events: async jobId => [...(events.get(jobId)?.values() ?? [])].sort((a, b) => a.seq! - b.seq!),
    waiting: async jobId => waiting.filter(act => act.jobId === jobId),
    jobsWaiting: async () => [...new Set(waiting.map(act => act.jobId))],
    async add(acts) {
      const ids = new Set(acts.map(({ id }) => id))
      if (waiting.some(({ id }) => ids.has(id))) throw new Error('This act is kept already.')
      waiting = [...waiting, ...acts]
    },
    async record(jobId, fresh) {
      const known = events.get(jobId) ?? new Map<number, JobEvent>()
      events.set(jobId, known)
      for (const event of fresh) known.set(event.seq!, { ...event, jobId })
      const taken = new Set(fresh.map(({ id }) => id))
      waiting = waiting.filter(({ id }) => !taken.has(id))
    },
    async replace(actId, act) {
      waiting = waiting.map(each => (each.id === actId ? act : each))
    },
    async drop(actIds) {
      waiting = waiting.filter(({ id }) => !actIds.includes(id))
    },
    async forget(jobId) {
      events.delete(jobId)
    },
    answer: async address => answers.get(address) ?? null,
    async keepAnswer(address, answer) {
      answers.set(address, answer)
    },
  }
}
