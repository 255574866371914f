import type { FastenerGroup } from '../pack/fasteners'
import type { LinkSource } from '../pack/operations'
import type { SharedContent } from '../pack/pack'
import { AssemblyError } from './shelf'

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

  wantContent({ ladders, closing, bench }: SharedContent): void {
    for (const ladder of ladders) this.want(`ladders[${ladder.id}].steps`, ...ladder.steps)
    for (const check of closing) this.want(`closing[${check.id}].steps`, ...check.steps)
    for (const sheet of bench.sheets)
      this.want(
        `sheets[${sheet.id}]`,
        ...sheet.steps,
        ...sheet.fields.flatMap(field => [...(field.steps ?? []), field.reading?.step]),
      )
    for (const entry of bench.orientations) this.want(`orientations[${entry.id}]`, ...entry.off, ...entry.back)
    for (const entry of bench.oldParts) this.want(`oldParts[${entry.id}]`, ...entry.off, ...entry.until)
    for (const entry of bench.reachable)
      this.want(`reachable[${entry.id}]`, ...entry.reachedBy, ...(entry.option?.steps ?? []))
    if (!bench.mating) return
    const { step, checks, causes } = bench.mating
    this.want(
      'mating',
      step,
      ...checks.flatMap(check => [check.done, check.reading?.step]),
      ...causes.flatMap(cause => cause.signs.flatMap(sign => [sign.notDone, sign.reading?.step])),
    )
  }
}
