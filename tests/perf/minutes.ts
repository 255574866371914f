/** What plans of every layout come to, from alone on stands to practised with lift and helper; `docs/minutes.md` holds it against the trade. */
import { fileURLToPath } from 'node:url'
import { sequence } from '../../core'
import type { PlanSetting } from '../../core/sequence'
import { expandPack } from '../../core/packs'
import { loadPacks } from '../../server/load-packs'

const { packs } = loadPacks(fileURLToPath(new URL('../../packs', import.meta.url)))
const tray = { trayTools: 8 }
const helped = { ...tray, helper: true }
const columns: { name: string; lift: boolean; setting: Partial<PlanSetting> }[] = [
  { name: 'alone', lift: false, setting: {} },
  { name: 'tray', lift: false, setting: tray },
  { name: 'lift, helper', lift: true, setting: helped },
  { name: 'every week', lift: true, setting: { ...helped, skill: 'does-it-weekly' } },
]
console.log(`${'layout'.padEnd(24)} ${columns.map(({ name }) => name.padStart(13)).join('')}`)
for (const pack of packs.values()) {
  const onLift = pack.options.find(option => option.choices.some(choice => choice.id === 'lift'))
  const hours = columns.map(({ lift, setting }) => {
    const procedure = expandPack(pack, lift && onLift ? { [onLift.id]: 'lift' } : {})
    return `${(sequence.planJob(procedure, setting).totals.minutes / 60).toFixed(1)} h`.padStart(13)
  })
  console.log(`${pack.id.padEnd(24)} ${hours.join('')}`)
}
