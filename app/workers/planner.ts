import { expandPack } from '../../core/packs'
import type { Pack } from '../../core/packs'
import { planJob } from '../../core/sequence'
import type { PlanPreview, PlannerAsk, PlannerAnswer } from '../lib/planner-messages'

function preview(pack: Pack, options: Record<string, string>): PlanPreview {
  const procedure = expandPack(pack, options)
  const { totals, authored, trips, tools } = planJob(procedure, { helper: options.helper === 'helper' })
  return { totals, authored, trips: trips.map(({ place, car, minutes }) => ({ place, car, minutes })), toolCount: tools.length, stepCount: procedure.operations.length }
}

/** Plans the choice first, then every other choice of every option, so that each can show what it would cost. */
self.onmessage = ({ data }: MessageEvent<PlannerAsk>) => {
  const { ask, pack, options } = data
  const answer = (message: PlannerAnswer) => self.postMessage(message)
  const chosen = preview(pack, options)
  answer({ ask, kind: 'chosen', preview: chosen })
  for (const option of pack.options) {
    for (const choice of option.choices) {
      if (options[option.id] === choice.id) continue
      const other = preview(pack, { ...options, [option.id]: choice.id })
      answer({ ask, kind: 'difference', optionId: option.id, choiceId: choice.id, minutes: other.totals.minutes - chosen.totals.minutes })
    }
  }
}
