import { spawnSync } from 'node:child_process'
import { Client } from 'pg'

/** Runs a line of the shell with what `bin/lib.sh` knows. @returns what it printed last @throws what went wrong, in its own words */
export function shell(command: string, env: Record<string, string> = {}): string {
  const { status, stdout, stderr } = spawnSync('bash', ['-euo', 'pipefail', '-c', `. bin/lib.sh; ${command}`], {
    encoding: 'utf8',
    env: { ...process.env, ...env },
  })
  if (status !== 0) throw new Error(`${command}: ${stderr}`)
  return stdout.trim().split('\n').at(-1) ?? ''
}

/** A database server of a drill's own, beside the one that tests run on. */
export interface OwnPostgres {
  home: string
  port: string
  /** A database of it, as the application connects or as its owner. */
  url: (name: string, user?: string) => string
  sql: <T extends object>(text: string, name?: string) => Promise<T[]>
  /** Ends it at once, as a loss of power does. */
  crash: () => void
  remove: () => void
}

/** Begins one. @param more further settings, as the server takes them */
export function ownPostgres(name: string, more = ''): OwnPostgres {
  const home = shell(`pg_home "${name}-${process.pid}"`)
  shell(`mkdir -p "$ROOT/.data"; PG_MORE=${quoted(more)} pg_start "${home}"`)
  return runningAt(home)
}

/** One that runs in a folder already. */
export function runningAt(home: string): OwnPostgres {
  const port = shell(`sed -n 4p "${home}/data/postmaster.pid"`)
  const url = (name: string, user = 'eldrin') => `postgres://${user}@127.0.0.1:${port}/${name}`
  return {
    home,
    port,
    url,
    async sql<T extends object>(text: string, name = 'postgres') {
      const client = new Client({ connectionString: url(name) })
      await client.connect()
      try {
        return (await client.query<T>(text)).rows
      } finally {
        await client.end()
      }
    },
    crash: () => void shell(`pg_away "${home}" immediate`),
    remove: () => void shell(`pg_away "${home}" immediate 2>/dev/null || true; rm -rf "${home}"`),
  }
}

export const quoted = (text: string): string => `'${text.replaceAll("'", `'\\''`)}'`
