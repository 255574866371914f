import type { JobState } from '../../job/chapters'
import type { PaperSection } from '../../job/chapters/money/paper-doc'
import { breakIn } from '../../job/views/break-in'
import type { PaperContext } from './context'

export function breakInCard(state: JobState, { text, distance, day }: PaperContext): PaperSection[] {
  const { control } = state.procedure ?? {}
  if (control) return [{ title: 'The first drives', caution: true, lines: control.gentle.map(text) }]
  const rule = state.breakIn
  if (!rule) return [{ title: 'Until it has broken in', lines: ['No distance is set. Ask before you drive it hard.'] }]
  const report = breakIn(rule, rule.readings)
  return [
    {
      title: 'Until it has broken in',
      caution: true,
      lines: [
        `Gentle stop-and-go use for ${rule.writtenAs} from ${distance(rule.startKm)} on the odometer, which is to ${distance(rule.startKm + rule.distanceKm)}.`,
        'No slipping on a hill, no hard launches, no heavy trailer; town rather than the open road.',
        `Source: ${rule.source}.`,
        ...(report.endsAt ? [`By its pace so far it is over about ${day(report.endsAt)}.`] : []),
        'Have the wheels checked after the first drives. Come back at once for a soft pedal, a leak, a slip or a noise.',
      ],
    },
  ]
}
