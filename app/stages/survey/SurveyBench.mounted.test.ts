import { fireEvent } from '@testing-library/dom'
import { describe, expect, it } from 'vitest'
import type { Job, Wall } from '~~/core/job'
import {
  alerts, bare, choose, escape, field, fill, mountAtWall, planned, press, refuses, said, says, textOf,
} from '~~/tests/fixtures/mounted'
import EvidenceImport from './EvidenceImport.vue'
import SurveyBench from './SurveyBench.vue'
import SurveyLedger from './SurveyLedger.vue'

const survey = (at?: Parameters<typeof mountAtWall>[1]) => mountAtWall([SurveyBench, SurveyLedger], at)
const line = () => field('Readings in one line')
async function quick(text: string, enter = true) {
  await fireEvent.input(line(), { target: { value: text } })
  if (enter) await fireEvent.keyDown(line(), { key: 'Enter' })
  await planned()
}
const row = (id: string) => document.querySelector<HTMLElement>(`tr[data-row="${id}"]`)!
const memberRow = (number: number) =>
  [...document.querySelectorAll<HTMLElement>('tr[data-row]')].find(each => textOf(each).startsWith(`Stud ${number}`))!
const summary = (text: string) => says('section[aria-label=Survey]', text)

describe('Survey', () => {
  it('surveys a wall from nothing by the quick line: read as it is typed, kept once it is entered', async () => {
    const store = await survey({ site: 'stennick', wall: 'departures-row', change: bare(4114.8, 2400) })
    await summary('0 studs')
    expect(said('[data-finding=framing-unknown]')).not.toBe('')
    expect(said('[data-testid=next-probe]')).toContain('No stud is known yet')
    await quick('e 381 419 781 819, m 1202, e 1581 1619, q 5, p 2002 hitt')
    expect(said('[data-testid=quick-told]')).toContain('q Start with')
    expect(said('[data-testid=quick-told]')).toContain('hitt Enter a position, or hit or miss')
    expect(said('.wrong')).toBe('q')
    expect(line().value).toContain('hitt')
    // Read and drawn before it is kept.
    await quick('e 381 419 781 819, m 1202, e 1581 1619, p 2002 hit', false)
    await summary('6 studs')
    expect(said('[data-testid=quick-told]')).toContain('8 readings previewed')
    expect(store.wall!.evidence ?? []).toEqual([])
    await fireEvent.keyDown(line(), { key: 'Enter' })
    await planned()
    expect(line().value).toBe('')
    // One nail may have met blocking: the wall says where there is none.
    await summary('0 confirmed')
    store.edit('Rule out blocking', (wall) => { wall.blockingRuledOut = [{ x1: 0, x2: 6000, y1: 0, y2: 3000 }] })
    await summary('1 confirmed')
    expect(store.wall!.evidence).toHaveLength(8)
    const id = expect.stringMatching(/^e8-/)
    expect(store.wall!.evidence![7]).toMatchObject({ id, method: 'probe', hit: true, x: 2002, y: 1500 })
    expect(store.wall!.evidence![7]!.at).toMatch(/Z$/)
    // Told with its working, and why.
    await fireEvent.click(memberRow(2))
    await says('[data-testid=member-card]', 'single, found, unconfirmed')
    await press(/^Stud spacing of run/, document.querySelector<HTMLElement>('[data-testid=member-card]')!)
    await says('[data-testid=member-card]', /studs found at 400/)
    expect(said('[data-testid=member-card]')).toContain('Based on a detector edge (2 times)')
  })

  it('takes no slip of the hand: off the wall, by the line and by the reading height', async () => {
    const store = await survey()
    const before = store.wall
    await quick('m 690, p 9000 hit, @5 m')
    expect(said('[data-testid=quick-told]')).toContain('9000 This is off the wall; the maximum is 6200 mm')
    expect(said('[data-testid=quick-told]')).toContain('@5 m This is off the wall; the maximum is 3300 mm')
    expect(line().value).toBe('m 690, p 9000 hit, @5 m')
    await fireEvent.keyDown(line(), { key: 'Escape' })
    await fill('Reading height', '4000')
    await expect.poll(alerts).toContainEqual(expect.stringMatching(/ust be within the wall/))
    escape('Reading height')
    expect(store.wall).toBe(before)
  })
})

describe('Survey, by references and joints', () => {
  it('reads the framing from the far side by a reference, and says where two references disagree', async () => {
    const store = await survey({ site: 'stennick', wall: 'departures-row', change: bare(4000, 2400) })
    await press('Features')
    await expect.poll(() => [...document.querySelectorAll('button')].map(textOf)).toContain('Add reference')
    await press('Add reference')
    await fill('Name', 'jamb')
    await fill('Front', '1000')
    await fill('Rear', '3000')
    await press('Readings')
    const [jamb] = store.wall!.references!
    expect(jamb).toMatchObject({ name: 'jamb', front: 1000, back: 3000 })
    await choose('Side', jamb!.id)
    // Behind, 3581 and 3619 lie about 400 on the front: 1000 + (3000 − 3600).
    await quick('e 3581 3619 3181 3219 2781 2819')
    // Three that were read, and one more expected to their right.
    await summary('4 studs')
    expect(textOf(memberRow(1))).toContain('400')
    await press(/readings$/)
    await fireEvent.click(row(store.wall!.evidence![0]!.id))
    await says('[data-testid=reading-card]', 'measured at rear')
    await press(/^Position at front/)
    await says('[data-testid=reading-card]', '1000 + (3000 − 3581) = 419')
    expect(store.wall!.evidence![0]).toMatchObject({ side: 'back', reference: jamb!.id, x: 3581, edge: 'left' })
    await press('Features')
    await press('Add reference')
    const second = () => document.querySelector<HTMLElement>('[data-reference^=r2]')!
    await expect.poll(second).not.toBeNull()
    await fill('Front', '3000', second())
    await fill('Rear', '1020', second())
    await says('[data-finding=references-disagree]', 'transfer the same position 20 mm apart')
  })

  it('fits a block wall to the joints that were read', async () => {
    await survey({ site: 'stennick', wall: 'departures-row', change: bare(4000, 2400, 'Plaster on block') })
    expect(said('[data-finding=coursing-not-surveyed]')).not.toBe('')
    await quick('@600, j 500 bed, @700, j 540 head, @900, j 740 head')
    await summary('Coursing from joint readings')
    expect(said('[data-finding=coursing-not-surveyed]')).toBe('')
    await quick('@1100, j 740 head')
    await expect.poll(() => said('[data-finding=joints-disagree]')).not.toBe('')
  })
})

describe('Survey, what it is not sure of', () => {
  it('sets a false reading aside with a reason, and the proof of the holes follows', async () => {
    // Before the nails beside the middle one of the three studs that carry the sign.
    const change = (wall: Wall, job: Job) => {
      job.log = []
      wall.evidence = wall.evidence!.filter(({ id }) => !['n5', 'n6', 'n7', 'n8'].includes(id))
    }
    const store = await survey({ site: 'ravel-sands', wall: 'pier', change })
    const probe = () => document.querySelector<HTMLElement>('[data-testid=next-probe]')
    await says('[data-testid=next-probe]', '2 planned holes rely on it')
    await press('Hit', probe()!)
    await expect.poll(probe).toBeNull()
    await press(/readings$/)
    const last = [...document.querySelectorAll<HTMLElement>('tr[data-row^=e]')].at(-1)!
    await fireEvent.click(last)
    const card = () => document.querySelector<HTMLElement>('[data-testid=reading-card]')!
    await says('[data-testid=reading-card]', 'a probe, hit')
    await press('Exclude', card())
    expect(alerts()).toContainEqual(expect.stringContaining('Enter a reason'))
    const reason = field('Reason for excluding', card())
    await fireEvent.input(reason, { target: { value: 'The nail hit the sheathing clip.' } })
    await press('Exclude', card())
    await says('[data-testid=reading-card]', 'Excluded: The nail hit the sheathing clip.')
    await press('Back to entry')
    await says('[data-testid=next-probe]', '2 planned holes rely on it')
    const setAside = 'The nail hit the sheathing clip.'
    expect(store.wall!.evidence!.at(-1)).toMatchObject({ method: 'probe', setAside })
  })

  it('ends a member where a nail missed it at another height', async () => {
    await survey()
    await quick('@500, p 1690 hit, @2900, p 1690 miss')
    // The nail at 2360 met it, so it ends above the highest row of holes, which rest where it was met.
    await says('[data-finding=member-ends]', 'The stud ends between, or leans by at least')
    await fireEvent.click(memberRow(5))
    await says('[data-testid=member-card]', 'assumed from 0 to')
  })

  it('says what is wrong with the size of a wall beside it', async () => {
    const store = await survey()
    const before = store.wall
    await press('Wall')
    await expect.poll(() => document.body.textContent).toContain('Wall height')
    for (const [label, typed, told] of [
      ['Wall width', '0', 'Must be more than 0'], ['Wall height', '-3 m', 'Must be more than 0'],
      ['Wall width', '200 m', 'at most 100 m'], ['Wall width', '2000', 'columns are 3065.4 mm wide; the wall is 2000'],
    ] as const) await refuses(label, typed, told)
    expect(store.wall).toBe(before)
  })
})

/** Gives a file to a hidden input, as a person's choice does. */
async function giveFile(testId: string, name: string, text: string) {
  const input = document.querySelector<HTMLInputElement>(`[data-testid=${testId}]`)!
  Object.defineProperty(input, 'files', { value: [new File([text], name, { type: 'text/csv' })], configurable: true })
  await fireEvent.change(input)
}

describe('Survey, what the wall is', () => {
  it('builds a wall up by presets and layers in order, and tells what its age may mean', async () => {
    const store = await survey({ site: 'stennick', wall: 'departures-row', change: bare(4000, 2400) })
    await press('Layers')
    await expect.poll(() => document.querySelector('[data-testid=layers]')).not.toBeNull()
    await choose('Preset', 'Plasterboard on furring on block')
    await expect.poll(() => document.querySelectorAll('[data-testid=layers] > li')).toHaveLength(2)
    await press('Move layer 2 towards the structure')
    await choose('Material of layer 2', 'plywood')
    await press('Add layer')
    const materials = store.wall!.covering.map(({ material }) => material)
    expect(materials).toEqual(['gypsum-board', 'plywood', 'gypsum-board'])
    await press('Wall')
    await expect.poll(() => document.body.textContent).toContain('Year lined')
    await refuses('Year lined', '1850s', '“1850s” is not a number of years')
    await fill('Year lined', '1974')
    await says('[data-finding=lining-old]', 'it may contain asbestos')
    expect(store.wall).toMatchObject({ linedIn: 1974, structure: { kind: 'block', block: { length: 390 } } })
  })

  it('keeps studs that are known under another preset, and is told whether a sheet carries', async () => {
    const store = await survey({ site: 'holm-point', wall: 'cafe' })
    const { members } = store.wall!.structure
    expect(members!.length).toBeGreaterThan(3)
    await press('Layers')
    await choose('Preset', 'Plasterboard on plywood on steel studs')
    await expect.poll(() => store.wall!.covering[0]).toEqual({ material: 'plywood', thickness: 18, backing: true })
    expect(store.wall!.structure).toMatchObject({ kind: 'steel-stud', members })
    await fireEvent.click(field('Backing that carries: fixed to every stud'))
    expect(store.wall!.covering[0]).toEqual({ material: 'plywood', thickness: 18 })
  })
})

describe('Survey, the face and the units of a wall', () => {
  it('reads the face point by point, three lengths each', async () => {
    const store = await survey({ site: 'ravel-sands', wall: 'arrivals' })
    await press('Flatness')
    await says('[data-testid=relief]', 'Arrivals')
    await expect.poll(() => document.querySelector('[aria-label="Flatness points"]')).not.toBeNull()
    const count = store.wall!.surface!.length
    const along = field('Along, up, distance to plane')
    for (const [text, told] of [['600 900', 'three lengths'], ['600 90000 172', 'is outside the wall']] as const) {
      await fireEvent.input(along, { target: { value: text } })
      await fireEvent.submit(along.form!)
      await expect.poll(alerts).toContainEqual(expect.stringContaining(told))
      expect([along.value, store.wall!.surface!.length]).toEqual([text, count])
    }
    await fireEvent.input(along, { target: { value: '600 900 172' } })
    await fireEvent.submit(along.form!)
    expect(store.wall!.surface!.at(-1)).toEqual({ x: 600, y: 900, distance: 172 })
    await planned()
    expect(document.querySelectorAll('[aria-label="Flatness points"] li')).toHaveLength(count + 1)
  })

  it('takes a wall of brick by its preset, asks what the bricks are, and fits it to the joints read', async () => {
    const store = await survey({ site: 'stennick', wall: 'departures-row', change: bare(4114.8, 2400) })
    await press('Layers')
    await choose('Preset', 'Plaster on brick')
    await summary('Coursing as entered')
    expect(said('[data-finding=brick-strength-not-known]')).toContain('Mortar joints carry nothing')
    await press('Wall')
    await expect.poll(() => field('Brick height').value).toBe('65')
    await choose('Brick type', 'perforated')
    await says('[data-finding=drill-without-hammer]', 'Hammer action breaks perforated brick.')
    await fill('Solid behind face', '25')
    expect(store.wall!.structure.brick).toMatchObject({ unit: 'perforated', shell: 25, length: 215 })
    await choose('Brick type', 'frogged')
    await says('[data-finding=frog-in-brick]', 'hollow at one of its beds')
    await press('Readings')
    await expect.poll(() => line().placeholder).toContain('bed')
    await quick('@900 j 1000 bed, @1500 j 1000 bed, @940 j 1125 head')
    await summary('Coursing from joint readings')
  })
})

describe('Survey, what is imported or known', () => {
  it('shows a table with bad rows before it takes in the good ones', async () => {
    const store = await mountAtWall([SurveyBench, EvidenceImport])
    const before = store.wall!.evidence!
    const csv = ['id,method,x,y,hit', ',probe,900,1200,hit', ',probe,940,1200,perhaps', ',sonar,1,2,',
      `${before[0]!.id},${before[0]!.method},20,1500,`, ',magnet,far,1200,', ',magnet,1300,1200,']
    await giveFile('evidence-csv', 'readings.csv', csv.join('\r\n'))
    await says('[data-testid=evidence-import]', '2 added, 4 rejected')
    const preview = document.querySelector<HTMLElement>('[data-testid=evidence-import]')!
    expect(preview.querySelectorAll('[data-becomes=refused]')).toHaveLength(4)
    expect(textOf(preview)).toContain('It must have edge, because its method is detector-edge')
    expect(textOf(preview)).toContain('x: “far” is not a length')
    await press('Import 2 rows', preview)
    await says('[data-testid=evidence-import]', 'No rows.')
    expect(store.wall!.evidence!.slice(0, -2)).toEqual(before)
    expect(store.wall!.evidence!.slice(-2)).toMatchObject([{ method: 'probe', x: 900 }, { method: 'magnet', x: 1300 }])
  })

  it('enters, moves and deletes members that are known, and refuses them off the wall', async () => {
    const store = await survey({ wall: 'cafe' })
    const centres = () => store.wall!.structure.members!.map(({ centre }) => centre)
    const entry = () => field('Stud centre from datum')
    const enter = async (text: string) => {
      await fireEvent.input(entry(), { target: { value: text } })
      await fireEvent.submit(entry().form!)
      await planned()
    }
    await summary('7 studs known')
    await enter('600; 39 3/8"; 1.5 m')
    await summary('10 studs')
    await enter('7000')
    expect(alerts()).toContainEqual(expect.stringContaining('7000 is outside the wall'))
    expect(entry().value).toBe('7000')
    await fireEvent.click(memberRow(2))
    await fill('Centre from datum', '412.5')
    runByKey(new KeyboardEvent('keydown', { key: 'ArrowRight', shiftKey: true }))
    await expect.poll(() => field('Centre from datum').value).toBe('413.5')
    await fireEvent.click(memberRow(3))
    runByKey(new KeyboardEvent('keydown', { key: 'Delete' }))
    await summary('9 studs')
    expect(centres().slice(0, 3)).toEqual([19, 413.5, 800])
  })
})
