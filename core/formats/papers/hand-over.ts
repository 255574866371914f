import { boltName } from '../../fasteners'
import type { JobState } from '../../job/chapters'
import type { PaperSection } from '../../job/chapters/money/paper-doc'
import type { TighteningRun } from '../../job/chapters/tightening'
import { openBeforeHandover } from '../../job/views/before-handover'
import { closing } from '../../job/views/closing'
import { groupStands, standText } from '../../job/views/fastening'
import type { GroupStand } from '../../job/views/fastening'
import { beyondSection } from './beyond'
import { breakInCard } from './break-in'
import { firstTimes } from '../../job/chapters/again'
import type { PaperContext } from './context'
import { checkWords, stopWords } from './words'

/** What the customer takes along: what was done, with which figures, what was measured, what was left. */
export function handOver(state: JobState, context: PaperContext): PaperSection[] {
  return [
    ...causeSection(state),
    workSection(state, context),
    ...beyondSection(state, context),
    figureSection(state, context),
    readingSection(state, context),
    checkSection(state, context),
    ...roadSection(state, context),
    leftSection(state, context),
    ...breakInCard(state, context),
  ]
}

function causeSection({ causeFound }: JobState): PaperSection[] {
  return causeFound ? [{ title: 'What it was', lines: [`${causeFound.title}. ${causeFound.text}`.trim()] }] : []
}

function workSection(state: JobState, { text }: PaperContext): PaperSection {
  const { operations, parts, title } = state.procedure!
  const done = operations.filter(operation => state.done[operation.id])
  const renewed = parts.filter(part => done.some(operation => operation.parts[part.id]))
  const titleOf = (stepId: string) => operations.find(operation => operation.id === stepId)?.title ?? stepId
  const gears = Object.entries(state.gears).map(
    ([stepId, results]) =>
      `${text(titleOf(stepId))}: ${Object.entries(results)
        .map(([gear, result]) => `${gear} ${result}`)
        .join(', ')}.`,
  )
  const read = Object.entries(state.codes).map(
    ([stepId, { codes }]) =>
      `${text(titleOf(stepId))}: ${codes.length === 0 ? 'nothing stored' : codes.map(({ code, text: says }) => `${code} ${says}`.trim()).join(', ')}.`,
  )
  const taught = Object.entries(state.routines).map(
    ([stepId, { outcome, reason }]) =>
      `${text(titleOf(stepId))}: ${outcome === 'done' ? 'done' : `refused, ${reason}`}.`,
  )
  return {
    title: 'Work',
    lines: [
      `${text(title)}: ${done.length} of ${operations.length} pieces of work done.`,
      ...(renewed.length ? [`Renewed: ${renewed.map(part => text(part.name)).join(', ')}.`] : []),
      ...gears,
      ...read,
      ...taught,
    ],
  }
}

/** Groups that were touched, or that somebody named a figure for. */
function figureSection(state: JobState, { text, torque, source, person }: PaperContext): PaperSection {
  const rows = groupStands(state).flatMap(stand => {
    const run =
      state.runs.findLast(entry => entry.group === stand.group.id && entry.dropped === null && !entry.loosens) ?? null
    const figure = run?.figure ?? stand.figure
    const stands = standText(stand.counts)
    if (!stands && !run && !figure && !stand.excused) return []
    const name = [text(stand.group.name), ...(run ? [runText(run)] : [])].join('. ')
    return [[name, stands, figure ? torque(figure.torqueNm) : 'none named', sourceText(stand, figure)]]
  })
  function sourceText({ excused }: GroupStand, figure: GroupStand['figure'] | TighteningRun['figure']): string {
    if (!figure)
      return excused ? `${person(excused.personId)} answers for it: ${excused.reason}` : 'No figure on record'
    const unspecified = figure.sourceKind === 'computed' ? 'No specification was found. ' : ''
    return `${unspecified}${source(figure.sourceKind)}: ${figure.reference}${figure.borrowed ? `. Taken from another group: ${figure.borrowed.because}` : ''}`
  }
  return {
    title: 'Torque figures and their sources',
    table: { head: ['Fasteners', 'How they stand', 'Figure', 'Source'], right: [], whole: [2], rows },
  }
}

/** How a run went: with what, and what stopped it. */
function runText({ wrench, stops }: TighteningRun): string {
  const stopped = stops.map(
    stop => `bolt ${stop.bolt + 1} was stopped, ${stopWords[stop.verdict]}: ${stop.cleared ?? 'open'}`,
  )
  return [`In passes, every bolt logged${wrench ? `, ${wrench.name}` : ''}`, ...stopped].join('; ')
}

function readingSection(state: JobState, { text, reading }: PaperContext): PaperSection {
  const operations = new Map(state.procedure!.operations.map(operation => [operation.id, operation]))
  // Of a step that was done again the last time counts.
  const stepOf = firstTimes(state)
  const latest = new Map(
    state.readings
      .map(entry => ({ ...entry, stepId: stepOf.get(entry.stepId) ?? entry.stepId }))
      .map(entry => [`${entry.stepId} ${entry.readingId}`, entry]),
  )
  const rows = [...latest.values()].map(entry => {
    const name =
      operations.get(entry.stepId)?.readings.find(spec => spec.id === entry.readingId)?.name ?? entry.readingId
    return [text(name), typeof entry.value === 'number' ? reading(entry.value, entry.unit ?? '') : text(entry.value)]
  })
  return {
    title: 'Measured and found',
    ...(rows.length === 0 ? { lines: ['Nothing was measured.'] } : { table: { head: ['', ''], right: [1], rows } }),
  }
}

function checkSection(state: JobState, { text, person }: PaperContext): PaperSection {
  return {
    title: 'Closing checks',
    lines: closing(state).map(line => {
      const left = line.left.map(entry => `${text(entry.title)}: ${entry.reason} (${person(entry.personId)})`)
      const missing = line.missing.map(entry => text(entry.title))
      return [
        `${checkWords[line.status]}: ${text(line.title)}`,
        ...(line.made?.note ? [line.made.note] : []),
        ...left,
        ...missing,
      ].join('. ')
    }),
  }
}

function roadSection(state: JobState, { text, distance }: PaperContext): PaperSection[] {
  const noted = state.procedure!.roadTest.filter(task => state.road[task.id])
  if (noted.length === 0) return []
  return [
    {
      title: 'Road test',
      lines: noted.map(task => {
        const note = state.road[task.id]!
        const at = [
          note.speedKmh === undefined ? '' : `${distance(note.speedKmh)}/h`,
          note.gear ? `gear ${note.gear}` : '',
          note.rpm === undefined ? '' : `${note.rpm} rpm`,
        ]
          .filter(Boolean)
          .join(', ')
        return `${text(task.title)}: ${note.good ? 'right' : note.text}${at ? ` (${at})` : ''}`
      }),
    },
  ]
}

/** What is not as it should be, with the reason, and bolts that went or had the load of one that did. */
function leftSection(state: JobState, { text, person }: PaperContext): PaperSection {
  const left = openBeforeHandover(state).map(entry => {
    const why = entry.left ? `${entry.left.reason} (${person(entry.left.personId)})` : 'no reason given yet'
    return `${text(entry.name)}${entry.count > 1 ? ` × ${entry.count}` : ''}: ${why}`
  })
  const bolts = Object.values(state.boards).flatMap(board => {
    const name = text(state.procedure!.groups.find(group => group.id === board.group)?.name ?? board.group)
    return board.bolts
      .filter(bolt => bolt.suspect || bolt.condition === 'sheared' || bolt.condition === 'stripped')
      .map(
        bolt =>
          `${name}, ${boltName(board, bolt)}: ${bolt.suspect ? 'had the load of one that broke' : bolt.condition}.`,
      )
  })
  return {
    title: 'Left as it is',
    lines: [...(left.length === 0 ? ['Nothing. All that was taken off is back on.'] : left), ...bolts],
  }
}
