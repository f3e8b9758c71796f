import { describe, expect, it } from 'vitest'
import { exampleJob } from '../../tests/fixtures/job'
import type { Display, Job, Mount, Rules } from '../job'
import { planWall } from '../plan'
import { textToString } from '../units'
import { liftingOf } from './lifting'

const outer = (y: number, height = 576.2, width = 1021.4) => ({ x: 0, y, width, height })
const display = (change: Partial<Display> = {}): Display => ({ ...exampleJob().catalogue.displays[0]!, ...change })

describe('who lifts a display', () => {
  const lifts = (mass: number, y: number, rules: Rules = {}) => {
    const { people, aid, from } = liftingOf(display({ mass }), outer(y, 576.2, 900), rules)
    return [people, aid, from]
  }

  it('follows from its mass and the height of its middle', () => {
    // Middle at 1288: 23 kg each. Middle at 1688: 23 × 0.7 = 16.1 kg each.
    expect([lifts(23, 1000), lifts(23.1, 1000), lifts(46.1, 1000)]).toEqual([
      [1, false, 'floor'],
      [2, false, 'floor'],
      [2, true, 'floor'],
    ])
    expect([lifts(16, 1400), lifts(16.2, 1400), lifts(32.3, 1400)]).toEqual([
      [1, false, 'floor'],
      [2, false, 'floor'],
      [2, true, 'floor'],
    ])
    // Top edges at 1999.2, 2001.2, 3501.2.
    expect([lifts(10, 1423), lifts(10, 1425), lifts(10, 2925)].map(([, , from]) => from)).toEqual([
      'floor',
      'platform',
      'tower',
    ])
  })

  it('is never one for what is longer than arms reach', () => {
    expect(liftingOf(display({ mass: 12 }), outer(900, 700, 1001), {}).people).toBe(2)
    expect(liftingOf(display({ mass: 12 }), outer(900, 700, 1000), {}).people).toBe(1)
    expect(liftingOf(display({ mass: 12 }), outer(500, 1001, 700), {}).people).toBe(2)
  })

  it('is by the house rule', () => {
    expect(lifts(10, 1000, { lifting: 'always-two' })).toEqual([2, false, 'floor'])
    expect([lifts(20, 1000, { lifting: 'lift-aid' }), lifts(24, 1000, { lifting: 'lift-aid' })]).toEqual([
      [1, false, 'floor'],
      [2, true, 'floor'],
    ])
    const handled = (handling: Display['handling'], rules: Rules) =>
      liftingOf(display({ handling }), outer(1000), rules).handling
    expect([
      handled('face-down', { handling: 'face-down' }),
      handled(undefined, { handling: 'face-down' }),
      handled('face-down', {}),
    ]).toEqual(['face-down', 'upright', 'upright'])
  })
})

describe('the order of hanging', () => {
  /** The example wall, its mount lifted by so much and coming out so far. */
  function hung(mount: Partial<Mount>, rules: Rules = {}, change: (job: Job) => void = () => {}) {
    const job = exampleJob()
    Object.assign(job.catalogue.mounts[0]!, mount)
    Object.assign(job.rules, rules)
    change(job)
    const { hanging: [order], findings } = planWall(job.walls[0]!, job)
    return {
      ...order!,
      order: order!.steps.map(({ label, pulledOut }) => (pulledOut ? `${label} out` : label)),
      why: textToString(order!.why, 'metric'),
      codes: findings.filter(({ stage }) => stage === 'hang').map(({ severity, code }) => `${severity} ${code}`),
    }
  }
  const top = ['R1 C1', 'R1 C2', 'R1 C3']
  const bottom = ['R2 C1', 'R2 C2', 'R2 C3']

  it('is from the top where lower screens pass under it pulled out, and says that the other works too', () => {
    const { order, why, codes } = hung({ lift: 24, depth: { stowed: 58, service: 312 } })
    expect(order).toEqual([...top, ...bottom.map(label => `${label} out`)])
    expect(why).toBe('Top row first, with the lower mounts pulled out to pass; bottom row first also works.')
    expect(codes).toEqual([])
  })

  it('is from the bottom where they cannot pass: 58 + 68 + 10 is not reached', () => {
    const { order, why, first } = hung({ lift: 24, depth: { stowed: 58, service: 135 } })
    expect([first, order]).toEqual(['bottom', [...bottom, ...top]])
    expect(why).toContain('the 24 mm needed to hook on, with only 0.6 mm free above it')
    expect(hung({ lift: 24, depth: { stowed: 58, service: 136 } }).first).toBe('top')
  })

  it('is as the house rule has it, with a stop where that cannot be done', () => {
    const stuck: Partial<Mount> = { lift: 24, depth: { stowed: 58, service: 135 } }
    expect(hung({ lift: 24 }, { hangingOrder: 'bottom-first' }).order).toEqual([...bottom, ...top])
    expect(hung(stuck, { hangingOrder: 'bottom-first' }).codes).toEqual([])
    const topFirst = hung(stuck, { hangingOrder: 'top-first' })
    expect([topFirst.order.slice(0, 3), topFirst.codes]).toEqual([top, ['stop hanging-order-blocked']])
  })

  it('warns of what people cannot lift, and of displays of which nothing says that they may lie on their face', () => {
    expect(
      hung({}, {}, ({ catalogue }) => {
        catalogue.displays[0]!.mass = 47
      }).codes,
    ).toEqual(['caution lift-aid-needed'])
    expect(hung({}, { handling: 'face-down' }).codes).toEqual(['note kept-upright'])
    expect(
      hung({}, { handling: 'face-down' }, ({ catalogue }) => {
        catalogue.displays[0]!.handling = 'face-down'
      }).codes,
    ).toEqual([])
  })
})
