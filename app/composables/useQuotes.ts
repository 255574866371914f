import type { Quote, QuotesAnswer } from '../../contracts/supplier'
import { issuesOf } from '../words/reason-of'

/** What the supplier offers for this job's parts. Without an answer prices and days can be entered by hand. */
export function useQuotes() {
  const { store } = useJob()
  const supplier = ref('')
  const quotes = shallowRef<Map<string, Quote>>(new Map())
  const asking = ref(false)
  const problem = ref('')
  async function ask() {
    asking.value = true
    problem.value = ''
    try {
      const answer = await $fetch<QuotesAnswer>(`/api/jobs/${store.jobId}/quotes`)
      supplier.value = answer.supplier
      quotes.value = new Map(answer.quotes.map(quote => [quote.partId, quote]))
    } catch (error) {
      problem.value = issuesOf(error)[0]!.reason
    } finally {
      asking.value = false
    }
  }
  onMounted(ask)
  return { supplier, quotes, asking, problem, ask }
}
