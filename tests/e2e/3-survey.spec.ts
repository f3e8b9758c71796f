import type { Page } from '@playwright/test'
import { beginWall, expect, fill, HALL, memberRow, saved, test } from './house'

const CAFE = '/sites/holm-point/walls/cafe'
type ServerWall = { job: { walls: { structure: { members?: { centre: number }[] }, evidence?: Record<string, unknown>[], features?: Record<string, unknown>[] }[] } }
const centres = (wall: ServerWall) => wall.job.walls[0]!.structure.members!.map(({ centre }) => centre)
const summary = (page: Page, text: string) => expect(page.getByRole('region', { name: 'Survey' })).toContainText(text)
const panel = (page: Page, name: string) => page.getByRole('tab', { name, exact: true }).click()

/** The place on the screen of a point of the wall, mm. */
async function onScreen(page: Page, x: number, y: number, wall: { width: number, height: number }) {
  const box = (await page.locator('[data-testid=elevation] > g > rect').first().boundingBox())!
  return { x: box.x + box.width * x / wall.width, y: box.y + box.height * (1 - y / wall.height) }
}

test('what the wall is: presets, layers in order, blocking, age', async ({ page, house }) => {
  await beginWall(page, 'Store', '4 m', '2.4 m')
  await panel(page, 'Wall')
  await fill(page, 'Wall width', '4200')
  await panel(page, 'Layers')
  await page.getByLabel('Preset').selectOption('Plasterboard on furring on block')
  await expect(page.getByTestId('layers').locator('li')).toHaveCount(2)
  await page.getByRole('button', { name: 'Move layer 2 towards the structure' }).click()
  await page.getByLabel('Material of layer 2').selectOption('plywood')
  await page.getByRole('button', { name: 'Add layer' }).click()
  await expect(page.getByTestId('section').locator('[data-layer]')).toHaveCount(3)
  // Dragged by its grip to the structure.
  await page.locator('[data-grip]').nth(2).dragTo(page.locator('[data-grip]').nth(0))
  await expect(page.getByLabel('Material of layer 1')).toHaveValue('gypsum-board')
  await expect(page.getByLabel('Material of layer 3')).toHaveValue('plywood')
  await panel(page, 'Wall')
  await fill(page, 'Year lined', '1850s')
  await expect(page.getByRole('alert')).toContainText('“1850s” is not a number of years')
  await fill(page, 'Year lined', '1974')
  await expect(page.locator('[data-finding=lining-old]')).toContainText('it may contain asbestos')
  await saved(page)
  const wall = (await house.wall('stennick', 'store')).job.walls[0]
  expect(wall).toMatchObject({ width: 4200, linedIn: 1974, structure: { kind: 'block', block: { length: 390 } } })
  expect(wall.covering.map(({ material }: { material: string }) => material)).toEqual(['gypsum-board', 'gypsum-board', 'plywood'])
})

test('a table with bad rows is looked at before it is taken in', async ({ page, house }) => {
  await page.goto(`${HALL}/survey`)
  const before = (await house.wall()).job.walls[0].evidence
  const csv = ['id,method,x,y,hit', ',probe,900,1200,hit', ',probe,940,1200,perhaps', ',sonar,1,2,', `${before[0].id},${before[0].method},20,1500,`, ',magnet,far,1200,', ',magnet,1300,1200,'].join('\r\n')
  await page.getByTestId('evidence-csv').setInputFiles({ name: 'readings.csv', mimeType: 'text/csv', buffer: Buffer.from(csv) })
  const preview = page.getByTestId('evidence-import')
  await expect(preview).toContainText('2 added, 4 rejected')
  await expect(preview.locator('[data-becomes=refused]')).toHaveCount(4)
  await expect(preview).toContainText('It must have edge, because its method is detector-edge')
  await expect(preview).toContainText('x: “far” is not a length')
  await preview.getByRole('button', { name: 'Import 2 rows' }).click()
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
  await expect(page.getByRole('alert')).toContainText('not a JPEG, PNG or WebP image')
  const png = Buffer.from('iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==', 'base64')
  await page.getByTestId('photo').setInputFiles({ name: 'wall.txt', mimeType: 'text/plain', buffer: png })
  await expect(page.getByAltText('Photo of reading e1')).toBeVisible()
  await saved(page)
  const [reading] = (await house.wall()).job.walls[0].evidence
  expect(reading.photo).toMatch(/^[0-9a-f]{32}\.png$/)
  expect((await house.api(`/sites/holm-point/photos/${reading.photo}?thumb=1`)).headers.get('content-type')).toBe('image/webp')
  expect((await house.api('/sites/holm-point/photos/..%2Fwide-trellis.db')).status).toBe(404)
  expect((await house.api('/sites/holm-point/photos', { method: 'POST', headers: { 'content-type': 'image/png', 'x-wide-trellis': 'photograph' }, body: Buffer.alloc(15 * 1024 * 1024 + 1) })).status).toBe(413)
})

test('features are drawn on the elevation and typed exactly; a cable near a hole is a stop', async ({ page, house }) => {
  await page.goto(`${HALL}/survey`)
  await panel(page, 'Features')
  await page.getByLabel('Feature', { exact: true }).selectOption('live-cable')
  await page.getByRole('button', { name: 'Draw', exact: true }).click()
  const wall = { width: 6200, height: 3300 }
  const [from, to] = [await onScreen(page, 1650, 2200, wall), await onScreen(page, 1660, 2900, wall)]
  await page.mouse.move(from.x, from.y)
  await page.mouse.down()
  await page.mouse.move(to.x + 2, to.y, { steps: 4 })
  await page.mouse.up()
  const card = page.getByTestId('feature-card')
  await expect(card).toContainText('Live cable run')
  await fill(page, 'Left edge from wall left', '1650')
  await fill(page, 'Width', '20')
  await page.getByRole('link', { name: /^Mount/ }).click()
  await expect(page.locator('[data-finding=hole-near-live-cable]').first()).toContainText('from a live cable; the minimum is 50 mm')
  await saved(page)
  expect((await house.wall()).job.walls[0].features.at(-1)).toMatchObject({ kind: 'live-cable', x: 1650, width: 20 })
})

test('instruments feed the same entry, and pointing does', async ({ page, house }) => {
  await page.goto(`${CAFE}/survey`)
  await page.getByLabel('Framing').selectOption('readings')
  await summary(page, '0 studs')
  await page.getByLabel('Point on wall').selectOption({ label: 'Magnet' })
  const wall = { width: 2400, height: 2700 }
  const at = await onScreen(page, 1200, 900, wall)
  await page.mouse.click(at.x, at.y)
  await summary(page, '1 studs')
  await page.getByLabel('Instrument').selectOption('practice-distance')
  await page.mouse.click(at.x + 40, at.y)
  await expect(page.getByText(/Received: \d+ mm/)).toBeVisible()
  await saved(page)
  expect((await house.wall('holm-point', 'cafe')).job.walls[0].evidence.map(({ method }: { method: string }) => method)).toEqual(['magnet', 'magnet'])
  await page.getByLabel('Instrument').selectOption('practice-detector')
  for (let x = 300; x < 2400; x += 80) {
    const place = await onScreen(page, x, 1300, wall)
    await page.mouse.click(place.x, place.y)
  }
  await expect(page.getByText(/Received: (left|right) edge at/)).toBeVisible()
})

test('the face is read and shown as a relief with what the adjusters must take up', async ({ page }) => {
  await page.goto('/sites/ravel-sands/walls/arrivals/survey')
  await panel(page, 'Flatness')
  await expect(page.getByTestId('relief')).toContainText('Arrivals')
  await expect(page.locator('[data-relief] circle').first()).toBeAttached()
  const points = page.getByRole('list', { name: 'Flatness points' }).locator('li')
  const count = await points.count()
  await fill(page, 'Along, up, distance to plane', '600 900')
  await expect(page.getByRole('alert')).toContainText('three lengths')
  await fill(page, 'Along, up, distance to plane', '600 900 172')
  await expect(points).toHaveCount(count + 1)
})

test('members that are known are entered, moved and deleted', async ({ page, house }) => {
  await page.goto(`${CAFE}/survey`)
  await summary(page, '7 studs known')
  await fill(page, 'Stud centre from datum', '600; 39 3/8"; 1.5 m')
  await summary(page, '10 studs')
  await page.getByRole('button', { name: 'Point on wall' }).click()
  const at = await onScreen(page, 1800, 300, { width: 2400, height: 2700 })
  await page.mouse.click(at.x, at.y)
  await summary(page, '11 studs')
  await page.getByRole('button', { name: 'Click on the wall' }).click()
  await memberRow(page, 2).click()
  await fill(page, 'Centre from datum', '412.5')
  await page.locator('h1').click()
  await page.keyboard.press('Shift+ArrowRight')
  await expect(page.getByTestId('chosen-member').getByLabel('Centre from datum')).toHaveValue('413.5')
  await memberRow(page, 3).click()
  await page.keyboard.press('Delete')
  await summary(page, '10 studs')
  await saved(page)
  expect(centres(await house.wall('holm-point', 'cafe')).slice(0, 3)).toEqual([19, 413.5, 800])
})

test('a known member is dragged on the elevation, and refused off the wall', async ({ page, house }) => {
  await page.goto(`${CAFE}/survey`)
  await expect(page.getByTestId('at-hand')).toBeVisible()
  const member = page.getByTestId('elevation').locator('[data-member]').nth(3)
  const { x, y, width, height } = (await member.boundingBox())!
  await page.mouse.move(x + width / 2, y + height * 0.9)
  await page.mouse.down()
  await page.mouse.move(x + width / 2 + 20, y + height * 0.9, { steps: 5 })
  await page.mouse.up()
  await saved(page)
  const wall = (await page.locator('[data-testid=elevation] > g > rect').first().boundingBox())!
  const moved = centres(await house.wall('holm-point', 'cafe'))[3]!
  expect(Math.abs(moved - (1200 + 20 * 2400 / wall.width))).toBeLessThan(2400 / wall.width + 1)
  await fill(page, 'Stud centre from datum', '7000')
  await expect(page.getByRole('alert')).toContainText('7000 is outside the wall')
  await expect(page.getByLabel('Stud centre from datum')).toHaveValue('7000')
  await summary(page, '7 studs')
})

test('readings taken without a connection are planned at once and kept; slips of the hand are not taken', async ({ page, house }) => {
  await page.goto(`${HALL}/survey`)
  await summary(page, '16 studs')
  const line = page.getByLabel('Readings in one line')
  await line.fill('m 690, p 9000 hit, @5 m')
  await expect(page.getByTestId('quick-told')).toContainText('9000 This is off the wall; the maximum is 6200 mm')
  await expect(page.getByTestId('quick-told')).toContainText('@5 m This is off the wall; the maximum is 3300 mm')
  await line.press('Enter')
  await expect(line).toHaveValue('m 690, p 9000 hit, @5 m')
  await line.press('Escape')
  await fill(page, 'Reading height', '4000')
  await expect(page.getByRole('alert')).toContainText('ust be within the wall')
  await page.getByLabel('Reading height').press('Escape')

  const before = (await house.wall()).job.walls[0].evidence.length
  await expect(page.getByTestId('at-hand')).toBeVisible()
  await house.stop()
  await line.fill('p 4999 hit')
  await line.press('Enter')
  const state = page.getByTestId('save-state')
  await expect(state).toHaveAttribute('data-state', 'offline')
  // The stud that was only expected is one that was met, and proved, before the server knows of it.
  await summary(page, '11 confirmed')
  await memberRow(page, 14).click()
  await expect(page.getByTestId('member-card')).toContainText('single, found, confirmed')
  await page.getByRole('link', { name: /^Mount/ }).click()
  await expect(page.getByRole('region', { name: 'Mount' })).toContainText('9 of 9 plates fixed')
  await house.start()
  await page.reload()
  await saved(page)
  const evidence = (await house.wall()).job.walls[0].evidence
  expect(evidence).toHaveLength(before + 1)
  expect(evidence.at(-1)).toMatchObject({ method: 'probe', hit: true, x: 4999, y: 1500 })
})

test('by a house rule of one good sign, what was not proved is', async ({ page }) => {
  await page.goto(`${HALL}/survey`)
  await summary(page, '16 studs, 10 confirmed')
  await page.goto('/sites/holm-point')
  await page.getByRole('link', { name: 'Edit site rules' }).click()
  await page.getByRole('radio', { name: /one clear reading/ }).click()
  await page.getByRole('button', { name: 'Save rule' }).click()
  await expect(page.getByRole('status')).toContainText('Saved')
  await fill(page, 'Standard deviation of one tape measurement (mm)', '-1')
  await expect(page.getByRole('alert')).toHaveText('It must not be negative.')
  await page.goto(`${HALL}/survey`)
  await summary(page, '16 studs, 14 confirmed')
})
