import type { ItemState } from '../../core/packs'

/** What turns up on a car that no layout knows of. Minutes are common practice, no source. */
export interface FoundThing {
  id: string
  label: string
  /** What it is called until somebody calls it otherwise. */
  name: string
  state: ItemState
  minutes: number
}

export const foundThings = [
  { id: 'bracket', label: 'A bracket', name: 'bracket', state: 'off', minutes: 10 },
  { id: 'shield', label: 'A cover or shield', name: 'heat shield', state: 'off', minutes: 8 },
  { id: 'plug', label: 'A connector', name: 'connector', state: 'unplugged', minutes: 3 },
  { id: 'hose', label: 'A hose or pipe', name: 'hose', state: 'open', minutes: 8 },
  { id: 'cable', label: 'A cable or loom', name: 'loom', state: 'propped', minutes: 5 },
  { id: 'other', label: 'Something else', name: '', state: 'off', minutes: 10 },
] as const satisfies FoundThing[]

const ways: Record<ItemState, [away: (name: string) => string, back: (name: string) => string]> = {
  off: [name => `Take the ${name} off`, name => `Put the ${name} back`],
  open: [name => `Open the ${name}`, name => `Close the ${name}`],
  unplugged: [name => `Unplug the ${name}`, name => `Plug the ${name} in`],
  slack: [name => `Slacken the ${name}`, name => `Tighten the ${name}`],
  propped: [name => `Tie the ${name} aside`, name => `Put the ${name} back in its place`],
}

/** What the step is called that takes a thing out of the way, and the one that undoes it. */
export const foundTitles = (name: string, state: ItemState) => ({
  away: ways[state][0](name),
  back: ways[state][1](name),
})
