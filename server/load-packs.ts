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
  layoutFile,
  moduleFile,
  optionsFile,
  outlinesFile,
  positionsFile,
  renewalFile,
  termsFile,
  toolsFile,
  toolWordsFile,
} from '../contracts/pack-file'
import { ladderFile } from '../contracts/pack-ladder'
import { assemblePack, AssemblyError, checkPack } from '../core/packs'
import type { CauseTables } from '../core/decisions'
import type { LayoutSource, Pack, Shelf, TermTable } from '../core/packs'

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
}

/**
 * Reads every layout with its modules, tools, cautions and terms, and checks them in all option combinations.
 * @param folder the `packs` folder
 * @throws PackFileError on the first file that is missing, unreadable or wrong
 */
export function loadPacks(folder: string): PackShelf {
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
    ...readFile(folder, 'positions.yaml', positionsFile),
    tools: readFile(folder, 'tools.yaml', toolsFile),
    toolWords: readFile(folder, 'tool-words.yaml', toolWordsFile),
    cautions: readFile(folder, 'cautions.yaml', cautionsFile),
    outlines: readFile(folder, 'outlines.yaml', outlinesFile),
    ladders: yamlFiles(folder, 'ladders').map(file => readFile(folder, file, ladderFile)),
    bleeding: readFile(folder, 'bleeding.yaml', bleedingFile),
    closing: readFile(folder, 'closing.yaml', closingFile),
    roadTest: readFile(folder, 'road-test.yaml', roadTestFile),
    drawings: yamlFiles(folder, 'drawings').map(file => readFile(folder, file, drawingFile)),
    bench: {
      sheets: yamlFiles(folder, 'sheets').map(file => readFile(folder, file, sheetFile)),
      orientations: readFile(folder, 'orientations.yaml', orientationsFile),
      oldParts: readFile(folder, 'old-parts.yaml', oldPartsFile),
      reachable: readFile(folder, 'reachable.yaml', reachableFile),
      mating: readFile(folder, 'mating.yaml', matingFile),
    },
  }
  const packs = new Map<string, Pack>()
  const layouts = yamlFiles(folder, 'layouts')
    .map(file => ({ file, layout: readNamed(folder, file, layoutFile) }))
    .sort((a, b) => a.layout.rank - b.layout.rank)
  for (const { file, layout } of layouts) {
    const pack = assemble(file, layout, shared)
    const [fault] = checkPack(pack, terms)
    if (fault) throw new PackFileError(`packs/${file}`, fault.path, fault.reason)
    packs.set(pack.id, pack)
  }
  if (packs.size === 0) throw new PackFileError('packs/layouts', '', 'there is no layout')
  return { packs, terms, causes: readFile(folder, 'causes.yaml', causesFile) }
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
