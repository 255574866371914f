import { placeOf, stanceOf } from '../../pack/bay'
import type { JobState } from '../../job/chapters'
import type { PaperSection } from '../../job/chapters/money/paper-doc'
import type { PaperContext } from './context'

export function workOrder(state: JobState, { text }: PaperContext): PaperSection[] {
  const { procedure, plan } = state
  const operations = new Map(procedure!.operations.map(operation => [operation.id, operation]))
  const serious = procedure!.cautions.filter(caution => caution.serious)
  return [
    {
      title: 'Can hurt',
      caution: true,
      lines: serious.map(caution => `${text(caution.title)}. ${text(caution.text)}`),
    },
    {
      title: 'How',
      lines: procedure!.tools.length
        ? [`Tools: ${procedure!.tools.map(tool => [text(tool.name), tool.size].filter(Boolean).join(' ')).join('; ')}.`]
        : [],
    },
    {
      title: 'In this order',
      table: {
        head: ['', 'Step', 'Place', 'Car', 'min'],
        right: [0, 4],
        rows: plan!.steps.map((step, index) => [
          String(index + 1),
          text(operations.get(step.id)?.title ?? procedure!.positions[step.car]!.title),
          placeOf(procedure!, step.place).name,
          stanceOf(procedure!, step.car).name,
          String(Math.round(step.finishMinutes - step.startMinutes)),
        ]),
      },
    },
  ]
}
