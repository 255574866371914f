import { createHash } from 'node:crypto'
import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import type { ShellFile } from './shell-file'

export interface ShellFiles {
  /** What every view of a job needs: there before the shell takes over. */
  first: ShellFile[]
  /** Editor, charts and checks of whole layouts, by address: fetched when nothing else is going on. */
  later: string[]
}

/** What of the bundler's list of files is read here. */
interface Bundled {
  file: string
  isEntry?: boolean
  imports?: string[]
}

/** The files that the application and the pages whose source matches ask for at once, whatever asks for them. */
export function neededFor(manifest: Record<string, Bundled>, pages: RegExp): string[] {
  const needed = new Set<string>()
  const add = (name: string) => {
    const entry = manifest[name]
    if (!entry || needed.has(entry.file)) return
    needed.add(entry.file)
    entry.imports?.forEach(add)
  }
  for (const [name, entry] of Object.entries(manifest)) if (entry.isEntry || pages.test(name)) add(name)
  return [...needed]
}

/** A part larger than this is fetched later, in bytes before compression. */
const LARGEST_FIRST = 150_000
/** Other forms of the same files. */
const compressed = /\.(?:br|gz|map)$/

/**
 * Lists what the shell keeps on a device.
 * @param folder the built public files
 * @param page what else the page is made from, as text: another text is another version
 * @param needed addresses of files that are asked for at once, however large they are
 */
export function shellFiles(folder: string, page: string, needed: Set<string>): ShellFiles {
  const files = readdirSync(folder, { recursive: true, withFileTypes: true })
    .filter(file => file.isFile() && !compressed.test(file.name))
    .map(file => {
      const path = join(file.parentPath, file.name)
      const content = readFileSync(path)
      return { url: path.slice(folder.length).replaceAll('\\', '/'), size: content.length, hash: hashOf(content) }
    })
    .sort((a, b) => (a.url < b.url ? -1 : 1))
  const isLater = ({ url, size }: { url: string; size: number }) =>
    size > LARGEST_FIRST && url.endsWith('.js') && !needed.has(url)
  return {
    first: [
      { url: '/', revision: hashOf([page, ...files.map(({ url, hash }) => `${url} ${hash}`)].join('\n')) },
      ...files
        .filter(file => !isLater(file))
        // A built file has its content in its name.
        .map(({ url, hash }) => ({ url, revision: url.startsWith('/_nuxt/') ? null : hash })),
    ],
    later: files.filter(isLater).map(({ url }) => url),
  }
}

const hashOf = (content: string | Buffer) => createHash('sha256').update(content).digest('hex').slice(0, 16)
