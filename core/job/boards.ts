import { boltName, countBoard, typicalBoard } from '../fasteners'
import type { BoardBolt, BoltBoard, BoltCondition } from '../fasteners'
import type { Operation } from '../packs/types'
import type { Blocker } from './blockers'
import type { JobState, TighteningRun, TurnedBolt } from './state'

/** Gives every group of the procedure its board; boards that are there already stay as they are. */
export function buildBoards(state: JobState): void {
  const { procedure } = state
  if (!procedure) return
  for (const group of procedure.groups) state.boards[group.id] ??= typicalBoard(group, { ...procedure, outlines: procedure.outlines ?? [] })
}

export function changeBolt(state: JobState, group: string, boltId: string, change: (bolt: BoardBolt) => BoardBolt): void {
  const board = state.boards[group]
  if (board) state.boards[group] = { ...board, bolts: board.bolts.map(bolt => bolt.id === boltId ? change(bolt) : bolt) }
}

/** Takes bolts out. A condition that was noted stays where none is given. */
export function takeOut(state: JobState, group: string, boltIds: string[], condition: BoltCondition | null): void {
  for (const id of boltIds) changeBolt(state, group, id, bolt => ({ ...bolt, out: true, condition: condition ?? bolt.condition }))
}

export function bringIn(state: JobState, group: string, boltIds: string[]): void {
  for (const id of boltIds) changeBolt(state, group, id, bolt => ({ ...bolt, out: false }))
}

/** Bolts of all boards that a step takes out. */
export function boltsOffWith(state: JobState, stepId: string): { board: BoltBoard, bolts: BoardBolt[] }[] {
  return Object.values(state.boards)
    .map(board => ({ board, bolts: board.bolts.filter(bolt => bolt.offWith === stepId) }))
    .filter(({ bolts }) => bolts.length > 0)
}

/** Bolts of all boards that a step puts back: it undoes the step that took them out, or puts back what that one took off. */
export function boltsBackWith(state: JobState, operation: Operation): { board: BoltBoard, bolts: BoardBolt[] }[] {
  const takenBy = new Map((state.procedure?.operations ?? []).map(entry => [entry.id, entry]))
  const putsBack = (offWith: string) => operation.undoes === offWith
    || Object.keys(takenBy.get(offWith)?.takesOff ?? {}).some(item => (operation.putsBack[item] ?? 0) > 0)
  return Object.values(state.boards)
    .map(board => ({ board, bolts: board.bolts.filter(bolt => bolt.offWith !== null && putsBack(bolt.offWith)) }))
    .filter(({ bolts }) => bolts.length > 0)
}

/** What a finished step does to the boards. */
export function stepOnBoards(state: JobState, operation: Operation): void {
  for (const { board, bolts } of boltsOffWith(state, operation.id)) takeOut(state, board.group, bolts.map(bolt => bolt.id), null)
  for (const { board, bolts } of boltsBackWith(state, operation)) bringIn(state, board.group, bolts.map(bolt => bolt.id))
}

/** A run that holds the bolts of the board moves them as it goes. */
export function turnOnBoard(state: JobState, run: TighteningRun, { passIndex, bolt }: TurnedBolt): void {
  const id = run.boltIds?.[bolt]
  if (id === undefined) return
  const { kind } = run.passes[passIndex]!
  if (run.loosens && kind === 'out') takeOut(state, run.group, [id], null)
  if (!run.loosens && kind === 'contact') bringIn(state, run.group, [id])
}

const LISTED = 4

/** Boards that must be clear before a step and are not. */
export function boardsNotClear(state: JobState, stepId: string): Blocker[] {
  return (state.procedure?.groups ?? []).flatMap((group): Blocker[] => {
    const board = state.boards[group.id]
    if (group.board?.clearFor !== stepId || !board) return []
    const left = countBoard(board).in
    if (left.length === 0) return []
    const names = left.slice(0, LISTED).map(bolt => boltName(board, bolt)).join(', ')
    return [{
      stepId: null, kind: 'physical',
      title: left.length === 1 ? `One is left: ${names}` : `${left.length} of ${board.bolts.length} are left`,
      because: `The board counts ${board.bolts.length} ${group.name.toLowerCase()}, ${board.bolts.length - left.length} out. Still in: ${names}${left.length > LISTED ? ' and more' : ''}.`,
    }]
  })
}
