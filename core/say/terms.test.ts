import { expect, it } from 'vitest'
import { renderTerms, termsWith, unknownTokens } from './terms'

const table = {
  gearbox: { us: { one: 'transmission' }, uk: { one: 'gearbox', many: 'gearboxes' } },
  shaft: { us: { one: 'axle' }, uk: { one: 'driveshaft' } },
}

it('puts the word of the trade in', () => {
  expect(renderTerms('Lower the {gearbox}', table, 'us')).toBe('Lower the transmission')
  expect(renderTerms('Lower the {gearbox}', table, 'uk')).toBe('Lower the gearbox')
})
it('makes plurals and capitals', () => {
  expect(renderTerms('{Shaft:many} and {gearbox:many}', table, 'uk')).toBe('Driveshafts and gearboxes')
  expect(renderTerms('{Shaft:many}', table, 'us')).toBe('Axles')
})
it('leaves and reports what the table lacks', () => {
  expect(renderTerms('the {sprocket}', table, 'us')).toBe('the {sprocket}')
  expect(unknownTokens('{gearbox} {sprocket} {Axle}', table)).toEqual(['sprocket', 'Axle'])
})
it('finds a term by either of its words, whole or begun', () => {
  expect(termsWith('gearboxes', table)).toEqual(['gearbox'])
  expect(termsWith('Transmission', table)).toEqual(['gearbox'])
  expect(termsWith('drive', table)).toEqual([])
  expect(termsWith('drive', table, false)).toEqual(['shaft'])
})
