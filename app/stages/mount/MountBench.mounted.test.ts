import { fireEvent } from '@testing-library/dom'
import { describe, expect, it } from 'vitest'
import type { Wall } from '~~/core/job'
import { alerts, escape, field, fill, mountAtWall, press, said, says } from '~~/tests/fixtures/mounted'
import MountBench from './MountBench.vue'

const SLID = 'Lateral adjustment'
const mount = (at?: Parameters<typeof mountAtWall>[1]) => mountAtWall([MountBench], at)
const holes = () => [...document.querySelectorAll<HTMLElement>('[aria-label="Holes of this plate"] button')]

describe('Mount', () => {
  it('tells a plate put by hand by how much it misses, with its cure, its reason, and the way back', async () => {
    const store = await mount()
    await says('section[aria-label=Mount]', '9 of 9 plates fixed')
    expect(field(SLID).value).toBe('−6.8')
    await fill('Array lateral adjustment', '0')
    await fill(SLID, '0')
    // Half of 38, less 1.5 × 9.525 and 1.645 σ of 0.7: 3.6 of wood either side of member 5's centre at 1690; the slot
    // begins at 1698.
    await says('[data-finding=hole-misses-member]', 'Top hole of R1 C1 at 1698 mm misses stud 5 by 4.4 mm')
    expect(said('[data-finding=hole-misses-member]')).toContain('Shift the plate 8 mm to the left')
    await says('section[aria-label=Mount]', '8 of 9 plates fixed')
    await press('Apply shift', document.querySelector<HTMLElement>('[data-finding=hole-misses-member]')!)
    await says('section[aria-label=Mount]', '9 of 9 plates fixed')
    await fill('Reason for this position', 'conduit to the right')
    await says('[data-finding=plate-by-hand]', 'reason: conduit to the right')
    const [plate] = store.wall!.arrays[0]!.plates!
    expect(plate).toMatchObject({ row: 1, column: 1, reason: 'conduit to the right' })
    expect(plate!.lateralShift).toBeCloseTo(-8, 1)
    await press('Use calculated position')
    await expect.poll(() => said('[data-finding=plate-by-hand]')).toBe('')
    await says('section[aria-label=Mount]', '9 of 9 plates fixed')
  })

  it('puts a hole elsewhere by hand, within its slot or with a stop', async () => {
    const store = await mount()
    await fireEvent.click(holes()[0]!)
    await fill('Hole position', '1692')
    await expect.poll(() => holes()[0]!.textContent).toContain('edge clearance 1.6')
    expect(said('[data-finding=hole-by-hand]')).toContain('at 1692 mm is placed manually, no reason given')
    await fill('Hole position', '1640')
    await says('[data-finding=hole-off-slot]', 'at 1640 mm is not in a slot of the plate')
    await press('Use calculated position')
    await expect.poll(() => said('[data-finding=hole-off-slot]')).toBe('')
    expect(store.wall!.arrays[0]).not.toHaveProperty('holes')
  })
})

describe('Mount, within its travel', () => {
  it('slides a plate within its travel, and shows its sum', async () => {
    await mount()
    await says('[data-testid=chosen-screen]', 'Screen R1 C1')
    const key = (pressed: string) => runByKey(new KeyboardEvent('keydown', { key: pressed }))
    key(']')
    await says('[data-testid=chosen-screen]', 'Screen R1 C2')
    await fill(SLID, '3')
    key('ArrowRight')
    await expect.poll(() => field(SLID).value).toBe('4')
    key('[')
    await says('[data-testid=chosen-screen]', 'Screen R1 C1')
    await fill(SLID, '4')
    expect(field(SLID).value).toBe('4')
    await fill(SLID, '50')
    const told = 'The lateral adjustment is 45 mm either way; 50 mm was entered.'
    await expect.poll(alerts).toContainEqual(expect.stringContaining(told))
    expect(field(SLID).value).toBe('50')
    escape(SLID)
    await expect.poll(() => field(SLID).value).toBe('4')
    await press(/Top holes above floor/)
    // Bottom edge + bottom to pattern − hook to plate centre + plate to hole: 2038.6 + 270.1 − 40 + 210
    const sum = 'bottom edge 2038.6 + to mounting pattern 270.1 − hook to plate centre 40 + plate centre to hole 210'
    await expect.poll(() => document.body.textContent).toContain(`${sum} = 2478.7`)
  })

  it('says on block what comes too close to a joint, and how far a plate is raised at most', async () => {
    await mount({ site: 'stennick', wall: 'departures-row' })
    await says('section[aria-label=Mount]', '4 of 4 plates fixed')
    await fill('Array height adjustment', '0')
    await fill('Height adjustment', '5')
    await says('[data-finding=joint-too-near]', 'too close to a joint')
    await fill('Height adjustment', '20')
    await expect.poll(alerts).toContainEqual(expect.stringContaining('The height adjustment is'))
  })
})

/** One screen in the middle of the hall, whose plate reaches one stud of the two that it needs. */
function unheld(wall: Wall) {
  wall.structure.members = [2500, 2900, 3500, 4100].map(centre => ({ id: `k${centre}`, centre, width: 38 }))
  wall.features = []
  const at = { x: { edge: 'centre', value: 3100 }, y: { edge: 'centre', value: 1600 } }
  Object.assign(wall.arrays[0]!, { rows: 1, columns: 1, at })
}

describe('Mount, remedies', () => {
  const way = (kind: string) => document.querySelector<HTMLElement>(`[data-remedy=${kind}]`)!
  const bench = (text: string) => says('section[aria-label=Mount]', text)

  // Both studs are reached from 2655.3 to 2744.7, and the plate slides 45 by itself: 3100 − 2744.7 − 45 = 310.3.
  it('cures a plate that cannot be held in each of the ways that would do it', async () => {
    const store = await mount({ change: unheld })
    await bench('0 of 1 plates fixed')
    await press(/Remedies/)
    await says('[data-remedy=shift]', 'Shift the whole array 311 mm to the left')
    await says('[data-remedy=slots]', 'The maker then allows 24 kg; the heaviest display is 21.5 kg')
    await says('[data-remedy=rail]', '79 mm instead of 58 mm')
    await says('[data-remedy=mount]', 'Quay F3')
    // Drawn first, then as it was again.
    await press('Preview', way('board'))
    await bench('1 of 1 plates fixed, on a board')
    expect(store.wall!.arrays[0]).not.toHaveProperty('carrier')
    await press('Hide preview', way('board'))
    await bench('0 of 1 plates fixed')
    for (const kind of ['shift', 'slots', 'rail', 'board', 'mount']) {
      await press('Apply remedy', way(kind))
      await bench('1 of 1 plates fixed')
      const { plate } = useWallPlan().plan.value!.arrays[0]!.positions[0]!
      expect(plate!.held, kind).toBe(true)
      store.undo()
      await bench('0 of 1 plates fixed')
      await expect.poll(() => way(kind), { message: kind }).not.toBeNull()
    }
  })
})

describe('Mount, depth', () => {
  it('tells what lies behind a screen, stowed and pulled out, and what does not fit there', async () => {
    await mount()
    await press('Depth')
    await says('[data-testid=plug-fit]', 'Enter plug, cable and player sizes')
    await fill('Plug length', '48')
    await fill('Cable thickness', '8')
    // 48 and a moving bend of 4 × 8; the mount leaves 58.
    await says('[data-testid=plug-fit]', 'need 80 mm: 22 mm short')
    await says('[data-finding=plug-does-not-fit]', 'The space behind Kelda 46N narrow-bezel is 58 mm')
    await fireEvent.input(document.querySelector('[data-testid=pull-out]')!, { target: { value: '1' } })
    await expect.poll(() => document.body.textContent).toContain('312 mm behind the display')
    await fill('Plug length', '20')
    await expect.poll(() => said('[data-finding=plug-does-not-fit]')).toBe('')
    // What is not known any more is said to be not known.
    await fill('Plug length', '')
    await says('[data-testid=plug-fit]', 'Enter plug, cable and player sizes')
  })
})
