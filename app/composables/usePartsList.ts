import type { Quote } from '../../contracts/supplier'
import type { PartOrder } from '../../core/job'
import { deviceId, newId } from '../lib/ids'
import { issuesOf } from '../lib/reason-of'

/** A part on the list of the job. */
export interface PartsLine {
  key: string
  /** `null` for a part that no step of the plan uses. */
  partId: string | null
  /** By which id the supplier knows it. */
  askFor: string
  name: string
  count: number
  because: string
  quote: Quote | null
  priceEach: number | null
  order: PartOrder | null
  /** When it is there; `null` where it is here or nobody said that it is not. */
  dueAt: string | null
  used: boolean
  /** The kit on this list that it comes in, so that it is not bought twice. */
  inKit: string | null
}

/** The parts list of a job: what its steps use, what was decided to be renewed, what was added on the way; with prices and orders. */
export function usePartsList() {
  const { store, state } = useJob()
  const garage = useGarageStore()
  const messages = useMessages()
  const { supplier, quotes, asking, problem, ask } = useQuotes()
  const ordering = ref<string | null>(null)

  const lines = computed((): PartsLine[] => {
    const { procedure, done, circumstances, renewals, orders, addedParts } = state.value
    const orderOf = (partId: string, name: string) => orders.findLast(order => order.partId === partId || (order.partId === null && order.name === name)) ?? null
    const line = (key: string, partId: string | null, askFor: string, name: string, count: number, because: string, used: boolean): PartsLine => {
      const quote = quotes.value.get(askFor) ?? null
      const order = orderOf(askFor, quote?.name ?? name)
      const arrival = circumstances.arrivals.find(entry => entry.partId === partId)?.at ?? null
      return { key, partId, askFor, name, count, because, used, quote, order, priceEach: order?.priceEach ?? quote?.priceEach ?? null, dueAt: order && !order.cameAt ? order.arrivesAt : arrival, inKit: null }
    }
    const planned = procedure!.parts.map((part) => {
      const users = procedure!.operations.filter(operation => part.id in operation.parts)
      return line(part.id, part.id, part.id, part.name, users.reduce((sum, operation) => sum + operation.parts[part.id]!, 0), users[0]?.title ?? '', users.length > 0 && users.every(operation => done[operation.id]))
    })
    const renewed = procedure!.bench.reachable
      .filter(part => renewals[part.id]?.decision === 'renew' && !procedure!.parts.some(entry => entry.id === part.part))
      .map(part => line(`renew-${part.id}`, null, part.part, part.name, 1, renewals[part.id]!.because, false))
    const added = addedParts.map((part, index) => line(`added-${index}`, null, `added-${index}`, part.name, 1, part.because, false))
    const all = [...planned, ...renewed, ...added]
    return all.map((entry) => {
      const kit = all.find(other => other.key !== entry.key && (other.order?.covers?.includes(entry.askFor) ?? other.quote?.kit.some(part => part.partId === entry.askFor)))
      return kit && !entry.order ? { ...entry, inKit: kit.name, order: kit.order, priceEach: 0 } : entry
    })
  })
  const total = computed(() => lines.value.reduce((sum, line) => sum + (line.priceEach ?? 0) * line.count, 0))

  async function order(line: PartsLine) {
    ordering.value = line.key
    try {
      await $fetch(`/api/jobs/${store.jobId}/orders`, {
        method: 'POST',
        body: { id: newId(), partId: line.askFor, count: line.count, personId: garage.personId, deviceId: deviceId(), at: new Date().toISOString() },
      })
      await store.refresh()
      messages.say('Ordered. Its day holds in the plan.')
    }
    catch (error) {
      messages.say(issuesOf(error)[0]!.reason, 'refused')
    }
    finally {
      ordering.value = null
    }
  }
  return { lines, total, supplier, asking, problem, ask, order, ordering }
}

/** Asks the supplier after the open orders. */
export function usePartsCheck(checking: Ref<boolean>) {
  const { store } = useJob()
  const messages = useMessages()
  async function check() {
    checking.value = true
    try {
      const { changed } = await $fetch<{ changed: number }>(`/api/jobs/${store.jobId}/orders/check`, { method: 'POST' })
      await store.refresh()
      messages.say(changed === 0 ? 'Nothing has changed.' : `${changed} ${changed === 1 ? 'order has' : 'orders have'} news.`)
    }
    catch (error) {
      messages.say(issuesOf(error)[0]!.reason, 'refused')
    }
    finally {
      checking.value = false
    }
  }
  return { check }
}
