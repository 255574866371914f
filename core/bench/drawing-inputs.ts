import type { SheetDrawing, SheetField, Sheet } from '../pack/sheets'
import type { SheetValues } from './values'

/** What a drawing wants in an input: a kind of field, or a question with answers that it knows. */
export type DrawingInput = 'number' | 'points' | { answers: string[] }

const numbers = (...names: string[]): Record<string, DrawingInput> =>
  Object.fromEntries(names.map(name => [name, 'number']))

/** The drawings that are drawn to what was entered, with what each takes. */
export const drawingInputs: Partial<Record<SheetDrawing, Record<string, DrawingInput>>> = {
  disc: { thickness: 'points' },
  cover: { heights: 'points' },
  pilot: { before: 'points', ...numbers('depth', 'length', 'hole', 'standsOut', 'face', 'spacer', 'tip') },
  tool: numbers('tool', 'shaft', 'tape'),
  splines: numbers('splines', 'disc', 'shaft'),
  shafts: {
    pieces: { answers: ['two'] },
    ...numbers('box', 'shaft', 'rear', 'axle', 'boxAside', 'shaftAside', 'rearAside', 'axleAside'),
  },
  converter: { depth: 'points', flexplate: 'points', drops: 'points', ...numbers('low', 'high') },
  overflow: numbers('temperature', 'low', 'high'),
  tube: numbers('strap', 'drop', 'brace', 'braceGap'),
  ring: numbers('ring', 'tube', 'offset'),
  halves: numbers('frontBalance', 'frontSupport', 'rearBalance', 'rearSupport', 'wheelbase'),
  adjusters: { gaps: 'points', after: 'points', ...numbers('low', 'high') },
  'two-stages': numbers('free', 'drive', 'takeOff', 'end', 'brake'),
  'long-shaft': numbers('overhang', 'bearing'),
  travel: numbers('travel', 'taught', 'open', 'low', 'high'),
  pistons: { magnets: 'points', sensors: 'points', after: 'points', ...numbers('tolerance') },
  'body-face': { gaps: 'points' },
  opening: numbers('bolts', 'done'),
  cut: numbers('length', 'between', 'rise', 'fall', 'mark'),
  chain: {
    linkage: { answers: ['cable'] },
    ...numbers(
      'travel',
      'lift',
      'lever',
      'stretch',
      'master',
      'slave',
      'ratio',
      'fork',
      'fingers',
      'faces',
      'free',
      'lost',
      'most',
      'load',
    ),
  },
}

/** What of a sheet feeds its drawing: input → what stands in the field that the sheet names for it, or in one of the same name where it names none. */
export function drawnValues({ draws }: Pick<Sheet, 'draws'>, values: SheetValues): SheetValues {
  if (!draws) return values
  return Object.fromEntries(
    Object.entries(draws).flatMap(([input, field]) => (values[field] ? [[input, values[field]]] : [])),
  )
}

/** Why a field cannot feed an input of a drawing; `null` where it can. */
export function drawingFault(
  drawing: SheetDrawing,
  input: string,
  field: SheetField | undefined,
  fieldId: string,
): string | null {
  const inputs = drawingInputs[drawing]
  if (!inputs) return `${drawing} is drawn without values`
  const wanted = Object.hasOwn(inputs, input) ? inputs[input]! : null
  if (!wanted) return `${drawing} takes ${Object.keys(inputs).join(', ')}`
  if (!field) return `unknown field "${fieldId}"`
  if (typeof wanted === 'string')
    return field.kind === wanted ? null : `"${fieldId}" is a field of ${field.kind}, wanted is ${wanted}`
  if (field.kind !== 'choice') return `"${fieldId}" is a field of ${field.kind}, wanted is choice`
  const missing = wanted.answers.filter(answer => !field.answers.some(entry => entry.id === answer))
  return missing.length === 0 ? null : `"${fieldId}" has no answer ${missing.join(', ')}`
}
