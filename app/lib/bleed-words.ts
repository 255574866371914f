import type { BleedMethod } from '../../core/hydraulics'

/** What each way of bleeding is called. */
export const bleedWords: Record<BleedMethod, string> = {
  'pump-rest': 'Pump and rest', 'two-person': 'Two people', 'vacuum': 'Vacuum at the bleeder', 'pressure': 'Pressure at the reservoir',
  'reverse': 'Reverse, from the slave', 'gravity': 'Gravity', 'pre-filled': 'Pre-filled set', 'unopened': 'Nothing to bleed',
}
