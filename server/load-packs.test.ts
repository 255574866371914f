import { cpSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterEach, beforeEach, expect, it } from 'vitest'
import { packsFolder } from '../tests/support/packs'
import { keepShelf, keptShelf } from './kept-shelf'
import { loadPacks, packsDigest } from './load-packs'

let folder: string
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'eldrin-packs-'))
  cpSync(packsFolder, folder, { recursive: true })
})
afterEach(() => rmSync(folder, { recursive: true }))

function edit(file: string, from: string | RegExp, to: string) {
  const text = readFileSync(join(folder, file), 'utf8')
  const edited = text.replace(from, to)
  expect(edited).not.toBe(text)
  writeFileSync(join(folder, file), edited)
}
const message = () => {
  try {
    loadPacks(folder)
    return 'loaded'
  } catch (error) {
    return (error as Error).message
  }
}

it('loads what ships: the build has kept just this, as it is read', () => {
  expect(keptShelf('.output/packs-read', packsFolder)).toEqual(loadPacks(packsFolder, packsDigest(packsFolder)))
})
it('takes what was kept only as long as the folder says the same, and where all of it was kept', () => {
  const file = join(folder, 'kept')
  expect(keptShelf(file, folder)).toBeNull()
  keepShelf(file, folder, loadPacks(folder, packsDigest(folder)))
  expect(keptShelf(file, folder)!.packs.size).toBeGreaterThan(0)
  writeFileSync(`${file}-half`, readFileSync(file).subarray(0, 5000))
  expect(keptShelf(`${file}-half`, folder)).toBeNull()
  edit('modules/intake.yaml', 'minutes: [0.5, 1, 3]', 'minutes: [0.5, 1, 4]')
  expect(keptShelf(file, folder)).toBeNull()
})
it('does not look through again what was looked through, and does where a word of it is another', () => {
  const checked = packsDigest(folder)
  expect(() => loadPacks(folder, checked)).not.toThrow()
  edit('modules/intake.yaml', 'tools: [', 'tools: [magic-wand, ')
  expect(packsDigest(folder)).not.toBe(checked)
  expect(() => loadPacks(folder, checked)).toThrow('unknown tool "magic-wand"')
  // Only what nobody looks through: the digest is what counts.
  expect(() => loadPacks(folder, packsDigest(folder))).not.toThrow()
})
it.each([
  [
    'modules/intake.yaml',
    'minutes: [0.5, 1, 3]',
    'minutes: [3, 1, 0.5]',
    'packs/modules/intake.yaml: operations[airflow-sensor-unplugged].minutes: low, likely and high minutes in rising order',
  ],
  [
    'modules/intake.yaml',
    'place: top',
    'place: roof',
    'packs/modules/intake.yaml: operations[airflow-sensor-unplugged].place: One of: top, cab, wheels, under, bench, seat, front, sides, between.',
  ],
  [
    'modules/intake.yaml',
    'takesOff: { breather-hose: 1 }',
    'takesOf: { breather-hose: 1 }',
    'operations[breather-off]: Nothing here is called "takesOf".',
  ],
  [
    'modules/intake.yaml',
    'breather-hose: 1',
    'breather-pipe: 1',
    'modules[intake].operations[breather-off]: unknown item "breather-pipe"',
  ],
  [
    'modules/clutch.yaml',
    'before: tool-slides, after: pull-box.refit',
    'before: pull-box.refit, after: wet-bell',
    'the links form a cycle: ',
  ],
  [
    'modules/intake.yaml',
    'id: intake',
    'id: outtake',
    'packs/modules/intake.yaml: id: "outtake" is not the name of the file',
  ],
  [
    'layouts/fwd-transverse.yaml',
    '  - tests-before',
    '  - tests-behind',
    'modules[0]: there is no module "tests-behind"',
  ],
  ['modules/intake.yaml', 'title: Pull the breather hose', 'title: Pull the {breather}', 'no "{breather}"'],
  ['cautions.yaml', '- id: battery', '- id: [battery', 'packs/cautions.yaml: '],
  [
    'drawings/engine-across.yaml',
    /\[rect, -330, 330, 480, 480\]/,
    '[rect, -330, 330, 480]',
    'things[engine].side[0]: a rect has x, y, width and height; a circle x, y and radius; a line two points or more, a shape three',
  ],
  [
    'drawings/engine-across.yaml',
    /thing: engine-mount, at: 560/,
    'thing: engine-mounts, at: 560',
    'drawing.carried[engine-and-box].supports: there is no thing "engine-mounts" on the drawing',
  ],
  [
    'layouts/fwd-transverse.yaml',
    /lift-box: \{ mass: 42/,
    'lift-box: { weight: 42',
    'guides.lift-box.weight: the sheet asks for no number "weight"',
  ],
  [
    'mating/box-on-engine.yaml',
    /field: plate, good: \[held, none\]/,
    'field: plate, good: [kept]',
    'bench.mating.checks[plate].answer.if: "plate" has no answer "kept"',
  ],
  [
    'modules/drop-front.yaml',
    /hands: 2\n {4}aloneWay: Two long.*\n/,
    'hands: 2\n',
    'operations[pull-box].aloneWay: work for two hands names the way out for one',
  ],
])('refuses a slip in %s (%s)', (file, from, to, reason) => {
  edit(file, from, to)
  expect(message()).toContain(reason)
})
it('refuses a folder that is not there', () => {
  rmSync(join(folder, 'modules'), { recursive: true })
  expect(message()).toContain('packs/modules: the folder is missing')
})
