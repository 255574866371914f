import type { JobState } from '../../job/chapters'
import type { PaperDoc, PaperKind } from '../../job/chapters/money/paper-doc'
import { pumpVerdict } from '../../job/views/pump-verdict'
import { symptomLabel } from '../../job/views/symptom-label'
import { breakInCard } from './break-in'
import type { PaperContext } from './context'
import { estimate } from './estimate'
import { handOver } from './hand-over'
import { invoice } from './invoice'
import { workOrder } from './work-order'

export const paperTitles: Record<PaperKind, string> = {
  estimate: 'Estimate',
  'work-order': 'Work order',
  'hand-over': 'Hand-over',
  'break-in': 'Break-in card',
  invoice: 'Invoice',
}
const DEFERS =
  'The vehicle maker’s instructions, the kit sheet, local codes and licensed practice go before anything written here.'
const sectionsOf = {
  estimate: estimate,
  'work-order': workOrder,
  'hand-over': handOver,
  'break-in': breakInCard,
  invoice: invoice,
}

/** A paper of a job, from its log alone and the garage's rates. The same content is the page and the PDF. */
export function jobPaper(kind: PaperKind, state: JobState, context: PaperContext): PaperDoc {
  return {
    kind,
    title: titleOf(kind, state),
    facts: factsOf(kind, state, context),
    sections: [...sectionsOf[kind](state, context), { title: 'Before all of this', lines: [DEFERS] }],
  }
}

function titleOf(kind: PaperKind, { handedOver, calledOff }: JobState): string {
  if (kind !== 'hand-over' || handedOver) return paperTitles[kind]
  return calledOff ? 'Called off' : 'Hand-over, not yet signed'
}

function factsOf(kind: PaperKind, state: JobState, { text, distance, day }: PaperContext): [string, string][] {
  const vehicle = state.vehicle!
  const facts: ([string, string] | null)[] = [
    ['Job', String(state.number)],
    kind === 'hand-over' && state.numberThere !== null ? ['Where it was begun', String(state.numberThere)] : null,
    ['Car', `${vehicle.name}, ${vehicle.make} ${vehicle.model}, ${vehicle.year}`],
    ['Customer', vehicle.customer],
    [
      'Complaint',
      [...state.complaint.symptoms.map(id => text(symptomLabel(state, id))), state.complaint.text]
        .filter(Boolean)
        .join('. '),
    ],
    kind === 'hand-over' && !state.procedure?.control
      ? ['Pumped pedal', pumpVerdict(state.pumpTest.result, state.pumpTest.strokes).text]
      : null,
    ['Odometer', state.odometerKm === null ? 'not read' : distance(state.odometerKm)],
    state.promisedAt && !state.handedOver ? ['Promised', day(state.promisedAt)] : null,
    kind === 'hand-over' && state.calledOff ? ['Why', state.calledOff.reason] : null,
    state.handedOver ? ['Handed over', `${day(state.handedOver.at)}, to ${state.handedOver.to}`] : null,
  ]
  return facts.filter(fact => fact !== null)
}
