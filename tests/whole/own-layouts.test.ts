import { describe, expect, it } from 'vitest'
import { packs, sequence } from '../../core'
import { packFromJob } from '../../core/packs/pack-from-job'
import { readPack } from '../../contracts/read-pack'
import { writePack } from '../../contracts/write-pack'
import { pairwise } from '../support/pairwise'
import { shelf } from '../support/packs'

/** Trade fact, common practice, no source: a garage that has found its order keeps it. */
describe.each([...shelf.packs.values()])('the order of a job on $id', pack => {
  it.each(pairwise(pack).slice(0, 1))('makes a sound layout with $options', ({ options }) => {
    const procedure = packs.expandPack(pack, options)
    const plan = sequence.planJob(procedure, { helper: procedure.hands === 2 }, { effort: { moves: 2000 } })
    const order = sequence.operationOrder(plan)
    const own = packFromJob(
      pack,
      { options: procedure.options, order, because: 'Our order.' },
      procedure.links,
      'ours',
      'Ours',
    )
    expect(packs.expandPack(own).operations.map(operation => operation.id)).toEqual(order)
    // As a file it is looked through, and reads back as the same layout.
    const read = readPack(writePack(own), shelf.terms)
    expect(read.problems).toEqual([])
    expect(read.pack).toEqual(JSON.parse(JSON.stringify(own)))
  })
})
