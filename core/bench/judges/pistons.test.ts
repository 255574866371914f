import { describe, expect, it } from 'vitest'
import { findingOf } from '../../../tests/support/one-judge'

// Angles worked by hand on a circle: from 336° to 0° it is 24° clockwise, from 290° to 270° 20° the other way.
const sensors = [0, 90, 180, 270]
describe('pistons that have turned', () => {
  it('are turned back the short way, over the top of the circle as well, each by its name', () => {
    const found = findingOf('piston-turn', { sensors, magnets: [336, 92, 180, 290], tolerance: 5 })
    expect(found).toMatchObject({ level: 'watch' })
    expect(found.sentence).toContain('1: turn it 24° clockwise; 4: turn it 20° counter-clockwise')
    expect(found.figures.map(({ value }) => value)).toEqual([24, -2, 0, -20])
  })
  it('that have not turned send the search elsewhere', () => {
    const found = findingOf('piston-turn', { sensors, magnets: [2, 88, 181, 268], tolerance: 5 })
    expect(found).toMatchObject({ level: 'good', sentence: expect.stringContaining('none has turned') })
  })
  it('with a worn edge turn again', () => {
    const worn = { sensors, magnets: sensors, tolerance: 5, edges: [0.1, 0.9, 0, 0], worn: 0.5 }
    expect(findingOf('piston-turn', worn)).toMatchObject({
      level: 'watch',
      sentence: expect.stringContaining('{0.9 mm} at 2'),
    })
  })
  it('hold the work until every one faces its sensor', () => {
    expect(findingOf('piston-zero', { sensors, after: [1, 90, 180, 282], tolerance: 5 })).toMatchObject({
      level: 'renew',
      sentence: expect.stringContaining('4 is still off: 12° counter-clockwise'),
    })
    expect(findingOf('piston-zero', { sensors, after: [1, 90, 179, 271], tolerance: 5 }).level).toBe('good')
  })
})
