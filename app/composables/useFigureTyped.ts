import { ceilingOf, figureProblem, jointOf } from '../../core/fasteners'
import type { Figure, Pattern, RenewRule, SourceKind, Stage, ThreadCondition, TorqueUnit } from '../../core/fasteners'
import { jobFigure } from '../../core/job'
import type { FastenerGroup } from '../../core/packs'
import { convert, parseQuantity, UnitError } from '../../core/units'
import type { StageRow } from '../components/job/StageRows.vue'

type Parsed<T> = { value: T; problem: null } | { value: null; problem: string }

function parse<T>(work: () => T): Parsed<T> {
  try {
    return { value: work(), problem: null }
  } catch (error) {
    if (error instanceof UnitError) return { value: null, problem: error.message }
    throw error
  }
}
const round = (torqueNm: number) => Math.round(torqueNm * 100) / 100

/** A figure as it is typed: its torque and stages in the unit chosen, its source, and what is wrong with it. */
export function useFigureTyped(group: FastenerGroup, computedCeiling: boolean) {
  const { state } = useJob()
  const t = useTerms()
  const units = useUnits()
  const numbers = useNumbers()
  const value = ref('')
  const unit = ref<TorqueUnit>(units.preference.value.torque)
  const rows = ref<StageRow[]>([])
  const sourceKind = ref<SourceKind | null>(computedCeiling ? 'computed' : null)
  const reference = ref('')
  const condition = ref<ThreadCondition | ''>('')
  const renew = ref<RenewRule | ''>('')
  const pattern = ref<Pattern | ''>('')
  const borrowFrom = ref('')
  const borrowBecause = ref('')

  const facts = computed(() => state.value.fasteners[group.id] ?? null)
  const ceiling = computed(() => (facts.value ? ceilingOf(jointOf(facts.value, condition.value || undefined)) : null))

  const readQuantity = (text: string, usual: Parameters<typeof parseQuantity>[1]) =>
    parseQuantity(text, usual, numbers.format.value)
  const readTorque = (text: string) => {
    const quantity = readQuantity(text, unit.value)
    return { ...quantity, torqueNm: round(convert(quantity.value, quantity.unit, 'N·m')) }
  }
  const readMinutes = (text: string) => {
    const quantity = readQuantity(text, 'min')
    return convert(quantity.value, quantity.unit, 'min')
  }
  const readRow = ({ kind, text }: StageRow): Stage => {
    if (kind === 'lap') return { kind }
    if (kind === 'torque') return { kind, torqueNm: readTorque(text).torqueNm }
    return kind === 'angle' ? { kind, angleDeg: readQuantity(text, '°').value } : { kind, minutes: readMinutes(text) }
  }
  const first = computed(() => parse(() => readTorque(value.value)))
  const stages = computed(() => rows.value.map(row => parse(() => readRow(row))))
  const figure = computed((): Omit<Figure, 'group'> | null => {
    if (!first.value.value || stages.value.some(stage => stage.value === null)) return null
    const head: Stage = { kind: 'torque', torqueNm: first.value.value.torqueNm }
    const all = [head, ...stages.value.map(stage => stage.value!)]
    const last = all.findLast(stage => stage.kind === 'torque')!
    return {
      torqueNm: last.torqueNm,
      sourceKind: sourceKind.value as SourceKind,
      reference: reference.value.trim(),
      ...(rows.value.length ? { stages: all } : {}),
      ...(pattern.value ? { pattern: pattern.value } : {}),
      ...(condition.value ? { condition: condition.value } : {}),
      ...(renew.value ? { renew: renew.value } : {}),
      ...(borrowFrom.value ? { borrowed: { group: borrowFrom.value, because: borrowBecause.value.trim() } } : {}),
    }
  })
  const problem = computed(() => {
    if (first.value.problem) return { path: 'torqueNm', reason: first.value.problem }
    if (!figure.value) return { path: 'stages', reason: '' }
    if (sourceKind.value === 'computed' && ceiling.value && figure.value.torqueNm > ceiling.value.ceilingNm)
      return { path: 'torqueNm', reason: 'This is above the ceiling of what the fastener stands on an easy thread.' }
    const found = figureProblem(figure.value)
    return found && /^stages\[0\]/.test(found.path) ? { path: 'torqueNm', reason: found.reason } : found
  })
  /** What is wrong with each stage, by its row. */
  const rowProblems = computed(() => {
    const unread = Object.fromEntries(
      stages.value.flatMap((stage, index) => (stage.problem ? [[index, stage.problem]] : [])),
    )
    const at = /^stages\[(\d+)\]/.exec(problem.value?.path ?? '')
    return at ? { ...unread, [Number(at[1]) - 1]: problem.value!.reason } : unread
  })

  /** Where the last figure of such a part came from: the same book is often still open. */
  const sameBook = computed(() =>
    (state.value.procedure?.groups ?? [])
      .filter(other => other.part === group.part && other.id !== group.id)
      .flatMap(other => state.value.figures[other.id] ?? [])
      .filter(entry => entry.sourceKind !== 'computed')
      .reduce<(Figure & { at: string }) | null>((last, entry) => (last && last.at >= entry.at ? last : entry), null),
  )
  function takeBook() {
    sourceKind.value = sameBook.value!.sourceKind
    reference.value = sameBook.value!.reference
  }
  /** Groups of this job whose figure could be taken over. */
  const lendable = computed(() =>
    (state.value.procedure?.groups ?? []).flatMap(other => {
      const lent = other.id === group.id ? null : jobFigure(state.value, other.id)
      return lent ? [{ group: other, figure: lent.figure }] : []
    }),
  )
  function take(torqueNm: number) {
    const { main } = units.torque(torqueNm)
    value.value = main.text
    unit.value = main.unit as TorqueUnit
  }
  function borrow() {
    const lent = lendable.value.find(entry => entry.group.id === borrowFrom.value)
    if (!lent) return
    take(lent.figure.torqueNm)
    sourceKind.value = 'trade-practice'
    reference.value = `Figure of the ${t(lent.group.name).toLowerCase()}: ${lent.figure.reference}`.slice(0, 200)
  }
  const rowOf = (stage: Stage): StageRow => {
    if (stage.kind === 'torque') return { kind: 'torque', text: units.torque(stage.torqueNm).main.text }
    if (stage.kind === 'angle') return { kind: 'angle', text: String(stage.angleDeg) }
    return stage.kind === 'wait' ? { kind: 'wait', text: String(stage.minutes) } : { kind: 'lap', text: '' }
  }
  /** A kit sheet's figure from an earlier job, with its stages. */
  function takeKit(kit: Figure) {
    const [head, ...rest] = kit.stages ?? [{ kind: 'torque' as const, torqueNm: kit.torqueNm }]
    take(head?.kind === 'torque' ? head.torqueNm : kit.torqueNm)
    rows.value = rest.map(rowOf)
    sourceKind.value = 'kit-sheet'
    reference.value = kit.reference
    condition.value = kit.condition ?? ''
    renew.value = kit.renew ?? ''
    pattern.value = kit.pattern ?? ''
  }

  return {
    value,
    unit,
    rows,
    sourceKind,
    reference,
    condition,
    renew,
    pattern,
    borrowFrom,
    borrowBecause,
    facts,
    ceiling,
    first,
    figure,
    problem,
    rowProblems,
    sameBook,
    takeBook,
    lendable,
    borrow,
    takeKit,
  }
}
