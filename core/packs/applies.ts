import type { When } from '../pack/kinds'

/** Whether a thing applies under the choices made: for any one of its entries, every option it names holds one of its choices. */
export function applies(when: When, choices: Record<string, string>): boolean {
  if (when.length === 0) return true
  for (const entry of when) {
    let holds = true
    for (const option in entry) if (!entry[option]!.includes(choices[option] ?? '')) holds = false
    if (holds) return true
  }
  return false
}

/** Applies where both apply. An option left without a choice never holds. */
export function both(a: When, b: When): When {
  if (a.length === 0) return b
  if (b.length === 0) return a
  return a.flatMap(one =>
    b.map(other => {
      const joined = { ...one }
      for (const [option, choices] of Object.entries(other)) {
        joined[option] = joined[option] ? joined[option].filter(choice => choices.includes(choice)) : choices
      }
      return joined
    }),
  )
}
