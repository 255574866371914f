import type { ItemState, Phase, Place, CarPosition } from '../../../pack/kinds'
import type { Link, Operation } from '../../../pack/operations'
import type { Procedure } from '../../../pack/pack'
import type { LedgerItem } from '../../../pack/things'
import { mirrorOperation, refitId } from '../../../packs/mirror'

/** The module of steps that no layout holds. */
export const UNFORESEEN = 'unforeseen'

/** A thing that only this car has: how many of it come off, apart or loose. */
export interface AddedThing {
  id: string
  name: string
  count: number
  state: ItemState
  /** They hold something else: each gets its place on a board of their own. */
  isFastener: boolean
}

/** A step that the layout does not hold, as a mechanic tells of it. */
export interface AddedStep {
  stepId: string
  title: string
  phase: Phase
  place: Place
  car: CarPosition | 'either'
  /** Minutes that it likely takes. */
  minutes: number
  /** Tools of the job, by id. */
  tools: string[]
  /** Cautions of the job, by id. */
  cautions: string[]
  takesOff: AddedThing[]
  /** Steps that come before it. */
  after: string[]
  /** Steps that wait for it: it is in their way. */
  before: string[]
  /** How it is undone; `null` where nothing goes back. */
  refit: { title: string; minutes: number } | null
}

// Nobody has timed it: what is likely, a fifth less, half as much again. Common practice, no source.
const [QUICK, SLOW] = [0.8, 1.5]
const IN_THE_WAY = 'It is in the way of that on this car.'
export const spread = (minutes: number): Operation['minutes'] => [minutes * QUICK, minutes, minutes * SLOW]

/** The ids of the steps that an added one brings with it. */
export const stepsOfAdded = ({ stepId, refit }: AddedStep): string[] => (refit ? [stepId, refitId(stepId)] : [stepId])

/**
 * The procedure with a step that only this car needs, what it takes off, the step that undoes it, and every link between them and the rest.
 * What it is tied to and this procedure does not hold is passed over.
 */
export function withAddedStep(procedure: Procedure, added: AddedStep): Procedure {
  const strip: Operation = {
    id: added.stepId,
    module: UNFORESEEN,
    title: added.title,
    phase: added.phase,
    place: added.place,
    car: added.car,
    minutes: spread(added.minutes),
    hands: 1,
    tools: added.tools,
    needs: [],
    gives: [],
    ends: [],
    takesOff: Object.fromEntries(added.takesOff.map(({ id, count }) => [id, count])),
    putsBack: {},
    readings: [],
    cautions: added.cautions,
    parts: {},
  }
  const refit = refitOf(strip, added)
  const operations = [...procedure.operations, strip, ...(refit ? [refit] : [])]
  const groups = added.takesOff
    .filter(({ isFastener }) => isFastener)
    .map(({ id, name, count }) => ({ id, name, count, part: 'vehicle' as const }))
  return {
    ...procedure,
    operations,
    items: [...procedure.items, ...added.takesOff.map(itemOf)],
    groups: [...procedure.groups, ...groups],
    links: [...procedure.links, ...linksOf(procedure, added, refit)],
  }
}

const itemOf = ({ id, name, state, isFastener }: AddedThing): LedgerItem => ({
  id,
  name,
  state,
  ...(isFastener ? { group: id } : {}),
})

function refitOf(strip: Operation, { refit, takesOff }: AddedStep): Operation | null {
  if (!refit) return null
  const figures = takesOff.filter(({ isFastener }) => isFastener).map(({ id }) => id)
  const override = {
    title: refit.title,
    minutes: spread(refit.minutes),
    // What is added while it is filled or proved is put back then as well.
    ...(isTakenApart(strip.phase) ? {} : { phase: strip.phase }),
    ...(figures.length > 0 ? { figure: figures[0]!, moreFigures: figures.slice(1) } : {}),
  }
  return mirrorOperation({ ...strip, when: [], refit: { kind: 'mirror', override } }, UNFORESEEN)
}

const isTakenApart = (phase: Phase) => ['test', 'make-safe', 'strip', 'bench'].includes(phase)

function linksOf(
  { operations }: Procedure,
  { stepId, phase, after, before }: AddedStep,
  refit: Operation | null,
): Link[] {
  const there = new Set(operations.map(({ id }) => id))
  const link = (from: string, to: string, because: string, kind: Link['kind'] = 'access'): Link[] =>
    there.has(from) || there.has(to) ? [{ before: from, after: to, kind, because, waitMinutes: 0 }] : []
  const strips = [
    ...after.flatMap(id => link(id, stepId, 'It cannot be got at before.')),
    ...before.flatMap(id => link(stepId, id, IN_THE_WAY)),
  ]
  if (!refit) return strips
  const undone = (id: string) => operations.filter(({ undoes }) => undoes === id).map(entry => entry.id)
  const proved = isTakenApart(phase) ? operations.filter(entry => entry.phase === 'prove').map(({ id }) => id) : []
  return [
    ...strips,
    {
      before: stepId,
      after: refit.id,
      kind: 'physical',
      because: 'It has to come off before it can go back.',
      waitMinutes: 0,
    },
    ...before
      .flatMap(id => [id, ...undone(id)])
      .flatMap(id => link(id, refit.id, 'What is behind it goes back first.')),
    ...after.flatMap(undone).flatMap(id => link(refit.id, id, 'It cannot be got at afterwards.')),
    ...proved.flatMap(id => link(refit.id, id, 'The car is whole before it is proved.', 'safety')),
  ]
}
