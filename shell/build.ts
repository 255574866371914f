import { readFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { build } from 'esbuild'
import { shellFiles } from './assets'

const here = (path: string) => fileURLToPath(new URL(path, import.meta.url))

/**
 * Makes the service worker beside the built public files, with the list of what it keeps.
 * @param head what the page's head is made from
 * @param needed files that are asked for at once
 */
export async function buildShell(publicFolder: string, head: unknown, needed: string[]): Promise<void> {
  const page = JSON.stringify(head) + readFileSync(here('../app/spa-loading.html'), 'utf8')
  const { first, later } = shellFiles(publicFolder, page, new Set(needed.map(file => `/_nuxt/${file}`)))
  await build({
    entryPoints: [here('./service-worker.ts')],
    outfile: `${publicFolder}/service-worker.js`,
    bundle: true,
    minify: true,
    format: 'iife',
    target: 'es2022',
    legalComments: 'none',
    logLevel: 'error',
    define: {
      SHELL_FIRST: JSON.stringify(first),
      SHELL_LATER: JSON.stringify(later),
      'process.env.NODE_ENV': '"production"',
    },
  })
}
