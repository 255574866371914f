import { again, nothingAgain } from './chapters/again'
import type { AgainEvents, AgainState } from './chapters/again'
import { bench, emptyBench } from './chapters/bench'
import type { BenchEvents, BenchState } from './chapters/bench'
import { bleeding, noBleeding } from './chapters/bleeding'
import type { BleedingEvents, BleedingState } from './chapters/bleeding'
import { bodies, noBodies } from './chapters/bodies'
import type { BodyEvents, BodyState } from './chapters/bodies'
import { bolts, noBolts } from './chapters/bolts'
import type { BoltEvents, BoltState } from './chapters/bolts'
import { breakInChapter, noBreakIn } from './chapters/break-in'
import type { BreakInEvents, BreakInState } from './chapters/break-in'
import { candidates, noCandidates } from './chapters/candidates'
import type { CandidateEvents, CandidateState } from './chapters/candidates'
import { cautions, noCautions } from './chapters/cautions'
import type { CautionEvents, CautionState } from './chapters/cautions'
import { controller, nothingRead } from './chapters/controller'
import type { ControllerEvents, ControllerState } from './chapters/controller'
import { diagnosis, noDiagnosis } from './chapters/diagnosis'
import type { DiagnosisEvents, DiagnosisState } from './chapters/diagnosis'
import { handed, nothingHanded } from './chapters/handed'
import type { HandedEvents, HandedState } from './chapters/handed'
import { ended, handOver, notHandedOver } from './chapters/hand-over'
import type { HandOverEvents, HandOverState } from './chapters/hand-over'
import { mating, noMating } from './chapters/mating'
import type { MatingEvents, MatingState } from './chapters/mating'
import { money, noMoney } from './chapters/money'
import type { MoneyEvents, MoneyState } from './chapters/money'
import { isOpen, notOpened, opening } from './chapters/opening'
import type { OpeningEvents, OpeningState } from './chapters/opening'
import { noOrders, orders } from './chapters/orders'
import type { OrderEvents, OrderState } from './chapters/orders'
import { noPlan, plan } from './chapters/plan'
import { watchPlan } from './chapters/plan/moves'
import type { PlanEvents, PlanState } from './chapters/plan'
import { notProved, proving } from './chapters/proving'
import type { ProvingEvents, ProvingState } from './chapters/proving'
import { noRenewals, renewals } from './chapters/renewals'
import type { RenewalEvents, RenewalState } from './chapters/renewals'
import { nothingAside, setAsideChapter } from './chapters/set-aside'
import type { SetAsideEvents, SetAsideState } from './chapters/set-aside'
import { noSteps, steps } from './chapters/steps'
import type { StepEvents, StepState } from './chapters/steps'
import { nothingTakenOver, takenOver } from './chapters/taken-over'
import type { TakenOverEvents, TakenOverState } from './chapters/taken-over'
import { noTightening, tightening } from './chapters/tightening'
import type { TighteningEvents, TighteningState } from './chapters/tightening'
import { noTroubles, troubles } from './chapters/troubles'
import type { TroubleEvents, TroubleState } from './chapters/troubles'
import { nothingUnforeseen, unforeseen } from './chapters/unforeseen'
import type { UnforeseenEvents, UnforeseenState } from './chapters/unforeseen'
import type { Book, ChapterOf, LogState } from './log/chapter'
import type { Corrections, LogEvent } from './log/event'

/** What can happen in a job, chapter by chapter: what each type of event carries. */
interface ChapterEvents
  extends
    OpeningEvents,
    PlanEvents,
    StepEvents,
    HandedEvents,
    UnforeseenEvents,
    AgainEvents,
    TakenOverEvents,
    TroubleEvents,
    BoltEvents,
    BodyEvents,
    TighteningEvents,
    BenchEvents,
    CandidateEvents,
    RenewalEvents,
    OrderEvents,
    BleedingEvents,
    MatingEvents,
    CautionEvents,
    ProvingEvents,
    ControllerEvents,
    DiagnosisEvents,
    BreakInEvents,
    MoneyEvents,
    HandOverEvents,
    SetAsideEvents {}

/** Everything there is to know about a job, computed from its events alone. Plain JSON. */
export interface JobState
  extends
    OpeningState,
    PlanState,
    StepState,
    HandedState,
    UnforeseenState,
    AgainState,
    TakenOverState,
    TroubleState,
    BoltState,
    BodyState,
    TighteningState,
    BenchState,
    CandidateState,
    RenewalState,
    OrderState,
    BleedingState,
    MatingState,
    CautionState,
    ProvingState,
    ControllerState,
    DiagnosisState,
    BreakInState,
    MoneyState,
    HandOverState,
    SetAsideState,
    LogState {}

const kinds: ChapterOf<JobState, ChapterEvents> = {
  ...opening,
  ...plan,
  ...steps,
  ...handed,
  ...unforeseen,
  ...again,
  ...takenOver,
  ...troubles,
  ...bolts,
  ...bodies,
  ...tightening,
  ...bench,
  ...candidates,
  ...renewals,
  ...orders,
  ...bleeding,
  ...mating,
  ...cautions,
  ...proving,
  ...controller,
  ...diagnosis,
  ...breakInChapter,
  ...money,
  ...handOver,
  ...setAsideChapter,
}

/** A job of which nothing is known yet. */
export function emptyJob(): JobState {
  return {
    ...notOpened(),
    ...noPlan(),
    ...noSteps(),
    ...nothingHanded(),
    ...nothingUnforeseen(),
    ...nothingAgain(),
    ...nothingTakenOver(),
    ...noTroubles(),
    ...noBolts(),
    ...noBodies(),
    ...noTightening(),
    ...emptyBench(),
    ...noCandidates(),
    ...noRenewals(),
    ...noOrders(),
    ...noBleeding(),
    ...noMating(),
    ...noCautions(),
    ...notProved(),
    ...nothingRead(),
    ...noDiagnosis(),
    ...noBreakIn(),
    ...noMoney(),
    ...notHandedOver(),
    ...nothingAside(),
    lastSeq: 0,
    lastAt: null,
  }
}

/** A job as the log reads it. */
export const book: Book<JobState> = { kinds, empty: emptyJob, isOpen, ended, watch: watchPlan }

export interface EventPayloads extends ChapterEvents, Corrections {}
export type EventType = keyof EventPayloads

/** One thing that happened on a job. */
export type JobEvent<T extends EventType = EventType> = LogEvent<EventPayloads, T>

/** A chapter of a job: one value, every event of a subject with its words, permissions, rule and applier. */
export type Chapter<Events> = ChapterOf<JobState, Events>
