import { boltStands } from '../fasteners'
import { breakIn } from '../job/break-in'
import { closing } from '../job/closing'
import { jobCosts } from '../job/costs'
import type { Rates } from '../job/costs'
import { openBeforeHandover } from '../job/before-handover'
import { groupStands } from '../job/fastening'
import { jobPackages } from '../job/offers'
import type { ObservedMinutes } from '../job/observed-minutes'
import { paidSoFar } from '../job/payments'
import type { JobState } from '../job/state'

export const paperKinds = ['estimate', 'work-order', 'hand-over', 'break-in', 'invoice'] as const
export type PaperKind = typeof paperKinds[number]

export interface PaperTable {
  head: string[]
  rows: string[][]
  /** Columns of figures, which stand at the right. */
  right: number[]
  /** Rows at the end that are sums. */
  sums?: number
}
export interface PaperSection { title: string, lines?: string[], table?: PaperTable, caution?: boolean }

/** A paper as content, whatever it is printed on. */
export interface PaperDoc { kind: PaperKind, title: string, facts: [string, string][], sections: PaperSection[] }

/** How figures are written, and what the garage asks for. */
export interface PaperContext {
  text: (words: string) => string
  torque: (torqueNm: number) => string
  distance: (km: number) => string
  reading: (value: number, unit: string) => string
  money: (amount: number) => string
  day: (at: string) => string
  symptom: (id: string) => string
  source: (kind: string) => string
  person: (id: string) => string
  rates: Rates
  observed: ObservedMinutes[]
}

export const paperTitles: Record<PaperKind, string> = { 'estimate': 'Estimate', 'work-order': 'Work order', 'hand-over': 'Hand-over', 'break-in': 'Break-in card', 'invoice': 'Invoice' }
const DEFERS = 'The vehicle maker’s instructions, the kit sheet, local codes and licensed practice go before anything written here.'

/** A paper of a job, from its log alone and the garage's rates. */
export function jobPaper(kind: PaperKind, state: JobState, context: PaperContext): PaperDoc {
  const sections = { 'estimate': estimate, 'work-order': workOrder, 'hand-over': handOver, 'break-in': breakInCard, 'invoice': invoice }[kind](state, context)
  const { vehicle } = state
  return {
    kind, title: paperTitles[kind],
    facts: [
      ['Job', String(state.number)], ['Car', `${vehicle!.name}, ${vehicle!.make} ${vehicle!.model}, ${vehicle!.year}`], ['Customer', vehicle!.customer],
      ['Complaint', [...state.complaint.symptoms.map(context.symptom), state.complaint.text].filter(Boolean).join('. ')],
      ['Odometer', state.odometerKm === null ? 'not read' : context.distance(state.odometerKm)],
      ...(state.promisedAt && !state.handedOver ? [['Promised', context.day(state.promisedAt)] as [string, string]] : []), ...(state.handedOver ? [['Handed over', `${context.day(state.handedOver.at)}, to ${state.handedOver.to}`] as [string, string]] : []),
    ],
    sections: [...sections, { title: 'Before all of this', lines: [DEFERS] }],
  }
}

const hours = (minutes: number) => `${Math.floor(Math.round(minutes) / 60)} h ${String(Math.round(minutes) % 60).padStart(2, '0')}`
const phaseNames = { 'test': 'Tests', 'make-safe': 'Making safe, lifting', 'strip': 'Strip', 'bench': 'Bench', 'refit': 'Refit', 'fill': 'Fluids and hydraulics', 'prove': 'Proving' } as const

function estimate(state: JobState, { text, money, rates, observed }: PaperContext): PaperSection[] {
  const costs = jobCosts(state, rates, observed)
  const { packages, unpriced } = jobPackages(state, rates)
  const names = { must: 'What has to be', sensible: 'What pays on average too', everything: 'All that is in reach' } as const
  return [
    { title: 'The work', lines: [`${text(state.procedure!.title)}: ${state.procedure!.operations.length} pieces of work, ${hours(costs.estimatedMinutes)} in all.`], table: {
      head: ['', 'Time', 'Price'], right: [1, 2], sums: 1,
      rows: [...costs.byPhase.map(entry => [phaseNames[entry.phase], hours(entry.estimated), money(entry.estimated / 60 * rates.labourPerHour)]), [text('{Labor}'), hours(costs.estimatedMinutes), money(costs.labour)]],
    } },
    partsSection(costs.parts, text, money),
    { title: 'In all', table: { head: ['', ''], right: [1], sums: 1, rows: totals(text, costs.labour, costs.partsTotal, costs.callOut, costs.tax, costs.total, rates, money) }, ...(costs.unpriced.length ? { lines: [`Not priced yet: ${costs.unpriced.map(text).join(', ')}.`] } : {}) },
    { title: 'While it is open: three offers', lines: [
      ...packages.map(offer => `${names[offer.id]}: ${offer.names.length ? offer.names.map(text).join(', ') : 'nothing more'}; ${hours(offer.minutes)} and ${money(offer.total)} more.`),
      ...(unpriced.length ? [`In reach and not priced yet: ${unpriced.map(text).join(', ')}.`] : []),
    ] },
    { title: 'What may change it', caution: true, lines: ['What is found with the box out can change work and price; nothing is renewed beyond this without the customer’s word.'] },
  ]
}

function workOrder(state: JobState, { text }: PaperContext): PaperSection[] {
  const { procedure, plan } = state
  const operations = new Map(procedure!.operations.map(operation => [operation.id, operation]))
  const serious = procedure!.cautions.filter(caution => caution.serious)
  return [
    { title: 'Can hurt', caution: true, lines: serious.map(caution => `${text(caution.title)}. ${text(caution.text)}`) },
    { title: 'How', lines: procedure!.tools.length ? [`Tools: ${procedure!.tools.map(tool => [text(tool.name), tool.size].filter(Boolean).join(' ')).join('; ')}.`] : [] },
    { title: 'In this order', table: {
      head: ['', 'Step', 'Place', 'Car', 'min'], right: [0, 4],
      rows: plan!.steps.map((step, index) => [String(index + 1), text(operations.get(step.id)?.title ?? procedure!.positions[step.car].title), step.place, step.car, String(Math.round(step.finishMinutes - step.startMinutes))]),
    } },
  ]
}

function handOver(state: JobState, context: PaperContext): PaperSection[] {
  const { text, torque, reading, source, person } = context
  const operations = new Map((state.procedure?.operations ?? []).map(operation => [operation.id, operation]))
  const latest = new Map(state.readings.map(entry => [`${entry.stepId} ${entry.readingId}`, entry]))
  const left = openBeforeHandover(state)
  const renewed = partNames(state)
  return [
    ...(state.causeFound ? [{ title: 'What it was', lines: [`${state.causeFound.title}. ${state.causeFound.text}`.trim()] }] : []),
    { title: 'Work', lines: [`${text(state.procedure!.title)}: ${Object.keys(state.done).filter(id => operations.has(id)).length} of ${operations.size} pieces of work done.`, ...(renewed.length ? [`Renewed: ${renewed.map(text).join(', ')}.`] : [])] },
    { title: 'Torque figures and their sources', table: { head: ['Fasteners', 'How they stand', 'Figure', 'Source'], right: [], rows: groupStands(state).map((stand) => {
      const run = state.runs.findLast(entry => entry.group === stand.group.id && entry.dropped === null && !entry.loosens)
      const figure = run?.figure ?? stand.figure
      return [text(stand.group.name), standText(stand), figure ? torque(figure.torqueNm) : 'none named', figure ? `${figure.sourceKind === 'computed' ? 'No specification was found. ' : ''}${source(figure.sourceKind)}: ${figure.reference}` : stand.excused ? `${person(stand.excused.personId)} answers for it: ${stand.excused.reason}` : 'No figure on record']
    }) } },
    { title: 'Measured and found', table: { head: ['', ''], right: [1], rows: [...latest.values()].map(entry => [
      text(operations.get(entry.stepId)?.readings.find(spec => spec.id === entry.readingId)?.name ?? entry.readingId), typeof entry.value === 'number' ? reading(entry.value, entry.unit ?? '') : text(entry.value),
    ]) } },
    { title: 'Closing checks', lines: closing(state).map(line => `${checkWords[line.status]}: ${text(line.title)}${line.made?.note ? `. ${line.made.note}` : ''}${line.left.map(entry => `. ${text(entry.title)}: ${entry.reason} (${person(entry.personId)})`).join('')}`) },
    ...roadSection(state, context),
    { title: 'Left with the customer’s decision', lines: left.length === 0 ? ['Nothing. All that was taken off is back on.'] : left.map(entry => `${text(entry.name)}${entry.count > 1 ? ` × ${entry.count}` : ''}: ${entry.left ? `${entry.left.reason} (${person(entry.left.personId)})` : 'no reason given yet'}`) },
    ...breakInCard(state, context),
  ]
}

const checkWords = { done: 'Done', left: 'Left with a reason', open: 'Open', bad: 'Not right' } as const
const standWords = { untouched: 'not touched', out: 'out', started: 'started', snug: 'snug', figure: 'at figure', feel: 'by feel' } as const

/** How many bolts of a group stand how. */
function standText({ counts }: ReturnType<typeof groupStands>[number]): string {
  return boltStands.flatMap(stand => counts[stand] > 0 ? [`${counts[stand]} ${standWords[stand]}`] : []).join(', ')
}

function roadSection(state: JobState, { text, distance }: PaperContext): PaperSection[] {
  const noted = (state.procedure?.roadTest ?? []).filter(task => state.road[task.id])
  if (noted.length === 0) return []
  return [{ title: 'Road test', lines: noted.map((task) => {
    const note = state.road[task.id]!
    const at = [note.speedKmh === undefined ? '' : `${distance(note.speedKmh)}/h`, note.gear ? `gear ${note.gear}` : '', note.rpm === undefined ? '' : `${note.rpm} rpm`].filter(Boolean).join(', ')
    return `${text(task.title)}: ${note.good ? 'right' : note.text}${at ? ` (${at})` : ''}`
  }) }]
}

function breakInCard(state: JobState, { distance, day }: PaperContext): PaperSection[] {
  const rule = state.breakIn
  if (!rule) return [{ title: 'Until it has broken in', lines: ['No distance is set. Ask before you drive it hard.'] }]
  const report = breakIn(rule, rule.readings)
  return [{ title: 'Until it has broken in', caution: true, lines: [
    `Gentle stop-and-go use for ${rule.writtenAs} from ${distance(rule.startKm)} on the odometer, which is to ${distance(rule.startKm + rule.distanceKm)}.`,
    'No slipping on a hill, no hard launches, no heavy trailer; town rather than the open road.',
    `Source: ${rule.source}.`,
    ...(report.endsAt ? [`By its pace so far it is over about ${day(report.endsAt)}.`] : []),
    'Have the wheels checked after the first drives. Come back at once for a soft pedal, a leak, a slip or a noise.',
  ] }]
}

function invoice(state: JobState, { text, money, day, rates, observed }: PaperContext): PaperSection[] {
  const costs = jobCosts(state, rates, observed)
  return [
    { title: text('{Labor}'), lines: [`Charged by the computed minutes of the plan. An hour is ${money(rates.labourPerHour)}.`, measuredLine(costs)], table: {
      head: ['', 'Computed', 'Measured', 'Price'], right: [1, 2, 3], sums: 1,
      rows: [...costs.byPhase.map(entry => [phaseNames[entry.phase], hours(entry.estimated), measuredText(entry), money(entry.estimated / 60 * rates.labourPerHour)]), [text('{Labor}'), hours(costs.estimatedMinutes), measuredText({ ...costs, measured: costs.measuredSteps > 0 ? costs.measuredMinutes : null }), money(costs.labour)]],
    } },
    partsSection(costs.parts, text, money),
    { title: state.payments.length === 0 ? 'To pay' : 'To pay and paid', table: { head: ['', ''], right: [1], sums: 1, rows: [
      ...totals(text, costs.labour, costs.partsTotal, costs.callOut, costs.tax, costs.total, rates, money),
      ...state.payments.map(payment => [`Paid ${day(payment.at)}, ${payment.how}`, money(-payment.amount)]), ...(state.payments.length ? [['Still to pay', money(costs.total - paidSoFar(state))]] : []),
    ] }, ...(costs.unpriced.length ? { lines: [`Without a price, so not in the sum: ${costs.unpriced.map(text).join(', ')}.`] } : {}) },
  ]
}

/** Minutes that were measured, and of how many pieces of work where it is not all of them. */
function measuredText({ measured, measuredSteps, steps }: { measured: number | null, measuredSteps: number, steps: number }): string {
  if (measured === null) return 'not measured'
  return measuredSteps === steps ? hours(measured) : `${hours(measured)} for ${measuredSteps} of ${steps}`
}

function measuredLine({ measuredSteps, steps, measuredMinutes, measuredEstimate }: ReturnType<typeof jobCosts>): string {
  return measuredSteps === 0
    ? 'No working time was measured on this job.'
    : `Measured: ${hours(measuredMinutes)} for ${measuredSteps} of ${steps} pieces of work, which were computed at ${hours(measuredEstimate)}.`
}

function partsSection(parts: ReturnType<typeof jobCosts>['parts'], text: PaperContext['text'], money: PaperContext['money']): PaperSection {
  return { title: 'Parts', table: { head: ['', 'Count', 'Each', 'Price'], right: [1, 2, 3], rows: parts.map(part => [text(part.name), String(part.count), part.each === null ? 'not priced' : money(part.each), part.total === null ? '' : money(part.total)]) } }
}

function totals(text: PaperContext['text'], labour: number, parts: number, callOut: number, tax: number, total: number, rates: Rates, money: PaperContext['money']): string[][] {
  return [
    [text('{Labor}'), money(labour)], ['Parts', money(parts)], ...(callOut > 0 ? [['Call-out', money(callOut)]] : []), ...(rates.taxPercent > 0 ? [[`Tax, ${rates.taxPercent} in 100`, money(tax)]] : []), ['In all', money(total)],
  ]
}

function partNames(state: JobState): string[] {
  return (state.procedure?.parts ?? []).filter(part => state.procedure!.operations.some(operation => operation.parts[part.id] && state.done[operation.id])).map(part => part.name)
}
