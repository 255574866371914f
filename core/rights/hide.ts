import type { JobEvent } from '../job/chapters'
import type { JobSummary } from '../job/views/summary'
import { may } from '../people/roles'
import type { Role } from '../people/roles'

/** What of an event carries whose car it is. */
const withoutCustomer: { [T in JobEvent['type']]?: (payload: JobEvent<T>['payload']) => JobEvent<T>['payload'] } = {
  'job-opened': payload => ({ ...payload, vehicle: { ...payload.vehicle, customer: '' } }),
  'handed-over': payload => ({ ...payload, to: '' }),
}

/** What of an event says what something costs. */
const withoutMoney: typeof withoutCustomer = {
  paid: payload => ({ ...payload, amount: 0, how: '' }),
  'part-ordered': payload => ({ ...payload, priceEach: null }),
}

/** What of an event says both. */
const withoutEither: typeof withoutCustomer = {
  'paper-issued': payload => ({ ...payload, paper: { ...payload.paper, facts: [], sections: [] } }),
}

/** An event as somebody of this role may read it. */
export function hideInEvent(role: Role, event: JobEvent): JobEvent {
  const tables = [
    ...(may(role, 'see-customers') ? [] : [withoutCustomer]),
    ...(may(role, 'see-money') ? [] : [withoutMoney]),
    ...(may(role, 'see-customers') && may(role, 'see-money') ? [] : [withoutEither]),
  ]
  return tables.reduce((left, table) => {
    const hide = Object.hasOwn(table, left.type)
      ? (table[left.type] as ((payload: unknown) => unknown) | undefined)
      : undefined
    return hide ? ({ ...left, payload: hide(left.payload) } as JobEvent) : left
  }, event)
}

/** A line of the Yard as somebody of this role may read it. */
export function hideInSummary(role: Role, summary: JobSummary): JobSummary {
  return may(role, 'see-customers') ? summary : { ...summary, customer: '' }
}
