import type { JobState } from '../../job/chapters'
import type { PaperSection } from '../../job/chapters/money/paper-doc'
import { stepTitle } from '../../job/views/step-title'
import type { PaperContext } from './context'

/** What this job has beyond its layout, and what of that it has not: steps added, left out, done by others, done anew. */
export function beyondSection(state: JobState, { text, day }: PaperContext): PaperSection[] {
  const { procedure, plan, added, split, leftOut, again, takenOver } = state
  const titleOf = (stepId: string) => text(stepTitle(procedure!, plan!, stepId))
  const others = new Map<string, string[]>()
  for (const [stepId, { by }] of Object.entries(takenOver)) others.set(by, [...(others.get(by) ?? []), titleOf(stepId)])
  const lines = [
    ...added.map(step => `Added: ${text(step.title)}.`),
    ...split.map(({ first, rest }) => `In two: ${text(first.title)}; ${text(rest.title)}.`),
    ...leftOut.map(step => `Left out: ${text(step.title)}. ${step.reason}.`),
    ...[...others].map(([by, titles]) => `Done by others (${by}): ${titles.join('; ')}.`),
    ...again.map(({ stepId, because, away }) => {
      const elsewhere = away ? ` Worked on elsewhere: ${away.to}${away.until ? `, back ${day(away.until)}` : ''}.` : ''
      return `Done anew: ${titleOf(stepId)}. ${because}.${elsewhere}`
    }),
  ]
  return lines.length > 0 ? [{ title: 'Beyond the layout', lines }] : []
}
