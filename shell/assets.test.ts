import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { dirname, join } from 'node:path'
import { afterEach, beforeEach, expect, it } from 'vitest'
import { neededFor, shellFiles } from './assets'

let folder: string
const put = (path: string, content: string) => {
  mkdirSync(dirname(join(folder, path)), { recursive: true })
  writeFileSync(join(folder, path), content)
}
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'eldrin-shell-'))
  put('icon.svg', '<svg/>')
  put('_nuxt/entry.js', 'e'.repeat(200_000))
  put('_nuxt/work.js', 'work')
  put('_nuxt/editor.js', 'x'.repeat(200_000))
  put('_nuxt/editor.js.br', 'small')
})
afterEach(() => rmSync(folder, { recursive: true }))

const listed = (page = 'page') => shellFiles(folder, page, new Set(['/_nuxt/entry.js']))

it('keeps the page and what it asks for first, large parts later, and no other forms of the same file', () => {
  const { first, later } = listed()
  expect(first.map(({ url }) => url)).toEqual(['/', '/_nuxt/entry.js', '/_nuxt/work.js', '/icon.svg'])
  expect(later).toEqual(['/_nuxt/editor.js'])
  expect(first.filter(({ revision }) => revision === null).map(({ url }) => url)).toEqual([
    '/_nuxt/entry.js',
    '/_nuxt/work.js',
  ])
})

it('is another version when anything of it is another, and only then', () => {
  const pageOf = ({ first }: ReturnType<typeof listed>) => first[0]!.revision
  const before = pageOf(listed())
  expect(pageOf(listed())).toBe(before)
  expect(pageOf(listed('another page'))).not.toBe(before)
  put('_nuxt/editor.js', 'y'.repeat(200_000))
  expect(pageOf(listed())).not.toBe(before)
})

it('needs what pages import, and what that imports, but nothing that is fetched on the way', () => {
  const manifest = {
    'entry.ts': { file: 'entry.js', isEntry: true, imports: ['_vue.js'] },
    '_vue.js': { file: 'vue.js' },
    'pages/jobs/work.vue': { file: 'work.js', imports: ['_core.js', '_vue.js'] },
    '_core.js': { file: 'core.js', imports: ['_core.js'] },
    'pages/library.vue': { file: 'library.js', imports: ['_editor.js'] },
    '_editor.js': { file: 'editor.js' },
  }
  expect(neededFor(manifest, /pages\/jobs/)).toEqual(['entry.js', 'vue.js', 'work.js', 'core.js'])
})
