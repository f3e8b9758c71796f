import { expect, fill, HALL, saved, test } from './house'

test('the ticket hall is wired: a circuit that is full is told, and another takes what it has no room for', async ({ page, house }) => {
  await page.goto(`${HALL}/wire`)
  await expect(page.getByText('9 of 9 screens fed by 1 circuit; 9 of 9 boxes in place')).toBeVisible()
  const first = page.locator('[data-source=board-7]')
  // The sum behind the share: 9 × 165 W ÷ 230 V and 1.2 A of 16 A.
  await first.getByRole('button', { name: /Share of the breaker/ }).click()
  await expect(first).toContainText('9 × 165 W ÷ (230 V × 1)')
  await first.getByLabel('Breaker, A').fill('6')
  await first.getByLabel('Breaker, A').press('Enter')
  await expect(page.getByText('9 of 9 screens fed by 2 circuits')).toBeVisible()
  const second = page.locator('[data-source=board-9]')
  await second.getByLabel('Already on, A').fill('12.5')
  await second.getByLabel('Already on, A').press('Enter')
  await expect(page.locator('[data-finding=circuit-full]')).toContainText('No circuit has room for')
  await page.getByRole('button', { name: 'Add a circuit' }).click()
  await expect(page.locator('[data-finding=circuit-full]')).toHaveCount(0)
  await saved(page)
  const plan = JSON.parse((await house.api(`${HALL}/plan`)).body).walls[0]
  expect(plan.wire.circuits.flatMap(({ screens }: { screens: string[] }) => screens)).toHaveLength(9)
  expect(plan.wire.circuits.every(({ share, screens }: { share: number, screens: string[] }) => share <= 0.8 || screens.length === 0)).toBe(true)
  await second.getByLabel('Breaker, A').fill('much')
  await expect(second).toContainText('“much” is not a number')
})

test('a box that is moved over a member says so, and goes to the nearest place that would do', async ({ page, house }) => {
  await page.goto(`${HALL}/wire`)
  await page.getByRole('tab', { name: 'Boxes' }).click()
  await page.getByRole('button', { name: /^R2 C2, power/ }).click()
  const before = await page.getByLabel('Middle, along').inputValue()
  await fill(page, 'Middle, along', '2770')
  await expect(page.locator('[data-finding=box-no-place]')).toContainText('clear of the members')
  await expect(page.locator('[data-box=b22] rect').first()).toHaveAttribute('stroke-dasharray', '4 3')
  await page.getByRole('button', { name: 'Put it at the nearest place' }).click()
  await expect(page.locator('[data-finding=box-no-place]')).toHaveCount(0)
  await page.getByRole('button', { name: 'Leave it to be placed' }).click()
  await expect(page.getByLabel('Middle, along')).toHaveValue(before)
  await saved(page)
  expect((await house.wall()).job.walls[0].boxes.find(({ id }: { id: string }) => id === 'b22')).toEqual({ id: 'b22', kind: 'power', model: 'skarv-p1', for: ['departures-r2c2'] })
})

test('a kit is set behind a single sign, its lower box under the upper one in line with the outlet', async ({ page, house }) => {
  await page.goto('/sites/holm-point/walls/cafe/wire')
  await page.getByRole('button', { name: 'Add a circuit' }).click()
  await page.getByRole('tab', { name: 'Boxes' }).click()
  for (const kind of ['kit-upper', 'kit-lower']) {
    await page.getByLabel('Boxes', { exact: true }).selectOption(kind)
    await page.getByRole('button', { name: /^Place them for/ }).click()
  }
  await expect(page.getByText(/2 of 2 boxes in place/)).toBeVisible()
  await saved(page)
  const { boxes } = JSON.parse((await house.api('/sites/holm-point/walls/cafe/plan')).body).walls[0].wire
  expect([boxes[0].x, boxes[0].bay]).toEqual([boxes[1].x, boxes[1].bay])
  expect(boxes[1].cutout.y + boxes[1].cutout.height).toBe(450)
  const { job } = await house.wall('holm-point', 'cafe')
  expect(job.catalogue.boxes.map(({ id }: { id: string }) => id).sort()).toEqual(['havn-kl', 'havn-ku', 'skarv-p1'])
})
