import { expect, fill, HALL, saved, test } from './house'

test.use({ viewport: { width: 390, height: 844 }, hasTouch: true })

test('one hole at a time at the wall, with what the drill met, kept for good', async ({ page, house }) => {
  await page.goto(`${HALL}/hang`)
  await expect(page.getByTestId('hole-name')).toHaveText('R1 C1 top 1')
  await expect(page.getByTestId('hole-running')).toContainText('1692')
  await expect(page.getByTestId('hole-height')).toContainText('2479')

  // Everything the thumb needs is on the screen, and large enough.
  for (const name of ['Hit', 'Miss', 'Back', 'Next']) {
    const { x, y, width, height } = (await page.getByRole('button', { name, exact: true }).boundingBox())!
    expect(Math.min(width, height)).toBeGreaterThanOrEqual(48)
    expect([x >= 0, x + width <= 390, y + height <= 844]).toEqual([true, true, true])
  }

  // The log keeps who made a hole: no name, no record.
  await page.getByRole('button', { name: 'Hit' }).tap()
  await expect(page.getByRole('alert')).toContainText('Write your name first')
  await page.getByLabel('Your name').last().fill('Isla Brand')
  await page.getByRole('button', { name: 'Hit' }).tap()
  await expect(page.getByTestId('hole-name')).toHaveText('R1 C1 top 2')
  await page.getByLabel('Note').fill('void behind the board')
  await page.getByRole('button', { name: 'Miss' }).tap()
  await expect(page.getByTestId('hole-record')).toContainText('Miss')
  await expect(page.getByTestId('hole-record')).toContainText('Isla Brand: void behind the board')
  await saved(page)

  // A foot pedal sends Page Down.
  await page.locator('h1').click()
  await page.keyboard.press('PageDown')
  await expect(page.getByTestId('hole-name')).toHaveText('R1 C2 top 1')
  await page.keyboard.press('PageUp')
  await page.keyboard.press('ArrowLeft')
  await expect(page.getByTestId('hole-record')).toContainText('Hit')

  const { job } = await house.wall()
  const mine = job.log.filter(({ by }: { by: string }) => by === 'Isla Brand')
  expect(mine).toMatchObject([
    { kind: 'hole', wall: 'ticket-hall', hole: 'departures-r1c1-top-1', result: 'hit' },
    { hole: 'departures-r1c1-top-2', result: 'miss', note: 'void behind the board' },
  ])
  expect(Date.now() - Date.parse(mine[0].at)).toBeLessThan(60_000)

  await page.setViewportSize({ width: 1280, height: 800 })
  await expect(page.locator('[data-hole=departures-r1c1-top-1]')).toHaveAttribute('data-state', 'hit')
  await expect(page.locator('[data-hole=departures-r1c1-top-2]')).toHaveAttribute('data-state', 'miss')
  await expect(page.locator('[data-row=departures-r1c1-top-2]')).toContainText('miss')
})

test('a hole that is made stays where it is when its array is moved; what cannot be kept is told and is not taken for made', async ({ page }) => {
  await page.setViewportSize({ width: 1280, height: 800 })
  const wall = '/api/sites/holm-point/walls/ticket-hall'
  const { walls: [plan] } = await (await page.request.get(`${wall}/plan`)).json()
  const { holes } = plan.arrays[0].positions[0]
  for (const { id, x, y } of holes) {
    const entry = { id: `drilled ${id}`, at: '2026-11-20T09:00:00Z', by: 'Odd Varga', wall: 'ticket-hall', kind: 'hole', hole: id, x, y, result: 'hit' }
    expect((await page.request.post(`${wall}/log`, { data: entry })).status()).toBe(201)
  }
  const first = page.locator('[data-row=departures-r1c1-top-1]')
  /** Puts the array's centre elsewhere: it is at 2960. */
  const moveTo = async (x: string) => {
    await page.goto(`${HALL}/arrange`)
    await fill(page, 'from the wall’s left', x)
    await saved(page)
    await page.goto(`${HALL}/mark`)
  }
  await moveTo('2973')
  await expect(first).toContainText('1692')
  await expect(first).toContainText('hit')
  await expect(page.locator('[data-finding=hole-left-behind]')).toHaveCount(0)
  await moveTo('3420')
  await expect(first).not.toContainText('hit')
  await page.goto(`${HALL}/mount`)
  await expect(page.locator('[data-finding=hole-left-behind]')).toContainText('R1 C1 cannot keep to 4 holes that are made for it: its plate would have to stand')
  await expect(page.locator('[data-testid=elevation] [data-left-behind]')).toHaveCount(4)
})
