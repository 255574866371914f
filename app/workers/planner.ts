import { minutesLater } from '../../core/decisions'
import { switchBarrier } from '../../core/job'
import { expandPack } from '../../core/packs'
import type { Procedure } from '../../core/packs'
import { finishTimes, operationOrder, planJob } from '../../core/sequence'
import type { Plan } from '../../core/sequence'
import type { Difference, PlannerAnswer, PlannerAsk, PlanPreview, Reach } from '../lib/planner-messages'

type Ask<K extends PlannerAsk['kind']> = Extract<PlannerAsk, { kind: K }>
const answer = (message: PlannerAnswer, transfer: Transferable[] = []) => self.postMessage(message, { transfer })

self.onmessage = ({ data }: MessageEvent<PlannerAsk>) => {
  try {
    if (data.kind === 'options') compareOptions(data)
    else if (data.kind === 'plan') plan(data)
    else if (data.kind === 'ways') ways(data)
    else if (data.kind === 'reach') reach(data)
    else finish(data)
  }
  catch (error) {
    answer({ ask: data.ask, kind: 'failed', reason: (error as Error).message })
  }
}

/** Plans the choice first, then every other choice of every option, so that each can show what it would cost. */
function compareOptions({ ask, pack, options, setting, past, stand }: Ask<'options'>) {
  const planned = (chosen: Record<string, string>) => {
    const procedure = expandPack(pack, chosen)
    const kept = past && { ...past, steps: past.steps.filter(step => step.kind !== 'operation' || procedure.operations.some(operation => operation.id === step.id)) }
    return { procedure, plan: planJob(procedure, { ...setting, helper: procedure.hands === 2 }, kept ? { past: kept } : {}) }
  }
  const current = planned(options)
  answer({ ask, kind: 'chosen', preview: previewOf(current.procedure, current.plan) })
  for (const option of pack.options) {
    for (const choice of option.choices) {
      if (options[option.id] === choice.id) continue
      const chosen = { ...options, [option.id]: choice.id }
      const barrier = stand && switchBarrier(stand, expandPack(pack, chosen))
      const difference: Difference = barrier === null
        ? differenceOf(current, planned(chosen))
        : { minutes: 0, trips: 0, parts: [], order: [], barred: barrier }
      answer({ ask, kind: 'difference', optionId: option.id, choiceId: choice.id, difference })
    }
  }
}

type Planned = { procedure: Procedure, plan: Plan }

function differenceOf(from: Planned, to: Planned): Difference {
  const [before, after] = [partsOf(from.procedure), partsOf(to.procedure)]
  const names = new Map([...from.procedure.parts, ...to.procedure.parts].map(part => [part.id, part.name]))
  const parts = [...names].map(([id, name]) => ({ name, count: (after[id] ?? 0) - (before[id] ?? 0) })).filter(part => part.count !== 0)
  return { minutes: to.plan.totals.minutes - from.plan.totals.minutes, trips: to.plan.trips.length - from.plan.trips.length, parts, order: operationOrder(to.plan), barred: null }
}

function partsOf(procedure: Procedure): Record<string, number> {
  const parts: Record<string, number> = {}
  for (const operation of procedure.operations) for (const [id, count] of Object.entries(operation.parts)) parts[id] = (parts[id] ?? 0) + count
  return parts
}

function previewOf(procedure: Procedure, { totals, authored, trips, tools }: Plan): PlanPreview {
  return {
    totals, authored, trips: trips.map(({ place, car, minutes }) => ({ place, car, minutes })),
    toolCount: tools.length, stepCount: procedure.operations.length, parts: partsOf(procedure),
  }
}

function plan({ ask, procedure, setting, past }: Ask<'plan'>) {
  const onProgress = (share: number, minutes: number) => answer({ ask, kind: 'progress', share, minutes })
  answer({ ask, kind: 'planned', plan: planJob(procedure, setting, { ...(past ? { past } : {}), effort: { onProgress } }) })
}

/** Plans each way on from the steps done, with its own parts on their way. */
function ways({ ask, pack, options, option, ways: wanted, setting, past, stand }: Ask<'ways'>) {
  for (const { choice, arrivals } of wanted) {
    const procedure = expandPack(pack, { ...options, [option]: choice })
    const barred = switchBarrier(stand, procedure)
    const kept = past && { ...past, steps: past.steps.filter(step => step.kind !== 'operation' || procedure.operations.some(operation => operation.id === step.id)) }
    if (barred !== null) {
      answer({ ask, kind: 'way', way: { choice, finishMinutes: 0, labourMinutes: 0, order: [], barred } })
      continue
    }
    const used = new Set(procedure.operations.flatMap(operation => Object.keys(operation.parts)))
    const others = (setting.arrivals ?? []).filter(entry => !arrivals.some(own => own.partId === entry.partId))
    const plan = planJob(procedure, { ...setting, helper: procedure.hands === 2, arrivals: [...others, ...arrivals].filter(entry => used.has(entry.partId)) }, kept ? { past: kept } : {})
    const from = kept?.steps.at(-1)?.finishMinutes ?? 0
    answer({ ask, kind: 'way', way: { choice, finishMinutes: plan.steps.at(-1)!.finishMinutes - from, labourMinutes: plan.totals.workMinutes + plan.totals.setupMinutes, order: operationOrder(plan), barred: null } })
  }
}

/** For every part in reach: minutes more now, and what coming back for it would take. */
function reach({ ask, pack, procedure }: Ask<'reach'>) {
  const likely = (of: Procedure) => of.operations.reduce((sum, operation) => sum + operation.minutes[1], 0)
  const found: Record<string, Reach> = {}
  for (const part of procedure.bench.reachable) {
    const offered = part.option && pack?.options.some(entry => entry.id === part.option!.id && entry.choices.some(choice => choice.id === part.option!.choice))
    const renewed = offered ? expandPack(pack!, { ...procedure.options, [part.option!.id]: part.option!.choice }) : null
    const targets = renewed ? part.option!.steps : part.reachedBy.slice(0, 1)
    const later = minutesLater(renewed ?? procedure, targets)
    if (!later) continue
    const more = renewed ? likely(renewed) - likely(procedure) : part.minutes[1]
    const minutesNow = more > 0 ? more : part.minutes[1]
    found[part.id] = { minutesNow, minutesLater: later.minutes + (renewed ? 0 : part.minutes[1]), steps: later.operations.map(operation => operation.title) }
  }
  answer({ ask, kind: 'reach', reach: found })
}

function finish({ ask, steps, calendar }: Ask<'finish'>) {
  const times = finishTimes(steps, calendar)
  answer({ ask, kind: 'finish', times }, [times.buffer])
}
