import type { Quote, QuotesAnswer } from '../../contracts/supplier'
import { keepAnswer, keptWithTime } from '../device/fetch-kept'
import { momentText } from '../words/moments'
import { issuesOf } from '../words/reason-of'

/** What the supplier offers for this job's parts. Without an answer prices and days can be entered by hand. */
export function useQuotes() {
  const { store } = useJob()
  const supplier = ref('')
  const quotes = shallowRef<Map<string, Quote>>(new Map())
  const asking = ref(false)
  const problem = ref('')
  async function ask() {
    const address = `/api/jobs/${store.jobId}/quotes`
    asking.value = true
    problem.value = ''
    try {
      const answer = await $fetch<QuotesAnswer>(address)
      show(answer)
      await keepAnswer(address, answer)
    } catch (error) {
      const { reason } = issuesOf(error)[0]!
      const kept = await keptWithTime<QuotesAnswer>(address)
      if (kept) show(kept.body)
      problem.value = kept ? `${reason} Prices and days are those of ${momentText(kept.at)}.` : reason
    } finally {
      asking.value = false
    }
  }
  function show(answer: QuotesAnswer) {
    supplier.value = answer.supplier
    quotes.value = new Map(answer.quotes.map(quote => [quote.partId, quote]))
  }
  onMounted(ask)
  return { supplier, quotes, asking, problem, ask }
}
