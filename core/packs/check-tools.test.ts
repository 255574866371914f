import { expect, it } from 'vitest'
import { coverAndPart } from '../../tests/support/small-pack'
import { checkTools } from './check-tools'

function reasonsOf(title: string, tools: string[]) {
  const pack = coverAndPart()
  const operation = pack.modules[0]!.operations[0]!
  pack.tools = [
    { id: 'bar', name: 'Bar', drive: '1/2' },
    { id: 'ratchet', name: 'Ratchet', drive: '3/8' },
    { id: 'long', name: 'Extension', drives: '3/8' },
    { id: 'gauge', name: 'Dial gauge' },
  ] as typeof pack.tools
  pack.toolWords = [{ word: 'dial gauge', tools: ['gauge'] }]
  Object.assign(operation, { title, tools })
  return checkTools(pack)
    .filter(fault => fault.path.endsWith(`${operation.id}].tools`))
    .map(fault => fault.reason)
}

it('wants the tool that the words name', () => {
  expect(reasonsOf('Read the dial gauge', [])).toEqual([
    'the text speaks of "dial gauge", so the step names one of: gauge',
  ])
  expect(reasonsOf('Read the dial gauge', ['gauge'])).toEqual([])
  expect(reasonsOf('Lay the sundial gauge by', [])).toEqual([])
})
it('wants a square that fits', () => {
  expect(reasonsOf('Crack them', ['bar', 'long'])).toEqual([
    '"long" wants a square of 3/8 in, and the step turns with 1/2',
  ])
  expect(reasonsOf('Crack them', ['ratchet', 'long'])).toEqual([])
})
