import { expect, HALL, memberRow, test } from './house'

test('from the list of sites to a wall in the drafting cross, to scale', async ({ page }) => {
  await page.goto('/')
  await page.getByRole('link', { name: /^Holm Point ?2/ }).click()
  await page.locator('[data-wall=ticket-hall]').click()
  await expect(page).toHaveURL(new RegExp(`${HALL}/survey$`))

  const elevation = page.getByTestId('elevation')
  await expect(elevation).toHaveAccessibleName(/6200 mm wide and 3300 mm high, 16 studs, 1 arrays/)
  const box = async (selector: string) => (await page.locator(selector).first().boundingBox())!
  const wall = await box('[data-testid=elevation] > g > rect')
  const inSection = await box('[data-testid=section] g g rect')
  const inPlan = await box('[data-testid=plan] > g > rect')
  // One scale across and up; the section shares its heights, the plan its widths.
  expect(wall.width / wall.height).toBeCloseTo(6200 / 3300, 1)
  expect(Math.abs(inSection.height - wall.height)).toBeLessThan(2)
  expect(Math.abs(inSection.y - wall.y)).toBeLessThan(2)
  expect(Math.abs(inPlan.width - wall.width)).toBeLessThan(2)
  expect(Math.abs(inPlan.x - wall.x)).toBeLessThan(2)

  // The tape reads each member where it stands: member 5 is at 1690 of 6200.
  const reading = page.getByTestId('tape').locator('[data-tape] text').nth(4)
  await expect(reading).toHaveText('1690')
  const { x, width } = (await reading.boundingBox())!
  expect(Math.abs(x + width / 2 - (wall.x + wall.width * 1690 / 6200))).toBeLessThan(2)
})

test('pointing at a thing lights it in all three drawings and in the ledger', async ({ page }) => {
  await page.goto(`${HALL}/survey`)
  await memberRow(page, 5).hover()
  const flagged = (test: string) => page.getByTestId(test).locator('[stroke="var(--color-flag)"]')
  await expect(flagged('elevation')).toHaveCount(1)
  await expect(flagged('plan')).toHaveCount(1)
  await page.goto(`${HALL}/arrange`)
  await page.locator('[data-screen=departures-r2c2]').hover()
  await expect(flagged('elevation').first()).toBeVisible()
  await expect(flagged('section')).toHaveCount(1)
  await expect(flagged('plan')).toHaveCount(1)
  await expect(page.locator('[data-row=departures-r2c2]')).toHaveClass(/outline-flag/)
})

test('an address that is none says so', async ({ page }) => {
  await page.goto('/sites/holm-point/walls/nowhere/survey')
  await expect(page.getByText('Not found: this wall')).toBeVisible()
  await page.goto('/sites/nowhere')
  await expect(page.getByRole('alert')).toContainText('This site does not exist')
})
