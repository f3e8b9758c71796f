import type { Page } from '@playwright/test'
import { expect, HALL, saved, test, type House } from './house'

const array = async (house: House) => (await house.wall()).job.walls[0].arrays[0]
const field = (page: Page, label: string) => page.getByLabel(label, { exact: true })

test('the grid is nudged by keys, snaps to the middle under the hand, and one drag is one edit', async ({
  page,
  house,
}) => {
  await page.goto(`${HALL}/arrange`)
  await expect(page.locator('[data-testid=elevation] [data-screen]')).toHaveCount(9)
  await expect(page.locator('[data-testid=elevation] [data-part=ports]').first()).toBeAttached()
  await page.locator('h1').click()
  for (const press of ['ArrowRight', 'Shift+ArrowRight', 'Alt+ArrowLeft', 'Shift+ArrowUp', 'ArrowDown'])
    await page.keyboard.press(press)
  await expect(field(page, 'From wall left')).toHaveValue('2970.9')
  await expect(field(page, 'Height above floor')).toHaveValue('894')

  const wall = (await page.locator('[data-testid=elevation] > g > rect').first().boundingBox())!
  const grid = (await page.locator('[data-array=departures]').boundingBox())!
  const scale = wall.width / 6200
  const [x, y] = [grid.x + grid.width / 2, grid.y + grid.height / 2]
  await page.mouse.move(x, y)
  await page.mouse.down()
  await page.mouse.move(x + (3100 - 2970.9) * scale + 3, y - 20, { steps: 8 })
  await page.mouse.up()
  await expect(field(page, 'From wall left')).toHaveValue('3100')
  await saved(page)
  expect((await array(house)).at.x.value).toBe(3100)
  await page.keyboard.press('Control+z')
  await expect(field(page, 'From wall left')).toHaveValue('2970.9')
  await expect(field(page, 'Height above floor')).toHaveValue('894')
  // In inches a press is a sixteenth.
  await page.keyboard.press('u')
  await page.keyboard.press('ArrowRight')
  await page.keyboard.press('Shift+ArrowRight')
  await expect(page.getByRole('button', { name: /^Undo/ })).toBeEnabled()
  await saved(page)
  expect((await array(house)).at.x.value).toBeCloseTo(2970.9 + (25.4 * 9) / 16, 6)
})
