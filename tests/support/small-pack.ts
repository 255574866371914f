import type { LinkSource, OperationSource, Pack, PackModule } from '../../core/packs'
import type { PackOption } from '../../core/pack/options'

/** An operation with everything but what is named left plain. */
export function operation(id: string, change: Partial<OperationSource> = {}): OperationSource {
  return {
    id,
    title: `Do ${id}`,
    phase: 'strip',
    place: 'top',
    car: 'either',
    minutes: [1, 2, 4],
    hands: 1,
    tools: [],
    needs: [],
    gives: [],
    ends: [],
    takesOff: {},
    putsBack: {},
    readings: [],
    cautions: [],
    parts: {},
    when: [],
    refit: { kind: 'none' },
    ...change,
  }
}

/** A link of access with a sentence of its own. */
export function link(before: string, after: string, change: Partial<LinkSource> = {}): LinkSource {
  return {
    before,
    after,
    kind: 'access',
    because: `${before} is in the way of ${after}`,
    when: [],
    mirror: true,
    ...change,
  }
}

/** A pack of one module, able to raise and lower the car. */
export function smallPack(module: Partial<PackModule>, change: Partial<Pack> = {}): Pack {
  return {
    id: 'small',
    title: 'A small job',
    version: 1,
    about: 'For tests',
    options: [],
    positions: [
      {
        to: 'raised',
        title: 'Raise it',
        minutes: [5, 10, 15],
        tools: [],
        cautions: [],
        takesOff: { stands: 2 },
        when: [],
      },
      { to: 'ground', title: 'Lower it', minutes: [3, 6, 9], tools: [], cautions: [], takesOff: {}, when: [] },
    ],
    reach: [],
    items: [{ id: 'stands', name: 'Stands', state: 'propped' }],
    modules: [
      {
        id: 'only',
        title: 'Only',
        items: [],
        facts: [],
        groups: [],
        parts: [],
        assumes: {},
        operations: [],
        links: [],
        ...module,
      },
    ],
    links: [],
    tools: [],
    cautions: [],
    outlines: [],
    ladders: [],
    bleeding: [],
    closing: [],
    roadTest: [],
    bench: { sheets: [], orientations: [], oldParts: [], reachable: [] },
    ...change,
  }
}

/** Cover, then part: the least work that has a strip, a bench and a refit. */
export function coverAndPart(): Pack {
  return smallPack({
    items: [
      { id: 'cover', name: 'Cover', state: 'off' },
      { id: 'part', name: 'Part', state: 'off' },
    ],
    operations: [
      operation('cover-off', { takesOff: { cover: 1 }, refit: { kind: 'mirror', override: { title: 'Cover on' } } }),
      operation('part-off', {
        place: 'under',
        car: 'raised',
        takesOff: { part: 3 },
        refit: { kind: 'mirror', override: { title: 'Part on' } },
      }),
      operation('look', { phase: 'bench', place: 'bench' }),
    ],
    links: [
      link('cover-off', 'part-off'),
      link('part-off', 'look', { kind: 'physical' }),
      link('look', 'part-off.refit', { mirror: false }),
    ],
  })
}

/** A part that is left, or renewed by the steps that apply under it. */
export const sealOption: PackOption = {
  id: 'seal',
  sentence: 'The seal is …',
  choices: [
    { id: 'left', label: 'left' },
    { id: 'renewed', label: 'renewed' },
  ],
  default: 'left',
  school: false,
}
