import type { Page } from '@playwright/test'
import { expect, fill, HALL, saved, test, type House } from './house'

const array = async (house: House) => (await house.wall()).job.walls[0].arrays[0]
const outer = async (house: House, id: string) => {
  const plan = JSON.parse((await house.api(`${HALL}/plan`)).body)
  return plan.walls[0].arrays[0].positions.find((position: { id: string }) => position.id === id)
}
const field = (page: Page, label: string) => page.getByLabel(label, { exact: true })

test('a grid is chosen, sized, turned and placed in either unit', async ({ page, house }) => {
  await page.goto(`${HALL}/arrange`)
  await fill(page, 'Rows', '2')
  await fill(page, 'Columns', '2')
  await fill(page, 'Horizontal gap', '1/8"')
  await fill(page, 'From wall left', '9\' 10 1/8"')
  await saved(page)
  expect(await array(house)).toMatchObject({ rows: 2, columns: 2, gap: { x: 3.175 }, at: { x: { edge: 'centre', value: expect.closeTo(3000.375, 6) } } })

  // All four ways up; the display's 18 mm offset turns with it.
  const corner = async () => {
    const { outer: { x, y, width, height }, picture, mount } = await outer(house, 'departures-r1c1')
    return { size: [width, height], fromCentre: [mount.x - mount.lateralShift - x - width / 2, mount.y - y - height / 2 + 40].map(mm => Math.round(mm * 10) / 10 + 0), left: Math.round((picture.x - x) * 10) / 10 }
  }
  for (const [choice, size, offset, left] of [
    ['portrait-cw', [576.2, 1021.4], [-18, 0], 0.5], ['portrait-ccw', [576.2, 1021.4], [18, 0], 0.9],
    ['inverted', [1021.4, 576.2], [0, 18], 0.5], ['landscape', [1021.4, 576.2], [0, -18], 0.9],
  ] as const) {
    await page.getByLabel('Orientation').selectOption(choice)
    await saved(page)
    await expect.poll(async () => (await array(house)).orientation).toBe(choice)
    const now = await corner()
    expect(now.size).toEqual(size)
    expect(now.left).toBe(left)
    expect(now.fromCentre).toEqual([...offset])
  }

  // Held by another edge, the grid stays where it is.
  const before = await outer(house, 'departures-r1c1')
  await page.getByLabel('Horizontal position').selectOption('right')
  await page.getByLabel('Vertical position').selectOption('top')
  await saved(page)
  expect((await outer(house, 'departures-r1c1')).outer.x).toBeCloseTo(before.outer.x, 6)
  expect((await outer(house, 'departures-r1c1')).outer.y).toBeCloseTo(before.outer.y, 6)
  await expect(page.getByRole('region', { name: 'Arrange' })).toContainText('Outline width2046')

  // Any figure opens to its sum.
  await page.getByRole('button', { name: /Outline width/ }).click()
  await expect(page.getByText('2 × 1021.4 + 1 × 3.2 = 2046')).toBeVisible()
})

test('the grid is nudged by keys, snaps to the middle under the hand, and one drag is one edit', async ({ page, house }) => {
  await page.goto(`${HALL}/arrange`)
  await expect(page.locator('[data-testid=elevation] [data-screen]')).toHaveCount(9)
  await page.locator('h1').click()
  for (const press of ['ArrowRight', 'Shift+ArrowRight', 'Alt+ArrowLeft', 'Shift+ArrowUp', 'ArrowDown']) await page.keyboard.press(press)
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
  expect((await array(house)).at.x.value).toBeCloseTo(2970.9 + 25.4 * 9 / 16, 6)
})

test('an array keeps to what it follows until a hand moves it', async ({ page, house }) => {
  const CAFE = '/sites/holm-point/walls/cafe'
  const bottom = async () => (await house.api(`${CAFE}/plan`).then(({ body }) => JSON.parse(body))).walls.find(({ id }: { id: string }) => id === 'cafe').arrays[0].outline.y as number
  await page.goto(`${CAFE}/arrange`)
  await expect(page.getByLabel('Vertical position')).toHaveValue('above counter')
  await expect(page.getByLabel('Clearance above')).toHaveValue('100')
  await page.getByRole('link', { name: /^Survey/ }).click()
  await page.getByRole('tab', { name: 'Features' }).click()
  await page.getByRole('list', { name: 'Features' }).getByRole('button').first().click()
  await fill(page, 'Height', '950')
  await saved(page)
  expect(await bottom()).toBeCloseTo(1050, 6)
  await page.getByRole('link', { name: /^Arrange/ }).click()
  await fill(page, 'Clearance above', '80')
  await page.getByLabel('Horizontal position').selectOption('wall-centre')
  await expect(page.getByLabel('From wall left')).toHaveValue('1200')
  await saved(page)
  expect(await bottom()).toBeCloseTo(1030, 6)
  await page.locator('h1').click()
  await page.keyboard.press('Shift+ArrowUp')
  await expect(page.getByLabel('Vertical position')).toHaveValue('bottom')
  await expect(page.getByLabel('Height above floor')).toHaveValue('1040')
  await page.keyboard.press('Control+z')
  await expect(page.getByLabel('Vertical position')).toHaveValue('above counter')
  await saved(page)
  expect((await house.wall('holm-point', 'cafe')).job.walls[0].arrays[0].follows).toEqual({ x: { rule: 'wall-centre' }, y: { rule: 'above', feature: 'counter', value: 80 } })
})

test('a grid is begun on a bare wall from the catalogue', async ({ page, house }) => {
  await page.goto('/sites/stennick')
  await page.getByLabel('Name', { exact: true }).fill('Bare')
  await page.getByLabel('Width').fill('3000')
  await page.getByLabel('Height').fill('2500')
  await page.getByRole('button', { name: 'Create wall' }).click()
  await page.getByRole('link', { name: /^Arrange/ }).click()
  await page.getByRole('button', { name: 'Add display array' }).click()
  await page.getByLabel('Display', { exact: true }).selectOption('firth-32s')
  await page.getByLabel('Mount', { exact: true }).selectOption('slipway-p2')
  await saved(page)
  const { job } = await house.wall('stennick', 'bare')
  expect(job.walls[0].arrays).toMatchObject([{ display: 'firth-32s', mount: 'slipway-p2', rows: 1, columns: 1, at: { x: { edge: 'centre', value: 1500 } } }])
})
