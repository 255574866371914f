import { checkDrawing } from './check-drawing'
import type { CarDrawing, CarriedMass } from '../pack/drawing'
import type { PackModule } from '../pack/pack'
import { AssemblyError } from './shelf'
import type { Shelf } from './shelf'

type Named = Pick<PackModule, 'items' | 'groups'>

/** The drawing a layout names, with what of it the layout can take off or hold. @throws AssemblyError where there is none */
export function narrowDrawing(
  id: string,
  { drawings, modules, sets }: Pick<Shelf, 'drawings' | 'modules' | 'sets'>,
  own: Named[],
): CarDrawing {
  const drawing = drawings.find(entry => entry.id === id)
  if (!drawing) throw new AssemblyError('drawing', `there is no drawing "${id}"`)
  // Looked at whole: what a layout lacks is left out below, and a slip of the pen would go with it.
  const [fault] = checkDrawing(drawing)
  if (fault) throw new AssemblyError(fault.path, fault.reason)
  const idsIn = (list: Named[], kind: keyof Named) => list.flatMap(module => module[kind].map(entry => entry.id))
  const namesIn = (list: Named[]) => ({
    items: new Set(idsIn(list, 'items')),
    groups: new Set(idsIn(list, 'groups')),
  })
  const bays = [...sets.bay.values()].map(({ items }) => ({ items, groups: [] }))
  const [anywhere, here] = [namesIn([...modules.values(), ...bays]), namesIn(own)]
  const things = drawing.things
    .map(thing => {
      for (const [kind, known] of [
        ['items', anywhere.items],
        ['fixings', anywhere.items],
        ['groups', anywhere.groups],
      ] as const) {
        const stranger = thing[kind].find(each => !known.has(each))
        if (stranger !== undefined)
          throw new AssemblyError(`drawing.things[${thing.id}].${kind}`, `nobody knows "${stranger}"`)
      }
      return {
        ...thing,
        items: thing.items.filter(each => here.items.has(each)),
        fixings: thing.fixings.filter(each => here.items.has(each)),
        groups: thing.groups.filter(each => here.groups.has(each)),
      }
    })
    .filter(thing => !(thing.appears || thing.optional) || thing.items.length + thing.fixings.length > 0)
  const drawn = new Set(things.map(thing => thing.id))
  return {
    ...drawing,
    things,
    ...(drawing.parted
      ? { parted: { ...drawing.parted, things: drawing.parted.things.filter(thing => drawn.has(thing)) } }
      : {}),
    ...(drawing.leans
      ? { leans: { ...drawing.leans, things: drawing.leans.things.filter(thing => drawn.has(thing)) } }
      : {}),
    carried: drawing.carried.map(body => {
      // What nobody takes off here is there all the same, as long as this layout has it.
      const masses = body.masses.flatMap(({ off, ...mass }): CarriedMass[] =>
        off === undefined || here.items.has(off)
          ? [{ ...mass, ...(off === undefined ? {} : { off }) }]
          : drawn.has(mass.id)
            ? [mass]
            : [],
      )
      const supports = body.supports.filter(
        ({ thing, under }) => drawn.has(thing) && (under === undefined || masses.some(mass => mass.id === under)),
      )
      return { ...body, masses, supports }
    }),
  }
}
