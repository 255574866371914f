import { describe, expect, it } from 'vitest'
import { bleedWay } from '../../contracts/bleeding-file'
import { readPack } from '../../contracts/read-pack'
import { writePack } from '../../contracts/write-pack'
import { bench, hydraulics, job, packs } from '../../core'
import type { Pack } from '../../core/packs'
import { TestLog } from '../support/job-log'
import { shelf } from '../support/packs'
import { coverAndPart } from '../support/small-pack'

/** A layout as its file has it, changed, and read again like any file from outside. */
function changed(id: string, change: (pack: Pack) => void): Pack {
  const pack = structuredClone(shelf.packs.get(id)!)
  change(pack)
  const { pack: read, problems } = readPack(writePack(pack), shelf.terms)
  expect(problems).toEqual([])
  return read!
}

describe('what is new comes as data; no code knows it by name', () => {
  it('a layout: read from its file, it is planned and worked off to the end', () => {
    const { pack, problems } = readPack(writePack(coverAndPart()), shelf.terms)
    expect(problems).toEqual([])
    const log = TestLog.open(pack!)
    const { plan } = job.reduceJob(log.events)
    for (const stepId of plan!.order) {
      expect(log.refusal('step-done', { stepId }), stepId).toBeNull()
      log.done(stepId)
    }
    expect(job.openEntries(log.state).filter(entry => entry.entry !== 'item:stands')).toEqual([])
  })

  it('a way of bleeding: it is advised, simulated, planned and counted', () => {
    const syphon = bleedWay.parse({
      id: 'syphon',
      title: 'Syphon',
      counts: 'portions',
      one: 'beaker',
      many: 'beakers',
      minutes: [5, 9, 15],
      perRound: 4,
      restMinutes: 3,
      portionMl: 30,
      bleeder: true,
      frees: 0.15,
      flowMlS: 2,
      wants: { id: 'beaker', name: 'a tall beaker' },
      advice: [
        { when: { opened: true }, points: 60, because: 'It runs by itself.' },
        { when: { helper: true }, points: -50, because: 'Two are quicker.' },
      ],
      ready: ['Beaker below the slave'],
      round: ['Open, and let one beaker run'],
      over: 'Clear.',
      wrong: 'It runs dry.',
    })
    const pack = changed('rwd-longitudinal', draft => {
      draft.bleeding.push(syphon)
      const option = draft.options.find(entry => entry.id === 'bleed')!
      option.choices.push({ ...option.choices[0]!, id: 'syphon', label: 'a syphon' })
      const module = draft.modules.find(entry =>
        entry.operations.some(operation => operation.activity?.kind === 'bleed'),
      )!
      const vacuum = module.operations.find(
        operation => operation.activity?.kind === 'bleed' && operation.activity.way === 'vacuum',
      )!
      // What holds for ways at the bleeder holds for this one as well.
      for (const when of draft.modules
        .flatMap(each => [...each.operations, ...each.links, ...each.items])
        .flatMap(each => ('when' in each ? (each.when ?? []) : []))) {
        if (when.bleed && when.bleed.length > 1 && when.bleed.includes('vacuum')) when.bleed.push('syphon')
      }
      module.operations.push({
        ...vacuum,
        id: 'bleed-syphon',
        title: 'Let the syphon run until it comes clear',
        minutes: syphon.minutes!,
        tools: [],
        activity: { kind: 'bleed', way: 'syphon' },
        when: vacuum.when.map(when => ({ ...when, bleed: ['syphon'] })),
      })
      for (const links of [draft.links, ...draft.modules.map(each => each.links)]) {
        links.push(
          ...links.flatMap(link =>
            link.after === vacuum.id
              ? [{ ...link, after: 'bleed-syphon' }]
              : link.before === vacuum.id
                ? [{ ...link, before: 'bleed-syphon' }]
                : [],
          ),
        )
      }
    })
    const at = {
      opened: true,
      preFilled: false,
      slave: 'outside',
      bleeder: 'low',
      helper: false,
      tools: ['beaker'],
      minutesLeft: 240,
      sharedReservoir: true,
    } as const
    expect(hydraulics.adviseBleed({ ...at, tools: ['beaker'] }, pack.bleeding)[0]).toMatchObject({
      method: 'syphon',
      title: 'Syphon',
      because: ['It runs by itself.'],
    })
    expect(
      hydraulics.adviseBleed({ ...at, tools: [] }, pack.bleeding).find(entry => entry.method === 'syphon')!.because,
    ).toEqual(['It takes a tall beaker.'])
    expect(hydraulics.bleedRound(pack.bleeding.find(way => way.id === 'syphon')!)).toMatchObject({
      flowMlS: 2,
      flowSeconds: 60,
    })
    const { operations } = packs.expandPack(pack, { slave: 'opened', bleed: 'syphon' })
    expect(operations.find(operation => operation.activity?.kind === 'bleed')).toMatchObject({
      id: 'bleed-syphon',
      minutes: [5, 9, 15],
    })
    expect(packs.checkPack(pack, shelf.terms)).toEqual([])
  })

  it('a sheet with a computation: it belongs to its step, says its verdict, feeds its drawing', () => {
    const pack = changed('rwd-longitudinal', draft => {
      const model = draft.bench.sheets.find(sheet => sheet.drawing === 'cover')!
      draft.bench.sheets.push({
        ...model,
        id: 'second-cover',
        title: 'The old cover beside it',
        draws: { heights: 'tips' },
        look: [],
        fields: [
          { ...model.fields.find(field => field.kind === 'points')!, id: 'tips' },
          { ...model.fields.find(field => field.kind === 'number')!, id: 'spread' },
        ],
        judges: [{ kind: 'finger-heights', inputs: { heights: 'tips', limit: 'spread' }, when: [] }],
      })
    })
    const sheet = packs.expandPack(pack).bench.sheets.find(entry => entry.id === 'second-cover')!
    const entry = (value: number) => ({ entered: String(value), value })
    const values = { tips: { kind: 'points' as const, entries: [40, 40.1, 41.4, 40].map(entry) } }
    expect(bench.judgeSheet(sheet, values).level).not.toBe('good')
    expect(bench.drawnValues(sheet, values)).toEqual({ heights: values.tips })
  })
})
