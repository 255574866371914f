import { fileURLToPath } from 'node:url'
import { build } from 'esbuild'

/** Makes the worker's files beside the built server; they need nothing else, and what few tasks want stands in a file of its own. */
export async function buildWorker(serverFolder: string): Promise<void> {
  await build({
    entryPoints: [fileURLToPath(new URL('./worker.ts', import.meta.url))],
    outdir: `${serverFolder}/apart`,
    outExtension: { '.js': '.mjs' },
    splitting: true,
    bundle: true,
    platform: 'node',
    target: 'node20',
    format: 'esm',
    minifySyntax: true,
    legalComments: 'none',
    logLevel: 'error',
    // Drivers for other places that the libraries would use if they were there.
    external: ['pg-native', 'cloudflare:sockets'],
    banner: {
      js: [
        'import { createRequire } from "node:module"; import { fileURLToPath } from "node:url";',
        'const require = createRequire(import.meta.url); const __filename = fileURLToPath(import.meta.url); const __dirname = fileURLToPath(new URL(".", import.meta.url));',
      ].join('\n'),
    },
  })
}
