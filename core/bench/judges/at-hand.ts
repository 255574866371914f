import type { Judge, JudgeKind } from '../judgement'
import { judges } from '.'

/** The computation of a kind. The browser fetches them by themselves, and has its own way to hand them out. */
export const judgeOf = (kind: JudgeKind): Judge => judges[kind]
