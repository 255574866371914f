import { Document, Pair, YAMLMap, YAMLSeq } from 'yaml'
import type { Node } from 'yaml'
import type { LinkSource, OperationSource, Pack, RefitRule, When } from '../core/packs'

/** Lists and entries shorter than this stand on one line. */
const ONE_LINE = 150

/** A pack as YAML that `readPack` reads back equal: what is empty or as by default is left out. */
export function writePack(pack: Pack): string {
  const { modules, links, ...rest } = pack
  const document = new Document()
  document.contents = nodeOf(
    document,
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
    }),
  )
  return document.toString({ lineWidth: 0, flowCollectionPadding: true })
}

/** A value as YAML: what is short stands on one line, bar what has steps. */
function nodeOf(document: Document, value: unknown): Node {
  if (value === null || typeof value !== 'object') return document.createNode(value) as Node
  const flow = JSON.stringify(value).length <= ONE_LINE && !('operations' in value)
  if (flow) return document.createNode(value, { flow, aliasDuplicateObjects: false })
  if (Array.isArray(value)) {
    const list = new YAMLSeq()
    for (const entry of value) list.add(nodeOf(document, entry))
    return list
  }
  const map = new YAMLMap<Node, Node>()
  for (const [key, entry] of Object.entries(value))
    map.add(new Pair(document.createNode(key) as Node, nodeOf(document, entry)))
  return map
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
