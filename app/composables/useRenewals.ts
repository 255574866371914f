import { renewNow, renewPackages } from '../../core/decisions'
import type { RenewAnswer } from '../../core/decisions'
import type { ReachablePart } from '../../core/packs'
import type { Reach } from '../lib/planner-messages'

/** What has to be comes first, what is settled last. */
const rank = (line: RenewalLine) => line.planned ? 4 : line.foundBy.length > 0 ? 0 : line.answer?.advice === 'renew' ? 1 : line.answer ? 2 : 3

export interface RenewalLine {
  part: ReachablePart
  /** What is put in: the mechanic's own where given, else what was found. */
  partCost: number | null
  minutesNow: number | null
  minutesLater: number | null
  chance: number
  comebackCost: number
  /** Steps that coming back would mean. */
  steps: string[]
  /** Sheets that found it bad. */
  foundBy: string[]
  /** The plan renews it already. */
  planned: boolean
  answer: RenewAnswer | null
  decision: 'renew' | 'leave' | null
}

/** Every part in reach, priced and weighed: renew it while it is open, or leave it. */
export function useRenewals() {
  const { store, state, bench, found } = useBench()
  const { pack, gone } = usePack()
  const quotes = useQuotes()
  const { labourPerHour } = useMoney()
  const reach = shallowRef<Record<string, Reach>>({})
  const problem = ref('')
  const worker = usePlannerWorker((answer) => {
    if (answer.kind === 'reach') reach.value = answer.reach
    else if (answer.kind === 'failed') problem.value = answer.reason
  })
  watch(() => [pack.value, gone.value, state.value.procedure] as const, ([ready, missing, procedure]) => {
    if (procedure && (ready || missing)) worker.ask({ kind: 'reach', pack: ready, procedure })
  }, { immediate: true })

  const lines = computed(() => bench.value.reachable.map((part): RenewalLine => {
    const renewal = state.value.renewals[part.id]
    const weighed = renewal?.weighed
    const foundBy = found.value.get(part.part) ?? []
    const partCost = weighed?.partCost ?? quotes.quotes.value.get(part.part)?.priceEach ?? null
    const minutesNow = weighed?.minutesNow ?? reach.value[part.id]?.minutesNow ?? null
    const minutesLater = weighed?.minutesLater ?? reach.value[part.id]?.minutesLater ?? null
    const chance = weighed?.chance ?? (foundBy.length > 0 ? Math.max(part.chance, 0.9) : part.chance)
    const comebackCost = weighed?.comebackCost ?? 0
    const planned = (part.option !== undefined && state.value.procedure!.options[part.option.id] === part.option.choice) || state.value.procedure!.parts.some(entry => entry.id === part.part && !part.option)
    return {
      part, partCost, minutesNow, minutesLater, chance, comebackCost, foundBy, planned, steps: reach.value[part.id]?.steps ?? [],
      answer: partCost === null || minutesNow === null || minutesLater === null ? null : renewNow({ partCost, minutesNow, minutesLater, labourPerHour: labourPerHour.value, chance, comebackCost }),
      decision: renewal?.decision ?? null,
    }
  }).sort((a, b) => rank(a) - rank(b)))
  /** Offers over what the plan does not renew anyway and can be priced. */
  const packages = computed(() => renewPackages(lines.value.filter(line => !line.planned && line.answer).map(line => ({
    id: line.part.id, partCost: line.partCost!, minutesNow: line.minutesNow!, must: line.foundBy.length > 0 || line.decision === 'renew', advice: line.answer!.advice,
  })), labourPerHour.value))

  /** Puts other figures into the question of a part. */
  function weigh(line: RenewalLine, change: Partial<{ partCost: number | null, minutesNow: number | null, minutesLater: number | null, chance: number, comebackCost: number }>) {
    const before = state.value.renewals[line.part.id]?.weighed
    store.write('renewal-weighed', {
      partId: line.part.id, partCost: before?.partCost ?? null, minutesNow: before?.minutesNow ?? null, minutesLater: before?.minutesLater ?? null,
      chance: line.chance, comebackCost: line.comebackCost, ...change,
    })
  }
  return { lines, packages, weigh, quotes, gone, problem, waiting: computed(() => Object.keys(reach.value).length === 0 && !problem.value) }
}
