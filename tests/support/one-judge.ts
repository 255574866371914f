import { judgeSheet } from '../../core/bench'
import type { FieldValue, Finding } from '../../core/bench'
import type { JudgeKind, Sheet, SheetField } from '../../core/packs'

/** What one computation says, on a sheet that has a field for every input; words are answers, lists are measured at several places. */
export function findingOf(kind: JudgeKind, values: Record<string, number | number[] | string>): Finding {
  const sheet: Sheet = {
    id: 's',
    title: 'S',
    row: 'handle',
    drawing: 'lift',
    steps: ['x'],
    when: [],
    look: [],
    schools: [],
    fields: Object.entries(values).map(([id, value]): SheetField =>
      typeof value === 'number'
        ? { id, name: id, kind: 'number', unit: '', low: -1e6, high: 1e6, when: [] }
        : typeof value !== 'string'
          ? { id, name: id, kind: 'points', unit: '', low: -1e6, high: 1e6, atLeast: 1, when: [] }
          : {
              id,
              name: id,
              kind: 'choice',
              answers: [
                { id: value, label: value, says: 'good' },
                { id: 'other', label: 'other', says: 'good' },
              ],
              when: [],
            },
    ),
    judges: [{ kind, of: 'It', inputs: Object.fromEntries(Object.keys(values).map(id => [id, id])), when: [] }],
  }
  const entries = Object.entries(values).map(([id, value]): [string, FieldValue] => [
    id,
    typeof value === 'number'
      ? { kind: 'number', entry: { entered: String(value), value } }
      : typeof value !== 'string'
        ? { kind: 'points', entries: value.map(each => ({ entered: String(each), value: each })) }
        : { kind: 'choice', answer: value },
  ])
  return judgeSheet(sheet, Object.fromEntries(entries)).findings.find(finding => finding.judge === kind)!
}
