import { refitId } from './mirror'
import type { CarPosition, ItemState, Phase, Place } from '../pack/kinds'
import type { LinkSource, OperationSource } from '../pack/operations'
import type { PackModule } from '../pack/pack'

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
/** The three estimates of work that nobody has timed. */
export const spread = (minutes: number): OperationSource['minutes'] => [minutes * QUICK, minutes, minutes * SLOW]

/** Whether what comes off in a phase goes back in the refit. */
export const isTakenApart = (phase: Phase) => ['test', 'make-safe', 'strip', 'bench'].includes(phase)

/** An added step as a module would hold it. */
export function addedSource({ stepId, refit, takesOff, minutes, ...step }: AddedStep): OperationSource {
  const figures = takesOff.filter(({ isFastener }) => isFastener).map(({ id }) => id)
  const { title, phase, place, car, tools, cautions } = step
  return {
    id: stepId,
    title,
    phase,
    place,
    car,
    minutes: spread(minutes),
    hands: 1,
    tools,
    needs: [],
    gives: [],
    ends: [],
    takesOff: Object.fromEntries(takesOff.map(({ id, count }) => [id, count])),
    putsBack: {},
    readings: [],
    cautions,
    parts: {},
    when: [],
    refit: refit
      ? {
          kind: 'mirror',
          override: {
            title: refit.title,
            minutes: spread(refit.minutes),
            // What is added while it is filled or proved is put back then as well.
            ...(isTakenApart(phase) ? {} : { phase }),
            ...(figures.length > 0 ? { figure: figures[0]!, moreFigures: figures.slice(1) } : {}),
          },
        }
      : { kind: 'none' },
  }
}

/** The things of an added step as entries of a ledger, and its bolts as groups with boards of their own. */
export function addedThings({ takesOff }: AddedStep): Pick<PackModule, 'items' | 'groups'> {
  return {
    items: takesOff.map(({ id, name, state, isFastener }) => ({
      id,
      name,
      state,
      ...(isFastener ? { group: id } : {}),
    })),
    groups: takesOff
      .filter(({ isFastener }) => isFastener)
      .map(({ id, name, count }) => ({ id, name, count, part: 'vehicle' as const })),
  }
}

/**
 * Steps that were added on a job, as a module of a layout made from it.
 * @param provedAfter ids of the steps that prove the car, which is whole by then, of those that come behind what was behind an added step
 */
export function addedModule(added: AddedStep[], provedAfter: (added: AddedStep) => readonly string[]): PackModule {
  const things = added.map(addedThings)
  return {
    id: 'beyond',
    title: 'What this car has besides',
    items: things.flatMap(({ items }) => items),
    groups: things.flatMap(({ groups }) => groups),
    facts: [],
    parts: [],
    assumes: {},
    operations: added.map(addedSource),
    links: added.flatMap(step => addedLinks(step, provedAfter(step))),
  }
}

function addedLinks({ stepId, phase, before, after, refit }: AddedStep, proved: readonly string[]): LinkSource[] {
  const link = (from: string, to: string, because: string): LinkSource => ({
    before: from,
    after: to,
    kind: 'access',
    because,
    when: [],
    mirror: true,
  })
  return [
    ...after.map(id => link(id, stepId, 'It cannot be got at before.')),
    ...before.map(id => link(stepId, id, 'It is in the way of that.')),
    ...(refit && isTakenApart(phase) ? proved : []).map((id): LinkSource => ({
      before: refitId(stepId),
      after: id,
      kind: 'safety',
      because: 'The car is whole before it is proved.',
      when: [],
      mirror: false,
    })),
  ]
}
