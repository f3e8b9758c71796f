import { describe, expect, it } from 'vitest'
import { d46, exampleJob, m1 } from '../../tests/fixtures/job'
import type { Job, ScreenArray } from '../job'
import { planWall } from '../plan'
import { textToString } from '../units'
import { depthsOf } from './depth'

function found(change: (job: Job, array: ScreenArray) => void) {
  const job = exampleJob()
  change(job, job.walls[0]!.arrays[0]!)
  return planWall(job.walls[0]!, job).findings.map(
    ({ severity, code, message }) => [severity, code, textToString(message, 'metric')] as const,
  )
}
const codes = (change: Parameters<typeof found>[0]) => found(change).map(([, code]) => code)

describe('how a display stands before the wall', () => {
  it('is the mount, what it stands on and the display, one after another', () => {
    const plain = depthsOf({}, m1, d46)
    expect([plain.stowed, plain.face.value, plain.faceOut.value, plain.need]).toEqual([58, 126, 380, undefined])
    const railed = depthsOf({ carrier: { kind: 'rail', thickness: 21 } }, m1, d46)
    expect([railed.stowed, railed.service, railed.face.value]).toEqual([79, 333, 147])
  })

  it('needs room for plug and bend, more where the cable moves, or for a player and air', () => {
    expect(depthsOf({ behind: { plug: 40, cable: 8 } }, m1, d46).need!.value).toBe(40 + 4 * 8)
    expect(
      depthsOf({ behind: { plug: 40, cable: 8 } }, { ...m1, depth: { stowed: 58, service: 58 } }, d46).need!.value,
    ).toBe(40 + 2.5 * 8)
    expect(depthsOf({ behind: { player: 30 } }, m1, d46).need!.value).toBe(40)
    expect(depthsOf({ behind: { plug: 40, cable: 8, player: 70 } }, m1, d46).need!.value).toBe(80)
    expect(depthsOf({ behind: { plug: 40 } }, m1, d46).need).toBeUndefined()
  })
})

describe('what is told of the depth', () => {
  it('a plug that does not fit, by how much', () => {
    expect(
      found((_, array) => {
        array.behind = { plug: 40, cable: 8 }
      }),
    ).toContainEqual([
      'stop',
      'plug-does-not-fit',
      'The space behind Kelda 46N is 58 mm, but plug, cable or player require 72 mm: 14 mm too little.',
    ])
    expect(codes((_, array) => { array.behind = { plug: 26, cable: 8 } })).not.toContain('plug-does-not-fit')
  })

  it('a pull-out that leaves no room for a hand', () => {
    const reach = (service: number) => codes((job) => { job.catalogue.mounts[0]!.depth.service = service })
    expect(reach(199)).toContain('reach-too-small')
    expect(reach(200)).not.toContain('reach-too-small')
  })

  it('a lower row that is lifted on under an upper one must come out past its face, or be hung first', () => {
    // The upper row's face stands 58 + 68 out, and 10 more to pass.
    const lift = (service: number) =>
      codes((job) => {
        Object.assign(job.catalogue.mounts[0]!, { lift: 24, depth: { stowed: 58, service } })
      })
    expect(lift(136)).not.toContain('hang-before-upper')
    expect(lift(135)).toContain('hang-before-upper')
  })

  it('a screen that cannot be lifted under the ceiling', () => {
    const under = (height: number) => found((job) => {
      job.catalogue.mounts[0]!.lift = 24
      job.walls[0]!.height = height
    }).filter(([, code]) => code === 'no-room-to-lift')
    // The upper row ends 2226.5 up.
    expect(under(2240)[0]).toEqual([
      'stop',
      'no-room-to-lift',
      'R1 C1 has 13.5 mm free above it, but must be lifted 24 mm to hook on.',
    ])
    expect(under(2251)).toEqual([])
  })
})

describe('what is told of a recess and of a face', () => {
  it('a recess that leaves too little beside, or whose need is not known', () => {
    const recess = (sideClearance?: number) => codes((job) => {
      job.walls[0]!.features = [{ id: 'r', kind: 'recess', x: 1547.3, y: 1000, width: 3105.4, height: 1300 }]
      if (sideClearance !== undefined) job.catalogue.mounts[0]!.sideClearance = sideClearance
    })
    expect(recess()).toContain('side-clearance-not-known')
    expect(recess(21)).toContain('recess-too-narrow')
    expect(recess(20).filter(code => code.includes('recess') || code.includes('side'))).toEqual(['recess-heat'])
  })

  it('the heat that screens give off in a recess, and the air that carries it away, or that it is not known', () => {
    const heat = (max?: number) => found((job) => {
      job.walls[0]!.features = [{ id: 'r', kind: 'recess', x: 1400, y: 900, width: 3400, height: 1500 }]
      job.catalogue.displays[0]!.power = max === undefined ? undefined : { typical: 100, max }
    }).find(([, code]) => code === 'recess-heat')?.[2]
    // Six of 165 W: 990 ÷ (1.2 · 1005 · 10) is 0.0821 m³/s, 296 m³/h.
    expect(heat(165)).toContain('up to 990 W in its recess: at 10 K warmer air, 296 m³/h carry that away')
    expect(heat()).toContain('the heat of its displays is not known')
    expect(codes(() => {})).not.toContain('recess-heat')
  })

  it('a wall that is not flat, first as what it takes of the adjusters, then as a stop', () => {
    const bulge = (out: number) => codes((job) => {
      job.catalogue.mounts[0]!.adjust = { lateral: 45, height: 12, depth: 8 }
      const { positions } = planWall(exampleJob().walls[0]!, exampleJob()).arrays[0]!
      job.walls[0]!.surface = positions.map(({ plate }, n) => ({
        x: plate!.centre.x,
        y: plate!.centre.y,
        distance: n === 1 ? 100 - out : 100,
      }))
    }).filter(code => code.includes('flat'))
    expect(bulge(5)).toEqual([])
    expect(bulge(12)).toEqual(['flatness-eats-travel'])
    expect(bulge(20)).toEqual(['wall-not-flat'])
  })

  it('a plate over what must stay reachable, and an outlet box over a member', () => {
    const outlet = (x: number, keepReachable?: boolean) => codes((job, array) => {
      Object.assign(array, { rows: 1, columns: 1 })
      job.catalogue.mounts[0]!.adjust = {}
      job.walls[0]!.features = [
        { id: 'o', kind: 'outlet', x, y: 1550, width: 76, height: 120, ...(keepReachable && { keepReachable }) },
      ]
    })
    expect(outlet(3060, true)).toContain('plate-covers-feature')
    // Member 3 stands from 2881 to 2919.
    expect(outlet(2880)).toContain('box-on-member')
    expect(outlet(2920)).not.toContain('box-on-member')
  })
})
