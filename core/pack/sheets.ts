import type { When } from './kinds'

/** How bad an answer or a verdict is. */
export const levels = ['good', 'watch', 'renew'] as const
export type Level = (typeof levels)[number]

/** One answer to a question of a sheet, and what it says. */
export interface SheetAnswer {
  id: string
  label: string
  says: Level
  because?: string
  /** What happens when it is ignored. */
  ignored?: string
  /** Parts that have to be renewed then, by id. */
  renews?: string[]
}

/** Applies only where a question of the sheet has one of these answers. */
export interface OnlyIf {
  field: string
  is: string[]
}

interface FieldHead {
  id: string
  name: string
  about?: string
  /** Under which choices it is asked. */
  when: When
  /** It is asked only where the job has one of these steps. */
  steps?: string[]
  /** It is asked only where another field has one of these answers. */
  if?: OnlyIf
  /** The reading of a step that is the same thing: what is entered here counts there. */
  reading?: { step: string; id: string }
  /** The value of a controller reader that is the same thing, or one of its limits. */
  live?: { value: string; of?: 'low' | 'high' }
}

/** What a number is kept in, and shown in by the reader's units where they differ. */
export const sheetUnits = ['mm', '°', 'N', 'N·m', 'kg', 'km', 'ml', 'rpm', '°C', ''] as const
export type SheetUnit = (typeof sheetUnits)[number]

export type SheetField = FieldHead &
  (
    | {
        kind: 'number'
        unit: SheetUnit
        low: number
        high: number
        /** A rule of thumb taken where nothing is entered, shown as such. */ guide?: number
      }
    | {
        kind: 'points'
        unit: SheetUnit
        low: number
        high: number
        atLeast: number
        /** Names of the places, if they have any. */ places?: string[]
      }
    | { kind: 'dial' }
    | { kind: 'choice'; answers: SheetAnswer[] }
    | { kind: 'text' }
  )

/** Computations a sheet can ask for. Each says which inputs it takes. */
export const judgeKinds = [
  'disc-wear',
  'part-match',
  'finger-heights',
  'face-runout',
  'face-square',
  'bore-offset',
  'dual-mass',
  'machining-left',
  'pilot-seat',
  'pilot-stack',
  'seal-depth',
  'play-limit',
  'match-height',
  'concentric-gap',
  'torque-capacity',
  'launch-heat',
  'release-demand',
  'tool-fit',
  'spline-clock',
  'hub-offset',
  'hands-or-jack',
  'stand-loads',
  'support-share',
  'room-under',
  'engine-tilt',
  'engine-end',
  'rim-gaps',
  'flywheel-match',
  'drive-angles',
  'bearing-forward',
  'clutch-fits',
  'floor-cut',
  'shaft-length',
  'filling',
  'release-chain',
  'release-cable',
  'actuator-window',
  'trapped-air',
  'pumped-pedal',
  'pedal-proof',
  'converter-seat',
  'converter-filled',
  'bolt-ring',
  'cooler-flush',
  'overflow-level',
  'flatness',
  'wear-by-travel',
  'wear-confirmed',
  'travel-forecast',
  'piston-turn',
  'piston-zero',
  'tube-drop',
  'tube-strap',
  'ring-turn',
  'split-halves',
  'adjuster-turns',
  'adjuster-gaps',
  'two-stage-pedal',
  'long-shaft',
  'hub-told',
] as const
export type JudgeKind = (typeof judgeKinds)[number]

export interface JudgeSpec {
  kind: JudgeKind
  /** Input of the computation → field of this sheet. */
  inputs: Record<string, string>
  /** What the measured thing is called, in sentences. */
  of?: string
  ignored?: string
  renews?: string[]
  when: When
  if?: OnlyIf
}

/** Drawings Eldrin has for a sheet. */
export const sheetDrawings = [
  'disc',
  'cover',
  'flywheel',
  'bell',
  'pilot',
  'seal',
  'release',
  'guide',
  'concentric',
  'two-plate',
  'capacity',
  'tool',
  'splines',
  'hubs',
  'lift',
  'stands',
  'tilt',
  'shafts',
  'filler',
  'hold',
  'chain',
  'line',
  'pumped',
  'cut',
  'converter',
  'opening',
  'flexplate',
  'cooler',
  'overflow',
  'body-face',
  'pistons',
  'tube',
  'ring',
  'halves',
  'adjusters',
  'two-stages',
  'long-shaft',
  'hub-forms',
  'travel',
] as const
export type SheetDrawing = (typeof sheetDrawings)[number]

/** Look, measure, centre: one subject of the bench. */
export interface Sheet {
  id: string
  title: string
  /** Which row of the bench it stands in. */
  row: 'measure' | 'centre' | 'handle' | 'pedal' | 'control'
  drawing: SheetDrawing
  /** Input of the drawing → field of this sheet. */
  draws?: Record<string, string>
  /** Steps at which it is filled in; it applies where the job has one of them. */
  steps: string[]
  when: When
  /** What to look at. */
  look: string[]
  fields: SheetField[]
  judges: JudgeSpec[]
  /** Where the trade disagrees: every school with its reason. */
  schools: { id: string; label: string; because: string }[]
  /** Ways on from here: an option of the job with its choices, weighed against each other. */
  ways?: { option: string; choices: WayChoice[] }
  /** Parts that may go in, each put through this sheet. */
  beside?: Beside
}

/** A figure that a computation gives, by its name. */
export interface FigureOfJudge {
  judge: JudgeKind
  figure: string
}

/** Parts that may go in, side by side: what each has for itself, and what decides between them. */
export interface Beside {
  title: string
  /** What one of them is called: "clutch". */
  one: string
  /** Only where the job has one of these steps. */
  steps?: string[]
  /** Fields of the sheet that each has for itself; the others are the job's. What is chosen is written into them. */
  own: string[]
  /** What is asked of each beside, and computed from it. */
  more: { fields: SheetField[]; judges: JudgeSpec[] }
  /** Another sheet that says what the car makes of each: its field → an own field, or a figure computed of this one. */
  also?: { sheet: string; put: Record<string, string | FigureOfJudge> }
  /** Of those that fit, the one with the least of this comes first; what is said of the others. */
  least: FigureOfJudge & { words: string }
}

/** One choice of an option as a way on. */
export interface WayChoice {
  choice: string
  label: string
  /** What has to be bought for it, by part id. */
  parts: string[]
  /** How likely it brings the car back, 0 to 1, by what the sheet says now. From memory, trade practice. */
  chance: Record<Level, number>
  because: string
  /** An answer that closes it, and why. */
  closedIf?: OnlyIf & { because: string }
  /** A computation that closes it where it says so. */
  closedBy?: JudgeKind
}

/** A part that can go in the wrong way: which ways there are, who takes it off and who puts it back. */
export interface Orientation {
  id: string
  name: string
  /** The side or way, as a sentence with the answers. */
  sides: string[]
  about: string
  /** The step that takes it off, where it is noted; and those that put it back, where it is confirmed. */
  off: string[]
  back: string[]
}

/** An old part that is kept beside the new one until the car drives. */
export interface OldPart {
  id: string
  name: string
  because: string
  /** Steps that take it off. */ off: string[]
  /** Until this step is done. */ until: string[]
}

/** The option of a layout that decides whether a part in reach is renewed. */
export interface RenewalOption {
  id: string
  /** The choice that renews it, and others that do so another way. */
  choice: string
  others?: string[]
  /** The choice that leaves it; without one it can only be left as the layout asks it. */
  left?: string
  /** Choices of other options that renewing it goes with. */
  goesWith?: Record<string, string>
  /** Steps that renew it. */
  steps: string[]
}

/** A part that can be renewed while it is open. */
export interface ReachablePart {
  id: string
  name: string
  /** The part to buy, by its id. */
  part: string
  option?: RenewalOption
  /** Steps that lay it open; the first that the job has counts. */
  reachedBy: string[]
  /** Minutes more, where no option counts them. */
  minutes: [low: number, likely: number, high: number]
  /** How likely it fails before the next clutch, 0 to 1. From memory, trade practice; the mechanic moves it. */
  chance: number
  /** It is not a matter of failing: what was out does not go back. */
  goesInNew?: boolean
  because: string
  /** Sheets whose verdict bears on it. */
  sheets: string[]
  schools: { id: string; label: string; because: string; advice: 'renew' | 'leave' }[]
}

/** Something that has to be right before box and engine meet: an answer, a sheet's verdict, or a step done. */
export interface MatingCheck {
  id: string
  title: string
  because: string
  reading?: { step: string; id: string; good: string[] }
  sheet?: { id: string; judges: JudgeKind[] }
  /** A question of a sheet, which can be answered where the check stands. */
  answer?: { sheet: string; field: string; good: string[] }
  done?: string
}

/** A sign for or against a cause: an answer, a sheet's verdict, a sheet nobody filled in, or a step not done. */
export interface MatingSign {
  reading?: { step: string; id: string; is: string[] }
  sheet?: { id: string; judges: JudgeKind[]; levels: Level[] }
  answer?: { sheet: string; field: string; is: string[] }
  notMeasured?: string
  notDone?: string
  /** How many times more likely the cause is where the sign is seen. */
  factor: number
  because: string
}

/** Why a box does not go home. */
export interface MatingCause {
  id: string
  title: string
  /** How often it is the one, before anything is known. */
  prior: number
  /** How much an even gap, and one open to a side, speak for it. */
  even: number
  tilted: number
  todo: string
  signs: MatingSign[]
}

/** Mating box and engine. */
export interface Mating {
  /** The step that brings them together, and its reading that says whether a gap is left. */
  step: string
  gap: { reading: string; closed: string; open: string }
  approach: string[]
  checks: MatingCheck[]
  causes: MatingCause[]
}

/** Everything of the bench that is data. */
export interface BenchData {
  sheets: Sheet[]
  orientations: Orientation[]
  oldParts: OldPart[]
  reachable: ReachablePart[]
  mating?: Mating
}
