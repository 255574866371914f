import { expect, it } from 'vitest'
import { between, markdownTable, replaceBetween, rowsOf } from './markdown-table'

it('writes a row a line', () => {
  expect(markdownTable(['a', 'b'], [[1, 'x']])).toBe('| a | b |\n| --- | --- |\n| 1 | x |')
})
it('reads back what it wrote', () => {
  const rows = [
    ['1', 'x'],
    ['2', 'y'],
  ]
  expect(rowsOf(markdownTable(['a', 'b'], rows))).toEqual(rows)
  expect(rowsOf('')).toEqual([])
})
it('puts something else between two marks and leaves the rest of the page', () => {
  expect(replaceBetween('Before\n<!-- t -->\nold\n<!-- /t -->\nafter', 't', 'new')).toBe(
    'Before\n<!-- t -->\nnew\n<!-- /t -->\nafter',
  )
  expect(between('Before\n<!-- t -->\nold\n<!-- /t -->', 't')).toBe('old')
})
it('says where a page has no place for it', () => {
  expect(() => replaceBetween('<!-- /t --><!-- t -->', 't', '')).toThrow('no place for t')
})
