import type { Page } from '@playwright/test'
import { expect, fill, HALL, saved, test } from './house'

const CAFE = '/sites/holm-point/walls/cafe'
type KeptWall = { job: { walls: { structure: { members?: { centre: number }[] }, evidence?: Record<string, unknown>[], features?: Record<string, unknown>[] }[] } }
const centres = (wall: KeptWall) => wall.job.walls[0]!.structure.members!.map(({ centre }) => centre)
const summary = (page: Page, text: string) => expect(page.getByRole('region', { name: 'Survey' })).toContainText(text)
const leaf = (page: Page, name: string) => page.getByRole('tab', { name, exact: true }).click()

/** The place on the screen of a point of the wall, mm. */
async function onScreen(page: Page, x: number, y: number, wall: { width: number, height: number }) {
  const box = (await page.locator('[data-testid=elevation] > g > rect').first().boundingBox())!
  return { x: box.x + box.width * x / wall.width, y: box.y + box.height * (1 - y / wall.height) }
}

async function beginWall(page: Page, name: string, width: string, height: string) {
  await page.goto('/sites/stennick')
  await page.getByLabel('Name', { exact: true }).fill(name)
  await page.getByLabel('Width').fill(width)
  await page.getByLabel('Height').fill(height)
  await page.getByRole('button', { name: 'Begin the wall' }).click()
  await expect(page).toHaveURL(/\/survey$/)
}

test('a wall is surveyed from nothing by the quick line', async ({ page, house }) => {
  await beginWall(page, 'Waiting room', '13\' 6"', '2.4 m')
  await summary(page, '0 members')
  await expect(page.locator('[data-finding=framing-unknown]')).toBeVisible()
  await expect(page.getByTestId('next-probe')).toContainText('Nothing is known yet')

  const line = page.getByLabel('Readings in one line')
  await line.fill('e 381 419 781 819, m 1202, e 1581 1619, q 5, p 2002 hitt')
  await expect(page.getByTestId('quick-told')).toContainText('q Begin with')
  await expect(page.getByTestId('quick-told')).toContainText('hitt Expected a place, or hit or miss')
  await expect(page.locator('.wrong').first()).toHaveText('q')
  await line.press('Enter')
  await expect(line).toHaveValue(/hitt/)
  // Read and drawn before it is kept.
  await line.fill('e 381 419 781 819, m 1202, e 1581 1619, p 2002 hit')
  await summary(page, '6 members')
  await expect(page.getByTestId('quick-told')).toContainText('8 readings, drawn already')
  expect((await house.wall('stennick', 'waiting-room')).job.walls[0].evidence ?? []).toEqual([])
  await line.press('Enter')
  await expect(line).toHaveValue('')
  await summary(page, '1 proved')
  await saved(page)

  // Told with its working, and why.
  await page.locator('[data-row=member-1]').click()
  const card = page.getByTestId('member-card')
  await expect(card).toContainText('single, observed, not proved')
  await card.getByRole('button', { name: /^Spacing of its run/ }).click()
  await expect(card).toContainText(/members found stand at 400/)
  await expect(card).toContainText('Rests on a detector’s edge (2 times)')
  await page.keyboard.press('Escape')
  await expect(card).toHaveCount(0)
  const kept = (await house.wall('stennick', 'waiting-room')).job.walls[0]
  expect(kept.evidence).toHaveLength(8)
  expect(kept.evidence[7]).toMatchObject({ id: 'e8', method: 'probe', hit: true, x: 2002, y: 1500, at: expect.stringMatching(/Z$/) })
})

test('what the wall is: presets, layers in order, blocking, age', async ({ page, house }) => {
  await beginWall(page, 'Store', '4 m', '2.4 m')
  await leaf(page, 'Wall')
  await fill(page, 'Wall width', '4200')
  await page.getByLabel('Begin with').selectOption('Board on furring on block')
  await expect(page.getByTestId('layers').locator('li')).toHaveCount(2)
  await page.getByRole('button', { name: 'Layer 2 towards the structure' }).click()
  await page.getByLabel('Material of layer 2').selectOption('plywood')
  await page.getByRole('button', { name: 'Add a layer' }).click()
  await expect(page.getByTestId('section').locator('[data-layer]')).toHaveCount(3)
  // Dragged by its grip to the structure.
  await page.locator('[data-grip]').nth(2).dragTo(page.locator('[data-grip]').nth(0))
  await expect(page.getByLabel('Material of layer 1')).toHaveValue('gypsum-board')
  await expect(page.getByLabel('Material of layer 3')).toHaveValue('plywood')
  await fill(page, 'Lined in the year', '1850s')
  await expect(page.getByRole('alert')).toContainText('“1850s” is not a number of years')
  await fill(page, 'Lined in the year', '1974')
  await expect(page.locator('[data-finding=lining-old]')).toContainText('it may hold asbestos')
  await saved(page)
  const wall = (await house.wall('stennick', 'store')).job.walls[0]
  expect(wall).toMatchObject({ width: 4200, linedIn: 1974, structure: { kind: 'block', block: { length: 390 } } })
  expect(wall.covering.map(({ material }: { material: string }) => material)).toEqual(['gypsum-board', 'gypsum-board', 'plywood'])
})

test('the framing is read from the far side by a reference', async ({ page, house }) => {
  await beginWall(page, 'Outside', '4000', '2400')
  await leaf(page, 'Around')
  await page.getByRole('button', { name: 'Add a reference' }).click()
  await fill(page, 'Name', 'jamb')
  await fill(page, 'Front', '1000')
  await fill(page, 'Behind', '3000')
  await leaf(page, 'Readings')
  await page.getByLabel('From the').selectOption('jamb')
  const line = page.getByLabel('Readings in one line')
  // Behind, 3581 and 3619 lie about 400 on the front: 1000 + (3000 − 3600).
  await line.fill('e 3581 3619 3181 3219 2781 2819')
  await line.press('Enter')
  // Three that were read, and one more expected to their right.
  await summary(page, '4 members')
  const first = page.locator('[data-row=member-0]')
  await expect(first).toContainText('400')
  await page.getByRole('tab', { name: /readings$/ }).click()
  await page.locator('[data-row=e1]').click()
  await expect(page.getByTestId('reading-card')).toContainText('far side')
  await page.getByRole('button', { name: /^On the front/ }).click()
  await expect(page.getByTestId('reading-card')).toContainText('1000 + (3000 − 3581) = 419')
  await leaf(page, 'Around')
  await page.getByRole('button', { name: 'Add a reference' }).click()
  const second = page.locator('[data-reference=r1]')
  await second.getByLabel('Front').fill('3000')
  await second.getByLabel('Front').press('Enter')
  await second.getByLabel('Behind').fill('1020')
  await second.getByLabel('Behind').press('Enter')
  await expect(page.locator('[data-finding=references-disagree]')).toContainText('carry a position over 20 apart')
  await saved(page)
  expect((await house.wall('stennick', 'outside')).job.walls[0].evidence[0]).toMatchObject({ side: 'back', reference: 'jamb', x: 3581, edge: 'left' })
})

test('a block wall is fitted to the joints that were read', async ({ page }) => {
  await beginWall(page, 'Back', '4000', '2400')
  await leaf(page, 'Wall')
  await page.getByLabel('Begin with').selectOption('Plaster on block')
  await leaf(page, 'Readings')
  await expect(page.locator('[data-finding=coursing-not-surveyed]')).toBeVisible()
  const line = page.getByLabel('Readings in one line')
  await line.fill('@600, j 500 bed, @700, j 540 head, @900, j 740 head')
  await line.press('Enter')
  await expect(page.locator('[data-finding=coursing-not-surveyed]')).toHaveCount(0)
  await summary(page, 'Coursing from joints read')
  await expect(page.locator('[data-coursing]')).not.toHaveAttribute('stroke-dasharray')
  await line.fill('@1100, j 740 head')
  await line.press('Enter')
  await expect(page.locator('[data-finding=joints-disagree]')).toBeVisible()
})

test('a false reading is set aside, and the holes’ proof follows', async ({ page, house }) => {
  await page.goto('/sites/ravel-sands/walls/pier/survey')
  const probe = page.getByTestId('next-probe')
  await expect(probe).toContainText('2 planned holes rest on it')
  await expect(page.getByRole('link', { name: 'Mount' })).toContainText('stop')
  await probe.getByRole('button', { name: 'Hit' }).click()
  await expect(probe).toHaveCount(0)
  await expect(page.locator('nav, [data-stage]').getByText('stops', { exact: false })).toHaveCount(0)
  await page.getByRole('tab', { name: /readings$/ }).click()
  await page.locator('tr[data-row^=e]').last().click()
  const card = page.getByTestId('reading-card')
  await expect(card).toContainText('a probe, hit')
  await card.getByRole('button', { name: 'Set aside' }).click()
  await expect(page.getByRole('alert')).toContainText('Say why')
  await card.getByLabel('Set aside, because').fill('The nail hit the sheathing clip.')
  await card.getByRole('button', { name: 'Set aside' }).click()
  await expect(card).toContainText('Set aside: The nail hit the sheathing clip.')
  await page.getByRole('button', { name: 'Back to entering' }).click()
  await expect(probe).toContainText('2 planned holes rest on it')
  await saved(page)
  const evidence = (await house.wall('ravel-sands', 'pier')).job.walls[0].evidence
  expect(evidence.at(-1)).toMatchObject({ method: 'probe', setAside: 'The nail hit the sheathing clip.' })
})

test('a table with bad rows is looked at before it is taken in', async ({ page, house }) => {
  await page.goto(`${HALL}/survey`)
  const before = (await house.wall()).job.walls[0].evidence
  const csv = ['id,method,x,y,hit', ',probe,900,1200,hit', ',probe,940,1200,perhaps', ',sonar,1,2,', `${before[0].id},${before[0].method},20,1500,`, ',magnet,far,1200,', ',magnet,1300,1200,'].join('\r\n')
  await page.getByTestId('evidence-csv').setInputFiles({ name: 'readings.csv', mimeType: 'text/csv', buffer: Buffer.from(csv) })
  const preview = page.getByTestId('evidence-import')
  await expect(preview).toContainText('2 added, 4 refused')
  await expect(preview.locator('[data-becomes=refused]')).toHaveCount(4)
  await expect(preview).toContainText('It must say edge, as it is by detector-edge')
  await expect(preview).toContainText('x: “far” is not a length')
  await preview.getByRole('button', { name: 'Take 2 rows in' }).click()
  await expect(preview).toHaveCount(0)
  await saved(page)
  expect((await house.wall()).job.walls[0].evidence).toHaveLength(before.length + 2)
  const { body } = await house.api(`${HALL}/evidence`)
  expect(body.trim().split('\r\n')).toHaveLength(before.length + 3)
})

test('a picture is kept with a reading, and what is none is refused by its content', async ({ page, house }) => {
  await page.goto(`${HALL}/survey`)
  await page.getByRole('tab', { name: /readings$/ }).click()
  await page.locator('[data-row=e1]').click()
  await page.getByTestId('photo').setInputFiles({ name: 'wall.jpg', mimeType: 'image/jpeg', buffer: Buffer.from('%PDF-1.3 no picture at all') })
  await expect(page.getByRole('alert')).toContainText('no JPEG, PNG or WebP picture')
  const png = Buffer.from('iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==', 'base64')
  await page.getByTestId('photo').setInputFiles({ name: 'wall.txt', mimeType: 'text/plain', buffer: png })
  await expect(page.getByAltText('Picture of reading e1')).toBeVisible()
  await saved(page)
  const [reading] = (await house.wall()).job.walls[0].evidence
  expect(reading.photo).toMatch(/^[0-9a-f]{32}\.png$/)
  expect((await house.api(`/sites/holm-point/photos/${reading.photo}?thumb=1`)).headers.get('content-type')).toBe('image/webp')
  expect((await house.api('/sites/holm-point/photos/..%2Fwide-trellis.db')).status).toBe(404)
  expect((await house.api('/sites/holm-point/photos', { method: 'POST', body: Buffer.alloc(15 * 1024 * 1024 + 1) })).status).toBe(413)
})

test('features are drawn on the elevation and typed exactly; a cable near a hole is a stop', async ({ page, house }) => {
  await page.goto(`${HALL}/survey`)
  await leaf(page, 'Around')
  await page.getByLabel('Keep clear of, or within reach').selectOption('live-cable')
  await page.getByRole('button', { name: 'Draw it' }).click()
  const wall = { width: 6200, height: 3300 }
  const [from, to] = [await onScreen(page, 1650, 2200, wall), await onScreen(page, 1660, 2900, wall)]
  await page.mouse.move(from.x, from.y)
  await page.mouse.down()
  await page.mouse.move(to.x + 2, to.y, { steps: 4 })
  await page.mouse.up()
  const card = page.getByTestId('feature-card')
  await expect(card).toContainText('Live cable run')
  await fill(page, 'Left side, from the wall’s left', '1650')
  await fill(page, 'Width', '20')
  await page.getByRole('link', { name: 'Mount' }).click()
  await expect(page.locator('[data-finding=hole-near-live-cable]').first()).toContainText('from a live cable; 50 is the least')
  await saved(page)
  expect((await house.wall()).job.walls[0].features.at(-1)).toMatchObject({ kind: 'live-cable', x: 1650, width: 20 })
})

test('instruments feed the same entry, and pointing does', async ({ page, house }) => {
  await page.goto(`${CAFE}/survey`)
  await page.getByLabel('Framing').selectOption('readings')
  await summary(page, '0 members')
  await page.getByLabel('By pointing').selectOption({ label: 'Magnet' })
  const wall = { width: 2400, height: 2700 }
  const at = await onScreen(page, 1200, 900, wall)
  await page.mouse.click(at.x, at.y)
  await summary(page, '1 members')
  await page.getByLabel('Instrument').selectOption('practice-distance')
  await page.mouse.click(at.x + 40, at.y)
  await expect(page.getByText(/Heard: \d+ mm/)).toBeVisible()
  await saved(page)
  expect((await house.wall('holm-point', 'cafe')).job.walls[0].evidence.map(({ method }: { method: string }) => method)).toEqual(['magnet', 'magnet'])
  await page.getByLabel('Instrument').selectOption('practice-detector')
  for (let x = 300; x < 2400; x += 80) {
    const place = await onScreen(page, x, 1300, wall)
    await page.mouse.click(place.x, place.y)
  }
  await expect(page.getByText(/Heard: (left|right) edge at/)).toBeVisible()
})

test('the face is read and shown as a relief with what the adjusters must take up', async ({ page }) => {
  await page.goto('/sites/ravel-sands/walls/arrivals/survey')
  await leaf(page, 'Face')
  await expect(page.getByTestId('relief')).toContainText('Arrivals: adjusters must take up')
  await expect(page.locator('[data-relief] circle').first()).toBeAttached()
  const points = page.getByRole('list', { name: 'Points of the face' }).locator('li')
  const count = await points.count()
  await fill(page, 'Along, up, distance from the plane', '600 900')
  await expect(page.getByRole('alert')).toContainText('three lengths')
  await fill(page, 'Along, up, distance from the plane', '600 900 172')
  await expect(points).toHaveCount(count + 1)
})

test('members that are known are entered, moved and deleted', async ({ page, house }) => {
  await page.goto(`${CAFE}/survey`)
  await summary(page, '7 members known')
  await fill(page, 'Member centre, from the datum', '600; 39 3/8"; 1.5 m')
  await summary(page, '10 members')
  await page.getByRole('button', { name: 'Point on the wall' }).click()
  const at = await onScreen(page, 1800, 300, { width: 2400, height: 2700 })
  await page.mouse.click(at.x, at.y)
  await summary(page, '11 members')
  await page.getByRole('button', { name: 'Pointing' }).click()
  await page.locator('[data-row=member-1]').click()
  await fill(page, 'Centre, from the datum', '412.5')
  await page.locator('h1').click()
  await page.keyboard.press('Shift+ArrowRight')
  await expect(page.getByTestId('chosen-member').getByLabel('Centre, from the datum')).toHaveValue('413.5')
  await page.locator('[data-row=member-2]').click()
  await page.keyboard.press('Delete')
  await summary(page, '10 members')
  await saved(page)
  expect(centres(await house.wall('holm-point', 'cafe')).slice(0, 3)).toEqual([19, 413.5, 800])
})

test('a known member is dragged on the elevation, and refused off the wall', async ({ page, house }) => {
  await page.goto(`${CAFE}/survey`)
  const member = page.locator('[data-member="3"]')
  const { x, y, width, height } = (await member.boundingBox())!
  await page.mouse.move(x + width / 2, y + height * 0.9)
  await page.mouse.down()
  await page.mouse.move(x + width / 2 + 20, y + height * 0.9, { steps: 5 })
  await page.mouse.up()
  await saved(page)
  const wall = (await page.locator('[data-testid=elevation] > g > rect').first().boundingBox())!
  const moved = centres(await house.wall('holm-point', 'cafe'))[3]!
  expect(Math.abs(moved - (1200 + 20 * 2400 / wall.width))).toBeLessThan(2400 / wall.width + 1)
  await fill(page, 'Member centre, from the datum', '7000')
  await expect(page.getByRole('alert')).toContainText('7000 is off a wall that is 2400 wide')
  await expect(page.getByLabel('Member centre, from the datum')).toHaveValue('7000')
  await summary(page, '7 members')
})

test('readings taken without a connection are planned at once and kept; slips of the hand are not taken', async ({ page, house }) => {
  await page.goto(`${HALL}/survey`)
  await summary(page, '16 members')
  const line = page.getByLabel('Readings in one line')
  await line.fill('m 690, p 9000 hit, @5 m')
  await expect(page.getByTestId('quick-told')).toContainText('9000 That is off the wall: at most 6200')
  await expect(page.getByTestId('quick-told')).toContainText('@5 m That is off the wall: at most 3300')
  await line.press('Enter')
  await expect(line).toHaveValue('m 690, p 9000 hit, @5 m')
  await line.press('Escape')
  await fill(page, 'Taken at height', '4000')
  await expect(page.getByRole('alert')).toContainText('That is off the wall')
  await page.getByLabel('Taken at height').press('Escape')

  const before = (await house.wall()).job.walls[0].evidence.length
  await house.stop()
  await line.fill('p 4999 hit')
  await line.press('Enter')
  const state = page.getByTestId('save-state')
  await expect(state).toHaveAttribute('data-state', 'offline')
  // The stud that was only expected is one that was met, and proved, before the server knows of it.
  await summary(page, '11 proved')
  await page.locator('[data-row=member-13]').click()
  await expect(page.getByTestId('member-card')).toContainText('single, observed, proved')
  await page.getByRole('link', { name: 'Mount' }).click()
  await expect(page.getByRole('region', { name: 'Mount' })).toContainText('8 of 9 plates held')
  await house.start()
  await page.reload()
  await saved(page)
  const evidence = (await house.wall()).job.walls[0].evidence
  expect(evidence).toHaveLength(before + 1)
  expect(evidence.at(-1)).toMatchObject({ method: 'probe', hit: true, x: 4999, y: 1500 })
})
