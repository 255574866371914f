import type { Findings } from '../../core/decisions'
import { observedMinutes, UNFORESEEN } from '../../core/job'
import type { ThreePoint } from '../../core/packs'
import { minutesByTheBook } from '../../core/sequence'
import type { Projection } from './projection'

export interface LearnedCause {
  tableId: string
  causeId: string
  findings: Findings
  foundAt: string
}

/** The cause that was found, with what had been found before it. */
export const causes: Projection<LearnedCause | null> = {
  name: 'the cause that was found',
  of: ({ state: { causeFound } }) =>
    causeFound && {
      tableId: causeFound.tableId,
      causeId: causeFound.causeId,
      findings: causeFound.findings,
      foundAt: new Date(causeFound.at).toISOString(),
    },
  read: (store, jobId) => store.learned.causeOf(jobId),
  write: (store, jobId, cause) => store.learned.keepCause(jobId, cause),
}

export interface WorkedMinutes {
  operationId: string
  prior: ThreePoint
  minutes: number
  troubled: boolean
  byTimer: boolean
  doneAt: string
}

/** Minutes that were worked, as under the circumstances that a layout counts with, once a job is handed over. */
export const minutes: Projection<WorkedMinutes[]> = {
  name: 'minutes that were worked',
  of: ({ log, state }) => {
    const operations = new Map((state.procedure?.operations ?? []).map(operation => [operation.id, operation]))
    const observed = state.handedOver ? observedMinutes(log, state) : []
    // Of what only that car had, no layout learns.
    return observed
      .filter(({ operationId }) => operations.get(operationId)!.module !== UNFORESEEN)
      .map(({ operationId, minutes: worked, troubled, by }): WorkedMinutes => ({
        operationId,
        prior: operations.get(operationId)!.learned?.from ?? operations.get(operationId)!.minutes,
        minutes: minutesByTheBook(state.procedure!, operations.get(operationId)!, state.plan?.setting ?? {}, worked),
        troubled,
        byTimer: by === 'timer',
        doneAt: new Date(state.done[operationId]!.at).toISOString(),
      }))
      .sort((a, b) => (a.operationId < b.operationId ? -1 : 1))
  },
  read: (store, jobId) => store.learned.minutesOf(jobId),
  write: (store, jobId, rows) => store.learned.keepMinutes(jobId, rows),
}
