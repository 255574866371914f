import type { CheckedDial } from '../alignment'
import { quantity } from '../say/quantity'
import type { JudgeSpec, Level } from '../pack/sheets'

export type { JudgeKind } from '../pack/sheets'

/** A figure that came out of a computation. */
export interface ComputedFigure {
  name: string
  value: number
  unit: string
  digits: number
}

/** What a computation says. */
export interface Judgement {
  level: Level
  /** The verdict as a sentence with its figure. */
  sentence: string
  /** The computation written out, line by line. */
  working: string[]
  figures: ComputedFigure[]
}

/** What a computation finds in the fields it was given. A number that was not entered is the field's guide, if it has one. */
export interface Given {
  number: (input: string) => number
  /** The same, or `undefined` where it was left out. */
  maybe: (input: string) => number | undefined
  points: (input: string) => number[]
  /** What the place of a point is called, or its number. */
  place: (input: string, index: number) => string
  dial: (input: string) => CheckedDial
  /** The answer that was given, or `undefined`. */
  choice: (input: string) => string | undefined
  /** Whether the number is a rule of thumb and not this car's. */
  guessed: (input: string) => boolean
}

export type InputKind = 'number' | 'points' | 'dial' | 'choice'

/** One computation: which inputs it takes, which it cannot do without, and what it makes of them. */
export interface Judge {
  inputs: Record<string, InputKind>
  needs: string[]
  judge: (given: Given, spec: JudgeSpec) => Judgement
}

export const figure = (name: string, value: number, unit: string, digits = 2): ComputedFigure => ({
  name,
  value,
  unit,
  digits,
})

/** Whether a measure is beyond its limit; what is equal but for the last digit of the arithmetic is not. */
export const beyond = (value: number, limit: number): boolean => value > limit + 1e-6

/** How a limit is spoken of that nobody entered. */
export const thumb = (given: Given, input: string): string =>
  given.guessed(input) ? ', common practice and not this car’s figure' : ''

export const mm = (value: number, digits = 2): string => quantity(value, 'mm', digits)
