import type { Feel, SpecVerdict, TighteningVerdict } from '../../core/fasteners'

/** What each verdict on a bolt means and what to do about it. */
export const boltVerdicts: Record<TighteningVerdict, { name: string; means: string; todo: string }> = {
  good: { name: 'Good', means: 'It came tight like the others.', todo: 'Go on.' },
  drag: {
    name: 'Runs heavy',
    means: 'A crossed thread, dirt or old threadlocker.',
    todo: 'Back it out by hand, look at both threads, clean the hole, start it again by hand for three full turns.',
  },
  early: {
    name: 'Tight too early',
    means: 'It has bottomed, is too long, or the hole holds dirt or oil.',
    todo: 'Take it out. Measure it against its neighbor and the depth of the hole. Never tighten it down.',
  },
  soft: {
    name: 'Soft',
    means: 'Something lies between the faces, or the part is not down.',
    todo: 'Stop. Look round the joint for a plate, a hose, a wire. Back all bolts off before you pull anything out.',
  },
  yielding: {
    name: 'Stretching',
    means: 'The bolt or the thread has begun to go.',
    todo: 'Stop now. Take it out and measure it; renew it, and look at the hole before the new one goes in.',
  },
  'gave-way': {
    name: 'Gave way',
    means: 'The bolt is shearing or the thread has stripped.',
    todo: 'Stop. Slacken the neighbors a turn, then take the way out below.',
  },
}

/** What a hand can say after each bolt. */
export const feelLabels: { id: Feel; label: string }[] = [
  { id: 'normal', label: 'Normal' },
  { id: 'tight-early', label: 'Tight early' },
  { id: 'keeps-turning', label: 'Keeps turning' },
  { id: 'gave-way', label: 'Gave way' },
]

/** A verdict on a figure, as it stands beside it. */
export const specVerdicts: Record<SpecVerdict, { name: string; tone: 'good' | 'attention' | 'danger' }> = {
  low: { name: 'Low', tone: 'attention' },
  plausible: { name: 'Plausible', tone: 'good' },
  high: { name: 'High', tone: 'attention' },
  'beyond yield': { name: 'Beyond yield', tone: 'danger' },
  'strips thread': { name: 'Strips the thread', tone: 'danger' },
}
