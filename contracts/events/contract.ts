import type { z } from 'zod'

/** The contract of a chapter: what each of its events carries, each with a sentence that says what it means. */
export type Contract<Events> = { [T in keyof Events]: z.ZodType<Events[T]> }
