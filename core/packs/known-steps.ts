import type { FastenerGroup } from '../pack/fasteners'
import type { LinkSource } from '../pack/operations'
import { AssemblyError } from './shelf'
import type { Sets, Shelf } from './shelf'

/** Steps that any module of a shelf holds; what names another one has a slip of the pen. */
export class KnownSteps {
  constructor(private readonly anywhere: Set<string>) {}

  /** @throws AssemblyError on a step that no module of the shelf holds */
  want(path: string, ...steps: (string | undefined)[]): void {
    const stranger = steps.find(step => step !== undefined && !this.anywhere.has(step))
    if (stranger !== undefined) throw new AssemblyError(path, `unknown operation "${stranger}"`)
  }

  wantLinks(links: LinkSource[], path: string): void {
    for (const [index, link] of links.entries()) this.want(`${path}[${index}]`, link.before, link.after)
  }

  wantBoard({ board }: FastenerGroup, path: string): void {
    if (!board) return
    this.want(`${path}.board.clearFor`, board.clearFor)
    for (const place of board.places) this.want(`${path}.board.places[${place.id}].offWith`, place.offWith)
  }

  wantContent({ ladders, bench }: Pick<Shelf, 'ladders' | 'bench'>): void {
    for (const ladder of ladders)
      this.want(
        `ladders[${ladder.id}].steps`,
        ...ladder.steps,
        ...(ladder.with ?? []),
        ...ladder.rungs.flatMap(rung => rung.with ?? []),
      )
    for (const sheet of bench.sheets)
      this.want(
        `sheets[${sheet.id}]`,
        ...sheet.steps,
        ...sheet.fields.flatMap(field => [...(field.steps ?? []), field.reading?.step]),
        ...(sheet.beside?.steps ?? []),
      )
    for (const entry of bench.orientations) this.want(`orientations[${entry.id}]`, ...entry.off, ...entry.back)
    for (const entry of bench.oldParts) this.want(`oldParts[${entry.id}]`, ...entry.off, ...entry.until)
    for (const entry of bench.reachable)
      this.want(`reachable[${entry.id}]`, ...entry.reachedBy, ...(entry.option?.steps ?? []))
  }

  wantSets({ closing, mating, causes, control }: Sets): void {
    for (const [id, checks] of closing)
      for (const check of checks) this.want(`closing/${id}[${check.id}].steps`, ...check.steps)
    for (const [id, { step, checks, causes: reasons }] of mating)
      this.want(
        `mating/${id}`,
        step,
        ...checks.flatMap(check => [check.done, check.reading?.step]),
        ...reasons.flatMap(cause => cause.signs.flatMap(sign => [sign.notDone, sign.reading?.step])),
      )
    for (const [id, { steps }] of control) this.want(`control/${id}.steps`, ...steps)
    for (const [id, table] of causes)
      for (const cause of table.causes) this.want(`causes/${id}[${cause.id}].onlyWith`, ...(cause.onlyWith ?? []))
  }
}
