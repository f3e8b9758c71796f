import type { Page } from '@playwright/test'
import { atHand, expect, fill, HALL, memberRow, saved, test } from './house'

const CAFE = '/sites/holm-point/walls/cafe'
type ServerWall = {
  job: {
    walls: {
      structure: { members?: { centre: number }[] }
      evidence?: Record<string, unknown>[]
      features?: Record<string, unknown>[]
    }[]
  }
}
const centres = (wall: ServerWall) => wall.job.walls[0]!.structure.members!.map(({ centre }) => centre)
const summary = (page: Page, text: string) => expect(page.getByRole('region', { name: 'Survey' })).toContainText(text)
const panel = (page: Page, name: string) => page.getByRole('tab', { name, exact: true }).click()

/** The place on the screen of a point of the wall, mm. */
async function onScreen(page: Page, x: number, y: number, wall: { width: number, height: number }) {
  const box = (await page.locator('[data-testid=elevation] > g > rect').first().boundingBox())!
  return { x: box.x + box.width * x / wall.width, y: box.y + box.height * (1 - y / wall.height) }
}

test('a picture is kept with a reading, and what is none is refused by its content', async ({ page, house }) => {
  await page.goto(`${HALL}/survey`)
  await page.getByRole('tab', { name: /readings$/ }).click()
  await page.locator('[data-row=e1]').click()
  await page
    .getByTestId('photo')
    .setInputFiles({ name: 'wall.jpg', mimeType: 'image/jpeg', buffer: Buffer.from('%PDF-1.3 no picture at all') })
  await expect(page.getByRole('alert')).toContainText('not a JPEG, PNG or WebP image')
  const png = Buffer.from(
    'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==',
    'base64',
  )
  await page.getByTestId('photo').setInputFiles({ name: 'wall.txt', mimeType: 'text/plain', buffer: png })
  await expect(page.getByAltText('Photo of reading e1')).toBeVisible()
  await saved(page)
  const [reading] = (await house.wall()).job.walls[0].evidence
  expect(reading.photo).toMatch(/^[0-9a-f]{32}\.png$/)
  expect((await house.api(`/sites/holm-point/photos/${reading.photo}?thumb=1`)).headers.get('content-type')).toBe(
    'image/webp',
  )
  expect((await house.api('/sites/holm-point/photos/..%2Fwide-trellis.db')).status).toBe(404)
  expect(
    (
      await house.api('/sites/holm-point/photos', {
        method: 'POST',
        headers: { 'content-type': 'image/png', 'x-wide-trellis': 'photograph' },
        body: Buffer.alloc(15 * 1024 * 1024 + 1),
      })
    ).status,
  ).toBe(413)
})

test('features are drawn on the elevation and typed exactly; a cable near a hole is a stop', async ({
  page,
  house,
}) => {
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
  await expect(page.locator('[data-finding=hole-near-live-cable]').first()).toContainText(
    'from a live cable; the minimum is 50 mm',
  )
  await saved(page)
  expect((await house.wall()).job.walls[0].features.at(-1)).toMatchObject({ kind: 'live-cable', x: 1650, width: 20 })
})

test('layers are dragged into order by their grip', async ({ page, house }) => {
  await page.goto(`${CAFE}/survey`)
  await panel(page, 'Layers')
  await page.getByRole('button', { name: 'Add layer' }).click()
  await page.getByLabel('Material of layer 2').selectOption('plywood')
  await expect(page.getByTestId('section').locator('[data-layer]')).toHaveCount(2)
  await page.locator('[data-grip]').nth(1).dragTo(page.locator('[data-grip]').nth(0))
  await expect(page.getByLabel('Material of layer 1')).toHaveValue('plywood')
  await saved(page)
  const { covering } = (await house.wall('holm-point', 'cafe')).job.walls[0]
  expect(covering.map(({ material }: { material: string }) => material)).toEqual(['plywood', 'gypsum-board'])
})

test('how flat the face is, where joints run and what is transferred from the rear are drawn', async ({ page }) => {
  await page.goto('/sites/ravel-sands/walls/arrivals/survey')
  await panel(page, 'Flatness')
  await expect(page.locator('[data-relief] circle').first()).toBeAttached()
  await page.goto('/sites/ravel-sands/walls/pier/survey')
  await expect(page.locator('[data-transfer]').first()).toBeAttached()
  await page.goto('/sites/stennick/walls/departures-row/survey')
  await expect(page.getByTestId('elevation').locator('[data-coursing]').first()).toBeAttached()
})

test('instruments feed the same entry, and pointing does', async ({ page, house }) => {
  await page.goto(`${CAFE}/survey`)
  await page.getByLabel('Framing').selectOption('readings')
  await summary(page, '1 stud,')
  await page.getByLabel('Point on wall').selectOption({ label: 'Magnet' })
  const wall = { width: 2400, height: 2700 }
  const at = await onScreen(page, 1200, 900, wall)
  await page.mouse.click(at.x, at.y)
  await summary(page, '2 studs')
  await page.getByLabel('Instrument').selectOption('practice-distance')
  await page.mouse.click(at.x + 40, at.y)
  await expect(page.getByText(/Received: \d+ mm/)).toBeVisible()
  await saved(page)
  expect(
    (await house.wall('holm-point', 'cafe')).job.walls[0].evidence.map(({ method }: { method: string }) => method),
  ).toEqual(['magnet', 'magnet'])
  await page.getByLabel('Instrument').selectOption('practice-detector')
  for (let x = 300; x < 2400; x += 80) {
    const place = await onScreen(page, x, 1300, wall)
    await page.mouse.click(place.x, place.y)
  }
  await expect(page.getByText(/Received: (left|right) edge at/)).toBeVisible()
})

test('a known member is dragged on the elevation, and refused off the wall', async ({ page, house }) => {
  await page.goto(`${CAFE}/survey`)
  await atHand(page)
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

test('readings taken without a connection are planned at once and kept; slips of the hand are not taken', async ({
  page,
  house,
}) => {
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
  await atHand(page)
  await house.stop()
  await line.fill('p 4999 hit, @900 p 4999 hit')
  await line.press('Enter')
  const state = page.getByTestId('save-state')
  await expect(state).toHaveAttribute('data-state', 'offline')
  // The stud that was only expected is one that was met, and proved, before the server knows of it.
  await summary(page, '11 confirmed')
  await memberRow(page, 14).click()
  await expect(page.getByTestId('member-card')).toContainText('single, found, confirmed')
  await page.keyboard.press('Escape')
  await expect(page.getByTestId('member-card')).toHaveCount(0)
  await page.getByRole('link', { name: /^Mount/ }).click()
  await expect(page.getByRole('region', { name: 'Mount' })).toContainText('9 of 9 plates fixed')
  await house.start()
  await page.reload()
  await saved(page)
  const evidence = (await house.wall()).job.walls[0].evidence
  expect(evidence).toHaveLength(before + 2)
  expect(evidence.at(-2)).toMatchObject({ method: 'probe', hit: true, x: 4999, y: 1500 })
  expect(evidence.at(-1)).toMatchObject({ method: 'probe', hit: true, x: 4999, y: 900 })
})
