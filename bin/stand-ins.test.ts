import { readdirSync, readFileSync } from 'node:fs'
import { expect, it } from 'vitest'

it('names the stand-ins that there are, and no other', () => {
  const folders = readdirSync('stand-ins', { withFileTypes: true })
    .filter(entry => entry.isDirectory())
    .map(entry => `${entry.name}/`)
  const named = [...readFileSync('stand-ins/README.md', 'utf8').matchAll(/^- `([^`]+)`/gm)].map(match => match[1])
  expect(named.sort()).toEqual(folders.sort())
})
