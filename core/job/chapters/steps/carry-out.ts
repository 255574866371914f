import { byId } from '../../../base/by-id'
import type { Operation } from '../../../pack/operations'
import type { JobState } from '../../chapters'
import { noteFetched } from '../again/fetched'
import { countsOnBoard, stepOnBoards } from '../bolts/boards'
import { countInLedger } from './count-in-ledger'
import { noteNewParts } from './note-new-parts'

/** What a piece of work does to the car, whoever did it: the ledger, the boards, new parts, the facts. */
export function carryOut(state: JobState, operation: Operation, at: string): void {
  changeLedger(state, operation.takesOff, 1)
  changeLedger(state, operation.putsBack, -1)
  stepOnBoards(state, operation)
  noteNewParts(state, operation, at)
  noteFetched(state, operation.id)
  state.facts = [
    ...state.facts.filter(fact => !operation.ends.includes(fact)),
    ...operation.gives.filter(fact => !state.facts.includes(fact)),
  ]
}

/** Bolts of a board are counted there, one by one. */
export function changeLedger(state: JobState, counts: Record<string, number>, sign: 1 | -1): void {
  for (const [id, count] of Object.entries(counts)) {
    const item = byId(state.procedure!.items, id)
    if (!item || !countsOnBoard(state, item)) countInLedger(state, id, sign * count)
  }
}
