import type { Link, LinkSource, Operation, OperationSource } from '../pack/operations'
import type { Cleanliness } from '../pack/surfaces'

/** The id of the step that undoes another. */
export function refitId(id: string): string {
  return `${id}.refit`
}

/**
 * The refit step of a strip step: same place, tools and hands unless overridden; puts back what was taken off;
 * a fact given is ended again, a fact ended is given again.
 */
export function mirrorOperation(source: OperationSource, module: string): Operation | null {
  if (source.refit.kind !== 'mirror') return null
  const { override } = source.refit
  return {
    id: refitId(source.id),
    module,
    undoes: source.id,
    title: override.title,
    phase: override.phase ?? 'refit',
    place: override.place ?? source.place,
    car: override.car ?? source.car,
    minutes: override.minutes ?? source.minutes,
    hands: override.hands ?? source.hands,
    aloneWay: override.aloneWay ?? source.aloneWay,
    tools: override.tools ?? source.tools,
    needs: override.needs ?? source.needs,
    gives: override.gives ?? source.ends,
    ends: override.ends ?? source.gives,
    takesOff: override.takesOff ?? {},
    putsBack: source.takesOff,
    figure: override.figure,
    readings: override.readings ?? [],
    cautions: override.cautions ?? source.cautions,
    skill: override.skill,
    activity: override.activity,
    parts: override.parts ?? {},
    dirt: override.dirt,
    milestone: override.milestone,
    ...(override.moreFigures ? { moreFigures: override.moreFigures } : {}),
    ...(override.leaves ? { leaves: override.leaves } : {}),
    ...cleanlinessOf(override),
    ...(override.learned ? { learned: override.learned } : {}),
  }
}

/** What a refit step does to surfaces is its own; what came off dirty goes back as it is told. */
function cleanlinessOf({ soils, washes, wantsClean, wantsShut }: Cleanliness): Cleanliness {
  return {
    ...(soils ? { soils } : {}),
    ...(washes ? { washes } : {}),
    ...(wantsClean ? { wantsClean } : {}),
    ...(wantsShut ? { wantsShut } : {}),
  }
}

/** Access and physical reasons hold in the refit the other way round: what was in the way goes back last. */
export function mirrorLink(link: LinkSource): Link {
  return {
    before: refitId(link.after),
    after: refitId(link.before),
    kind: link.kind,
    because: link.mirrorBecause ?? `The same reason the other way round. ${link.because}`,
    waitMinutes: 0,
  }
}
