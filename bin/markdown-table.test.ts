import { expect, it } from 'vitest'
import { markdownTable, replaceBetween } from './markdown-table'

it('writes a row a line', () => {
  expect(markdownTable(['a', 'b'], [[1, 'x']])).toBe('| a | b |\n| --- | --- |\n| 1 | x |')
})
it('puts something else between two marks and leaves the rest of the page', () => {
  expect(replaceBetween('Before\n<!-- t -->\nold\n<!-- /t -->\nafter', 't', 'new')).toBe(
    'Before\n<!-- t -->\nnew\n<!-- /t -->\nafter',
  )
})
it('says where a page has no place for it', () => {
  expect(() => replaceBetween('<!-- /t --><!-- t -->', 't', '')).toThrow('no place for t')
})
