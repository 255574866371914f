import { isMap, isSeq, stringify, visit, parseDocument } from 'yaml'
import type { LinkSource, OperationSource, Pack, RefitRule, When } from '../core/packs'

/** Lists and entries shorter than this stand on one line. */
const ONE_LINE = 150

/** A pack as YAML that `readPack` reads back equal: what is empty or as by default is left out. */
export function writePack(pack: Pack): string {
  const { modules, links, ...rest } = pack
  const document = parseDocument(
    stringify(
      bare({
        ...rest,
        options: pack.options.map(({ school, ...option }) => ({ ...option, ...(school ? { school } : {}) })),
        positions: pack.positions.map(withWhen),
        reach: pack.reach.map(withWhen),
        cautions: pack.cautions.map(({ serious, ...caution }) => ({ ...caution, ...(serious ? { serious } : {}) })),
        modules: modules.map(module => ({
          ...module,
          facts: module.facts.map(({ initially, ...fact }) => ({ ...fact, ...(initially ? { initially } : {}) })),
          operations: module.operations.map(operationEntry),
          links: module.links.map(linkEntry),
        })),
        links: links.map(linkEntry),
        bench: benchEntry(pack.bench),
      }) as object,
    ),
  )
  visit(document, {
    Collection(key, node) {
      if (key === null || (!isMap(node) && !isSeq(node))) return undefined
      const text = JSON.stringify(node.toJSON())
      if (text.length <= ONE_LINE && !(isMap(node) && node.has('operations'))) {
        node.flow = true
        return visit.SKIP
      }
      return undefined
    },
  })
  return document.toString({ lineWidth: 0, flowCollectionPadding: true })
}

function benchEntry({ sheets, ...rest }: Pack['bench']) {
  return {
    sheets: sheets.map(({ fields, judges, ...sheet }) => ({
      ...withWhen(sheet),
      fields: fields.map(withWhen),
      judges: judges.map(withWhen),
    })),
    ...rest,
  }
}

function operationEntry({ refit, hands, readings, ...rest }: OperationSource) {
  const { id, title, phase, place, car, minutes, ...more } = withWhen(rest)
  return {
    id,
    title,
    phase,
    place,
    car,
    minutes,
    ...(hands === 2 ? { hands } : {}),
    ...more,
    readings: readings.map(({ required, ...reading }) => ({ ...reading, ...(required ? { required } : {}) })),
    ...refitEntry(refit),
  }
}

function refitEntry(refit: RefitRule): { refit?: unknown } {
  if (refit.kind === 'none') return {}
  if (refit.kind === 'by') return { refit: { by: refit.operation } }
  const { readings, ...override } = refit.override
  return {
    refit: {
      ...override,
      ...(readings
        ? { readings: readings.map(({ required, ...reading }) => ({ ...reading, ...(required ? { required } : {}) })) }
        : {}),
    },
  }
}

function linkEntry(link: LinkSource) {
  const { waitMinutes, mirror, atOnce, ...rest } = withWhen(link)
  const byKind = link.kind === 'physical' || link.kind === 'access'
  return {
    ...rest,
    ...(waitMinutes ? { wait: waitMinutes } : {}),
    ...(atOnce ? { atOnce } : {}),
    ...(mirror === byKind ? {} : { mirror }),
  }
}

/** One way of applying stands as an object, several as a list; a single choice stands bare. */
function withWhen<T extends { when: When }>({ when, ...rest }: T): Omit<T, 'when'> & { when?: unknown } {
  const short = when.map(entry =>
    Object.fromEntries(
      Object.entries(entry).map(([option, choices]) => [option, choices.length === 1 ? choices[0] : choices]),
    ),
  )
  return { ...rest, ...(short.length === 0 ? {} : { when: short.length === 1 ? short[0] : short }) }
}

/** Without empty lists, empty objects and what is undefined; an override may be emptied on purpose, so a refit keeps its. */
function bare(value: unknown, keepEmpty = false): unknown {
  if (Array.isArray(value)) return value.map(entry => bare(entry, keepEmpty))
  if (value === null || typeof value !== 'object') return value
  return Object.fromEntries(
    Object.entries(value).flatMap(([key, entry]) => {
      if (entry === undefined) return []
      if (!keepEmpty && typeof entry === 'object' && entry !== null && Object.keys(entry).length === 0) return []
      return [[key, bare(entry, keepEmpty || key === 'refit')]]
    }),
  )
}
