import type { JobState } from '../chapters'
import { symptomLabel } from './symptom-label'

/** Everything a person might look a job up by, as one text: car, customer, complaint, notes, troubles, cause, figures with their sources, old layouts. Terms stay tokens. */
export function jobWords(state: JobState): string {
  const groupName = (id: string) => state.procedure?.groups.find(group => group.id === id)?.name ?? ''
  const { vehicle, complaint } = state
  return [
    state.number,
    vehicle && [vehicle.name, vehicle.make, vehicle.model, vehicle.year, vehicle.customer].join(' '),
    complaint.symptoms.map(id => symptomLabel(state, id)).join(', '),
    complaint.text,
    state.procedure?.title,
    ...state.notes.map(note => note.text),
    ...state.troubles.flatMap(trouble => [trouble.text, trouble.cleared?.how]),
    state.causeFound && `${state.causeFound.title} ${state.causeFound.text}`,
    ...Object.values(state.figures)
      .flat()
      .map(figure => `${groupName(figure.group)}: ${figure.reference}`),
    ...Object.values(state.boards).flatMap(board => board.bolts.map(bolt => bolt.note)),
    ...state.addedParts.map(part => part.name),
    ...state.orders.map(order => order.name),
  ]
    .filter(Boolean)
    .join('\n')
}
