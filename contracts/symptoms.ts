/** What a clutch can do wrong, as the customer tells it. */
export const symptoms = ['slips', 'judders', 'rattles', 'squeals', 'will-not-select', 'pedal-soft', 'other'] as const
