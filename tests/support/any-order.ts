import type { packs } from '../../core'

/** A random order that respects every link: what follows at once does. */
export function someOrder(procedure: packs.Procedure, pick: () => number): packs.Operation[] {
  const missing = new Map(procedure.operations.map(operation => [operation.id, 0]))
  const after = new Map<string, string[]>()
  const atOnce = new Map<string, Set<string>>()
  for (const link of procedure.links) {
    if (!after.get(link.before)?.includes(link.after)) {
      missing.set(link.after, missing.get(link.after)! + 1)
      after.set(link.before, [...(after.get(link.before) ?? []), link.after])
    }
    if (link.atOnce) atOnce.set(link.before, new Set([...(atOnce.get(link.before) ?? []), link.after]))
  }
  const byId = new Map(procedure.operations.map(operation => [operation.id, operation]))
  const ready = procedure.operations.filter(operation => missing.get(operation.id) === 0)
  const order: packs.Operation[] = []
  /** Whether all that follows it at once, one after the other, waits for nothing else. */
  const canFollow = ({ id }: packs.Operation) => {
    const chain = [id]
    for (const each of chain) chain.push(...(atOnce.get(each) ?? []))
    const met = (next: string) => chain.filter(each => after.get(each)?.includes(next)).length
    return chain.slice(1).every(next => missing.get(next) === met(next))
  }
  const take = (operation: packs.Operation) => {
    order.push(operation)
    for (const id of after.get(operation.id) ?? []) {
      missing.set(id, missing.get(id)! - 1)
      if (missing.get(id) === 0) ready.push(byId.get(id)!)
    }
    for (const id of atOnce.get(operation.id) ?? []) {
      ready.splice(ready.indexOf(byId.get(id)!), 1)
      take(byId.get(id)!)
    }
  }
  while (ready.length > 0) {
    const free = ready.filter(canFollow)
    if (free.length === 0) break
    const next = free[Math.floor(pick() * free.length)]!
    ready.splice(ready.indexOf(next), 1)
    take(next)
  }
  return order
}

/** What goes wrong when an order is worked off, in words; written without the planner and the job log. */
export function whatGoesWrong(procedure: packs.Procedure, order: packs.Operation[]): string[] {
  const wrong: string[] = []
  const ledger = new Map<string, number>()
  const facts = new Set(procedure.facts.filter(fact => fact.initially).map(fact => fact.id))
  const stays = procedure.facts.filter(fact => fact.carStays)
  if (order.length < procedure.operations.length) wrong.push('the order is not whole')
  for (const operation of order) {
    for (const need of operation.needs) if (!facts.has(need)) wrong.push(`${operation.id} lacks ${need}`)
    for (const fact of stays)
      if (facts.has(fact.id) && operation.car !== 'either' && operation.car !== fact.carStays)
        wrong.push(`${operation.id} while ${fact.id}`)
    for (const [item, count] of Object.entries(operation.takesOff)) ledger.set(item, (ledger.get(item) ?? 0) + count)
    for (const [item, count] of Object.entries(operation.putsBack)) {
      ledger.set(item, (ledger.get(item) ?? 0) - count)
      if (ledger.get(item)! < 0) wrong.push(`${operation.id} puts back ${item} that is not off`)
    }
    for (const fact of operation.ends) facts.delete(fact)
    for (const fact of operation.gives) facts.add(fact)
  }
  for (const [item, count] of ledger) if (count !== 0) wrong.push(`${count} ${item} left off`)
  return wrong
}
