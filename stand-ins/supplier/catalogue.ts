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
  'actuator-fluid': { name: 'Fluid for clutch actuators, 500 ml', price: 16, days: 0 },
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
  'adapter-plate': { name: 'Adapter plate', price: 240, days: 6 },
  isolators: { name: 'Isolators, set', price: 64, days: 3 },
  'tail-housing': { name: 'Tail housing', price: 185, days: 6 },
  'tail-seal': { name: 'Gasket and seal of the tail housing', price: 22, days: 3 },
  'shifter-moved-kit': { name: 'Shifter extension', price: 120, days: 5 },
  'speed-drive': { name: 'Speed drive with cable', price: 88, days: 4 },
  'clutch-cable': { name: 'Clutch cable', price: 46, days: 3 },
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
  fluid: { name: 'Automatic fluid, a litre', price: 14, days: 0 },
  'fluid-rings': { name: 'Sealing rings for plugs', price: 2, days: 0 },
  filter: { name: 'Ostler box filter with ring', price: 38, days: 1 },
  'pan-seal': { name: 'Ostler pan seal', price: 24, days: 1 },
  cooler: { name: 'Fluid cooler', price: 145, days: 3 },
  'cooler-seals': { name: 'Seals for cooler lines', price: 6, days: 0 },
  converter: { name: 'Ostler converter, rebuilt', price: 390, days: 4 },
  'converter-bolts': { name: 'Converter bolts, set', price: 14, days: 1 },
  flexplate: { name: 'Flexplate', price: 128, days: 3 },
  'flexplate-bolts': { name: 'Flexplate bolts, set', price: 22, days: 1 },
  'rear-crank-seal': { name: 'Rear crank seal', price: 26, days: 1 },
  'pump-seal': { name: 'Pump seal', price: 18, days: 1 },
  'engine-mounts': { name: 'Engine mounts, pair', price: 96, days: 2 },
  'valve-body': { name: 'Ostler valve body, tested', price: 540, days: 4 },
  'body-rebuild': { name: 'Rebuild of a valve body', price: 320, days: 3 },
  'piston-clips': { name: 'Ostler piston clips, set', price: 64, days: 2 },
  'control-module': { name: 'Ostler control module, tested', price: 890, days: 6 },
  'flange-screws': { name: 'Flange screws, set of eight', price: 26, days: 1 },
  'harness-ties': { name: 'Ties for a harness, bag', price: 7, days: 0 },
  transaxle: { name: 'Ostler box for a rear axle, exchange', price: 2450, days: 7 },
  'transaxle-repair': { name: 'Repair of a box by licensed practice', price: 1180, days: 5 },
  'axle-oil': { name: 'Oil for gears, a litre', price: 18, days: 0 },
  'axle-rings': { name: 'Sealing rings for plugs, pair', price: 3, days: 0 },
  'two-stage-cover': { name: 'Ostler cover for two clutches', price: 420, days: 4 },
  'main-disc': { name: 'Ostler drive disc', price: 145, days: 2 },
  'pto-disc': { name: 'Ostler disc for a power take-off', price: 120, days: 2 },
  'release-springs': { name: 'Release springs, set of six', price: 22, days: 2 },
  'tractor-pilot': { name: 'Pilot bearing for a long shaft', price: 19, days: 1 },
  'joint-gasket': { name: 'Gasket of a tractor joint', price: 16, days: 2 },
  'rear-oil': { name: 'Oil for a rear half, can', price: 84, days: 0 },
  'rear-ring': { name: 'Sealing ring for a drain', price: 2, days: 0 },
  'side-seals': { name: 'Seals for side flanges, pair', price: 38, days: 2 },
  'joint-seal': { name: 'Seal for an input shaft', price: 21, days: 1 },
  'tractor-releases': { name: 'Release bearings, pair', price: 92, days: 2 },
  'pocket-seals': { name: 'Pocket seals, set', price: 31, days: 2 },
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
