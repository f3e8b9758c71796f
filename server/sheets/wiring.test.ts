import Papa from 'papaparse'
import { describe, expect, it } from 'vitest'
import { demoJob } from '../../tests/fixtures/demo'
import { pdfText } from '../../tests/fixtures/pdfText'
import { planWall, contextOf } from '../../core/plan'
import { PAPERS } from '../../core/sheet'
import { drawElectrician, drawLabels, scheduleOf } from '../../core/wire'
import { sheetAsPdf } from './pdf'
import { scheduleAsCsv } from './scheduleCsv'

/** A wall of the demo as planned. */
function planned(site: Parameters<typeof demoJob>[0], id: string) {
  const job = demoJob(site)
  const wall = job.walls.find(wall => wall.id === id)!
  const plan = planWall(wall, contextOf(job))
  const cases = plan.arrays.flatMap(({ positions }) => positions.map(({ outer }) => outer))
  const { site: { name, electricalRules } } = job
  const electrician = { site: name, wall, cases, wiring: plan.wiring, electricalRules, rules: {} }
  return { wall, wiring: plan.wiring, electrician }
}

describe('the electrician’s sheet', () => {
  it.each([
    ['holm-point', 'ticket-hall', 'a4', 'metric'],
    ['ravel-sands', 'arrivals', 'letter', 'imperial'],
    ['ravel-sands', 'pier', 'a4', 'metric'],
  ] as const)(
    'of %s, %s has on %s every circuit, box and height, and room for name and licence',
    async (site, id, paper, units) => {
      const { wall, wiring, electrician } = planned(site, id)
      const pages = await pdfText(
        await sheetAsPdf(drawElectrician({ ...electrician, units }, PAPERS[paper]), 'Electrician'),
      )
      const all = pages.flat()
      for (const { name, watts } of wiring.circuits)
        expect([all.some(text => text.endsWith(name)), all.includes(`${Math.round(watts)} W`)]).toEqual([true, true])
      const powered = wiring.boxes.filter(({ kind }) => kind !== 'pass-through')
      for (const box of powered) expect(all).toContain(box.id)
      const heights = all.filter(
        text => text === (units === 'metric' ? String(Math.round(powered[0]!.y)) : '7\' 5 13/16"'),
      )
      expect(heights.length).toBeGreaterThan(0)
      for (const text of ['Name', 'Licence', 'Signature']) expect(all).toContain(text)
      expect(all.join(' ')).toContain(
        `Isolate, lock off and prove dead before opening anything: ${wiring.circuits[0]!.name}`,
      )
      expect(all.join(' ').includes('drip loop')).toBe(wall.id === 'pier')
      pages.forEach((page, n) => expect(page).toContain(`page ${n + 1} of ${pages.length}`))
    },
  )
})

describe('labels', () => {
  it('are two for each cable, each with its number and both ends', async () => {
    const { wiring } = planned('holm-point', 'cafe')
    const schedule = scheduleOf(wiring)
    const all = (await pdfText(await sheetAsPdf(drawLabels(schedule, PAPERS.a4, 'metric'), 'Labels'))).flat()
    for (const { number, from, to, port, needed, taken, reel } of schedule) {
      expect(all.some(text => text.startsWith(`${Math.round(reel ? needed : taken!)} mm, `))).toBe(true)
      const start = port === undefined ? from : `${from}, port ${port}`
      expect(all.filter(text => text === String(number)).length).toBe(2)
      for (const text of [start, `other end: ${start}`, to, `other end: ${to}`]) expect(all.join(' ')).toContain(text)
    }
  })
})

describe('the schedule', () => {
  it('has every cable with its ends and lengths, and the exact ones beside them', () => {
    const { wiring } = planned('holm-point', 'ticket-hall')
    const { data } = Papa.parse<Record<string, string>>(scheduleAsCsv(scheduleOf(wiring), 'imperial', {}), {
      header: true,
    })
    expect(data.map(({ id }) => id).sort()).toEqual(wiring.cables.map(({ id }) => id).sort())
    const [row] = data.filter(({ id }) => id === 'picture-departures-r1c1')
    const cable = wiring.cables.find(({ id }) => id === 'picture-departures-r1c1')!
    expect(row).toMatchObject({
      'kind': 'picture',
      'from': 'Rack, ticket office',
      'port': '1',
      'to': 'R1 C1',
      'route': 'from above',
      'required mm exact': String(Number(cable.needed.value.toFixed(4))),
      'stock length mm exact': '10000',
      'off the reel': 'no',
    })
    expect(row!.required).toMatch(/^31' /)
  })
})
