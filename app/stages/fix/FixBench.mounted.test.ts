import { describe, expect, it } from 'vitest'
import type { Wall } from '~~/core/job'
import { useWallStore } from '~/stores/wall'
import { fill, mountAtWall, planned, press, said, says, textOf } from '~~/tests/fixtures/mounted'
import FixBench from './FixBench.vue'

const fix = (at?: Parameters<typeof mountAtWall>[1]) => mountAtWall([FixBench], at)

describe('Fix', () => {
  it('opens the sums of what decides', async () => {
    await fix()
    await says('section[aria-label=Fix]', 'Utilisation 85 %')
    await says('[data-testid=governing]', 'pulled out, hand down at a side edge')
    await press(/^Allowable shear/)
    await says('[data-testid=governing]', 'the screw bends in the wood')
    expect(said('[data-testid=governing]')).toContain('Source: AWC TR12')
  })

  it('takes packers under the anchors of a furred wall', async () => {
    const store = await fix({
      site: 'stennick',
      wall: 'departures-row',
      change: (wall) => {
        delete wall.arrays[0]!.packers
      },
    })
    await says('section[aria-label=Fix]', /Utilisation [12]\d\d %/)
    const box = [...document.querySelectorAll<HTMLInputElement>('input[type=checkbox]')].find(({ parentElement }) =>
      textOf(parentElement!).startsWith('Packers'),
    )
    box!.click()
    await says('section[aria-label=Fix]', 'Utilisation 63 %')
    expect(store.wall!.arrays[0]!.packers).toBe(true)
  })
})

describe('Fix of what goes into the display and the wall', () => {
  it('stops a screw that would break the display, and one that strips', async () => {
    const store = await fix()
    await press('Display')
    await says('[data-testid=screw-choice]', 'M6 × 14 mm, washers 1.6 mm in total; 4 per display, 36 in total')
    await fill('Screw length', '20')
    await says('[data-finding=display-screw-too-long]', 'A 20 mm screw is 4.9 mm too long')
    await fill('Screw length', '8')
    await says('[data-finding=display-screw-too-short]', 'the thread strips')
    await fill('Spacer', '15')
    await fill('Screw length', '30')
    expect(document.querySelectorAll('[data-finding^=display-screw]')).toHaveLength(0)
    const buttons = [...document.querySelectorAll('button')].map(textOf)
    expect(buttons.find(text => text.startsWith('Maximum screw length'))).toContain('30.1')
    await press('Use screw from kit')
    expect(store.wall!.arrays[0]).toMatchObject({ spacer: 15 })
    expect(store.wall!.arrays[0]).not.toHaveProperty('screw')
  })

  it('tells no capacity from a figure that is not given', async () => {
    // Through a covering the equation for steel on steel is not used.
    const steel = (wall: Wall) => {
      wall.covering = []
      wall.structure = { kind: 'steel-stud', memberWidth: 41, members: [{ id: 'm1', centre: 1520, width: 41 }] }
    }
    await fix({ site: 'stennick', wall: 'departures-row', change: steel })
    const store = useWallStore()
    const screw = { id: 'torve-d5.5x50', kind: 'self-drilling', base: 'steel-stud', diameter: 5.5, length: 50 } as const
    store.addModel('fastener', screw)
    expect(
      store.edit('Fastener', (wall) => {
        wall.arrays[0]!.fastener = 'torve-d5.5x50'
      }),
    ).toEqual([])
    await planned()
    await says('section[aria-label=Fix]', 'Utilisation not known')
    await says('[data-finding=capacity-not-known]', 'the steel thickness of the stud is not known')
    store.edit('Steel thickness', (wall) => {
      wall.structure.gauge = 0.84
    })
    await planned()
    await expect.poll(() => said('[data-finding=capacity-not-known]')).toBe('')
    await press('Into the wall')
    await says('[data-testid=governing]', 'Utilisation, T ÷ Ta + V ÷ Va')
  })
})
