import { readdirSync, readFileSync } from 'node:fs'
import Ajv from 'ajv/dist/2020'
import { parse } from 'yaml'
import { describe, expect, it } from 'vitest'
import { shelf } from '../support/packs'
import { eventTable } from '../../contracts/event-table'
import { jobSchema } from '../../contracts/job-schema'
import { packSchema } from '../../contracts/pack-schema'
import { shippedWaysSource } from '../../contracts/shipped-ways-source'
import { writePack } from '../../contracts/write-pack'

/** Standard: JSON Schema 2020-12, read by `ajv`. */
describe('the published schema of a pack file', () => {
  const validate = new Ajv({ strict: false, allErrors: true }).compile(packSchema())
  it('is the one in docs/formats; npm run packs:schema writes it anew', () => {
    expect(JSON.parse(readFileSync(new URL('../../docs/formats/pack.schema.json', import.meta.url), 'utf8'))).toEqual(
      packSchema(),
    )
  })
  it('of a job file is published as well', () => {
    expect(JSON.parse(readFileSync(new URL('../../docs/formats/job.schema.json', import.meta.url), 'utf8'))).toEqual(
      JSON.parse(JSON.stringify(jobSchema())),
    )
  })
  it('of the events is published as a table, each with a sentence', () => {
    const table = eventTable()
    expect(readFileSync(new URL('../../docs/formats/events.md', import.meta.url), 'utf8')).toContain(table)
    expect(table).not.toMatch(/\|\s{2}\|[^|]*\| (server|device)/)
  })
  it('and what the core keeps of the ways of bleeding is what stands in packs/bleeding', () => {
    const kept = readFileSync(new URL('../../core/hydraulics/shipped-ways.ts', import.meta.url), 'utf8')
    const folder = new URL('../../packs/bleeding/', import.meta.url)
    const files = readdirSync(folder).map(name => readFileSync(new URL(name, folder), 'utf8'))
    expect(kept).toBe(shippedWaysSource(files))
  })
  it.each([...shelf.packs.values()])('holds for $id as it is exported', pack => {
    validate(parse(writePack(pack)))
    expect(validate.errors).toBeNull()
  })
  it('does not hold for what is no pack', () => {
    const file = parse(writePack(shelf.packs.get('fwd-transverse')!)) as {
      version: unknown
      modules: { links: { because?: string }[] }[]
    }
    expect(validate({ ...file, version: 'one' })).toBe(false)
    expect(validate({ ...file, colour: 'red' })).toBe(false)
    const [module] = file.modules
    delete module!.links[0]!.because
    expect(validate(file)).toBe(false)
    expect(validate.errors!.some(error => error.message!.includes('because'))).toBe(true)
  })
})
