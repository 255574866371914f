import type { Quote, QuotesAnswer } from '../../contracts/supplier'
import { nowIso } from '../device/clock'
import { fetchKept, keptWithTime } from '../device/fetch-kept'
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
    const asked = nowIso()
    asking.value = true
    problem.value = ''
    try {
      show(await fetchKept<QuotesAnswer>(address))
      // Without signal it is what was kept.
      const { at } = (await keptWithTime<QuotesAnswer>(address))!
      if (at < asked) problem.value = `The server did not answer: prices and days are those of ${momentText(at)}.`
    } catch (error) {
      problem.value = issuesOf(error)[0]!.reason
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
