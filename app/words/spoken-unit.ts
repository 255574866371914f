const spoken: Record<string, string> = { 'N·m': 'newton meters', 'lbf·ft': 'foot pounds', 'lbf·in': 'inch pounds' }

/** A unit of torque as it is read aloud. */
export const spokenUnit = (unit: string): string => spoken[unit] ?? unit
