import type { JobEvent } from '../../core/job'
import type { Errand } from '../log/errand'
import type { WaitingAct } from '../log/waiting-act'
import type { Keep, KeptAnswer } from './keep'

/** Keeps while the page is open, for a browser that forbids more. */
export function memoryKeep(): Keep {
  const events = new Map<string, Map<number, JobEvent>>()
  const answers = new Map<string, KeptAnswer>()
  const beyond = new Map<string, JobEvent[]>()
  const errands = new Map<string, Errand>()
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
    jobsRecorded: async () => [...events.keys()],
    beyond: async jobId => beyond.get(jobId) ?? [],
    async part(jobId, log, more) {
      events.set(jobId, new Map(log.map(event => [event.seq!, { ...event, jobId }])))
      const back = new Set(log.map(({ id }) => id))
      beyond.set(
        jobId,
        more.toSorted((a, b) => a.seq! - b.seq!),
      )
      waiting = waiting.filter(({ id }) => !back.has(id))
    },
    async rejoin(jobId, acts) {
      beyond.delete(jobId)
      waiting = [...acts, ...waiting]
    },
    errands: async () => [...errands.values()],
    async keepErrand(errand) {
      errands.set(errand.id, errand)
    },
    async dropErrand(id) {
      errands.delete(id)
    },
    answer: async address => answers.get(address) ?? null,
    async keepAnswer(address, answer) {
      answers.set(address, answer)
    },
    async forgetAnswers() {
      answers.clear()
    },
  }
}
