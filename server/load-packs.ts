import { createHash } from 'node:crypto'
import { readdirSync, readFileSync } from 'node:fs'
import { basename, join, relative } from 'node:path'
import { parseDocument } from 'yaml'
import type { ZodType } from 'zod'
import { deepest, readablePath } from '../contracts/read-pack'
import { closingFile, roadTestFile } from '../contracts/closing-file'
import { causesFile } from '../contracts/causes-file'
import { bleedingFile } from '../contracts/bleeding-file'
import { matingFile, oldPartsFile, orientationsFile, reachableFile, sheetFile } from '../contracts/bench-file'
import { drawingFile } from '../contracts/drawing-file'
import {
  cautionsFile,
  controlFile,
  layoutFile,
  moduleFile,
  optionsFile,
  outlinesFile,
  foundThingsFile,
  bayFile,
  renewalFile,
  termsFile,
  toolsFile,
  toolWordsFile,
} from '../contracts/pack-file'
import { ladderFile } from '../contracts/pack-ladder'
import { assemblePack, AssemblyError, checkPack, EITHER_POSITION } from '../core/packs'
import type { CauseTables } from '../core/decisions'
import type { FoundThing, LayoutSource, ModuleSource, Pack, Shelf, TermTable } from '../core/packs'

/** A pack file that cannot be used. The message gives file, path and reason. */
export class PackFileError extends Error {
  override name = 'PackFileError'
  constructor(
    readonly file: string,
    readonly path: string,
    readonly reason: string,
  ) {
    super(`${file}: ${path ? `${path}: ` : ''}${reason}`)
  }
}

export interface PackShelf {
  packs: Map<string, Pack>
  terms: TermTable
  causes: CauseTables[]
  /** What turns up on a car that no layout knows of. */
  found: FoundThing[]
}

/**
 * Reads every layout with its modules, tools, cautions and terms, and checks them in all option combinations.
 * @param folder the `packs` folder
 * @throws PackFileError on the first file that is missing, unreadable or wrong
 * @param checked the digest of a folder whose layouts were looked through already: the same ones are not looked through again
 */
export function loadPacks(folder: string, checked: string | null = null): PackShelf {
  const isChecked = checked !== null && checked === packsDigest(folder)
  const terms: TermTable = readFile(folder, 'terms.yaml', termsFile)
  const modules = new Map(
    yamlFiles(folder, 'modules').map(file => {
      const module = readNamed(folder, file, moduleFile)
      return [module.id, module] as const
    }),
  )
  const shared: Shelf = {
    modules,
    renewals: yamlFiles(folder, 'renewals').map(file => readNamed(folder, file, renewalFile)),
    options: readFile(folder, 'options.yaml', optionsFile),
    tools: readFile(folder, 'tools.yaml', toolsFile),
    toolWords: readFile(folder, 'tool-words.yaml', toolWordsFile),
    cautions: readFile(folder, 'cautions.yaml', cautionsFile),
    outlines: readFile(folder, 'outlines.yaml', outlinesFile),
    ladders: yamlFiles(folder, 'ladders').map(file => readFile(folder, file, ladderFile)),
    sets: {
      mating: readSets(folder, 'mating', matingFile),
      closing: readSets(folder, 'closing', closingFile),
      roadTest: readSets(folder, 'road-tests', roadTestFile),
      bleeding: readSets(folder, 'bleeding', bleedingFile),
      control: readSets(folder, 'controls', controlFile),
      bay: new Map(
        yamlFiles(folder, 'bays').map(file => {
          const bay = readNamed(folder, file, bayFile)
          return [bay.id, bay] as const
        }),
      ),
      causes: new Map(
        yamlFiles(folder, 'causes').map(file => {
          const table = readNamed(folder, file, causesFile)
          return [table.id, table] as const
        }),
      ),
    },
    drawings: yamlFiles(folder, 'drawings').map(file => readFile(folder, file, drawingFile)),
    bench: {
      sheets: yamlFiles(folder, 'sheets').map(file => readFile(folder, file, sheetFile)),
      orientations: readFile(folder, 'orientations.yaml', orientationsFile),
      oldParts: readFile(folder, 'old-parts.yaml', oldPartsFile),
      reachable: readFile(folder, 'reachable.yaml', reachableFile),
    },
  }
  for (const module of modules.values()) wantPlaces(module, shared)
  const packs = new Map<string, Pack>()
  const layouts = yamlFiles(folder, 'layouts')
    .map(file => ({ file, layout: readNamed(folder, file, layoutFile) }))
    .sort((a, b) => a.layout.rank - b.layout.rank)
  for (const { file, layout } of layouts) {
    const pack = assemble(file, layout, shared)
    const [fault] = isChecked ? [] : checkPack(pack, terms)
    if (fault) throw new PackFileError(`packs/${file}`, fault.path, fault.reason)
    packs.set(pack.id, pack)
  }
  if (packs.size === 0) throw new PackFileError('packs/layouts', '', 'there is no layout')
  return {
    packs,
    terms,
    // In the order in which layouts name them.
    causes: [...new Set(layouts.flatMap(({ layout }) => layout.uses.causes))].map(id => shared.sets.causes.get(id)!),
    found: readFile(folder, 'found-things.yaml', foundThingsFile),
  }
}

/** What the files of a folder of packs say, as a digest: another file or another word has another. */
export function packsDigest(folder: string): string {
  const hash = createHash('sha256')
  const files = readdirSync(folder, { recursive: true, encoding: 'utf8' }).filter(file => file.endsWith('.yaml'))
  for (const file of files.sort())
    hash
      .update(`${file}\0`)
      .update(readFileSync(join(folder, file)))
      .update('\0')
  return hash.digest('hex')
}

/** A place or a stance that no bay has is a slip of the module's own, whoever uses it. */
function wantPlaces({ id, operations }: ModuleSource, { sets }: Shelf): void {
  const bays = [...sets.bay.values()]
  const places = new Set(bays.flatMap(bay => bay.places.map(place => place.id)))
  const stances = new Set([EITHER_POSITION, ...bays.flatMap(bay => bay.stances.map(stance => stance.id))])
  for (const { id: step, place, car } of operations)
    for (const [key, value, known] of [
      ['place', place, places],
      ['car', car, stances],
    ] as const)
      if (!known.has(value))
        throw new PackFileError(
          `packs/modules/${id}.yaml`,
          `operations[${step}].${key}`,
          `One of: ${[...known].join(', ')}.`,
        )
}

function assemble(file: string, layout: LayoutSource, shared: Shelf): Pack {
  try {
    return assemblePack(layout, shared)
  } catch (error) {
    if (error instanceof AssemblyError) throw new PackFileError(`packs/${file}`, error.path, error.reason)
    throw error
  }
}

function yamlFiles(folder: string, sub: string): string[] {
  try {
    return readdirSync(join(folder, sub))
      .filter(name => name.endsWith('.yaml'))
      .sort()
      .map(name => join(sub, name))
  } catch {
    throw new PackFileError(`packs/${sub}`, '', 'the folder is missing')
  }
}

/** The sets of a folder, by the names of their files. */
function readSets<T>(folder: string, sub: string, schema: ZodType<T>): Map<string, T> {
  return new Map(yamlFiles(folder, sub).map(file => [basename(file, '.yaml'), readFile(folder, file, schema)] as const))
}

/** A file that bears the id of what it holds. */
function readNamed<T extends { id: string }>(folder: string, file: string, schema: ZodType<T>): T {
  const read = readFile(folder, file, schema)
  if (read.id !== basename(file, '.yaml'))
    throw new PackFileError(`packs/${file}`, 'id', `"${read.id}" is not the name of the file`)
  return read
}

function readFile<T>(folder: string, file: string, schema: ZodType<T>): T {
  const shown = `packs/${relative(folder, join(folder, file))}`
  let text: string
  try {
    text = readFileSync(join(folder, file), 'utf8')
  } catch {
    throw new PackFileError(shown, '', 'the file is missing or cannot be read')
  }
  const document = parseDocument(text)
  if (document.errors.length > 0) throw new PackFileError(shown, '', document.errors[0]!.message)
  const result = schema.safeParse(document.toJS())
  if (result.success) return result.data
  const issue = deepest(result.error.issues[0]!)
  throw new PackFileError(shown, readablePath(issue.path, document.toJS()), issue.message)
}
