import type { Quote } from '../../contracts/supplier'
import { partsList } from '../../core/job'
import type { PartsLine } from '../../core/job'
import { deviceId, newId } from '../log/ids'
import { issuesOf } from '../words/reason-of'

/** A part on the list of the job, as the supplier quotes it. */
export type QuotedLine = PartsLine<Quote>

/** The parts list of a job: what its steps use, what was decided to be renewed, what was added on the way; with prices and orders. */
export function usePartsList() {
  const { store, state } = useJob()
  const garage = useGarageStore()
  const messages = useMessages()
  const errands = useErrandsStore()
  const t = useTerms()
  const { supplier, quotes, asking, problem, ask } = useQuotes()
  const ordering = ref<string | null>(null)

  const lines = computed(() => partsList(state.value, quotes.value))
  const total = computed(() => lines.value.reduce((sum, line) => sum + (line.priceEach ?? 0) * line.count, 0))

  async function order(line: QuotedLine) {
    ordering.value = line.key
    try {
      const id = newId()
      const answer = await errands.ask({
        id,
        jobId: store.jobId,
        what: `Order ${line.count} × ${t(line.name)}`,
        path: ordersPath(store.jobId),
        body: {
          id,
          partId: line.askFor,
          count: line.count,
          personId: garage.personId,
          deviceId: deviceId(),
          at: new Date().toISOString(),
        },
      })
      if (!answer) return
      await store.refresh()
      messages.say('Ordered. Its day holds in the plan.')
    } catch (error) {
      messages.say(issuesOf(error)[0]!.reason, 'refused')
    } finally {
      ordering.value = null
    }
  }
  /** Whether an order of it waits for signal. */
  const isWanted = (line: QuotedLine) =>
    errands.ofJob(store.jobId).some(({ path, body }) => path === ordersPath(store.jobId) && body.partId === line.askFor)
  return { lines, total, supplier, asking, problem, ask, order, ordering, isWanted }
}

const ordersPath = (jobId: string) => `/api/jobs/${jobId}/orders`

/** Asks the supplier after the open orders. */
export function usePartsCheck(checking: Ref<boolean>) {
  const { store } = useJob()
  const messages = useMessages()
  async function check() {
    checking.value = true
    try {
      const { changed } = await $fetch<{ changed: number }>(`/api/jobs/${store.jobId}/orders/check`, { method: 'POST' })
      await store.refresh()
      messages.say(
        changed === 0 ? 'Nothing has changed.' : `${changed} ${changed === 1 ? 'order has' : 'orders have'} news.`,
      )
    } catch (error) {
      messages.say(issuesOf(error)[0]!.reason, 'refused')
    } finally {
      checking.value = false
    }
  }
  return { check }
}
