import { Chance } from '../chance'

/** What the invented supplier sells, by the part ids of the packs: a name, a usual price, working days to get it. */
export interface CatalogueEntry {
  name: string
  price: number
  days: number
  kit?: { name: string; partId: string | null }[]
}

const part = (name: string, partId: string | null = null) => ({ name, partId })

export const catalogue: Record<string, CatalogueEntry> = {
  'clutch-kit': {
    name: 'Brindle clutch kit',
    price: 186,
    days: 1,
    kit: [
      part('Disc'),
      part('Cover'),
      part('Bearing', 'release-bearing'),
      part('Spline grease'),
      part('Six cover bolts', 'cover-bolts'),
    ],
  },
  'clutch-kit-new': {
    name: 'Brindle clutch kit, conversion',
    price: 240,
    days: 3,
    kit: [part('Disc'), part('Cover'), part('Bearing', 'release-bearing'), part('Centring tool')],
  },
  'second-disc': { name: 'Brindle second disc', price: 92, days: 2 },
  flywheel: { name: 'Brindle flywheel', price: 318, days: 2 },
  'single-mass-kit': {
    name: 'Tarnholt single-mass set',
    price: 402,
    days: 3,
    kit: [part('Flywheel', 'flywheel'), part('Sprung disc'), part('Cover'), part('Short bolts', 'flywheel-bolts')],
  },
  'machine-shop': { name: 'Corrin machine shop, face cut', price: 78, days: 1 },
  'flywheel-bolts': { name: 'Flywheel bolts, each', price: 3.4, days: 1 },
  'cover-bolts': { name: 'Cover bolts, each', price: 1.9, days: 1 },
  'crank-seal': { name: 'Tarnholt crank seal with carrier', price: 24, days: 1 },
  sealant: { name: 'Sealant, 80 ml', price: 11, days: 0 },
  'pilot-bearing': { name: 'Pilot bearing', price: 9.5, days: 1 },
  'release-bearing': { name: 'Brindle bearing', price: 34, days: 1 },
  'release-fork': { name: 'Fork', price: 41, days: 4 },
  'fork-clip': { name: 'Fork clip', price: 3.2, days: 1 },
  'fork-pivot': { name: 'Fork pivot', price: 8.4, days: 2 },
  'guide-sleeve': { name: 'Guide sleeve with seal', price: 29, days: 2 },
  'input-seal': { name: 'Input shaft seal', price: 7.8, days: 1 },
  'input-shaft': { name: 'Input shaft', price: 212, days: 6 },
  dowel: { name: 'Dowel, each', price: 2.6, days: 1 },
  'cam-plug': { name: 'Camshaft plug', price: 4.1, days: 1 },
  slave: { name: 'Tarnholt slave cylinder', price: 46, days: 1 },
  'concentric-slave': { name: 'Tarnholt slave, concentric', price: 88, days: 1 },
  'line-seals': { name: 'Line seals', price: 5.5, days: 1 },
  'clutch-line': { name: 'Clutch line', price: 33, days: 3 },
  'axle-seals': { name: 'Shaft seals, pair', price: 19, days: 1 },
  'output-seal': { name: 'Output seal', price: 12, days: 1 },
  'selector-seal': { name: 'Selector seal', price: 6.2, days: 1 },
  'shifter-bushes': { name: 'Shifter bushes, set', price: 14, days: 2 },
  'axle-boots': { name: 'Boot set for one joint', price: 17, days: 1 },
  master: { name: 'Tarnholt master cylinder', price: 54, days: 1 },
  'middle-plate': { name: 'Brindle intermediate plate', price: 118, days: 3 },
  'flex-bolts': { name: 'Flex disc bolts with nuts, each', price: 2.8, days: 2 },
  'centre-nut': { name: 'Bearing nut', price: 3.6, days: 2 },
  'output-nut': { name: 'Flange nut', price: 3.9, days: 1 },
  'strut-nuts': { name: 'Strut nuts, each', price: 1.6, days: 1 },
  'case-seals': { name: 'Transfer case seals, set', price: 27, days: 2 },
  'case-flange-nuts': { name: 'Transfer case flange nuts, each', price: 3.9, days: 2 },
  'box-mount': { name: 'Gearbox mount', price: 38, days: 1 },
  'prop-joint': { name: 'Flex disc', price: 57, days: 2 },
  'prop-nuts': { name: 'Flange nuts, set', price: 9, days: 1 },
  'centre-bearing': { name: 'Center bearing', price: 44, days: 2 },
  'gear-oil': { name: 'Gear oil, 1 l', price: 13, days: 0 },
  'plug-rings': { name: 'Sealing rings', price: 1.6, days: 0 },
  'shaft-clips': { name: 'Shaft clips', price: 2.2, days: 1 },
  'pinch-nuts': { name: 'Pinch nuts', price: 1.4, days: 1 },
  'bell-housing': { name: 'Bell with fork and pivot', price: 265, days: 5 },
  'case-gasket': { name: 'Transfer case gasket', price: 8.5, days: 2 },
  'case-oil': { name: 'Transfer case oil, 1 l', price: 15, days: 0 },
  'clutch-fluid': { name: 'Clutch fluid, 500 ml', price: 9, days: 0 },
  'exhaust-gasket': { name: 'Exhaust gasket', price: 7, days: 1 },
  'exhaust-nuts': { name: 'Exhaust nuts, set', price: 5, days: 1 },
  'front-prop-bolts': { name: 'Front flange bolts, set', price: 8, days: 2 },
  'graded-bolts': { name: 'Graded bolts, set', price: 18, days: 1 },
  'manual-box': { name: 'Manual box, rebuilt', price: 890, days: 8 },
  'master-and-slave': { name: 'Master, slave and line', price: 142, days: 3 },
  'pedal-box': { name: 'Pedal box', price: 96, days: 6 },
  'rod-bushes': { name: 'Rod bushes', price: 6, days: 2 },
  'shifter-kit': { name: 'Shifter, boot and plate', price: 128, days: 4 },
  'shim-set': { name: 'Mount shims', price: 7, days: 1 },
  'spacer-plate': { name: 'Spacer plate', price: 36, days: 4 },
  'speed-sensor': { name: 'Speed sensor', price: 52, days: 3 },
  'steering-pinch-bolt': { name: 'Steering pinch bolt', price: 3.5, days: 1 },
  'hub-nuts': { name: 'Hub nut', price: 4.2, days: 1 },
  'track-rod-nuts': { name: 'Track rod end nut', price: 1.1, days: 1 },
  'filled-set': { name: 'Master, line and slave, filled', price: 164, days: 4 },
  'manual-mount': { name: 'Mount, manual box', price: 41, days: 3 },
  'manual-crossmember': { name: 'Crossmember, manual box', price: 118, days: 5 },
  'slip-yoke': { name: 'Slip yoke', price: 74, days: 3 },
  'pedal-stop': { name: 'Pedal stop with switch', price: 17, days: 3 },
  'cover-bolts-kit': { name: 'Cover bolts, set', price: 12, days: 1 },
  'subframe-bolts': { name: 'Subframe bolts, set', price: 26, days: 2 },
}

/** The same car and part always get the same number, price and stock. */
export function offerOf(car: string, partId: string, seed: number) {
  const entry = catalogue[partId]
  if (!entry) return null
  const chance = new Chance(
    [...`${car} ${partId}`].reduce((sum, letter) => (Math.imul(sum, 31) + letter.codePointAt(0)!) | 0, seed),
  )
  const price = Math.round(entry.price * chance.between(0.85, 1.2) * 20) / 20
  const stock = chance.next() < 0.75 ? Math.ceil(chance.next() * 12) : 0
  const backOrder = stock === 0 && chance.next() < 0.4
  const sku = `${partId
    .split('-')
    .map(word => word[0]!.toUpperCase())
    .join('')}-${1000 + Math.floor(chance.next() * 9000)}`
  return {
    partId,
    sku,
    name: entry.name,
    kit: entry.kit ?? [],
    price,
    stock,
    backOrder,
    days: entry.days + (stock === 0 ? 2 : 0) + (backOrder ? 5 : 0),
  }
}
