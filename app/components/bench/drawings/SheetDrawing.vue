<script setup lang="ts">
import type { Component } from 'vue'
import { drawingInputs, drawnValues } from '../../../../core/bench/drawing-inputs'
import type { SheetValues } from '../../../../core/bench'
import type { Sheet, SheetDrawing } from '../../../../core/packs'
import AdjustersDrawing from './AdjustersDrawing.vue'
import BellDrawing from './BellDrawing.vue'
import BodyFaceDrawing from './BodyFaceDrawing.vue'
import CapacityDrawing from './CapacityDrawing.vue'
import ChainDrawing from './ChainDrawing.vue'
import ConcentricDrawing from './ConcentricDrawing.vue'
import ConverterDrawing from './ConverterDrawing.vue'
import CoolerDrawing from './CoolerDrawing.vue'
import CoverDrawing from './CoverDrawing.vue'
import CutDrawing from './CutDrawing.vue'
import DiscDrawing from './DiscDrawing.vue'
import FlexplateDrawing from './FlexplateDrawing.vue'
import FlywheelDrawing from './FlywheelDrawing.vue'
import FillerDrawing from './FillerDrawing.vue'
import GuideDrawing from './GuideDrawing.vue'
import HalvesDrawing from './HalvesDrawing.vue'
import HoldDrawing from './HoldDrawing.vue'
import HubFormsDrawing from './HubFormsDrawing.vue'
import HubsDrawing from './HubsDrawing.vue'
import LiftDrawing from './LiftDrawing.vue'
import LineDrawing from './LineDrawing.vue'
import LongShaftDrawing from './LongShaftDrawing.vue'
import OpeningDrawing from './OpeningDrawing.vue'
import OverflowDrawing from './OverflowDrawing.vue'
import PistonsDrawing from './PistonsDrawing.vue'
import PumpedDrawing from './PumpedDrawing.vue'
import PilotDrawing from './PilotDrawing.vue'
import ReleaseDrawing from './ReleaseDrawing.vue'
import RingDrawing from './RingDrawing.vue'
import SealDrawing from './SealDrawing.vue'
import ShaftsDrawing from './ShaftsDrawing.vue'
import SplinesDrawing from './SplinesDrawing.vue'
import StandsDrawing from './StandsDrawing.vue'
import TiltDrawing from './TiltDrawing.vue'
import ToolDrawing from './ToolDrawing.vue'
import TravelDrawing from './TravelDrawing.vue'
import TubeDrawing from './TubeDrawing.vue'
import TwoPlateDrawing from './TwoPlateDrawing.vue'
import TwoStagesDrawing from './TwoStagesDrawing.vue'

/** The drawing a sheet names, fed from the fields it says. */
const props = defineProps<{ sheet: Sheet; values: SheetValues }>()
const drawings: Record<SheetDrawing, Component> = {
  disc: DiscDrawing,
  cover: CoverDrawing,
  flywheel: FlywheelDrawing,
  bell: BellDrawing,
  pilot: PilotDrawing,
  seal: SealDrawing,
  release: ReleaseDrawing,
  guide: GuideDrawing,
  concentric: ConcentricDrawing,
  'two-plate': TwoPlateDrawing,
  capacity: CapacityDrawing,
  tool: ToolDrawing,
  splines: SplinesDrawing,
  hubs: HubsDrawing,
  lift: LiftDrawing,
  stands: StandsDrawing,
  tilt: TiltDrawing,
  shafts: ShaftsDrawing,
  filler: FillerDrawing,
  hold: HoldDrawing,
  chain: ChainDrawing,
  line: LineDrawing,
  pumped: PumpedDrawing,
  cut: CutDrawing,
  converter: ConverterDrawing,
  opening: OpeningDrawing,
  flexplate: FlexplateDrawing,
  cooler: CoolerDrawing,
  overflow: OverflowDrawing,
  'body-face': BodyFaceDrawing,
  pistons: PistonsDrawing,
  tube: TubeDrawing,
  ring: RingDrawing,
  halves: HalvesDrawing,
  adjusters: AdjustersDrawing,
  'two-stages': TwoStagesDrawing,
  'long-shaft': LongShaftDrawing,
  'hub-forms': HubFormsDrawing,
  travel: TravelDrawing,
}
const inputs = computed(() =>
  drawingInputs[props.sheet.drawing] ? { values: drawnValues(props.sheet, props.values) } : {},
)
</script>

<template>
  <component :is="drawings[sheet.drawing]" v-bind="inputs" />
</template>
