import { byId } from '../../../base/by-id'
import { boltName, countBoard, isOut, typicalBoard } from '../../../fasteners'
import type { BoardBolt, BoltBoard, BoltCondition, BoltStand } from '../../../fasteners'
import { groupsSetBy } from '../../../packs/check-fasteners'
import type { Operation } from '../../../pack/operations'
import type { LedgerItem } from '../../../pack/things'
import type { JobState } from '../../chapters'
import type { Blocker } from '../../views/blockers'
import { countInLedger } from '../steps/count-in-ledger'
import type { TighteningRun, TurnedBolt } from '../tightening'
import { jobFigure } from '../tightening/runs'

/** Gives every group of the procedure its board; boards that are there already stay as they are. */
export function buildBoards(state: JobState): void {
  const { procedure } = state
  if (!procedure) return
  for (const group of procedure.groups) state.boards[group.id] ??= typicalBoard(group, procedure)
}

export function changeBolt(
  state: JobState,
  group: string,
  boltId: string,
  change: (bolt: BoardBolt) => BoardBolt,
): void {
  const board = state.boards[group]
  if (board)
    state.boards[group] = { ...board, bolts: board.bolts.map(bolt => (bolt.id === boltId ? change(bolt) : bolt)) }
}

/** The entry of the ledger that a bolt of a board counts for: what its step takes off, or the group's own where the layout has no map. */
function entryOf(state: JobState, group: string, bolt: BoardBolt): string | null {
  const { procedure } = state
  const counted = (procedure?.items ?? []).filter(item => countsOnBoard(state, item) && item.group === group)
  if (bolt.offWith === null)
    return procedure?.groups.find(entry => entry.id === group)?.board ? null : (counted[0]?.id ?? null)
  const takes = (procedure && byId(procedure.operations, bolt.offWith)?.takesOff) ?? {}
  const taken = (item: LedgerItem) => state.boards[group]!.bolts.filter(other => other.entry === item.id).length
  const items = counted.filter(item => item.id in takes)
  return (items.find(item => taken(item) < takes[item.id]!) ?? items[0])?.id ?? null
}

/** Whether what is off of an entry is counted on a board. */
export function countsOnBoard(state: JobState, item: LedgerItem): boolean {
  return (
    (item.state === 'off' || item.state === 'open') &&
    item.group !== undefined &&
    state.boards[item.group] !== undefined
  )
}

/** Takes bolts out: each is a thing off from now. A condition that was noted stays where none is given. */
export function takeOut(
  state: JobState,
  group: string,
  boltIds: string[],
  condition: BoltCondition | null,
  entry?: string,
): void {
  for (const id of boltIds) {
    changeBolt(state, group, id, bolt => {
      if (isOut(bolt)) return { ...bolt, condition: condition ?? bolt.condition }
      const counts = entry ?? entryOf(state, group, bolt)
      if (counts !== null) countInLedger(state, counts, 1)
      return { ...bolt, stand: 'out', entry: counts, condition: condition ?? bolt.condition }
    })
  }
}

/** Brings bolts in, and says how they stand; one that is in already only stands otherwise. */
export function bringIn(state: JobState, group: string, boltIds: string[], stand: Exclude<BoltStand, 'out'>): void {
  for (const id of boltIds) {
    changeBolt(state, group, id, bolt => {
      if (bolt.entry !== null) countInLedger(state, bolt.entry, -1)
      return { ...bolt, stand, entry: null }
    })
  }
}

/** Bolts of all boards that a step takes out. */
export function boltsOffWith(state: JobState, stepId: string): { board: BoltBoard; bolts: BoardBolt[] }[] {
  const first = (state.procedure && byId(state.procedure.operations, stepId)?.again) ?? stepId
  return boltsWhere(
    state,
    steps => steps.has(first),
    bolt => bolt.offWith === first,
  )
}

/** The steps that take bolts of a board out, `null` for bolts of no step; kept, for every step of a log asks every board. */
const stepsOf = new WeakMap<BoltBoard, Set<string | null>>()

function boltsWhere(
  state: JobState,
  mayHold: (steps: Set<string | null>) => boolean,
  holds: (bolt: BoardBolt) => boolean,
): { board: BoltBoard; bolts: BoardBolt[] }[] {
  return Object.values(state.boards).flatMap(board => {
    let steps = stepsOf.get(board)
    if (!steps) stepsOf.set(board, (steps = new Set(board.bolts.map(bolt => bolt.offWith))))
    const bolts = mayHold(steps) ? board.bolts.filter(holds) : []
    return bolts.length > 0 ? [{ board, bolts }] : []
  })
}

/** Bolts of all boards that a step puts back: it undoes the step that took them out, or puts back what that one took off. */
export function boltsBackWith(state: JobState, operation: Operation): { board: BoltBoard; bolts: BoardBolt[] }[] {
  // A part that goes back says nothing of the bolts that came off with it.
  const items = Object.keys(operation.putsBack).filter(
    id => operation.putsBack[id]! > 0 && byId(state.procedure?.items ?? [], id)?.group !== undefined,
  )
  // Most steps put nothing back, and every one of a log is asked.
  if (items.length === 0 && operation.undoes === undefined) return []
  const undone = (state.procedure && byId(state.procedure.operations, operation.undoes ?? ''))?.takesOff ?? {}
  // Where several steps take bolts of one kind, the step that undoes one of them puts back that one's alone.
  const others = items.filter(item => undone[item] !== operation.putsBack[item])
  const tookOff = new Set(
    state.procedure?.operations.filter(({ takesOff }) => others.some(item => item in takesOff)).map(({ id }) => id),
  )
  if (operation.undoes !== undefined) tookOff.add(operation.undoes)
  return boltsWhere(
    state,
    steps => steps.has(null) || [...tookOff].some(id => steps.has(id)),
    ({ offWith, entry }) => (offWith !== null ? tookOff.has(offWith) : entry !== null && items.includes(entry)),
  )
}

/** What a finished step does to the boards: what it takes out, what it brings in, and how what it touches stands from then on. */
export function stepOnBoards(state: JobState, operation: Operation): void {
  for (const { board, bolts } of boltsOffWith(state, operation.id))
    takeOut(
      state,
      board.group,
      bolts.filter(bolt => bolt.condition !== 'sheared').map(bolt => bolt.id),
      null,
    )
  for (const [item, count] of itemsOf(state, operation.takesOff)) {
    if (countsOnBoard(state, item)) takeUnmapped(state, item, count)
    else if (item.state === 'slack' && item.group) slacken(state, operation, item, count)
  }
  const back = boltsBackWith(state, operation)
  const set = groupsSetBy(operation).filter(group => state.boards[group] && setsGroup(state, operation, group))
  const stand = (group: string) => (jobFigure(state, group) ? 'figure' : 'feel')
  for (const { board, bolts } of back) {
    const byRun =
      operation.activity?.kind === 'tighten' && operation.activity.group === board.group && !set.includes(board.group)
    bringIn(
      state,
      board.group,
      bolts.filter(bolt => !byRun || isOut(bolt)).map(bolt => bolt.id),
      set.includes(board.group) ? stand(board.group) : leftBy(state, operation, board.group),
    )
    if (renewedWith(state, operation, board.group))
      for (const bolt of bolts)
        changeBolt(state, board.group, bolt.id, old => ({ ...old, condition: null, suspect: false }))
  }
  for (const group of set) {
    // Started ones wait for whoever sets the group, snug ones for a step that goes round it. Untouched ones are gone round as well, but not by a
    // step whose business is what was slackened.
    const whole = !back.some(({ board }) => board.group === group)
    const leaves = settlesSlack(state, operation, group) ? ['out', 'untouched'] : ['out']
    const waits = ({ stand }: BoardBolt) => (whole ? !leaves.includes(stand) : stand === 'started')
    bringIn(
      state,
      group,
      state.boards[group]!.bolts.filter(waits).map(bolt => bolt.id),
      stand(group),
    )
  }
}

function itemsOf(state: JobState, counts: Record<string, number>): [LedgerItem, number][] {
  return Object.entries(counts).flatMap(([id, count]): [LedgerItem, number][] => {
    const item = state.procedure && byId(state.procedure.items, id)
    return item ? [[item, count]] : []
  })
}

/** Bolts that no map ties to a step: as many as the step takes off, in the order of the board. */
function takeUnmapped(state: JobState, item: LedgerItem, count: number): void {
  const { bolts } = state.boards[item.group!]!
  const counted = bolts.filter(bolt => bolt.entry === item.id).length
  const free = bolts.filter(bolt => bolt.offWith === null && !isOut(bolt) && bolt.condition !== 'sheared')
  if (state.procedure!.groups.find(group => group.id === item.group)?.board) return
  takeOut(
    state,
    item.group!,
    free.slice(0, Math.max(0, count - counted)).map(bolt => bolt.id),
    null,
    item.id,
  )
}

/** Bolts that are cracked, or that go in by hand and stay loose: those that the step taking their slack away brings out or sets. */
function slacken(state: JobState, operation: Operation, item: LedgerItem, count: number): void {
  const board = state.boards[item.group!]
  if (!board) return
  const settles = new Set(
    state.procedure!.operations.filter(entry => (entry.putsBack[item.id] ?? 0) > 0).map(entry => entry.id),
  )
  const mapped = board.bolts.filter(bolt => bolt.offWith !== null && settles.has(bolt.offWith))
  const loose =
    boltsBackWith(state, operation).find(entry => entry.board.group === item.group)?.bolts ??
    (mapped.length > 0 ? mapped : board.bolts.filter(bolt => !isOut(bolt)).slice(0, count))
  bringIn(
    state,
    item.group!,
    loose.filter(bolt => !isOut(bolt)).map(bolt => bolt.id),
    'started',
  )
}

/** Whether a step that names a figure sets it: the strip only names what it will be. A run sets bolt by bolt. */
function setsGroup(state: JobState, operation: Operation, group: string): boolean {
  if (operation.activity?.kind === 'tighten' && operation.activity.group === group)
    return state.runs.every(run => run.stepId !== operation.id || !run.boltIds)
  return !['strip', 'make-safe'].includes(operation.phase) || putsBackOf(state, operation, group)
}

/** Whether new ones of a group went in with a step: how the old ones came out says nothing of them. */
const renewedWith = (state: JobState, operation: Operation, group: string) =>
  itemsOf(state, operation.putsBack).some(([item]) => item.group === group && state.replaced[item.id] !== undefined)

const putsBackOf = (state: JobState, operation: Operation, group: string) =>
  itemsOf(state, operation.putsBack).some(([item]) => item.group === group)

/** Whether a step sets what of a group was slackened, in the car all the time. */
const settlesSlack = (state: JobState, operation: Operation, group: string) =>
  itemsOf(state, operation.putsBack).some(([item]) => item.group === group && item.state === 'slack')

function leftBy(state: JobState, operation: Operation, group: string): 'started' | 'snug' {
  return (
    operation.leaves ??
    (itemsOf(state, operation.takesOff).some(([item]) => item.group === group && item.state === 'slack')
      ? 'started'
      : 'snug')
  )
}

/** A run that holds the bolts of the board moves them as it goes: in with the first pass, snug with the next, at their figure with the last. */
export function turnOnBoard(state: JobState, run: TighteningRun, { passIndex, bolt }: TurnedBolt): void {
  const id = run.boltIds?.[bolt]
  if (id === undefined) return
  const { kind } = run.passes[passIndex]!
  if (run.loosens) {
    if (kind === 'out') takeOut(state, run.group, [id], null)
    else bringIn(state, run.group, [id], 'started')
  } else
    bringIn(
      state,
      run.group,
      [id],
      passIndex === run.passes.length - 1 ? 'figure' : kind === 'contact' ? 'started' : 'snug',
    )
}

const LISTED = 4

/** Boards that must be clear before a step and are not. */
export function boardsNotClear(state: JobState, stepId: string): Blocker[] {
  return (state.procedure?.groups ?? []).flatMap((group): Blocker[] => {
    const board = state.boards[group.id]
    if (group.board?.clearFor !== stepId || !board) return []
    const left = countBoard(board).in
    if (left.length === 0) return []
    const names = left
      .slice(0, LISTED)
      .map(bolt => boltName(board, bolt))
      .join(', ')
    return [
      {
        stepId: null,
        kind: 'physical',
        title: left.length === 1 ? `One is left: ${names}` : `${left.length} of ${board.bolts.length} are left`,
        because: `The board counts ${board.bolts.length} ${group.name.toLowerCase()}, ${board.bolts.length - left.length} out. Still in: ${names}${left.length > LISTED ? ' and more' : ''}.`,
      },
    ]
  })
}
