type Query = Record<string, unknown>

const said = (query: Query, name: string): string => (typeof query[name] === 'string' ? query[name] : '')

/**
 * Where an address leads that was kept before views inside views had addresses of their own; `null` where it is one of today's.
 * @param path without its query
 */
export function todaysAddress(path: string, query: Query): string | null {
  const [at, sheet, group, step, run] = ['at', 'sheet', 'group', 'step', 'run'].map(name => said(query, name)) as [
    string,
    string,
    string,
    string,
    string,
  ]
  if (path === '/') return at === 'week' ? '/week' : null
  if (path === '/library') return at === 'history' ? '/library/cars' : at ? `/library/${at}` : null
  const view = /^\/jobs\/[^/]+\/(bench|car|prove|pedal|bolts)$/.exec(path)?.[1]
  if (!view) return null
  if (view === 'bolts') return step ? `${path}/run/${step}` : group ? `${path}/${group}${run ? `/${run}` : ''}` : null
  if (sheet) return `${path}/${sheet}${at === 'ways' ? '/ways' : ''}`
  return at ? `${path}/${at}` : null
}
