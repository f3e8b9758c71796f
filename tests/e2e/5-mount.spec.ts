import { expect, HALL, saved, test, type House } from './house'

/** The hall with one screen in the middle, whose plate reaches one stud of the two that it needs. */
async function unheld(house: House) {
  const { job, version } = await house.wall()
  const [wall] = job.walls
  wall.structure.members = [2500, 2900, 3500, 4100].map(centre => ({ centre, width: 38 }))
  wall.features = []
  Object.assign(wall.arrays[0], {
    rows: 1,
    columns: 1,
    at: { x: { edge: 'centre', value: 3100 }, y: { edge: 'centre', value: 1600 } },
  })
  const put = await house.api(HALL, {
    method: 'PUT',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ wall, version }),
  })
  expect(put.status).toBe(200)
}

test('the section is drawn beside what is said of the depth, and a row is pulled out in it', async ({ page }) => {
  await page.goto(`${HALL}/mount`)
  await page.getByRole('tab', { name: 'Depth' }).click()
  await page.getByTestId('pull-out').fill('1')
  // The face of the row that is pulled out: 312 and the display's 68.
  await expect(page.getByTestId('depth-section')).toContainText('380')
})

test('a stop is taken on by a named person with a reason, and can stand again', async ({ page, house }) => {
  await unheld(house)
  await page.goto(`${HALL}/mount`)
  const stops = page.locator('[data-finding=hole-misses-member]')
  await expect(stops.first()).toBeVisible()
  const count = await stops.count()
  await stops.first().getByRole('button', { name: 'Override…' }).click()
  // Both holes of the plate miss: one stop with two places, of which the override covers those that are ticked.
  await page.getByRole('checkbox').last().uncheck()
  await page.getByRole('button', { name: 'Override at 1 place' }).click()
  await expect(page.getByRole('alert')).toContainText('Enter a reason')
  await page.getByLabel('Reason for the override').fill('Steel plate let in behind the board')
  await page.getByRole('button', { name: 'Override at 1 place' }).click()
  await expect(page.getByTestId('taken-on')).toContainText(
    'Stop overridden by Isla Brandt: “Steel plate let in behind the board”',
  )
  await saved(page)
  const plan = JSON.parse((await house.api(`${HALL}/plan`)).body)
  expect(plan.walls[0].findings.filter(({ overridden }: { overridden?: object }) => overridden)).toMatchObject([
    { severity: 'caution', overridden: { by: 'Isla Brandt' } },
  ])
  expect((await house.api(`${HALL}/sheet?paper=a3&format=svg&revision=draft`)).body).toContain(
    'Stop overridden by Isla Brandt',
  )
  // It is in the log: an undo takes back edits, and never this.
  await page.locator('h1').click()
  await page.keyboard.press('Control+z')
  await expect(page.getByTestId('taken-on')).toBeVisible()
  await page.getByRole('button', { name: 'Remove override' }).click()
  await expect(page.getByTestId('taken-on')).toHaveCount(0)
  await expect(stops).toHaveCount(count)
  await saved(page)
  expect((await house.wall()).job.log.slice(-2)).toMatchObject([
    { kind: 'override', code: 'hole-misses-member', by: 'Isla Brandt' },
    { kind: 'override-ended', code: 'hole-misses-member' },
  ])
})
