import type { When } from './types'

/** Whether a thing applies under the options chosen: every option it names must hold one of its choices. */
export function applies(when: When, options: Record<string, string>): boolean {
  return Object.entries(when).every(([option, choices]) => choices.includes(options[option] ?? ''))
}
