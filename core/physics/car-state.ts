import type { FastenerGroup } from '../pack/fasteners'
import type { Load } from '../pack/loads'
import type { Operation } from '../pack/operations'
import type { Procedure } from '../pack/pack'
import type { LedgerItem } from '../pack/things'
import type { Standing } from './holding'

/** How the bolts of a group are: out, in without holding, at their figure. */
export interface Bolts {
  out: number
  loose: number
  atFigure: number
}

/** The car as it stands after so many steps: what is off or propped, and how its bolts hold. */
export class CarState implements Standing {
  private readonly ledger: Map<string, number>
  private readonly bolts: Map<string, Bolts>
  private readonly items: Map<string, LedgerItem>

  /** @param found what is off, by item, and how the bolts are, by group; as it came where nothing is said */
  constructor(
    { groups, items }: Pick<Procedure, 'groups' | 'items'>,
    found: { ledger: Record<string, number>; bolts: Record<string, Bolts> } = { ledger: {}, bolts: {} },
  ) {
    this.ledger = new Map(Object.entries(found.ledger))
    this.items = new Map(items.map(item => [item.id, item]))
    // As it came, every bolt holds; what of a kit is not in the car yet goes in with its own step.
    this.bolts = new Map(
      groups.map(({ id, count }: FastenerGroup) => [id, found.bolts[id] ?? { out: 0, loose: 0, atFigure: count }]),
    )
  }

  /** How many of a ledger item are off, open or propped. */
  count(item: string): number {
    return this.ledger.get(item) ?? 0
  }

  /** Whether nothing shuts an opening: neither what belongs there nor a cover. */
  gapes(opening: string): boolean {
    const covers = [...this.items.values()].filter(item => item.covers === opening)
    return this.count(opening) > covers.reduce((shut, { id }) => shut + this.count(id), 0)
  }

  /** Does a step: things go back before others come off, and what it sets is set at its end. */
  do(operation: Pick<Operation, 'takesOff' | 'putsBack' | 'figure' | 'moreFigures' | 'activity' | 'leaves'>): void {
    const { figure, moreFigures = [], activity } = operation
    const run = activity?.kind === 'tighten' ? activity.group : undefined
    const sets = new Set([figure, run, ...moreFigures].filter(group => group !== undefined))
    const wentIn = new Set<string>()
    for (const [item, count] of Object.entries(operation.putsBack)) {
      this.ledger.set(item, this.count(item) - count)
      const bolts = this.boltsOf(item)
      if (!bolts || this.items.get(item)?.state !== 'off') continue
      const here = Math.min(count, bolts.out)
      bolts.out -= here
      wentIn.add(this.items.get(item)!.group!)
      bolts[sets.has(this.items.get(item)!.group!) && !operation.leaves ? 'atFigure' : 'loose'] += here
    }
    for (const [item, count] of Object.entries(operation.takesOff)) {
      this.ledger.set(item, this.count(item) + count)
      const bolts = this.boltsOf(item)
      if (!bolts) continue
      const isOff = this.items.get(item)?.state === 'off'
      // What is told as slack after it has just gone in is loose already.
      if (!isOff && wentIn.has(this.items.get(item)!.group!)) continue
      const held = Math.min(count, bolts.atFigure)
      bolts.atFigure -= held
      const snug = isOff ? Math.min(count - held, bolts.loose) : 0
      bolts.loose -= snug
      if (isOff) bolts.out += held + snug
      else bolts.loose += held
    }
    // A step that only sets a group goes round all that are in.
    for (const group of sets) {
      const bolts = this.bolts.get(group)
      if (!bolts || wentIn.has(group)) continue
      bolts.atFigure += bolts.loose
      bolts.loose = 0
    }
  }

  /** Bolts of a group at their figure; those of a group that this work leaves alone all are. */
  atFigure(group: string): number {
    return this.bolts.get(group)?.atFigure ?? Infinity
  }

  /** Props of a load that are there. */
  propsOf({ heldBy }: Load): string[] {
    return heldBy.flatMap(({ prop }) => (prop !== undefined && this.count(prop) > 0 ? [prop] : []))
  }

  /** Props that stand on the floor. */
  onFloor(): LedgerItem[] {
    return [...this.items.values()].filter(({ id, foot }) => foot === 'floor' && this.count(id) > 0)
  }

  private boltsOf(item: string): Bolts | undefined {
    const group = this.items.get(item)?.group
    return group === undefined ? undefined : this.bolts.get(group)
  }
}
