import { cannotKeep } from '../log/keep-here'
import { indexedKeep } from './indexed-keep'
import type { Keep } from './keep'
import { memoryKeep } from './memory-keep'

/** This device's keep; where the browser forbids it, or has no room left, what is done holds while the page is open, and the page says so. */
async function openKeep(): Promise<Keep> {
  try {
    return lastingWhereItCan(await indexedKeep(undefined, wasTaken))
  } catch (error) {
    cannotKeep(error as Error)
    return memoryKeep()
  }
}

let opened: Promise<Keep> | undefined
const afterwards = new Set<() => void>()

/** Calls back when the browser has cleared this device's store away while it was in use: what the page still holds goes there again. */
export const onTaken = (callBack: () => void): void => void afterwards.add(callBack)

function wasTaken() {
  for (const callBack of afterwards) callBack()
}

/** What this device keeps, opened at the first use. */
export const thisKeep = (): Promise<Keep> => (opened ??= openKeep())

/** Keeps for as long as the page is open what the lasting one cannot take. */
export function lastingWhereItCan(lasting: Keep): Keep {
  const forNow = memoryKeep()
  const instead = (act: () => Promise<void>) => (error: unknown) => {
    cannotKeep(error as Error)
    return act()
  }
  return {
    isLasting: true,
    events: async jobId => {
      const [kept, held] = [await lasting.events(jobId), await forNow.events(jobId)]
      return [...new Map([...kept, ...held].map(event => [event.seq!, event])).values()].sort((a, b) => a.seq! - b.seq!)
    },
    waiting: async jobId => [...(await lasting.waiting(jobId)), ...(await forNow.waiting(jobId))],
    jobsWaiting: async () => [...new Set([...(await lasting.jobsWaiting()), ...(await forNow.jobsWaiting())])],
    add: acts => lasting.add(acts).catch(instead(() => forNow.add(acts))),
    async record(jobId, events) {
      await lasting.record(jobId, events).catch(instead(() => forNow.record(jobId, events)))
      // What waited for now waits no more either.
      const waits = new Set((await forNow.waiting(jobId)).map(({ id }) => id))
      await forNow.record(
        jobId,
        events.filter(({ id }) => waits.has(id)),
      )
    },
    async replace(actId, act) {
      await forNow.replace(actId, act)
      await lasting.replace(actId, act).catch(instead(async () => {}))
    },
    async drop(actIds) {
      await forNow.drop(actIds)
      await lasting.drop(actIds)
    },
    async forget(jobId) {
      await forNow.forget(jobId)
      await lasting.forget(jobId)
    },
    jobsRecorded: () => lasting.jobsRecorded(),
    beyond: jobId => lasting.beyond(jobId),
    async part(jobId, log, beyond) {
      await lasting.part(jobId, log, beyond)
      await forNow.part(jobId, [], [])
    },
    rejoin: (jobId, acts) => lasting.rejoin(jobId, acts),
    errands: async () => [...(await lasting.errands()), ...(await forNow.errands())],
    keepErrand: errand => lasting.keepErrand(errand).catch(instead(() => forNow.keepErrand(errand))),
    async dropErrand(id) {
      await forNow.dropErrand(id)
      await lasting.dropErrand(id)
    },
    answer: address => lasting.answer(address),
    keepAnswer: (address, answer) =>
      lasting.keepAnswer(address, answer).catch(instead(() => forNow.keepAnswer(address, answer))),
    async forgetAnswers() {
      await forNow.forgetAnswers()
      await lasting.forgetAnswers()
    },
  }
}
