import { expect, it } from 'vitest'
import { alone, hole, on, onBlock } from '../../tests/fixtures/cures/on'
import { exampleJob } from '../../tests/fixtures/job'
import type { Base } from '../job'
import { plan } from '../plan'
import { textToString } from '../units'

/** A single screen on four anchors, its top left hole on steel that somebody has looked at. */
function metSteel(base: Base, up = 0) {
  const job = exampleJob()
  const given = on(job)
  onBlock(given)
  alone(given)
  given.wall.structure = { ...given.wall.structure, kind: base, thickness: 200, strength: 28 }
  Object.assign(given.fastener, { base })
  given.array.at.y.value += up
  hole(job, 'steel', { x: 2965, y: 1802 })
  job.log.push({
    id: 'c1', at: '2026-11-12T09:05:00Z', by: 'Isla', wall: 'w1', kind: 'checked', hole: 'a1-r1c1-top-1',
    found: 'rebar',
  } as never)
  const { arrays, findings } = plan(job).walls[0]!
  const bar = findings.find(({ code }) => code === 'hole-on-bar-line')
  return { holes: arrays[0]!.positions[0]!.holes!, bar, said: bar && textToString(bar.message, 'metric') }
}

it('a bar in concrete is a line: holes below it go aside, and those at its height are a stop', () => {
  const { holes, bar, said } = metSteel('concrete')
  expect(bar).toMatchObject({ severity: 'stop', facts: [2] })
  expect(said).toContain('R1 C1 top 1, R1 C1 top 2')
  // Set 40 deep in a hole of 50: nothing nearer than 50 to a line up and down through the steel.
  expect(holes.every(({ x }) => Math.abs(x - 2965) >= 50 - 1e-6)).toBe(true)
})

it('is off the line once the array is moved as far, and in block steel is no line', () => {
  expect(metSteel('concrete', 49).bar).toBeDefined()
  expect(metSteel('concrete', 51).bar).toBeUndefined()
  expect(metSteel('block').bar).toBeUndefined()
})
