// Made from packs/bleeding by `npm run packs:schema`: what stands there is changed there.
import type { BleedPhysics } from '../pack/bleeding'

/** What simulation and advice need of the ways of bleeding that ship. */
export const shippedWays: readonly BleedPhysics[] = [
  {
    id: 'pump-rest',
    title: 'Pump and rest',
    counts: 'strokes',
    perRound: 25,
    restMinutes: 60,
    strokeShare: 0,
    portionMl: 0,
    bleeder: false,
    minutes: [ 15, 25, 45 ],
    frees: 0.06,
    advice: [
      { when: { opened: false }, closes: true, because: 'Nothing was opened, so nothing has to be bled.' },
      {
        when: { opened: true },
        points: 18,
        because: 'Alone and without tools: strokes free the air, the rest lets it climb.'
      },
      {
        when: { bleeder: 'none' },
        points: 20,
        because: 'Without a bleeder the air can only leave at the top.'
      },
      {
        when: { slave: 'concentric' },
        points: 4,
        because: 'A slave round the shaft cannot be tilted; rests do what tilting does.'
      }
    ]
  },
  {
    id: 'two-person',
    title: 'Two people',
    counts: 'strokes',
    perRound: 10,
    restMinutes: 5,
    strokeShare: 0.95,
    portionMl: 0,
    bleeder: true,
    minutes: [ 10, 15, 30 ],
    frees: 0.12,
    advice: [
      { when: { opened: false }, closes: true, because: 'Nothing was opened, so nothing has to be bled.' },
      { when: { helper: false }, closes: true, because: 'It takes a second person.' },
      { when: { helper: true }, points: 30, because: 'Two people who keep the beat are quick and sure.' }
    ]
  },
  {
    id: 'vacuum',
    title: 'Vacuum at the bleeder',
    counts: 'portions',
    perRound: 3,
    restMinutes: 5,
    strokeShare: 0,
    portionMl: 20,
    bleeder: true,
    minutes: [ 8, 14, 25 ],
    frees: 0.12,
    flowMlS: 1.5,
    wants: { id: 'vacuum-pump', name: 'a vacuum pump' },
    advice: [
      { when: { opened: false }, closes: true, because: 'Nothing was opened, so nothing has to be bled.' },
      {
        when: { opened: true },
        points: 24,
        because: 'One person, from below. Air past the bleeder’s thread looks like air from the line: grease it.'
      }
    ]
  },
  {
    id: 'pressure',
    title: 'Pressure at the reservoir',
    counts: 'portions',
    perRound: 3,
    restMinutes: 5,
    strokeShare: 0,
    portionMl: 25,
    bleeder: true,
    minutes: [ 8, 12, 20 ],
    frees: 0.1,
    flowMlS: 3,
    wants: { id: 'pressure-bottle', name: 'a pressure bottle that fits the reservoir' },
    advice: [
      { when: { opened: false }, closes: true, because: 'Nothing was opened, so nothing has to be bled.' },
      {
        when: { opened: true },
        points: 28,
        because: 'One person, a steady stream, and the reservoir cannot run dry unseen.'
      },
      {
        when: { sharedReservoir: true },
        points: -6,
        because: 'The reservoir feeds the brakes: its pressure stands on them too.'
      }
    ]
  },
  {
    id: 'reverse',
    title: 'Reverse, from the slave',
    counts: 'portions',
    perRound: 3,
    restMinutes: 5,
    strokeShare: 0,
    portionMl: -20,
    bleeder: true,
    minutes: [ 8, 15, 25 ],
    frees: 0.2,
    flowMlS: 1.5,
    wants: { id: 'syringe', name: 'a syringe with a hose' },
    advice: [
      { when: { opened: false }, closes: true, because: 'Nothing was opened, so nothing has to be bled.' },
      { when: { opened: true }, points: 26, because: 'Air goes up, the way it wants; from the slave.' },
      {
        when: { bleeder: 'low' },
        points: 10,
        because: 'The bleeder sits low: from there fluid pushes all the air ahead of it.'
      },
      {
        when: { sharedReservoir: true },
        points: -12,
        because: 'The reservoir feeds the brakes: dirt from the clutch line is pushed into it. Draw it down first.'
      }
    ]
  },
  {
    id: 'gravity',
    title: 'Gravity',
    counts: 'minutes',
    perRound: 10,
    restMinutes: 10,
    strokeShare: 0,
    portionMl: 0,
    bleeder: true,
    minutes: [ 30, 45, 75 ],
    frees: 0.01,
    flowMlS: 0.12,
    advice: [
      { when: { opened: false }, closes: true, because: 'Nothing was opened, so nothing has to be bled.' },
      {
        when: { opened: true },
        points: 12,
        because: 'Open and wait: nothing can go wrong but the reservoir running dry.'
      },
      { when: { bleeder: 'low' }, points: -3, because: 'It drips against air that climbs the other way.' }
    ]
  },
  {
    id: 'pre-filled',
    title: 'Pre-filled set',
    counts: 'strokes',
    perRound: 10,
    restMinutes: 5,
    strokeShare: 0,
    portionMl: 0,
    bleeder: false,
    minutes: [ 2, 4, 8 ],
    advice: [
      { when: { preFilled: false }, closes: true, because: 'No pre-filled set goes in.' },
      {
        when: { preFilled: true },
        points: 90,
        because: 'The set came full. Its strap snaps at the first stroke; no stroke before it is home.'
      }
    ]
  }
]
