import type { Link } from '../pack/operations'

/**
 * The links that an order breaks: those whose later step stands before the earlier one.
 * Links to steps that the order does not hold are passed over.
 */
export function brokenLinks(order: string[], links: Link[]): Link[] {
  const position = new Map(order.map((id, index) => [id, index]))
  return links.filter(link => {
    const before = position.get(link.before)
    const after = position.get(link.after)
    return before !== undefined && after !== undefined && before > after
  })
}
