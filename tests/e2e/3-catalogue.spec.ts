import { readFileSync } from 'node:fs'
import { expect, fill, HALL, saved, test } from './house'

const row = (id: string) => `[data-row="${id}"]`
const file = (name: string, text: string) => ({ name, mimeType: 'text/csv', buffer: Buffer.from(text) })

test('new figures of a model that walls use become a revision, and the walls are told', async ({ page, house }) => {
  await page.goto('/catalogue')
  await page.locator(row('kelda-46n')).click()
  await expect(page.getByTestId('model-editor')).toContainText('Holm Point, Ticket hall')
  await fill(page, 'Mass (kg)', '29')
  await page.getByRole('button', { name: 'Discard changes' }).click()
  await expect(page.getByLabel('Mass (kg)')).toHaveValue('21.5')
  await fill(page, 'Mass (kg)', '22.4')
  await page.getByRole('button', { name: 'Save as revision' }).click()
  await expect(page.getByRole('status').first()).toContainText('Saved as revision kelda-46n.r2')
  await page.goto(`${HALL}/arrange`)
  await expect(page.getByTestId('model-standing')).toContainText('a newer revision of this display')
  expect((await house.wall()).job.catalogue.displays.find(({ id }: { id: string }) => id === 'kelda-46n').mass).toBe(
    21.5,
  )
  await page.getByRole('button', { name: 'Update this array' }).click()
  await expect(page.getByTestId('model-standing')).toHaveCount(0)
  await saved(page)
  expect((await house.wall()).job.walls[0].arrays[0].display).toBe('kelda-46n.r2')
  // Retired, it stays where it is used.
  await page.goto('/catalogue')
  await page.locator(row('kelda-46n.r2')).click()
  await page.getByRole('button', { name: 'Archive' }).click()
  await expect(page.locator(row('kelda-46n.r2'))).toHaveCount(0)
  await page.getByLabel('Models shown').selectOption('used')
  await expect(page.locator(row('kelda-46n.r2'))).toContainText('archived')
})

test('a table of models is looked at before it is taken in, and comes out again', async ({ page, house }) => {
  await page.goto('/catalogue')
  const [download] = await Promise.all([page.waitForEvent('download'), page.getByRole('link', { name: 'CSV' }).click()])
  const [head, first, ...rest] = readFileSync(await download.path(), 'utf8')
    .trim()
    .split('\r\n') as [string, string, ...string[]]
  expect(rest).toHaveLength(11)
  const changed = first.replace(/^[^,]+,/, 'brought-in,')
  await page
    .getByTestId('model-file')
    .setInputFiles(
      file(
        'list.csv',
        [
          head,
          first,
          changed,
          first.replace(/^[^,]+,/, 'no-width,').replace(/,\d{3,4}(\.\d+)?,/, ',wide,'),
          changed,
        ].join('\r\n'),
      ),
    )
  const rows = page.getByTestId('model-import').locator('[data-becomes]')
  await expect(rows).toHaveCount(4)
  expect(await rows.evaluateAll(all => all.map(row => (row as HTMLElement).dataset.becomes))).toEqual([
    'same',
    'added',
    'refused',
    'refused',
  ])
  await expect(rows.nth(2)).toContainText('“wide” is not a length')
  await page.getByRole('button', { name: 'Import 1 row' }).click()
  await expect(page.getByRole('status').first()).toHaveText('1 imported.')
  await expect(page.locator(row('brought-in'))).toBeVisible()

  await page.getByTestId('model-file').setInputFiles(file('bad.json', '{"displays": 3}'))
  await expect(page.getByRole('alert')).toContainText('The file has no list of displays')
  await page.getByRole('button', { name: 'Cancel' }).click()
  const json = JSON.parse((await house.api('/catalogue/display?format=json')).body)
  expect(json.displays).toHaveLength(13)
  expect((await house.api('/catalogue/spoon')).status).toBe(404)
  expect(
    (
      await house.api('/catalogue/display/import', {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: '{"models": [{"id": "x"}]}',
      })
    ).status,
  ).toBe(422)
})

test('what came and went of a fastener is entered in the ledger of the stock, and never more than there is', async ({
  page,
  house,
}) => {
  await page.goto('/catalogue')
  await page.getByRole('tab', { name: 'Fasteners' }).click()
  await page.getByText('Lag screw 3/8 × 3 in', { exact: true }).click()
  const stock = page.getByTestId('stock')
  await expect(stock).toContainText('In stock: 120')
  await page.getByLabel('Quantity, + in, − out').fill('−130')
  await stock.getByRole('button', { name: 'Record' }).click()
  await expect(stock.getByRole('alert')).toContainText('would leave less than 0: in stock 120')
  await page.getByLabel('Quantity, + in, − out').fill('-20')
  await stock.getByLabel('Note').fill('Ticket hall')
  await stock.getByRole('button', { name: 'Record' }).click()
  await expect(stock).toContainText('In stock: 100')
  expect(JSON.parse((await house.api('/catalogue')).body).stock['fastener/lag-3/8x3']).toBe(100)
})
