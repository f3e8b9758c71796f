import type { Page } from '@playwright/test'
import { atHand, beginWall, expect, fill, HALL, type House, saved, test } from './house'

async function beginArray(page: Page, name: string, width: string, height: string) {
  await beginWall(page, name, width, height)
  await page.getByRole('link', { name: /^Arrange/ }).click()
  await page.getByRole('button', { name: 'Add display array' }).click()
}
const planned = async (house: House, wall: string, site = 'stennick') => {
  const plan = JSON.parse((await house.api(`/sites/${site}/walls/${wall}/plan`)).body)
  return plan.walls.find(({ id }: { id: string }) => id === wall)
}

test('a dimension is typed on the drawing itself', async ({ page, house }) => {
  await page.goto(`${HALL}/arrange`)
  await page.locator('[data-dimension=left]').click()
  const input = page.getByTestId('dimension-input').getByRole('textbox')
  await expect(input).toHaveValue('1427.3')
  await input.fill('wide')
  await input.press('Enter')
  await expect(page.getByTestId('dimension-input').getByRole('alert')).toContainText('“wide” is not a length')
  await input.fill('1500')
  await input.press('Enter')
  await expect(page.getByTestId('dimension-input')).toHaveCount(0)
  await page.locator('[data-dimension=top]').click()
  await input.fill('2\' 1"')
  await input.press('Enter')
  await saved(page)
  const { outline } = (await planned(house, 'ticket-hall', 'holm-point')).arrays[0]
  expect(outline.x).toBeCloseTo(1500, 6)
  expect(3300 - outline.y - outline.height).toBeCloseTo(25 * 25.4, 6)
  // Left without Enter, what was typed is taken as in any field; Escape leaves the array where it is.
  await page.locator('[data-dimension=left]').click()
  await input.fill('1510')
  await page.locator('h1').click()
  await expect(page.getByLabel('From wall left')).toHaveValue('3042.7')
  await page.keyboard.press('Control+z')
  await saved(page)
  await page.locator('[data-dimension=right]').click()
  await input.fill('99')
  await input.press('Escape')
  expect((await planned(house, 'ticket-hall', 'holm-point')).arrays[0].outline.x).toBeCloseTo(1500, 6)
})

test('under the hand an array is brought to what is near, and says to what @long', async ({ page, house }) => {
  await page.goto(`${HALL}/arrange`)
  // What it comes to is told by the plan, which is up to date then.
  await atHand(page)
  const wall = (await page.locator('[data-testid=elevation] > g > rect').first().boundingBox())!
  const scale = wall.width / 6200
  const grid = (await page.locator('[data-array=departures]').boundingBox())!
  const [x, y] = [grid.x + grid.width / 2, grid.y + grid.height / 2]
  const drag = async (mm: number, free = false) => {
    await page.mouse.move(x, y)
    await page.mouse.down()
    if (free) await page.keyboard.down('Alt')
    await page.mouse.move(x + mm * scale, y, { steps: 6 })
  }
  // The right edge, at 4492.7, comes to member 13 near 4599; the drawing names the line that is met.
  await drag(4599 - 4492.7 + 6)
  await expect(page.getByTestId('elevation').getByText('stud 13', { exact: true })).toBeVisible()
  await page.mouse.up()
  await expect(page.getByTestId('elevation').getByText('stud 13', { exact: true })).toHaveCount(0)
  await saved(page)
  const plan = await planned(house, 'ticket-hall', 'holm-point')
  // Where it was put; from there the whole array is shifted so that its plates are held.
  const { outline, shift } = plan.arrays[0]
  expect(outline.x - shift.x + outline.width).toBeCloseTo(plan.members[12].centre, 6)
  // One drag is one edit; with Alt held it goes freely.
  await page.keyboard.press('Control+z')
  await drag(4599 - 4492.7 + 6, true)
  await page.mouse.up()
  await page.keyboard.up('Alt')
  await saved(page)
  const { outline: free, shift: by } = (await planned(house, 'ticket-hall', 'holm-point')).arrays[0]
  expect(Math.abs(free.x - by.x + free.width - plan.members[12].centre)).toBeGreaterThan(1)
})

test('everything of an arrangement is done without a mouse', async ({ page, house }) => {
  await beginArray(page, 'Keys', '5 m', '2.6 m')
  await saved(page)
  const palette = async (words: string) => {
    await page.keyboard.press('Control+k')
    await expect(page.getByRole('combobox', { name: 'Search commands' })).toBeFocused()
    await page.keyboard.type(words)
    await page.keyboard.press('Enter')
    await expect(page.getByRole('dialog')).toHaveCount(0)
  }
  for (const [label, value] of [['Rows', '2'], ['Columns', '2']] as const) await fill(page, label, value)
  await page.getByRole('tab', { name: 'Array', exact: true }).focus()
  await palette('centre the array')
  await page.keyboard.press('Shift+ArrowUp')
  await palette('next screen right')
  await palette('next screen down')
  await palette('rotate all screens')
  await palette('arrange: all')
  await expect(page.getByRole('list', { name: 'Arrays on this wall' })).toBeVisible()
  await saved(page)
  const [array] = (await house.wall('stennick', 'keys')).job.walls[0].arrays
  expect(array).toMatchObject({
    rows: 2,
    columns: 2,
    follows: { x: { rule: 'wall-centre' } },
    at: { y: { value: 1310 } },
    cells: [{ row: 2, column: 1, orientation: 'inverted' }],
  })
})

test('the firm’s catalogue stays at hand from stage to stage without a connection, and is missed in words where it never came', async ({
  page,
  house,
}) => {
  await page.goto('/sites/holm-point/walls/cafe/fix')
  await atHand(page)
  await house.stop()
  await page.getByRole('link', { name: /^Arrange/ }).click()
  await page.getByLabel('Mount', { exact: true }).selectOption('quay-f2')
  await expect(page.getByTestId('save-state')).toHaveAttribute('data-state', 'offline')
  await house.start()
  await saved(page)
  await page.route('**/api/catalogue', route => route.abort())
  // A new site has no models of its own yet.
  await house.api('/sites', {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: '{"name": "Far Point", "units": "metric"}',
  })
  await beginWall(page, 'Far', '3 m', '2.4 m', 'far-point')
  await page.getByRole('link', { name: /^Arrange/ }).click()
  await page.getByRole('button', { name: 'Add display array' }).click()
  await expect(page.getByRole('alert')).toContainText('The catalogue is not on this device yet')
})

test('a model taken without a connection is kept in the browser and sent with the wall', async ({ page, house }) => {
  await page.goto('/sites/holm-point/walls/cafe/arrange')
  await expect(page.getByLabel('Display', { exact: true }).locator('option[value=firth-43s]')).toBeAttached()
  await house.stop()
  await page.getByLabel('Display', { exact: true }).selectOption('firth-43s')
  await expect(page.getByTestId('save-state')).toHaveAttribute('data-state', 'offline')
  await house.start()
  await page.reload()
  await expect(page.getByLabel('Display', { exact: true })).toHaveValue('firth-43s')
  await saved(page)
  const { job } = await house.wall('holm-point', 'cafe')
  expect(job.walls[0].arrays[0].display).toBe('firth-43s')
  expect(job.catalogue.displays.map(({ id }: { id: string }) => id)).toContain('firth-43s')
})

test('a wall of many screens is drawn plain under the hand and while it is typed, and then in full @long', async ({
  page,
  house,
}) => {
  await beginArray(page, 'Large', '20 m', '6 m')
  await page.getByLabel('Display', { exact: true }).selectOption('firth-32s')
  await fill(page, 'Columns', '10')
  await fill(page, 'Rows', '4')
  const [array, plain] = [page.locator('[data-testid=elevation] [data-array]'), page.locator('[data-plain]')]
  await expect(array.locator('[data-screen]')).toHaveCount(40)
  await expect(plain).toHaveCount(0)
  await page.getByLabel('Horizontal gap').pressSequentially('20', { delay: 30 })
  await expect(page.locator('[data-testid=elevation] [data-screen]:visible')).toHaveCount(40)
  await expect(plain).toHaveCount(0)
  const box = (await array.boundingBox())!
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2)
  await page.mouse.down()
  // The page itself keeps watch, as on a hand at rest the wall is soon drawn in full again, however slow the machine.
  await page.evaluate(() => {
    const seen = () => document.querySelector('[data-plain]') && document.body.setAttribute('data-seen-plain', '')
    new MutationObserver(seen).observe(document.body, { childList: true, subtree: true })
  })
  await page.mouse.move(box.x + box.width / 2 + 30, box.y + box.height / 2 - 10, { steps: 5 })
  await expect(page.locator('body[data-seen-plain]')).toHaveCount(1)
  await page.mouse.up()
  await expect(plain).toHaveCount(0)
  await saved(page)
  const { outline } = (await planned(house, 'large')).arrays[0]
  const left = await page.locator('[data-testid=elevation] [data-screen] rect').first().getAttribute('x')
  expect(Number(left)).toBeCloseTo(outline.x, 6)
})

test('a list of hundreds of screens is drawn as far as it is in sight, and comes to what is chosen on the drawing @long', async ({
  page,
  house,
}) => {
  const { job } = await house.wall()
  const [hall] = job.walls
  const wall = {
    ...hall,
    width: 24_000,
    height: 12_000,
    features: [],
    evidence: [],
    structure: { kind: 'concrete', thickness: 200, strength: 28 },
    covering: [],
    arrays: [
      {
        ...hall.arrays[0],
        rows: 15,
        columns: 18,
        follows: undefined,
        fastener: undefined,
        at: { x: { edge: 'centre', value: 12_000 }, y: { edge: 'centre', value: 6_000 } },
      },
    ],
  }
  const sent = await house.api('/sites/import', {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ ...job, site: { ...job.site, id: 'large' }, walls: [wall], log: [] }),
  })
  expect(sent.status, sent.body).toBe(201)
  await page.goto('/sites/large/walls/ticket-hall/arrange')
  const ledger = page.locator('table[aria-rowcount="271"]')
  await expect(ledger.locator('[data-row=departures-r1c1]')).toBeVisible()
  expect(await ledger.locator('[data-row]').count()).toBeLessThan(100)
  await page.locator('[data-testid=elevation] [data-screen=departures-r15c18]').click()
  await expect(ledger.locator('[data-row=departures-r15c18]')).toBeInViewport()
  await expect(ledger.locator('[data-row=departures-r1c1]')).toHaveCount(0)
})
