import { z } from 'zod'

/** What a person reads where a value is of the wrong kind or missing; sentences of a schema's own go before these. */
const kinds: Record<string, string> = {
  number: 'A number is wanted.',
  string: 'Words are wanted here.',
  boolean: 'Yes or no is wanted.',
  array: 'A list is wanted.',
  object: 'Several fields are wanted here.',
  int: 'A whole number is wanted.',
  date: 'A date is wanted.',
}

/** Lets every schema refuse in sentences. Called where schemas begin, since a bare import is left out of the build. */
export function speak(): void {
  z.config({
    customError: issue => {
      if (
        issue.input === undefined &&
        (issue.code === 'invalid_type' || issue.code === 'invalid_value' || issue.code === 'invalid_union')
      )
        return 'This is missing.'
      switch (issue.code) {
        case 'invalid_type':
          return kinds[issue.expected]
        case 'invalid_value':
          return `One of: ${issue.values.join(', ')}.`
        case 'unrecognized_keys':
          return issue.keys.length === 1
            ? `Nothing here is called "${issue.keys[0]}".`
            : `Nothing here is called ${issue.keys.map(key => `"${key}"`).join(' or ')}.`
        case 'invalid_format':
          return 'This is not written the way it has to be.'
        case 'too_small':
          return issue.origin === 'number' || issue.origin === 'int'
            ? `At least ${issue.minimum}.`
            : issue.origin === 'string'
              ? 'This is too short.'
              : `At least ${issue.minimum} of them.`
        case 'too_big':
          return issue.origin === 'number' || issue.origin === 'int'
            ? `At most ${issue.maximum}.`
            : issue.origin === 'string'
              ? `At most ${issue.maximum} characters.`
              : `At most ${issue.maximum} of them.`
        default:
          return undefined
      }
    },
  })
}
