import { nextBolt, tighteningPasses } from '../../core/fasteners'
import type { SheetValues } from '../../core/bench'
import type { BoltDetails, Figure } from '../../core/fasteners'
import {
  applyEvent,
  boltsOffWith,
  cautionsToRead,
  figureMissing,
  gearsOf,
  newPartsOf,
  piecesOf,
  plannedWay,
  reduceJob,
  stepView,
} from '../../core/job'
import type { EventPayloads, EventType, JobEvent, JobState } from '../../core/job'
import type { BodyWant, Operation, Piece, ReadingSpec } from '../../core/packs'
import { goodSheets } from './bench'

/** Made-up readings for the demo, by reading id; a choice takes its first answer that is good. */
const numbers: Record<string, number> = {
  'slave-travel': 14.5,
  'oil-out': 1650,
  'oil-in': 1900,
  'disc-thickness': 5.6,
  'rivet-depth': 0.2,
  'fluid-out': 6100,
  'converter-took': 1900,
  'fluid-first': 5200,
  'axle-out': 1100,
  'axle-in': 1150,
  'free-play-was': 31,
  'rear-out': 31_000,
  'rear-in': 31_500,
  supply: 12.6,
  'travel-now': 13.5,
  'travel-taught': 11,
  'travel-open': 30.5,
  store: 44,
  'taught-closed': 11.2,
}

const kitFigures: Record<string, Omit<Figure, 'group'>> = {
  'cover-bolts': { torqueNm: 21, sourceKind: 'kit-sheet', reference: 'Brindle clutch kit BK-4471, fitting sheet' },
  'body-bolts': {
    torqueNm: 9,
    sourceKind: 'vehicle-book',
    reference: 'Pellworth book, sheet 38-2',
  },
  'flywheel-bolts': { torqueNm: 64, sourceKind: 'kit-sheet', reference: 'Brindle flywheel BF-118, fitting sheet' },
}

/** A mechanic of straw: works a job off, step after step, with plausible times. */
export class DemoMechanic {
  readonly events: JobEvent[] = []
  /** The job as it stands so far. */
  state: JobState

  constructor(
    private readonly log: JobEvent[],
    private readonly personId: string,
    private clock: number,
  ) {
    this.state = reduceJob(log)
  }

  /** Works until `stepId` is next, or to the end. */
  workUntil(stepId: string | null): this {
    for (const id of this.state.plan!.order) {
      if (id === stepId) return this
      if (!this.state.done[id]) this.doStep(id)
    }
    return this
  }

  /** Adds any event, `minutes` after the one before. */
  write<T extends EventType>(type: T, payload: EventPayloads[T], minutes = 0): this {
    this.clock += minutes * 60_000
    const event = {
      id: crypto.randomUUID(),
      jobId: this.log[0]!.jobId,
      seq: null,
      deviceId: 'demo',
      deviceTime: new Date(this.clock).toISOString(),
      personId: this.personId,
      type,
      payload,
    } as JobEvent
    this.events.push(event)
    applyEvent(this.state, event)
    return this
  }

  /** Fills sheets of the bench in. */
  fillSheets(sheets: Record<string, SheetValues>): this {
    for (const [sheetId, values] of Object.entries(sheets))
      this.write('sheet-read', { sheetId, values, cleared: [] }, 4)
    return this
  }

  /** Lays parts side by side on a sheet. */
  layBeside(sheetId: string, parts: { name: string; values: SheetValues }[]): this {
    for (const part of parts)
      this.write('candidate-read', { sheetId, candidateId: crypto.randomUUID(), ...part, cleared: [] }, 3)
    return this
  }

  /** Writes down what the bolts of a board are, in the board's order. */
  describeBolts(group: string, list: BoltDetails[]): this {
    for (const [index, details] of list.entries()) {
      const { id, condition, from, holds } = this.state.boards[group]!.bolts[index]!
      this.write('bolt-described', {
        group,
        boltId: id,
        condition,
        details: { ...(from ? { from } : {}), ...(holds ? { holds } : {}), ...details },
      })
    }
    return this
  }

  /** Buys every part that has a price, at the counter. */
  partsBought(prices: Record<string, number>): this {
    for (const part of this.state.procedure!.parts) {
      const priceEach = prices[part.id]
      if (priceEach === undefined) continue
      const orderId = crypto.randomUUID()
      const count = this.state.procedure!.operations.reduce(
        (sum, operation) => sum + (operation.parts[part.id] ?? 0),
        0,
      )
      this.write('part-ordered', {
        orderId,
        partId: part.id,
        name: part.name,
        count,
        priceEach,
        supplier: 'Pennick Motor Factors',
        orderNo: null,
        arrivesAt: new Date(this.clock).toISOString(),
      })
      this.write('part-came', { orderId })
    }
    return this
  }

  /** Every piece of every body is out, two springs measured: one has set, one is its pocket's. A ball lies there. */
  piecesOut(): this {
    for (const body of this.state.procedure!.bodies ?? []) {
      const bodyId = body.id
      this.write('pieces-stand', { bodyId, pieceIds: piecesOf(body).map(piece => piece.id), stand: 'out' }, 4)
      const [first, second] = piecesOf(body).filter(piece => piece.spring)
      const measured = ({ spring: { paint: _paint, ...facts } = {} }: Piece, shorter: number) => ({
        ...facts,
        freeLengthMm: (facts.freeLengthMm ?? 0) - shorter,
      })
      this.write('spring-measured', { bodyId, pieceId: first!.id, of: 'old', measures: measured(first!, 2.4) }, 2)
      this.write('spring-measured', { bodyId, pieceId: second!.id, of: 'old', measures: measured(second!, 0.2) }, 2)
      this.write(
        'piece-found',
        {
          bodyId,
          looseId: crypto.randomUUID(),
          what: 'Small spring in the tray',
          measures: { wireMm: 0.5, freeLengthMm: 21.6 },
        },
        1,
      )
    }
    return this
  }

  /** Makes every closing check by hand, and drives the road test. */
  checksMade(): this {
    for (const check of this.state.procedure!.closing)
      if (check.kind === 'hand') this.write('check-made', { checkId: check.id, good: true, note: '' }, 1)
    for (const task of this.state.procedure!.roadTest)
      this.write('road-noted', { taskId: task.id, good: true, text: '' }, 1)
    return this
  }

  /** Bleeds round by round, the reservoir watched and kept full. */
  bleedRounds(stepId: string, rounds: ({ strokes: number } & Omit<EventPayloads['pedal-judged'], 'stepId'>)[]): this {
    this.openBleeding(stepId)
    this.write('fluid-bought', { stepId, bottles: 1, bottleMl: 500 })
    this.write('reservoir-set', {
      stepId,
      reservoirMl: 220,
      lowMl: 110,
      fullMl: 250,
      masterBoreMm: 19,
      strokeMm: 24,
      lineMl: 24,
      deliveredShare: 0,
    })
    for (const { strokes, ...judged } of rounds) {
      for (let stroke = 0; stroke < strokes; stroke++) this.write('stroke-counted', { stepId }, 0.15)
      this.write('pedal-judged', { stepId, ...judged }, 1)
      this.write('reservoir-topped', { stepId, ml: 65 }, 1)
    }
    return this
  }

  private openBleeding(stepId: string) {
    const { activity } = this.state.procedure!.operations.find(operation => operation.id === stepId)!
    if (activity?.kind !== 'bleed') throw new Error(`${stepId} bleeds nothing`)
    const way = plannedWay(this.state, activity)
    this.write('bleed-opened', { stepId, strokesPerRound: way.perRound, restMinutes: way.restMinutes })
    return way
  }

  private doStep(stepId: string): void {
    const view = stepView(this.state, stepId)!
    const minutes = view.planned.finishMinutes - view.planned.startMinutes
    if (view.operation) {
      for (const spec of view.operation.readings) if (spec.required || spec.id in numbers) this.read(stepId, spec)
      this.doActivity(view.operation)
      for (const { board, bolts } of boltsOffWith(this.state, stepId)) {
        this.write('bolts-out', { group: board.group, boltIds: bolts.map(bolt => bolt.id), condition: 'good' })
      }
    }
    this.nameSafetyFigures(view.operation)
    const unread = cautionsToRead(this.state, stepId)
    if (unread.length > 0) this.write('caution-acknowledged', { cautionIds: unread.map(caution => caution.id) })
    for (const { item, by } of newPartsOf(this.state, stepId))
      if (by === null) this.write('entry-replaced', { itemId: item.id, by: 'New ones, fetched for the job' })
    this.write('step-done', { stepId }, minutes + view.planned.setupMinutes)
  }

  /** Fasteners that somebody drives on have a figure before the step is done; here of an invented book. */
  private nameSafetyFigures(operation: Operation | null): void {
    for (
      let group = operation && figureMissing(this.state, operation);
      group;
      group = figureMissing(this.state, operation!)
    ) {
      const [low, high] = group.usualNm ?? [40, 80]
      this.write('figure-named', {
        group: group.id,
        torqueNm: Math.round((low + high) / 2),
        sourceKind: 'vehicle-book',
        reference: `${this.state.vehicle!.make} book, chapter 9`,
      })
    }
  }

  private read(stepId: string, spec: ReadingSpec): void {
    if (spec.kind === 'number')
      this.write('reading-taken', {
        stepId,
        readingId: spec.id,
        value: numbers[spec.id] ?? spec.low ?? 1,
        unit: spec.unit,
      })
    else
      this.write('reading-taken', {
        stepId,
        readingId: spec.id,
        value: spec.choices.find(choice => !(choice in (spec.bad ?? {})))!,
        unit: null,
      })
  }

  private doActivity({ id: stepId, activity }: Operation): void {
    if (activity?.kind === 'tighten') this.tighten(stepId, activity.group)
    if (activity?.kind === 'gears')
      for (const gear of gearsOf(this.state, activity)) this.write('gear-tried', { stepId, gear, result: 'clean' })
    if (activity?.kind === 'judged') this.fillSheets({ [activity.sheet]: goodSheets[activity.sheet]! })
    if (activity?.kind === 'body') this.standBody(activity.body, activity.wants)
    if (activity?.kind === 'read') this.write('codes-read', { stepId, codes: [] }, 1)
    if (activity?.kind === 'teach') this.write('routine-run', { stepId, outcome: 'done', reason: '' }, 1)
    if (activity?.kind === 'bleed') {
      const way = this.openBleeding(stepId)
      for (let count = 0; count < way.perRound; count++) {
        if (way.counts === 'strokes') this.write('stroke-counted', { stepId }, 0.05)
        else if (way.counts === 'portions') this.write('portion-moved', { stepId, ml: way.portionMl }, 1)
      }
      if (way.counts === 'minutes') this.write('rest-started', { stepId }, way.restMinutes)
      this.write('pedal-judged', { stepId, feel: 'firm' })
    }
  }

  private standBody(bodyId: string, wants: BodyWant): void {
    const body = this.state.procedure!.bodies!.find(entry => entry.id === bodyId)!
    const plugIds = body.plugs.map(plug => plug.id)
    const pieceIds = piecesOf(body).map(piece => piece.id)
    if (wants === 'pieces-in') this.write('pieces-stand', { bodyId, pieceIds, stand: 'confirmed' }, 2)
    else this.write('plugs-stand', { bodyId, plugIds, stand: wants === 'plugs-off' ? 'off' : 'tugged' }, 1)
  }

  private tighten(stepId: string, group: string): void {
    const figure = { group, ...kitFigures[group]! }
    const { bolts } = this.state.boards[group]!
    const positions = bolts.map(bolt => ({ x: bolt.xMm, y: bolt.yMm }))
    const run = {
      runId: crypto.randomUUID(),
      stepId,
      group,
      boltCount: bolts.length,
      figure,
      passes: tighteningPasses(positions, figure),
      positions,
      boltIds: bolts.map(bolt => bolt.id),
    }
    this.write('figure-named', figure)
    this.write('run-started', run)
    for (let turned = 0, next = nextBolt(run, 0); next; turned++, next = nextBolt(run, turned)) {
      this.write('bolt-turned', { runId: run.runId, passIndex: next.passIndex, bolt: next.bolt, feel: 'normal' }, 0.2)
    }
  }
}
