import type { Page } from '@playwright/test'
import { expect, fill, HALL, saved, test } from './house'

const centres = (wall: { job: { walls: { structure: { members: { centre: number }[] } }[] } }) => wall.job.walls[0]!.structure.members.map(({ centre }) => centre)
const summary = (page: Page, text: string) => expect(page.getByRole('region', { name: 'Survey' })).toContainText(text)

test('a wall is begun, measured, and its members entered, moved and deleted', async ({ page, house }) => {
  await page.goto('/sites/stennick')
  await page.getByLabel('Name', { exact: true }).fill('Waiting room')
  await page.getByLabel('Width').fill('12\' 6"')
  await page.getByLabel('Height').fill('2.4 m')
  await page.getByRole('button', { name: 'Begin the wall' }).click()
  await expect(page).toHaveURL(/stennick\/walls\/waiting-room\/survey$/)
  await summary(page, '0 members')
  await expect(page.locator('[data-finding=framing-unknown]')).toBeVisible()

  await fill(page, 'Wall width', '4000')
  await page.getByLabel('Covering', { exact: true }).selectOption('plywood')
  await fill(page, 'Its thickness', '3/4"')
  await fill(page, 'Member width', '38')
  await fill(page, 'Member centre, from the datum', '400; 31 1/2"; 1.2 m')
  await summary(page, '3 members')

  // By pointing on the elevation.
  await page.getByRole('button', { name: 'Point on the wall' }).click()
  const wall = (await page.locator('[data-testid=elevation] > g > rect').first().boundingBox())!
  await page.mouse.click(wall.x + wall.width * 1600 / 4000, wall.y + wall.height / 2)
  await summary(page, '4 members')
  await page.getByRole('button', { name: 'Pointing' }).click()

  // Moved by typing and by keys, deleted by key.
  await page.locator('[data-row=member-1]').click()
  await fill(page, 'Centre, from the datum', '812.5')
  await page.locator('h1').click()
  await page.keyboard.press('Shift+ArrowRight')
  await expect(page.getByTestId('chosen-member').getByLabel('Centre, from the datum')).toHaveValue('813.5')
  await page.locator('[data-row=member-2]').click()
  await page.keyboard.press('Delete')
  await summary(page, '3 members')
  await saved(page)
  const kept = await house.wall('stennick', 'waiting-room')
  expect(kept.job.walls[0]).toMatchObject({ width: 4000, height: 2400, covering: [{ material: 'plywood', thickness: expect.closeTo(19.05, 9) }] })
  const [first, second, third] = centres(kept)
  expect([first, second]).toEqual([400, 813.5])
  expect(Math.abs(third! - 1600)).toBeLessThan(6)
})

test('a member is dragged on the elevation', async ({ page, house }) => {
  await page.goto(`${HALL}/survey`)
  const member = page.locator('[data-member="3"]')
  const { x, y, width, height } = (await member.boundingBox())!
  await page.mouse.move(x + width / 2, y + height * 0.9)
  await page.mouse.down()
  await page.mouse.move(x + width / 2 + 20, y + height * 0.9, { steps: 5 })
  await page.mouse.up()
  await saved(page)
  const wall = (await page.locator('[data-testid=elevation] > g > rect').first().boundingBox())!
  const moved = centres(await house.wall())[3]!
  expect(Math.abs(moved - (1290 + 20 * 6200 / wall.width))).toBeLessThan(6200 / wall.width + 1)
})

test('a member off the wall is refused beside the field', async ({ page }) => {
  await page.goto(`${HALL}/survey`)
  await fill(page, 'Member centre, from the datum', '7000')
  await expect(page.getByRole('alert')).toContainText('7000 is off a wall that is 6200 wide')
  await expect(page.getByLabel('Member centre, from the datum')).toHaveValue('7000')
  await summary(page, '16 members')
})
