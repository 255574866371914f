import { drag } from 'd3-drag'
import { select } from 'd3-selection'
import type { Procedure } from '../../core/packs'
import { legalRange } from '../../core/sequence'
import type { LegalRange, Plan } from '../../core/sequence'
import { placeAt } from '../drawing/step-drag'

interface Dragging {
  stepId: string
  range: LegalRange
  /** Where the pointer is in the picture, in px. */
  x: number
}

export interface DraggedOver {
  drawing: Readonly<Ref<SVGSVGElement | null>>
  plan: () => Plan
  procedure: () => Procedure
  done: () => Set<string>
  /** Where a minute of the plan stands in the picture, in px. */
  x: () => (minutes: number) => number
  dropped: (stepId: string, place: number) => void
}

/** Lets the steps of a plan's picture, `[data-step]`, be dragged by a mouse or a pen. @returns the step under way, `null` while none is */
export function useStepDrag(over: DraggedOver) {
  const dragging = shallowRef<Dragging | null>(null)
  const behaviour = drag<SVGGElement, unknown>()
    .clickDistance(4)
    // A swipe scrolls; on a touch screen steps are moved in the margin.
    .touchable(false)
    .container(() => over.drawing.value!)
    .filter(
      event =>
        !event.ctrlKey &&
        !event.button &&
        !over.done().has((event.target as Element).closest('[data-step]')?.getAttribute('data-step') ?? ''),
    )
    .on('drag', function (event: { x: number }) {
      const stepId = this.dataset.step!
      if (!over.procedure().operations.some(operation => operation.id === stepId)) return
      dragging.value = {
        stepId,
        x: event.x,
        range: dragging.value?.range ?? legalRange(over.procedure(), over.plan(), stepId, over.done()),
      }
    })
    .on('end', () => {
      if (!dragging.value) return
      const { stepId, x } = dragging.value
      dragging.value = null
      over.dropped(stepId, placeAt(over.plan(), stepId, x, over.x()))
    })
  watchPostEffect(() => {
    if (over.drawing.value && over.plan())
      select(over.drawing.value).selectAll<SVGGElement, unknown>('[data-step]').call(behaviour)
  })
  return dragging
}
