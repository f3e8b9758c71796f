import { describe, expect, it } from 'vitest'
import { demoJob } from '../../tests/fixtures/demo'
import { drawnOf } from './drawn'
import { plan } from '.'

describe('the part of a plan that is drawn', () => {
  const plans = (['holm-point', 'ravel-sands', 'stennick'] as const).flatMap(site => plan(demoJob(site)).walls)

  it('is the same after it was kept as JSON, on every wall of the demo', () => {
    expect(plans.length).toBeGreaterThan(4)
    for (const whole of plans) {
      const drawn = drawnOf(whole)
      expect(JSON.parse(JSON.stringify(drawn))).toEqual(drawn)
    }
  })

  it('has what the wall is drawn by, and no marks, findings or cables', () => {
    for (const whole of plans) {
      const drawn = drawnOf(whole)
      expect(drawn.arrays).toEqual(whole.arrays)
      expect(drawn.members).toEqual(whole.members)
      expect(drawn.marking.levelLine?.y).toBe(whole.marking.levelLine?.y)
      expect(Object.keys(drawn.marking).sort()).toEqual(whole.marking.levelLine ? ['datum', 'levelLine'] : ['datum'])
      expect(drawn).not.toHaveProperty('wiring')
      expect(drawn).not.toHaveProperty('findings')
    }
  })
})
