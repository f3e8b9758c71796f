import { describe, expect, it } from 'vitest'
import { exampleJob } from '../../tests/fixtures/job'
import { pulledIn } from '../../tests/fixtures/pulled'
import type { Job } from '../job'
import { asBuilt, type LogEntry } from '../log'
import { contextOf, planWall } from '../plan'
import { textToString } from '../units'
import { checksOf, handoverOf, recordOf, type Check } from '.'

let n = 0
const ABOUT = { at: '2026-11-20T09:00:00Z', by: 'Odd Varga', wall: 'w1', screen: 'a1-r1c1' }
const entry = (kind: string, more: object) => ({ ...ABOUT, id: `k${++n}`, kind, ...more }) as LogEntry

/** The checks of the example wall with this log, and what its handover misses; its fastener asks for 20 N·m. */
function checked(log: LogEntry[], change: (job: Job) => void = () => {}) {
  const job = { ...exampleJob(), log }
  job.catalogue.fasteners[0]!.torque = 20
  change(job)
  const wall = job.walls[0]!
  const plan = planWall(wall, contextOf(job), asBuilt(log, wall))
  const checks = checksOf(plan.arrays, wall, job.catalogue, recordOf(log, wall))
  const { missing } = handoverOf({
    site: job.site, wall, plan, issued: plan.arrays, built: asBuilt(log, wall), catalogue: job.catalogue, rules: {},
    log,
  })
  const said = missing.map(({ severity, what }) => `${severity}: ${textToString(what, 'metric')}`)
  const first = checks.filter(({ screen }) => screen === ABOUT.screen)
  return { checks, said, plan, at: (kind: Check['kind']) => first.find(check => check.kind === kind) }
}

describe('checks of the screens', () => {
  it('are asked for where the loads, the fastener’s maker or the display’s maker ask', () => {
    const { at, said, plan } = checked([])
    // The worst hand case of the wall, by hand from its loads.
    expect(at('pulled')).toMatchObject({ required: pulledIn(plan), why: expect.stringContaining('hand') as string })
    expect(at('torqued')).toMatchObject({ required: 20, why: expect.stringMatching(/^the maker of /) as string })
    expect(at('firmware')).toBeUndefined()
    expect(said.filter(text => /not recorded:/.test(text))).toEqual([
      'caution: Pull test not recorded: R1 C1, R1 C2, R1 C3, R2 C1, R2 C2, R2 C3.',
      'caution: Torque not recorded: R1 C1, R1 C2, R1 C3, R2 C1, R2 C2, R2 C3.',
    ])
    const named = checked([], (job) => { job.catalogue.displays[0]!.firmware = '4.2' })
    expect(named.at('firmware')).toMatchObject({ required: '4.2' })
    expect(named.said).toContain('note: Firmware not recorded: R1 C1, R1 C2, R1 C3, R2 C1, R2 C2, R2 C3.')
  })

  it('that were recorded as required say nothing', () => {
    const { plan } = checked([])
    const { checks } = checked([
      entry('pulled', { force: pulledIn(plan), held: true }),
      entry('torqued', { torque: 20 }),
      entry('firmware', { version: '4.2' }),
    ])
    const recorded = checks.filter(check => check.recorded !== undefined)
    expect(recorded.map(({ fault }) => fault)).toEqual([undefined, undefined, undefined])
  })

  it('are a stop where a plate moved, until it was pulled again and held', () => {
    const moved = entry('pulled', { force: 300, held: false, note: 'left anchor' })
    const stop = 'stop: The plate of R1 C1 moved at 300 N: left anchor. Refit it and pull again.'
    expect(checked([moved]).said[0]).toBe(stop)
    const at = (time: string) => entry('pulled', { force: 300, held: true, at: `2026-11-20T${time}:00Z` })
    expect(checked([moved, at('09:05')]).said.join()).not.toContain('moved')
    // One that held before it, or in the same minute, clears nothing, even where it arrives later.
    for (const earlier of ['08:55', '09:00']) {
      for (const log of [[moved, at(earlier)], [at(earlier), moved]]) expect(checked(log).said[0]).toBe(stop)
    }
  })

  it('are a caution where less was pulled, another torque turned, or another firmware runs than required', () => {
    const { said } = checked([
      entry('pulled', { force: 5, held: true }),
      entry('torqued', { torque: 23 }),
      entry('firmware', { version: '4.1' }),
    ], (job) => { job.catalogue.displays[0]!.firmware = '4.2' })
    expect(said.filter(text => text.includes('recorded, '))).toEqual([
      expect.stringMatching(/^caution: Pull test of R1 C1: 5 N recorded, \d+ N required\.$/),
      'caution: Torque of R1 C1: 23 N·m recorded, 20 N·m required.',
      'caution: Firmware of R1 C1: 4.1 recorded, 4.2 required.',
    ])
    // Within a hundredth below, for a scale in other units, and a tenth above.
    const faultAt = (torque: number) => checked([entry('torqued', { torque })]).at('torqued')!.fault
    expect([faultAt(19.85), faultAt(21.9)]).toEqual([undefined, undefined])
    expect(faultAt(19)).toBeDefined()
  })

  it('name the array too where there are several', () => {
    const { checks } = checked([], ({ walls: [wall] }) => {
      wall!.arrays.push({ ...structuredClone(wall!.arrays[0]!), id: 'a2', name: 'Arrivals', rows: 1, columns: 1 })
    })
    expect(checks.map(({ label }) => label)).toEqual(expect.arrayContaining(['Departures R1 C1', 'Arrivals R1 C1']))
  })
})
