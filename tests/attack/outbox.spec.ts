import { atHand, expect, fill, HALL, saved, testAlone as test } from '../e2e/house'

test('two tabs without a connection lose nothing: what each recorded and changed is there when it is back @long', async ({
  page,
  house,
  context,
}) => {
  const other = await context.newPage()
  for (const tab of [page, other]) {
    await tab.goto(`${HALL}/hang`)
    await atHand(tab)
  }
  await house.stop()
  await page.getByRole('button', { name: 'Hit' }).click()
  await other.getByRole('button', { name: 'Next' }).click()
  await other.getByRole('button', { name: 'Hit' }).click()
  // The hole that the other tab has recorded is recorded here too; the next one is not.
  await expect(page.getByTestId('hole-record')).toBeVisible()
  await page.getByRole('button', { name: 'Next' }).click()
  await page.getByRole('button', { name: 'Hit' }).click()
  await other.getByRole('link', { name: /^Arrange/ }).click()
  await fill(other, 'Horizontal gap', '0.9')
  await expect(page.getByTestId('unsent')).toContainText('4 unsent')
  // A tab that is closed takes nothing with it.
  await other.close()
  await house.start()
  await saved(page)
  const { job } = await house.wall()
  expect(job.walls[0].arrays[0].gap.x).toBe(0.9)
  expect(
    job.log.filter(({ by, kind }: { by: string, kind: string }) => by === 'Isla Brandt' && kind === 'hole'),
  ).toHaveLength(3)
})

test('a server in trouble is not called a lost connection, and what waits is sent when it is well', async ({
  page,
  house,
}) => {
  await page.goto(`${HALL}/arrange`)
  await expect(page.getByLabel('Columns')).toHaveValue('3')
  await page.route('**/api/sites/*/walls/*', route =>
    route.request().method() === 'PUT'
      ? route.fulfill({ status: 500, json: { error: { code: 'fault', message: 'The disk is full.' } } })
      : route.fallback(),
  )
  await fill(page, 'Horizontal gap', '0.9')
  await expect(page.getByTestId('save-state')).toContainText('The disk is full.')
  await page.unroute('**/api/sites/*/walls/*')
  await saved(page)
  expect((await house.wall()).job.walls[0].arrays[0].gap.x).toBe(0.9)
})

test('a refused entry is mended, refused changes are given up, what cannot be read is dropped', async ({
  page,
}) => {
  await page.addInitScript(() => {
    if (!sessionStorage.getItem('planted'))
      localStorage.setItem('wide-trellis:draft:holm-point/ticket-hall', '{"version":1,"wall":')
  })
  await page.addInitScript(() => {
    sessionStorage.setItem('planted', '1')
  })
  await page.goto(`${HALL}/hang`)
  await page.getByTestId('set-aside').click()
  await expect(page.getByTestId('broken-draft')).toContainText('holm-point/ticket-hall')
  await page.getByText('Show changes').click()
  await expect(page.getByTestId('broken-draft').locator('pre')).toHaveText('{"version":1,"wall":')
  const download = page.waitForEvent('download')
  await page.getByTestId('broken-draft').getByRole('button', { name: 'Save as file' }).click()
  expect((await download).suggestedFilename()).toBe('holm-point-ticket-hall-not-read.txt')
  await page.getByRole('button', { name: 'Discard changes' }).click()
  await expect(page.getByTestId('set-aside')).toHaveCount(0)
  await page.reload()

  // The hole that is recorded loses its name on the way.
  await page.route('**/log', async (route) => {
    const { entries } = route.request().postDataJSON() as { entries: object[] }
    await route.continue({
      postData: JSON.stringify({ entries: entries.map(entry => ({ ...entry, hole: 'nowhere-1' })) }),
    })
  })
  await page.getByRole('button', { name: 'Hit' }).click()
  await page.getByTestId('set-aside').click()
  await expect(page.getByTestId('refused-entry')).toContainText('“nowhere-1” is not a hole in this wall')
  await page.unroute('**/log')
  await page.getByRole('button', { name: 'Edit entry' }).click()
  const form = page.getByTestId('mend-entry')
  await form.getByLabel('From wall left (mm)').fill('far')
  await form.getByRole('button', { name: 'Send corrected entry' }).click()
  await expect(form).toContainText('must be a number')
  await form.getByLabel('From wall left (mm)').fill('700')
  await form.getByLabel('Name').fill('Odd Vik')
  await form.getByRole('button', { name: 'Send corrected entry' }).click()
  await expect(page.getByTestId('set-aside')).toHaveCount(0)
  await saved(page)
})

test('a device that keeps nothing is told apart from a connection, and the wall can be read all the same', async ({
  page,
}) => {
  await page.addInitScript(() => {
    Object.defineProperty(window, 'indexedDB', {
      value: {
        open: () => {
          throw new DOMException('denied', 'SecurityError')
        },
      },
    })
  })
  await page.goto(`${HALL}/arrange`)
  await expect(page.getByLabel('Columns')).toHaveValue('3')
  await expect(page.getByTestId('device-full')).toHaveText('This browser blocks storage for this page')
  await fill(page, 'Horizontal gap', '0.9')
  await expect(page.getByTestId('save-state')).toContainText('Not saved: this browser blocks storage')
})

test('what is recorded has the limits of the server: it is told beside the field before it is recorded', async ({
  page,
  house,
}) => {
  await page.goto(`${HALL}/hang`)
  await page.getByLabel('Note').fill('a'.repeat(2_001))
  await page.getByRole('button', { name: 'Hit' }).click()
  await expect(page.getByText('The entry must be at most 2000 characters.')).toBeVisible()
  await page.getByLabel('Note').fill('in a joint')
  await page.getByRole('button', { name: 'Hit' }).click()
  await saved(page)
  expect((await house.wall()).job.log.at(-1)).toMatchObject({ note: 'in a joint' })
})
