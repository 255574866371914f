import Papa from 'papaparse'
import { jobTable, jobTables } from '../../../../../core/formats'
import { render } from '../../../../../core/say'
import { jobStateOf } from '../../../../job-state'
import { readerOf } from '../../../../reader'
import { Refused } from '../../../../refused'

/** Bolts, readings, parts or times of a job as CSV (RFC 4180). */
export default defineRoute('see-money', async event => {
  const name = jobTables.find(each => each === getRouterParam(event, 'name'))
  if (!name) throw new Refused(404, [{ path: 'name', reason: `One of: ${jobTables.join(', ')}.` }])
  const store = useStore(garageOf(event))
  const state = await jobStateOf(store, idParam(event))
  const reader = readerOf(await store.garage.settings(), useShelf().terms)
  const { columns, rows } = jobTable(state, name, text => render(text, reader))
  setHeader(event, 'content-type', 'text/csv; charset=utf-8')
  setHeader(event, 'content-disposition', `attachment; filename="job-${state.number}-${name}.csv"`)
  // A cell that a spreadsheet would take for a formula stays text; numbers stay numbers.
  return Papa.unparse({ fields: columns, data: rows }, { newline: '\r\n', escapeFormulae: true })
})
