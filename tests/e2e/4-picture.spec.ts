import { readFileSync } from 'node:fs'
import sharp from 'sharp'
import { expect, fill, HALL, saved, test } from './house'

const panel = 'Arrange sections'

test('the picture that drives the wall: canvas, seams, sources, exports', async ({ page, house }) => {
  await page.goto(`${HALL}/arrange`)
  await page.getByRole('tablist', { name: panel }).getByRole('tab', { name: 'Picture' }).click()
  // Three pictures of 1920 and two seams of 3.76 px; three of 1080 and two seams of 3.76 px.
  await expect(page.getByTestId('canvas')).toContainText('5768 × 3248 px')
  await page.getByRole('button', { name: /^Hidden per vertical seam/ }).click()
  await expect(page.getByText(/2 ÷ 0\.53125 mm per pixel = 3\.76 px/)).toBeVisible()
  await page.getByLabel('Source format').selectOption('9:16')
  await page.getByLabel('Scaling').selectOption('fill')
  await expect(page.getByTestId('source-fit')).toHaveText('Fills the canvas; cropped: 34.2 % each at top and bottom.')
  for (const format of ['JSON', 'CSV', 'SVG', 'PNG']) {
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByText(format, { exact: true }).click(),
    ])
    expect(download.suggestedFilename()).toBe(`holm-point-ticket-hall-departures-pixels.${format.toLowerCase()}`)
    const bytes = readFileSync(await download.path())
    if (format === 'PNG') expect([bytes.readUInt32BE(16), bytes.readUInt32BE(20)]).toEqual([5768, 3248])
    if (format === 'JSON')
      expect(JSON.parse(bytes.toString())).toMatchObject({ array: 'departures', canvas: { width: 5768, height: 3248 } })
    if (format === 'CSV') expect(bytes.toString().split('\r\n')[2]).toMatch(/^1,2,1924,0,1920,1080,1923\.76/)
    if (format === 'SVG') expect(bytes.toString()).toContain('>R3 C3<')
  }
  expect((await house.api(`${HALL}/pixels?format=gif`)).status).toBe(400)
  expect((await house.api(`${HALL}/pixels?array=none`)).status).toBe(404)
})

test('who looks at it, from where, and what stands in their way', async ({ page, house }) => {
  await page.goto(`${HALL}/arrange`)
  await page.getByRole('tablist', { name: panel }).getByRole('tab', { name: 'Viewers' }).click()
  await expect(page.getByTestId('side-view')).toBeVisible()
  await page.getByRole('button', { name: /^Max distance, 3 % text/ }).click()
  await expect(page.getByText('Source: AVIXA V202.01')).toBeVisible()
  await fill(page, 'Viewer from left', '200')
  await expect(page.getByText('too far off axis')).toHaveCount(0)
  await fill(page, 'Viewing distance', '2000')
  await expect(page.getByText('too far off axis')).toBeVisible()
  await page.getByLabel('Viewers', { exact: true }).selectOption('seated')
  await fill(page, 'Viewing distance', '1500')
  await expect(page.getByText('Upward viewing angle too steep')).toBeVisible()
  await fill(page, 'Viewing distance', '-5')
  await expect(page.getByRole('alert')).toContainText('Must be more than 0')
  await page.getByLabel('Viewing distance').press('Escape')
  await page.getByLabel('Walkway along this wall').check()
  await expect(page.locator('[data-finding=stands-into-walkway]')).toContainText('projects 126 mm from the wall')
  await saved(page)
  expect((await house.wall()).job.walls[0].walkway).toBe(true)
})

test('a picture of one’s own lies across the wall, with and without what seams hide; what is none is refused @long', async ({
  page,
}) => {
  await page.goto(`${HALL}/arrange`)
  await page.getByRole('tablist', { name: panel }).getByRole('tab', { name: 'Picture' }).click()
  const input = page.getByTestId('own-picture')
  await input.setInputFiles({ name: 'notes.png', mimeType: 'image/png', buffer: Buffer.from('no picture at all') })
  await expect(page.getByRole('alert')).toHaveText('notes.png is not a readable picture file.')
  await input.setInputFiles({ name: 'huge.png', mimeType: 'image/png', buffer: Buffer.alloc(20 * 1024 * 1024 + 1) })
  await expect(page.getByRole('alert')).toContainText('the limit is 20 MB')
  const png = await sharp({ create: { width: 64, height: 36, channels: 3, background: '#2a6f97' } })
    .png()
    .toBuffer()
  await input.setInputFiles({ name: 'ferry.png', mimeType: 'image/png', buffer: png })
  const parts = page.getByTestId('picture-preview').locator('svg')
  await expect(parts).toHaveCount(9)
  await expect(parts.nth(1)).toHaveAttribute('viewBox', '1924 0 1920 1080')
  await page.getByLabel('Bezel compensation').uncheck()
  await expect(parts.nth(1)).toHaveAttribute('viewBox', /^1922\.6\d+ 0 1922\.6/)
  await page.getByLabel('Show on drawing').selectOption('test')
  await expect(parts.first().locator('image')).toHaveAttribute('href', /^data:image\/svg/)
})
