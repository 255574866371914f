import { expect, it } from 'vitest'
import { streamsDrill } from '../drills/streams'
import { oneServer } from '../support/one-server'

const { app } = oneServer()

it('many who look hear of everything, over one line to the records (short form of npm run drill:streams)', async () => {
  const drill = await streamsDrill(app(), { streams: 60, seconds: 2, everyMs: 200 })
  expect(drill).toMatchObject({ streams: 60, events: 10, stale: 0 })
})
