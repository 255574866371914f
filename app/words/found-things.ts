import type { ItemState } from '../../core/packs'

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
