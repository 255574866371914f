import { book } from '../job/chapters'
import type { EventPayloads, JobEvent, JobState } from '../job/chapters'
import { refuse } from '../job/log/chapter'
import type { Refusal } from '../job/log/chapter'
import { may, roleWords } from '../people/roles'
import type { Permission, Role } from '../people/roles'

/** What an act wants of who does it: each says so where it is written down. What is taken back was let in once. */
export const permissionOf = (type: string): Permission => {
  if (type === 'undone') return 'help'
  return Object.hasOwn(book.kinds, type) ? book.kinds[type]!.wants : 'work'
}

/** Acts at a step, which who only helps does where the step was handed to them. */
const atStep: ReadonlySet<string> = new Set<keyof EventPayloads>([
  'step-done',
  'reading-taken',
  'timer-started',
  'timer-stopped',
])

/**
 * Why somebody of this role may not do an act; `null` where they may. Who only helps ticks what was handed to them, and takes back
 * nothing but their own.
 * @param state the job before the act
 * @param log its events so far
 */
export function actRefused(
  role: Role,
  event: JobEvent,
  state: Pick<JobState, 'handed'>,
  log: readonly JobEvent[],
): Refusal | null {
  const permission = permissionOf(event.type)
  if (!may(role, permission)) return refuse('type', `This is not for a ${roleWords[role].name.toLowerCase()}.`)
  if (may(role, 'work')) return null
  if (event.type === 'undone') {
    const { eventId } = (event as JobEvent<'undone'>).payload
    const taken = log.find(entry => entry.id === eventId)
    return taken && taken.personId !== event.personId
      ? refuse('payload.eventId', 'Somebody else did this. They take it back, or whoever runs the job.')
      : null
  }
  if (!atStep.has(event.type)) return null
  const { stepId } = event.payload as { stepId: string }
  return state.handed[stepId] === event.personId
    ? null
    : refuse('payload.stepId', 'This step was not handed to you. Whoever runs the job hands it on.')
}
