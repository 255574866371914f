import { nextTick, ref } from 'vue'
import { describe, expect, it } from 'vitest'
import type { Entry } from '../../core/bench'
import { usePlaces } from './usePlaces'

const entry = (text: string): Entry => ({ entered: text, value: text === '' ? null : Number(text) })
function places(isNamed: boolean, before: string[] = []) {
  const log = ref(before.map(entry))
  const asked = usePlaces({
    entries: () => log.value,
    isNamed: () => isNamed,
    least: () => 4,
    most: 24,
    show: ({ entered }) => entered,
    read: entry,
  })
  return { ...asked, log }
}

describe('places that are typed one after another', () => {
  it('keep what is typed while an earlier place is on its way to the log', async () => {
    const { texts, toKeep, log } = places(true)
    texts.value[0] = '40'
    const first = toKeep()!
    texts.value[1] = '41'
    log.value = first
    await nextTick()
    expect(texts.value.slice(0, 3)).toEqual(['40', '41', ''])
    expect(toKeep()).toEqual([entry('40'), entry('41')])
  })
  it('lose nothing when two are on their way and the first comes back', async () => {
    const { texts, toKeep, log } = places(true)
    texts.value[0] = '40'
    const first = toKeep()!
    texts.value[1] = '41'
    const second = toKeep()!
    log.value = first
    await nextTick()
    texts.value[2] = '220'
    expect(texts.value.slice(0, 3)).toEqual(['40', '41', '220'])
    log.value = second
    await nextTick()
    expect(texts.value.slice(0, 4)).toEqual(['40', '41', '220', ''])
    expect(toKeep()).toEqual([entry('40'), entry('41'), entry('220')])
  })
  it('leave a gap where a place has a name, and close up where it has none', () => {
    const named = places(true)
    named.texts.value[2] = '7'
    expect(named.toKeep()).toEqual([entry(''), entry(''), entry('7')])
    const counted = places(false)
    counted.texts.value[2] = '7'
    expect(counted.toKeep()).toEqual([entry('7')])
    expect(counted.texts.value).toEqual(['7', '', '', ''])
  })
  it('take over what another device has written, but not over what is being typed', async () => {
    const { texts, log } = places(false, ['1', '2'])
    texts.value[1] = '2.5'
    log.value = ['1.1', '2', '3'].map(entry)
    await nextTick()
    expect(texts.value).toEqual(['1.1', '2.5', '3', ''])
  })
  it('have nothing to keep where nothing is another', () => {
    expect(places(true, ['1', '2']).toKeep()).toBeNull()
  })
})
