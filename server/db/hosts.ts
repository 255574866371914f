import { setTimeout as pausing } from 'node:timers/promises'
import { Client } from 'pg'

/** How long one machine of the records is asked whether it takes writes. */
const ASKED_MS = 1_500
const PAUSE_MS = 200
/** After so long nobody looks on by itself; the next line that breaks starts it again. */
const LOOKS_FOR_MS = 60_000

/** List of addresses → the one that took writes last. */
const writable = new Map<string, string>()
const looking = new Map<string, Promise<void>>()

/** The machines that the records are on, from addresses with commas between; most have one. */
export function hostsOf(addresses: string): string[] {
  return addresses.split(',').filter(Boolean)
}

/** The records themselves, past a pool of connections that stands in front of them (`DATABASE_DIRECT_URL`): who listens, or holds a lock for longer than a transaction, wants a line of its own. */
export const directUrl = (): string => process.env.DATABASE_DIRECT_URL ?? process.env.DATABASE_URL!

/** The machine that takes writes, as far as this process knows. */
export function nowAt(addresses: string): string {
  return writable.get(addresses) ?? hostsOf(addresses)[0]!
}

/**
 * Finds out which machine takes writes; the others follow it.
 * @returns its address, or the one that was known where none answers now
 */
export async function writableUrl(addresses: string): Promise<string> {
  const hosts = hostsOf(addresses)
  if (hosts.length < 2) return hosts[0]!
  const found = await Promise.any(hosts.map(wantWritable)).catch(() => null)
  if (found) writable.set(addresses, found)
  return found ?? nowAt(addresses)
}

/** Looks for the machine that takes writes until one does, after a line broke or refused to write. */
export function lookAgain(addresses: string): void {
  if (hostsOf(addresses).length < 2 || looking.has(addresses)) return
  const search = find(addresses).finally(() => looking.delete(addresses))
  looking.set(addresses, search)
}

async function find(addresses: string): Promise<void> {
  const until = performance.now() + LOOKS_FOR_MS
  while (performance.now() < until) {
    const found = await Promise.any(hostsOf(addresses).map(wantWritable)).catch(() => null)
    if (found) return void writable.set(addresses, found)
    await pausing(PAUSE_MS)
  }
}

/** @throws where this one does not answer, or only follows another */
async function wantWritable(host: string): Promise<string> {
  const client = new Client({ connectionString: host, connectionTimeoutMillis: ASKED_MS, query_timeout: ASKED_MS })
  client.on('error', () => {})
  try {
    await client.connect()
    const { rows } = await client.query<{ follows: boolean }>('select pg_is_in_recovery() as follows')
    if (rows[0]!.follows) throw new Error(`${host} follows another.`)
    return host
  } finally {
    void client.end().catch(() => {})
  }
}
