import type { OperationSource } from '../pack/operations'
import type { SharedContent } from '../pack/pack'
import type { BaySource } from '../pack/bay'
import { symptomsOf } from './symptoms-of'
import { AssemblyError } from './shelf'
import type { SetKind, Sets, SetsUsed, Shelf } from './shelf'

/**
 * What layouts share, with the sets that this one names and none of the others.
 * @throws AssemblyError on a set that is not there
 */
export function contentUsed(uses: SetsUsed, shelf: Shelf): SharedContent {
  const { sets, bench, tools, cautions, outlines, ladders } = shelf
  const mating = named(sets, 'mating', uses.mating)
  const control = named(sets, 'control', uses.control)
  const causes = uses.causes.map((id, index) => wanted(sets, 'causes', id, `uses.causes[${index}]`))
  return {
    tools,
    cautions,
    outlines,
    ladders,
    bench: { ...bench, ...(mating ? { mating } : {}) },
    bleeding: named(sets, 'bleeding', uses.bleeding) ?? [],
    closing: wanted(sets, 'closing', uses.closing, 'uses.closing'),
    roadTest: named(sets, 'roadTest', uses.roadTest) ?? [],
    causes: uses.causes,
    symptoms: symptomsOf(causes),
    ...(control ? { control } : {}),
  }
}

/** The places and stances of a layout, and how it is brought from one stance to the other. @throws AssemblyError on one that is not there */
export const bayUsed = (uses: SetsUsed, { sets }: Shelf): BaySource => wanted(sets, 'bay', uses.bay, 'uses.bay')

/**
 * A step that points into a set its layout does not name, or a set whose step the layout has not.
 * @throws AssemblyError
 */
export function wantOwnSets(uses: SetsUsed, steps: Set<string>, operations: OperationSource[], sets: Sets): void {
  const own = uses.mating === undefined ? undefined : sets.mating.get(uses.mating)
  if (own && !steps.has(own.step))
    throw new AssemblyError('uses.mating', `"${uses.mating}" mates at "${own.step}", which this layout does not have`)
  for (const [id, { step }] of sets.mating)
    if (steps.has(step) && own?.step !== step)
      throw new AssemblyError('uses.mating', `"${step}" mates by the set "${id}", which this layout does not name`)
  const ways = new Set((uses.bleeding === undefined ? [] : (sets.bleeding.get(uses.bleeding) ?? [])).map(way => way.id))
  for (const { id, activity } of operations) {
    if (activity?.kind !== 'bleed' || activity.way === undefined || ways.has(activity.way)) continue
    const elsewhere = [...sets.bleeding].find(([, list]) => list.some(way => way.id === activity.way))
    if (elsewhere)
      throw new AssemblyError(
        `operations[${id}].activity.way`,
        `"${activity.way}" stands in the set "${elsewhere[0]}", which this layout does not name`,
      )
  }
}

function named<K extends SetKind>(sets: Sets, kind: K, id: string | undefined): SetOf<K> | undefined {
  return id === undefined ? undefined : wanted(sets, kind, id, `uses.${kind}`)
}

type SetOf<K extends SetKind> = Sets[K] extends Map<string, infer T> ? T : never

function wanted<K extends SetKind>(sets: Sets, kind: K, id: string, path: string): SetOf<K> {
  const found = (sets[kind] as Map<string, SetOf<K>>).get(id)
  if (!found)
    throw new AssemblyError(path, `there is no set "${id}"; there is ${[...sets[kind].keys()].join(', ') || 'none'}`)
  return found
}
