import type { Pack } from '../pack/pack'

/**
 * What would have to be chosen otherwise for a pack to bleed a certain way: option id → choice.
 * @returns `null` where the pack has no step that goes this way; an empty record where it does so already
 */
export function wayChoices(pack: Pack, chosen: Record<string, string>, wayId: string): Record<string, string> | null {
  const steps = pack.modules
    .flatMap(module => module.operations)
    .filter(operation => operation.activity?.kind === 'bleed' && operation.activity.way === wayId)
  if (steps.length === 0) return null
  const ways = steps
    .flatMap(step => (step.when.length === 0 ? [{}] : step.when))
    .map(when =>
      Object.fromEntries(
        Object.entries(when).flatMap(([option, choices]) =>
          choices.includes(chosen[option]!) ? [] : [[option, choices[0]!]],
        ),
      ),
    )
  return ways.sort((a, b) => Object.keys(a).length - Object.keys(b).length)[0]!
}
