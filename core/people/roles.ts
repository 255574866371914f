/** What somebody is in a garage. */
export const roles = ['owner', 'mechanic', 'helper', 'bookkeeper'] as const
export type Role = (typeof roles)[number]

/** What a role may allow. Every route and every event wants one of them. */
export const permissions = [
  /** Jobs, their logs and what follows from them. */
  'see-jobs',
  /** Whose car it is. */
  'see-customers',
  /** What a job costs: parts, hours, what was paid. */
  'see-money',
  /** Takes cars in, plans, works, measures and proves: every act of a job that is none of those below. */
  'work',
  /** Ticks steps, counts strokes at the pedal and reads cautions, where somebody else has planned them. */
  'help',
  /** Asks the supplier for parts. */
  'order',
  /** Writes what was paid, and issues papers. */
  'charge',
  /** Lets a customer see a job. */
  'share',
  /** Changes the garage's own layouts, wrenches and figures. */
  'teach',
  /** Changes how the garage works: name, hours, rates, units. */
  'settle',
  /** Lets people in, gives them their roles, ends their devices. */
  'people',
] as const
export type Permission = (typeof permissions)[number]

/** The one table of who may do what; the server holds requests against it, the interface hides what would be refused. */
const granted: Record<Role, ReadonlySet<Permission>> = {
  owner: new Set(permissions),
  mechanic: new Set<Permission>(['see-jobs', 'see-customers', 'see-money', 'work', 'help', 'order', 'share', 'teach']),
  helper: new Set<Permission>(['see-jobs', 'help']),
  bookkeeper: new Set<Permission>(['see-jobs', 'see-customers', 'see-money', 'charge']),
}

/** Whether a role allows something. */
export function may(role: Role, permission: Permission): boolean {
  return granted[role].has(permission)
}

/** Whether a role allows anything that another does not. */
export function exceeds(role: Role, other: Role): boolean {
  return permissions.some(permission => may(role, permission) && !may(other, permission))
}

/**
 * Whether somebody shows a PIN before they work on a device: where it asks everybody, where they have one, and where they may do what whoever
 * signed it in may not. Who has none then does not come on.
 */
export function wantsPin(
  person: { role: Role; hasPin: boolean },
  device: { asks: 'pin' | 'tag'; signedInAs: Role },
): boolean {
  return device.asks === 'pin' || person.hasPin || exceeds(person.role, device.signedInAs)
}

/** What each role is, in a sentence. */
export const roleWords: Record<Role, { name: string; does: string }> = {
  owner: { name: 'Owner', does: 'Everything: jobs, money, people.' },
  mechanic: { name: 'Mechanic', does: 'Jobs and bench, with what parts cost. No invoices, no people.' },
  helper: { name: 'Helper', does: 'The pedal and the steps. No prices, no customers.' },
  bookkeeper: { name: 'Bookkeeper', does: 'Papers and money. Nothing at the car.' },
}
