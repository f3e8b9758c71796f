import { describe, expect, it } from 'vitest'
import { choose, field, fill, mountAtWall, press, said, says } from '~~/tests/fixtures/mounted'
import WireBench from './WireBench.vue'

const mount = (at?: Parameters<typeof mountAtWall>[1]) => mountAtWall([WireBench], at)
const source = (id: string) => document.querySelector<HTMLElement>(`[data-source=${id}]`)!
const wiring = () => useWallPlan().plan.value!.wiring
const gone = (selector: string) => expect.poll(() => said(selector)).toBe('')
/** The lists of boxes and routes: a line of one is pressed by how it begins. */
const line = (begins: RegExp) => press(begins)

describe('Wire, power', () => {
  it('tells what a circuit has no room for, until another takes it; the load shows its sum', async () => {
    await mount()
    await says('section[aria-label=Wire]', '9 of 9 screens fed by 1 circuit; 12 of 12 boxes placed')
    // The sum behind the share: 9 × 165 W ÷ 230 V and 1.2 A of 16 A.
    await press(/Circuit load/, source('board-7'))
    await says('[data-source=board-7]', '9 × 165 W ÷ (230 V × 1)')
    await fill('Breaker (A)', '6', source('board-7'))
    await says('section[aria-label=Wire]', '9 of 9 screens fed by 2 circuits')
    await fill('Other load (A)', '12.5', source('board-9'))
    await says('[data-finding=circuit-full]', 'No circuit has capacity left for')
    await press('Add circuit')
    await gone('[data-finding=circuit-full]')
    const { circuits } = wiring()
    expect(new Set(circuits.flatMap(({ screens }) => screens)).size).toBe(9)
    expect(circuits.flatMap(({ screens }) => screens)).toHaveLength(9)
    for (const { share, screens } of circuits) if (screens.length > 0) expect(share.value).toBeLessThanOrEqual(80)
    await fill('Breaker (A)', 'much', source('board-9'))
    await says('[data-source=board-9]', '“much” is not a number')
  })

  it('asks outside for protection by an RCD, and seals what is opened', async () => {
    await mount({ site: 'ravel-sands', wall: 'pier' })
    await says('[data-finding=outside]', 'a drip loop in every cable')
    await gone('[data-finding=protection-not-known]')
    await choose('30 mA RCD protection', 'no')
    await says('[data-finding=outlet-not-protected]', 'without protection by a 30 mA RCD')
    await choose('30 mA RCD protection', 'yes')
    await gone('[data-finding=outlet-not-protected]')
    await press('Routes')
    await says('[data-testid=route-card]', '1 seal')
    const [route] = wiring().routes
    expect([route!.way, route!.from, route!.path[0]!.x]).toEqual(['bay', 'shelter', 2150])
  })
})

describe('Wire, boxes', () => {
  it('puts a kit behind the single sign, its lower box in line with the outlet, and its cord from there', async () => {
    await mount({ wall: 'cafe' })
    await says('section[aria-label=Wire]', '3 of 3 boxes placed')
    await press('Boxes')
    await says('section[aria-label=Wire]', 'kit, lower box')
    await line(/, kit, lower box/)
    await says('[data-testid=box-card]', '330 to 450 mm up')
    const of = (id: string) => wiring().boxes.find(box => box.id === id)!
    expect([of('k-up').x, of('k-up').bay]).toEqual([of('k-low').x, of('k-low').bay])
    // Its top is in line with the outlet's, at 330 + 120.
    expect(of('k-low').cutout.y + of('k-low').cutout.height).toBe(450)
    const cord = wiring().cables.find(({ id }) => id === 'feed-k-low')!
    expect([cord.kind, cord.taken! >= cord.needed.value, cord.route]).toEqual(['cord', true, undefined])
    // Deleted and added anew, it comes back where it was, with the models that it needs.
    for (const kind of [/, kit, upper box/, /, kit, lower box/]) {
      await line(kind)
      await press('Delete box')
    }
    for (const kind of ['kit-upper', 'kit-lower']) {
      await choose('Box type', kind)
      await press(/^Place boxes for/)
    }
    await says('section[aria-label=Wire]', '3 of 3 boxes placed')
  })
})

describe('Wire, routes and ports', () => {
  it('runs raceway on concrete, and tells a player of too few ports', async () => {
    await mount({ site: 'ravel-sands', wall: 'arrivals' })
    await says('section[aria-label=Wire]', '8 of 8 screens fed by 1 circuit; 8 of 8 boxes placed')
    await press('Routes')
    await expect.poll(() => said('[aria-label="Route sections"]')).toContain('All work')
    await press('All work')
    await says('[data-testid=works]', 'raceway for power 7303 mm, inside width at least 13 mm, 0 corners')
    expect(said('[data-testid=works]')).toContain('Lyng 3 × 2.5 installation cable: 25000 mm off reels')
    await press('Schedule')
    await says('[data-source=cabinet]', 'Port 1: R1 C1 → R2 C1 → R2 C2 → R1 C2')
    expect(said('[data-source=cabinet]')).toContain('Port 2: R1 C3 → R2 C3 → R2 C4 → R1 C4')
    expect(said('[data-source=cabinet]')).toContain('Longest link')
    // Two ports cannot feed eight screens each by a cable of its own.
    await choose('Connection', 'each')
    await says('[data-finding=no-port]', 'Cabinet by the lift has 2 ports, and R1 C3, ')
    await fill('Ports', '8', source('cabinet'))
    await gone('[data-finding=no-port]')
    expect(new Set(wiring().links.map(({ port }) => port)).size).toBe(8)
    expect(wiring().routes.every(({ way }) => way === 'surface')).toBe(true)
  })

  it('finds a bay from above by a dimension or by the locator, which tells when it is not over it', async () => {
    await mount()
    await press('Routes')
    await says('section[aria-label=Wire]', 'R1 C1 signal, from above')
    await line(/^R1 C1 signal, from above/)
    await press('Find bay')
    await says('[data-testid=find-bay]', 'to the right of the left edge of the wall')
    await press('Use practice locator')
    await says('[data-testid=find-bay]', 'Within the stud bay')
    await fill('Located at, along', '2500')
    await says('[data-testid=find-bay]', 'outside the stud bay: do not bore there')
    expect(field('Located at, along').value).toBe('2500')
  })
})
