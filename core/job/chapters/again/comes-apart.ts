import { byId } from '../../../base/by-id'
import { opensTheWay, openingKinds } from '../../../decisions/steps-again'
import type { Operation } from '../../../pack/operations'
import type { JobState } from '../../chapters'
import { countsOnBoard } from '../bolts/boards'

/** What has to be taken apart once more before a step can be done anew, and what was done and is to be done again. */
export interface ComesApart {
  /** Steps of the strip that are done once more, in their order. */
  opens: string[]
  /** Steps done that count as not done from then on, in their order. */
  repeats: string[]
}

/**
 * Worked out from the procedure: the steps that open the way to this one and were undone since, whatever was put back over them,
 * and what was filled and proved on top. Nothing where the way is open.
 */
export function comesApart(state: JobState, stepId: string): ComesApart {
  const operations = (state.procedure?.operations ?? []).filter(({ again }) => again === undefined)
  const target = operations.find(({ id }) => id === stepId)
  if (!target) return { opens: [], repeats: [] }
  const way = new Way(state, operations)
  if (way.takesApart(target)) return { opens: [], repeats: [] }
  if (state.done[stepId]) way.repeat(target)
  else if (isBegun(state, target)) way.takenOffBy(target).forEach(strip => way.open(strip))
  way.reach(target)
  way.closeUp()
  way.setOnce()
  const inOrder = (ids: Set<string>) => operations.filter(({ id }) => ids.has(id)).map(({ id }) => id)
  return { opens: inOrder(way.opens), repeats: inOrder(way.repeats) }
}

/** Whether a step can be done anew: of the way back, of filling or proving, or one on the bench that takes nothing off. */
export function canBeAnew(state: JobState, { id, again }: Operation): boolean {
  const operation = byId(state.procedure!.operations, id)
  return again === undefined && operation !== undefined && !operation.once && !new Way(state, []).takesApart(operation)
}

/** Whether some of the bolts that a step puts back are in already, or were turned. */
export function isBegun(state: JobState, { id, putsBack }: Operation): boolean {
  if (state.runs.some(run => run.stepId === id && run.dropped === null && run.turned > 0)) return true
  return Object.keys(putsBack).some(item => {
    const entry = byId(state.procedure!.items, item)
    return entry && countsOnBoard(state, entry) && (state.ledger[item] ?? 0) < (state.everOff[item] ?? 0)
  })
}

/** The way in to a step, as it grows. */
class Way {
  readonly opens = new Set<string>()
  readonly repeats = new Set<string>()
  private readonly reached = new Set<string>()
  private readonly byId: Map<string, Operation>
  private readonly props: Set<string>

  constructor(
    private readonly state: JobState,
    private readonly operations: Operation[],
  ) {
    this.byId = new Map(operations.map(operation => [operation.id, operation]))
    this.props = new Set(state.procedure!.items.filter(item => item.state === 'propped').map(({ id }) => id))
  }

  /** A step done that is to be done again: what it put back comes off first, and what undid it is done again as well. */
  repeat(operation: Operation): void {
    if (operation.once || this.repeats.has(operation.id) || this.opens.has(operation.id) || !this.isDone(operation))
      return
    this.repeats.add(operation.id)
    this.reach(operation)
    for (const strip of this.takenOffBy(operation)) this.open(strip)
    for (const undoing of this.undoneBy(operation)) this.repeat(undoing)
  }

  /** A step of the strip that is done once more, with whatever undid it. */
  open(strip: Operation): void {
    if (strip.once || this.opens.has(strip.id) || this.repeats.has(strip.id) || !this.isDone(strip)) return
    this.opens.add(strip.id)
    this.reach(strip)
    for (const undoing of this.undoneBy(strip)) this.again(undoing)
    for (const link of this.state.procedure!.links) {
      const follower = link.atOnce && link.before === strip.id ? this.byId.get(link.after) : undefined
      if (follower && this.takesApart(follower)) this.open(follower)
    }
  }

  /** Whatever has to come before a step for a reason that opens something, and was undone since. */
  reach(operation: Operation): void {
    if (this.reached.has(operation.id)) return
    this.reached.add(operation.id)
    for (const link of this.state.procedure!.links) {
      const before = this.byId.get(link.before)
      if (link.after !== operation.id || !openingKinds.has(link.kind) || !before) continue
      if (!opensTheWay(before) && !this.isMissing(before, operation)) continue
      this.reach(before)
      if (!this.isUndone(before)) continue
      // A tool that is set for the way back is set again in its turn.
      if (this.onlyProps(before) && !this.takesApart(operation)) this.repeat(before)
      else this.again(before)
    }
  }

  /** Whether a step gave what another relies on and what does not hold any more. */
  private isMissing({ gives }: Operation, { needs }: Operation): boolean {
    return gives.some(fact => needs.includes(fact) && !this.state.facts.includes(fact))
  }

  /** Adds what was done on top of what is done again, until nothing is added. */
  closeUp(): void {
    for (let before = -1; before !== this.repeats.size;) {
      before = this.repeats.size
      for (const operation of this.operations)
        if (this.isOnTop(operation) || this.isSoiledAgain(operation)) this.repeat(operation)
      if (this.opens.size === 0) continue
      for (const operation of this.operations) {
        if (operation.phase === 'make-safe' && this.isUndone(operation)) this.open(operation)
        // A car that came apart is proved anew.
        if (operation.phase === 'prove') this.repeat(operation)
      }
    }
  }

  /** A tool or prop that is set for the way in, and not put away before the way back, is not set for that once more. */
  setOnce(): void {
    const counted = (counts: (operation: Operation) => Record<string, number>, item: string) =>
      this.operations
        .filter(({ id }) => this.opens.has(id) || this.repeats.has(id))
        .reduce((sum, operation) => sum + (counts(operation)[item] ?? 0), 0)
    for (const operation of this.operations.filter(({ id }) => this.repeats.has(id)))
      if (
        this.onlyProps(operation) &&
        Object.keys(operation.takesOff).every(
          item =>
            counted(({ takesOff }) => takesOff, item) > counted(({ putsBack }) => putsBack, item) &&
            this.operations.some(({ id, takesOff }) => this.opens.has(id) && item in takesOff),
        )
      )
        this.repeats.delete(operation.id)
  }

  /** The steps of the strip that took off what a step puts back. */
  takenOffBy({ id, undoes, putsBack }: Operation): Operation[] {
    return this.operations.filter(
      strip =>
        strip.id !== id &&
        this.takesApart(strip) &&
        (undoes === undefined
          ? Object.keys(strip.takesOff).some(item => !this.props.has(item) && (putsBack[item] ?? 0) > 0)
          : strip.id === undoes),
    )
  }

  private again(operation: Operation): void {
    if (this.takesApart(operation)) this.open(operation)
    else this.repeat(operation)
  }

  /**
   * Whether what a step did does not hold any more. What a later step of the strip has only carried on, cracked bolts that were drawn for one,
   * holds as long as that step does.
   */
  private isUndone(step: Operation, asked = new Set<string>()): boolean {
    if (asked.has(step.id)) return false
    asked.add(step.id)
    return this.undoneBy(step).some(by => !this.takesApart(by) || this.isUndone(by, asked))
  }

  /** The steps done that put back, or carried on, what one took off; of a tool or a prop that was set more than once, the last. */
  private undoneBy(strip: Operation): Operation[] {
    if (!this.isDone(strip)) return []
    const things = Object.keys(strip.takesOff)
    const undoing = this.operations.filter(
      operation =>
        this.isDone(operation) &&
        operation.id !== strip.id &&
        ((operation.undoes === undefined
          ? things.some(item => !this.props.has(item) && (operation.putsBack[item] ?? 0) > 0)
          : operation.undoes === strip.id) ||
          strip.gives.some(fact => operation.ends.includes(fact) && !this.state.facts.includes(fact)) ||
          strip.ends.some(fact => operation.gives.includes(fact) && this.state.facts.includes(fact))),
    )
    const props = things
      .filter(item => this.props.has(item) && !this.state.ledger[item])
      .flatMap(item => this.lastToClear(item) ?? [])
    return [...undoing, ...props.filter(operation => !undoing.includes(operation) && operation.id !== strip.id)]
  }

  private lastToClear(prop: string): Operation | undefined {
    const at = (id: string) => this.state.plan!.order.indexOf(id)
    return this.operations
      .filter(operation => this.isDone(operation) && (operation.putsBack[prop] ?? 0) > 0)
      .sort((a, b) => at(b.id) - at(a.id))[0]
  }

  private isOnTop(operation: Operation): boolean {
    if (this.repeats.has(operation.id) || !this.isDone(operation)) return false
    if (this.takesApart(operation) && !this.onlyProps(operation)) return false
    return this.state.procedure!.links.some(
      link => link.after === operation.id && openingKinds.has(link.kind) && this.repeats.has(link.before),
    )
  }

  /** Whether a wash is undone by what comes apart once more, before something that wants it clean. */
  private isSoiledAgain({ washes = [] }: Operation): boolean {
    const isOnce = (surface: string) => this.state.procedure!.surfaces?.find(({ id }) => id === surface)?.once
    const touched = this.operations.filter(({ id }) => this.opens.has(id) || this.repeats.has(id))
    return washes.some(
      surface =>
        !isOnce(surface) &&
        touched.some(({ soils }) => soils?.includes(surface)) &&
        [...touched, ...this.operations.filter(operation => !this.isDone(operation))].some(({ wantsClean }) =>
          wantsClean?.includes(surface),
        ),
    )
  }

  private isDone = ({ id }: Operation) => this.state.done[id] !== undefined

  /** Whether a step belongs to the way in: of the strip, or one on the bench that takes off and puts nothing of the car back. */
  takesApart({ phase, takesOff, putsBack }: Operation): boolean {
    if (['test', 'make-safe', 'strip'].includes(phase)) return true
    return (
      phase === 'bench' && Object.keys(takesOff).length > 0 && Object.keys(putsBack).every(item => this.props.has(item))
    )
  }

  /** Whether all that a step sets on the bench is a tool or a prop. */
  private onlyProps({ phase, takesOff }: Operation): boolean {
    const things = Object.keys(takesOff)
    return phase === 'bench' && things.length > 0 && things.every(item => this.props.has(item))
  }
}
