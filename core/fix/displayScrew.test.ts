import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { d46 } from '../../tests/fixtures/job'
import type { ScrewKit } from '../job'
import { textToString } from '../units'
import { chooseScrew, screwFault, screwRange } from './index'

const kit: ScrewKit = {
  id: 'k',
  name: 'Kit M6',
  thread: 6,
  lengths: [10, 12, 14, 16, 20, 25, 30],
  washers: [1.6],
  spacers: [15],
}

describe('a screw into the display', () => {
  it.each([
    ['a flat back', 0, 0, 10.1, 15.1],
    ['a spacer of 15', 15, 0, 25.1, 30.1],
    ['a spacer on a back recessed by 4', 15, 4, 29.1, 34.1],
  ])('on %s', (_, spacer, recess, shortest, longest) => {
    const range = screwRange({ bracket: 2.5, washers: 1.6, spacer, recess }, 6, 12)
    expect(range.shortest.value).toBeCloseTo(shortest, 9)
    expect(range.longest.value).toBeCloseTo(longest, 9)
  })

  it('is the longest of the kit that is safe; more washers where that makes one fit; else what to buy', () => {
    expect(chooseScrew(d46, 2.5, kit)).toMatchObject({ fits: true, length: 14, stack: { washers: 1.6 } })
    // 16 is too long by 0.9 with one washer, and safe with two.
    expect(chooseScrew(d46, 2.5, { ...kit, lengths: [16] })).toMatchObject({
      fits: true,
      length: 16,
      stack: { washers: 3.2 },
    })
    const none = chooseScrew(d46, 2.5, { ...kit, lengths: [40] })
    expect(!none.fits && textToString(none.why, 'metric')).toBe(
      'no screw in Kit M6 fits with up to 3 washers; buy M6 screws 10.1 to 15.1 mm long',
    )
    expect(chooseScrew(d46, undefined, kit)).not.toHaveProperty('range')
    expect(chooseScrew({ ...d46, vesa: { ...d46.vesa, insertDepth: undefined } }, 2.5, kit)).toMatchObject({
      fits: false,
    })
  })

  it('never breaks the display nor strips its thread, whatever the stack', () => {
    const stack = fc.record({
      bracket: fc.integer({ min: 1, max: 6 }),
      insert: fc.integer({ min: 8, max: 20 }),
      recess: fc.integer({ min: 0, max: 9 }),
      spacer: fc.constantFrom(0, 15),
    })
    fc.assert(fc.property(stack, ({ bracket, insert, recess, spacer }) => {
      const choice = chooseScrew(
        { ...d46, vesa: { ...d46.vesa, insertDepth: insert, recess, spacerIn: 'across' } },
        bracket,
        kit,
        spacer,
      )
      if (!choice.fits) return
      const { washers } = choice.stack
      const engaged = choice.length - bracket - washers - spacer - recess
      expect(engaged).toBeGreaterThanOrEqual(6 - 1e-9)
      expect(engaged).toBeLessThanOrEqual(insert - 1 + 1e-9)
      expect(screwFault(choice.length, choice.range)).toBeUndefined()
    }))
  })
})
