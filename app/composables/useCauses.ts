import type { CausesAnswer } from '../../contracts/answers'
import { boxOutShare, learnCauses, nextTest, rankCauses, tablesFor } from '../../core/decisions'
import type { CauseTables, Findings } from '../../core/decisions'
import { issuesOf } from '../words/reason-of'
import { fetchKept } from '../device/fetch-kept'

/**
 * Tables of causes as they ship and as this garage's jobs change them, and what they say of a set of findings.
 * @param of the tables that speak of such a car; all of them where nothing is named
 * @param has whether the car's layout has a piece of work: causes that want another layout are left out
 */
export function useCauses(
  tableId: Ref<string>,
  findingsFor: (table: CauseTables) => Findings,
  has: (operationId: string) => boolean,
  of: () => string[] | undefined = () => undefined,
) {
  const answer = shallowRef<CausesAnswer | null>(null)
  const problem = ref('')
  const ownCounts = ref(true)
  async function load() {
    problem.value = ''
    try {
      answer.value = await fetchKept<CausesAnswer>('/api/causes')
    } catch (error) {
      problem.value = issuesOf(error)[0]!.reason
    }
  }
  onMounted(load)
  const tables = computed(() => (answer.value?.tables ?? []).filter(table => of()?.includes(table.id) ?? true))
  const shipped = computed(() => {
    const whole = tables.value.find(table => table.id === tableId.value) ?? tables.value[0]
    return whole ? tablesFor(whole, has) : null
  })
  const cases = computed(() => (answer.value?.cases ?? []).filter(entry => entry.tableId === shipped.value?.id))
  const table = computed(
    () => shipped.value && (ownCounts.value ? learnCauses(shipped.value, cases.value) : shipped.value),
  )
  const findings = computed(() => (table.value ? findingsFor(table.value) : {}))
  const ranks = computed(() => (table.value ? rankCauses(findings.value, table.value) : []))
  const before = computed(() =>
    table.value
      ? new Map(rankCauses({}, table.value).map(rank => [rank.cause, rank.probability]))
      : new Map<string, number>(),
  )
  const worth = computed(() => (table.value ? nextTest(findings.value, table.value) : []))
  const boxOut = computed(() => (table.value ? boxOutShare(ranks.value, table.value) : 0))
  async function forget() {
    try {
      await $fetch('/api/causes/own', { method: 'DELETE' })
      await load()
    } catch (error) {
      problem.value = issuesOf(error)[0]!.reason
    }
  }
  return {
    answer,
    tables,
    problem,
    load,
    table,
    shipped,
    cases,
    ownCounts,
    findings,
    ranks,
    before,
    worth,
    boxOut,
    forget,
  }
}
