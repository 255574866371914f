import { readdirSync, readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { parse } from 'yaml'
import { sourceWords } from '../../contracts/words'
import { bench, packs, say } from '../../core'
import { jobPaper, paperContext, paperKinds } from '../../core/formats'
import { reduceJob } from '../../core/job'
import type { Reader } from '../../core/say'
import { DemoMechanic } from '../../server/demo/play'
import { Chance } from '../../stand-ins/chance'
import { fillIn } from '../support/filled-sheet'
import { TestLog } from '../support/job-log'
import { shelf } from '../support/packs'
import { personId } from '../support/requests'

const metric = { torque: 'N·m', length: 'mm', distance: 'km', mass: 'kg', volume: 'ml' } as const
const inch = { torque: 'lbf·ft', length: 'in', distance: 'mi', mass: 'lb', volume: 'US qt' } as const
const readers = (['us', 'uk'] as const).flatMap(words =>
  [metric, inch].map((units): Reader => ({ terms: shelf.terms, words, units })),
)

/** Units that are the other system's. What is below a bottle stays in ml for everybody; torque and mass of papers stand in both. */
const foreignUnits = {
  metric: /\d[  ](in(?! 100| a row)|lbf|lbf·ft|lbf·in|lb|mi|US qt|psi|°F)(?![\w·])/,
  inch: /\d[  ](mm|N·m|kN|N|kg|km|bar|°C)(?![\w·])|\b\d{4,}[  ]ml\b/,
}
/** Spellings that only the other trade uses. */
const foreignWords = {
  us: /\b(tyres?|aluminium|centred?|centring|labour|colour|grey|spanners?|bonnet)\b/i,
  uk: /\b(tires?|aluminum|center(ed|ing)?|color|labor|gray|wrench(es)?)\b/i,
}

function wrongWith(text: string, reader: Reader, both = false): string | null {
  const read = say.render(text, reader)
  if (!say.isRendered(read)) return `a token is left in “${read}”`
  const units = both ? null : foreignUnits[reader.units === metric ? 'metric' : 'inch'].exec(read)
  const word = foreignWords[reader.words].exec(read)
  return units || word
    ? `“${(units ?? word)![0]}” in “${read}”, read by ${reader.words} in ${reader.units.length}`
    : null
}
const wrongIn = (texts: Iterable<string>) => [
  ...new Set([...texts].flatMap(text => readers.flatMap(reader => wrongWith(text, reader) ?? []))),
]

/** Every text of a layout that is a sentence, wherever it stands; sizes of tools and threads are names. */
function sentencesOf(value: unknown, key = ''): string[] {
  if (typeof value === 'string') return /\s/.test(value) && !NAMES.has(key) ? [value] : []
  if (Array.isArray(value)) return value.flatMap(entry => sentencesOf(entry, key))
  return value && typeof value === 'object'
    ? Object.entries(value).flatMap(([name, entry]) => sentencesOf(entry, name))
    : []
}
const NAMES = new Set(['size', 'thread', 'outline', 'd', 'word'])

describe.each([...shelf.packs.keys()])('every sentence of %s is read in the reader’s units and words', id => {
  const pack = shelf.packs.get(id)!
  const procedure = packs.expandPack(pack)
  it('as the layout, its ladders and its sheets have it', () => {
    const sentences = sentencesOf(pack)
    expect(sentences.length).toBeGreaterThan(500)
    expect(wrongIn(sentences)).toEqual([])
  })
  it('as its sheets judge, with how it was worked out', () => {
    const said = new Set<string>()
    for (const sheet of procedure.bench.sheets) {
      for (let seed = 1; seed <= 40; seed++) {
        const { findings, marks } = bench.judgeSheet(sheet, fillIn(sheet, new Chance(seed)))
        for (const text of [
          ...findings.flatMap(finding => [finding.sentence, ...finding.working]),
          ...Object.values(marks)
            .flat()
            .map(mark => mark.reason),
        ])
          said.add(text)
      }
    }
    expect(said.size).toBeGreaterThan(pack.bench.sheets.length * 7)
    expect(wrongIn(said)).toEqual([])
  })
})

it('and so is how far a disc will run, which is told in round figures', () => {
  const sheet = packs.expandPack(shelf.packs.get('fwd-transverse')!).bench.sheets.find(entry => entry.id === 'disc')!
  const entry = (value: number) => ({ entered: String(value), value })
  const number = (value: number) => ({ kind: 'number' as const, entry: entry(value) })
  const thickness = { kind: 'points' as const, entries: [6.6, 6.5, 6.6].map(entry) }
  const { findings } = bench.judgeSheet(sheet, {
    thickness,
    new: number(8.6),
    minimum: number(6),
    distance: number(160_000),
  })
  const [sentence] = findings.map(finding => finding.sentence)
  expect(sentence).toMatch(/\{\d+ km\} are left, between \{\d+ km\} and \{\d+ km\}/)
  expect(wrongIn([sentence!])).toEqual([])
})

it('and so is every paper of a job', () => {
  const log = TestLog.open(shelf.packs.get('fwd-transverse')!, { slave: 'opened' })
  const mechanic = new DemoMechanic(log.events, personId, Date.parse('2026-03-02T08:00:00.000Z'))
    .workUntil(null)
    .checksMade()
  const state = reduceJob([
    ...log.events,
    ...mechanic.events.map(
      (event, index) => ({ ...event, seq: log.events.length + index + 1 }) as (typeof log.events)[number],
    ),
  ])
  const wrong = readers.flatMap(reader => {
    const context = paperContext({
      ...reader,
      currency: 'USD',
      timeZone: 'UTC',
      people: [{ id: personId, name: 'Maren' }],
      sources: sourceWords,
      rates: { labourPerHour: 90, taxPercent: 10, partsMarginPercent: 10, callOut: 40 },
      observed: [],
      reach: {},
    })
    // What is safety's stands in both units, the reader's own first.
    return paperKinds.flatMap(kind =>
      sentencesOf(jobPaper(kind, state, context)).flatMap(text => wrongWith(text, reader, true) ?? []),
    )
  })
  expect([...new Set(wrong)]).toEqual([])
})

it('and so is what the tables of causes, the matings and the ways of bleeding say', () => {
  const texts = ['causes', 'mating', 'bleeding', 'closing', 'road-tests', 'controls'].flatMap(name => {
    const folder = new URL(`../../packs/${name}/`, import.meta.url)
    return readdirSync(folder).flatMap(file => sentencesOf(parse(readFileSync(new URL(file, folder), 'utf8'))))
  })
  expect(texts.length).toBeGreaterThan(100)
  expect(wrongIn(texts)).toEqual([])
})
