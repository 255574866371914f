import { checkBench } from './check-bench'
import { checkDrawing } from './check-drawing'
import type { PackFault } from './check-pack'
import { refitId } from './mirror'
import { EITHER_POSITION } from '../pack/kinds'
import type { When } from '../pack/kinds'
import { bayOf } from '../pack/bay'
import type { OperationSource } from '../pack/operations'
import type { Pack } from '../pack/pack'

/** Ids that stand twice, and ids that lead nowhere. */
export function checkIds(pack: Pack): PackFault[] {
  return [...repeatedIds(pack), ...unknownIds(pack)]
}

function repeatedIds(pack: Pack): PackFault[] {
  const inModules = (kind: 'items' | 'facts' | 'groups' | 'parts' | 'operations') =>
    pack.modules.flatMap(module => module[kind].map(({ id }) => ({ path: `modules[${module.id}].${kind}[${id}]`, id })))
  const kinds: [string, { path: string; id: string }[]][] = [
    ['module', pack.modules.map(({ id }) => ({ path: `modules[${id}]`, id }))],
    ['operation', inModules('operations')],
    ['item', [...pack.items.map(({ id }) => ({ path: `items[${id}]`, id })), ...inModules('items')]],
    ['fact', inModules('facts')],
    ['group', inModules('groups')],
    ['part', inModules('parts')],
    [
      'piece',
      pack.modules.flatMap(module =>
        (module.bodies ?? []).flatMap(body =>
          body.pockets.flatMap(pocket =>
            pocket.pieces.map(({ id }) => ({ path: `bodies[${body.id}].pockets[${pocket.id}].pieces[${id}]`, id })),
          ),
        ),
      ),
    ],
    ['outline', pack.outlines.map(({ id }) => ({ path: `outlines[${id}]`, id }))],
    ['way of bleeding', pack.bleeding.map(({ id }) => ({ path: `bleeding[${id}]`, id }))],
    ['closing check', pack.closing.map(({ id }) => ({ path: `closing[${id}]`, id }))],
    ['road task', pack.roadTest.map(({ id }) => ({ path: `roadTest[${id}]`, id }))],
    ['ladder', pack.ladders.map(({ id }) => ({ path: `ladders[${id}]`, id }))],
    ['option', pack.options.map(({ id }) => ({ path: `options[${id}]`, id }))],
  ]
  return kinds.flatMap(([kind, entries]) =>
    entries
      .filter((entry, index) => entries.findIndex(other => other.id === entry.id) < index)
      .map(({ path, id }) => ({ path, reason: `the ${kind} "${id}" stands twice` })),
  )
}

function unknownIds(pack: Pack): PackFault[] {
  const operations = pack.modules.flatMap(module => module.operations)
  const operationIds = new Set(
    operations.flatMap(({ id, refit }) => (refit.kind === 'mirror' ? [id, refitId(id)] : [id])),
  )
  const idsOf = (entries: { id: string }[]) => new Set(entries.map(({ id }) => id))
  const items = idsOf([...pack.items, ...pack.modules.flatMap(module => module.items)])
  const facts = idsOf(pack.modules.flatMap(module => module.facts))
  const groups = idsOf(pack.modules.flatMap(module => module.groups))
  const parts = idsOf(pack.modules.flatMap(module => module.parts))
  const tools = idsOf(pack.tools)
  const bodies = idsOf(pack.modules.flatMap(module => module.bodies ?? []))
  const loads = idsOf(pack.modules.flatMap(module => module.loads ?? []))
  const surfaces = idsOf(pack.modules.flatMap(module => module.surfaces ?? []))
  const sheets = idsOf(pack.bench.sheets)
  const cautions = idsOf(pack.cautions)
  const places = idsOf(bayOf(pack).places)
  const stances = idsOf(bayOf(pack).stances)
  const eitherStance = new Set([...stances, EITHER_POSITION])
  const faults: PackFault[] = []
  const want = (path: string, kind: string, known: Set<string>, ids: (string | undefined)[]) => {
    for (const id of ids)
      if (id !== undefined && !known.has(id)) faults.push({ path, reason: `unknown ${kind} "${id}"` })
  }
  const wantWhen = (path: string, when: When) => {
    for (const [id, choices] of when.flatMap(entry => Object.entries(entry))) {
      const option = pack.options.find(entry => entry.id === id)
      if (option) want(`${path}.when`, `choice of ${id}`, idsOf(option.choices), choices)
      else faults.push({ path: `${path}.when`, reason: `unknown option "${id}"` })
    }
  }
  for (const option of pack.options)
    want(`options[${option.id}].default`, 'choice', idsOf(option.choices), [option.default])
  for (const item of [...pack.items, ...pack.modules.flatMap(module => module.items)]) {
    want(`items[${item.id}].group`, 'fastener group', groups, [item.group])
    want(`items[${item.id}].newPart`, 'part', parts, [item.newPart])
    want(`items[${item.id}].covers`, 'item', items, [item.covers])
  }
  for (const module of pack.modules) {
    for (const fact of module.facts)
      want(`modules[${module.id}].facts[${fact.id}].carStays`, 'stance', stances, [fact.carStays])
    for (const operation of module.operations) {
      const path = `modules[${module.id}].operations[${operation.id}]`
      const override = operation.refit.kind === 'mirror' ? operation.refit.override : undefined
      want(path, 'item', items, [
        ...Object.keys(operation.takesOff),
        ...Object.keys(operation.putsBack),
        ...Object.keys(override?.takesOff ?? {}),
      ])
      want(`${path}.place`, 'place', places, [operation.place, override?.place])
      want(`${path}.car`, 'stance', eitherStance, [operation.car, override?.car])
      want(path, 'part', parts, [...Object.keys(operation.parts), ...Object.keys(override?.parts ?? {})])
      want(path, 'fact', facts, [...factsOf(operation), ...factsOf(override ?? {})])
      want(path, 'tool', tools, [...operation.tools, ...(override?.tools ?? [])])
      want(path, 'caution', cautions, [...operation.cautions, ...(override?.cautions ?? [])])
      want(path, 'fastener group', groups, [
        operation.figure,
        override?.figure,
        groupOf(operation),
        groupOf(override ?? {}),
        ...(operation.moreFigures ?? []),
        ...(override?.moreFigures ?? []),
      ])
      want(path, 'body', bodies, [bodyOf(operation), bodyOf(override ?? {})])
      want(path, 'load', loads, operation.settles ?? [])
      for (const { soils = [], washes = [], wantsClean = [], wantsShut = [] } of [operation, override ?? {}]) {
        want(path, 'surface', surfaces, [...soils, ...washes, ...wantsClean])
        want(path, 'item', items, wantsShut)
      }
      want(path, 'sheet', sheets, [sheetOf(operation), sheetOf(override ?? {})])
      want(path, 'way of bleeding', idsOf(pack.bleeding), [wayOf(operation), wayOf(override ?? {})])
      const { minutes } = pack.bleeding.find(way => way.id === wayOf(operation)) ?? {}
      if (minutes && minutes.join() !== operation.minutes.join() && !operation.learned)
        faults.push({ path: `${path}.minutes`, reason: `its way of bleeding takes ${minutes.join(', ')} minutes` })
      if (operation.refit.kind === 'by') want(`${path}.refit`, 'operation', operationIds, [operation.refit.operation])
      wantWhen(path, operation.when)
    }
  }
  for (const { id: moduleId, groups: ofModule } of pack.modules) {
    for (const { id, count, board } of ofModule) {
      if (!board) continue
      const path = `modules[${moduleId}].groups[${id}].board`
      want(`${path}.outline`, 'outline', idsOf(pack.outlines), [board.outline])
      want(`${path}.clearFor`, 'operation', operationIds, [board.clearFor])
      for (const place of board.places)
        want(`${path}.places[${place.id}].offWith`, 'operation', operationIds, [place.offWith])
      if (board.places.length !== count)
        faults.push({ path: `${path}.places`, reason: `the group has ${count} bolts, its map ${board.places.length}` })
      const twice = board.places.find(
        (place, index) =>
          board.places.findIndex(other => other.id === place.id || (other.x === place.x && other.y === place.y)) <
          index,
      )
      if (twice) faults.push({ path: `${path}.places[${twice.id}]`, reason: 'the id or the place stands twice' })
    }
  }
  for (const body of pack.modules.flatMap(module => module.bodies ?? [])) {
    const path = `bodies[${body.id}]`
    want(`${path}.outline`, 'outline', idsOf(pack.outlines), [body.outline])
    want(`${path}.groups`, 'fastener group', groups, body.groups)
    want(path, 'operation', operationIds, [body.opens, body.closes, ...body.steps])
  }
  for (const load of pack.modules.flatMap(module => module.loads ?? [])) {
    const path = `loads[${load.id}]`
    want(path, 'item', items, [load.out, ...load.heldBy.flatMap(({ prop, fitted = [] }) => [prop, ...fitted])])
    want(
      path,
      'fastener group',
      groups,
      load.heldBy.map(({ bolts }) => bolts?.group),
    )
  }
  for (const check of pack.closing) want(`closing[${check.id}].steps`, 'operation', operationIds, check.steps)
  for (const ladder of pack.ladders) {
    want(`ladders[${ladder.id}].cautions`, 'caution', cautions, ladder.cautions)
    want(`ladders[${ladder.id}].steps`, 'operation', operationIds, ladder.steps)
    for (const rung of ladder.rungs) want(`ladders[${ladder.id}].rungs[${rung.id}].tools`, 'tool', tools, rung.tools)
  }
  for (const { path, links } of [
    ...pack.modules.map(module => ({ path: `modules[${module.id}].links`, links: module.links })),
    { path: 'links', links: pack.links },
  ]) {
    for (const [index, link] of links.entries()) {
      want(`${path}[${index}]`, 'operation', operationIds, [link.before, link.after])
      wantWhen(`${path}[${index}]`, link.when)
    }
  }
  for (const [index, entry] of pack.positions.entries()) {
    want(`positions[${index}].to`, 'stance', stances, [entry.to])
    want(`positions[${index}]`, 'item', items, Object.keys(entry.takesOff))
    want(`positions[${index}]`, 'tool', tools, entry.tools)
    want(`positions[${index}]`, 'caution', cautions, entry.cautions)
    wantWhen(`positions[${index}]`, entry.when)
  }
  for (const [index, entry] of pack.reach.entries()) {
    want(`reach[${index}]`, 'place', places, [entry.place])
    want(`reach[${index}]`, 'stance', stances, [entry.car])
    wantWhen(`reach[${index}]`, entry.when)
  }
  return [...faults, ...checkBench(pack, operationIds), ...(pack.drawing ? checkDrawing(pack.drawing) : [])]
}

function factsOf(operation: Partial<Pick<OperationSource, 'needs' | 'gives' | 'ends'>>): string[] {
  return [...(operation.needs ?? []), ...(operation.gives ?? []), ...(operation.ends ?? [])]
}

function wayOf(operation: Partial<Pick<OperationSource, 'activity'>>): string | undefined {
  return operation.activity?.kind === 'bleed' ? operation.activity.way : undefined
}

function bodyOf(operation: Partial<Pick<OperationSource, 'activity'>>): string | undefined {
  return operation.activity?.kind === 'body' ? operation.activity.body : undefined
}

function sheetOf(operation: Partial<Pick<OperationSource, 'activity'>>): string | undefined {
  return operation.activity?.kind === 'judged' ? operation.activity.sheet : undefined
}

function groupOf(operation: Partial<Pick<OperationSource, 'activity'>>): string | undefined {
  return operation.activity?.kind === 'tighten' ? operation.activity.group : undefined
}
