import { isMap, isSeq, LineCounter, parseDocument } from 'yaml'
import type { Document, Node } from 'yaml'
import type { core } from 'zod'
import { checkPack } from '../core/packs'
import type { Pack, TermTable } from '../core/packs'
import { packFile } from './pack-file'
import { yamlSentence } from './yaml-words'

/** Something wrong in a pack file: where, why, and at which characters of the text. */
export interface PackProblem {
  path: string
  reason: string
  line: number
  from: number
  to: number
}

export interface ReadPack {
  pack: Pack | null
  problems: PackProblem[]
}

/**
 * Reads a whole layout from YAML and checks it in every way there is: the text, the schema, the sense.
 * @returns the pack, or all that is wrong with it and where
 */
export function readPack(text: string, terms: TermTable): ReadPack {
  const lines = new LineCounter()
  const document = parseDocument(text, { lineCounter: lines })
  const at = (path: string, reason: string, from: number, to: number): PackProblem => ({
    path,
    reason,
    from,
    to,
    line: lines.linePos(from).line,
  })
  if (document.errors.length > 0) {
    return {
      pack: null,
      problems: document.errors.map(error =>
        at('', yamlSentence(error), error.pos[0], Math.max(error.pos[1], error.pos[0] + 1)),
      ),
    }
  }
  const located = (path: string, reason: string) => {
    const [from, to] = rangeOf(document, path)
    return at(path, reason, from, to)
  }
  let value: unknown
  try {
    value = document.toJS({ maxAliasCount: 50 })
  } catch (error) {
    return { pack: null, problems: [at('', (error as Error).message, 0, 1)] }
  }
  const result = packFile.safeParse(value)
  if (!result.success)
    return {
      pack: null,
      problems: result.error.issues.map(deepest).map(issue => located(readablePath(issue.path, value), issue.message)),
    }
  const faults = checkPack(result.data, terms)
  return {
    pack: faults.length === 0 ? result.data : null,
    problems: faults.map(fault => located(fault.path, fault.reason)),
  }
}

/** Of an issue with several readings the one that went furthest into the value; its path from the root. */
export function deepest(issue: core.$ZodIssue): { path: PropertyKey[]; message: string } {
  if (issue.code !== 'invalid_union') return issue
  const inner = issue.errors
    .flat()
    .map(deepest)
    .sort((a, b) => b.path.length - a.path.length)[0]
  return inner && inner.path.length > 0
    ? { path: [...issue.path, ...inner.path], message: inner.message }
    : { path: issue.path, message: inner?.message ?? issue.message }
}

/** `operations[3].minutes` says little; with the id of the entry it can be found by searching the file. */
export function readablePath(path: PropertyKey[], root: unknown): string {
  let value: unknown = root
  let text = ''
  for (const part of path) {
    value = (value as Record<PropertyKey, unknown> | undefined)?.[part]
    if (typeof part === 'number') text += `[${(value as { id?: string } | undefined)?.id ?? part}]`
    else text += text ? `.${String(part)}` : String(part)
  }
  return text
}

/** The characters that a path like `modules[clutch].operations[disc-set].tools` points at, or as far as it leads. */
function rangeOf(document: Document, path: string): [number, number] {
  let node = document.contents as Node | null
  let found: [number, number] = [0, 1]
  for (const [, key, entry] of path.matchAll(/([^.[\]]+)|\[([^\]]+)\]/g)) {
    if (isMap(node) && key !== undefined) {
      const pair = node.items.find(item => String(item.key) === key)
      if (!pair) break
      found = spanOf(pair.key as Node) ?? found
      node = pair.value as Node | null
    } else if (isSeq(node) && entry !== undefined) {
      const item = node.items.find(each => isMap(each) && each.get('id') === entry) ?? node.items[Number(entry)]
      if (!item) break
      node = item as Node
      found = (isMap(node) ? spanOf(node.items[0]?.value as Node) : null) ?? spanOf(node) ?? found
    } else break
  }
  return found
}

function spanOf(node: Node | null | undefined): [number, number] | null {
  return node?.range ? [node.range[0], Math.max(node.range[1], node.range[0] + 1)] : null
}
