import { expect, fill, HALL, saved, test } from './house'

test('every field says what is wrong beside it, keeps what was typed and saves nothing wrong', async ({ page, house }) => {
  await page.goto(`${HALL}/arrange`)
  for (const [label, typed, said] of [
    ['Columns', '7', '7 columns are 7153.4 mm wide; the wall is 6200 mm'],
    ['Columns', '0', 'Must be at least 1'],
    ['Rows', 'two', '“two” is not a whole number'],
    ['Rows', '3000', 'has 9000 screens; at most 2500'],
    ['Horizontal gap', '-1', 'Must not be negative'],
    ['Height above floor', 'up there', '“up there” is not a length'],
    ['Height above floor', '1,500', 'could have a decimal comma or a thousand'],
  ] as const) {
    const input = page.getByLabel(label, { exact: true })
    await fill(page, label, typed)
    await expect(page.getByRole('alert').filter({ hasText: said })).toBeVisible()
    await expect(input).toHaveValue(typed)
    await expect(input).toHaveAttribute('aria-invalid', 'true')
    await input.press('Escape')
    await expect(input).toHaveAttribute('aria-invalid', 'false')
  }
  await page.goto('/sites/holm-point/walls/cafe/arrange')
  await page.getByLabel('Display', { exact: true }).selectOption('firth-75h')
  await expect(page.getByRole('alert').first()).toContainText(/carries at most \d+ kg; .* weighs \d+/)
  await page.goto(`${HALL}/survey`)
  await page.getByRole('tab', { name: 'Wall', exact: true }).click()
  for (const [label, typed, said] of [['Wall width', '0', 'Must be more than 0'], ['Wall height', '-3 m', 'Must be more than 0'], ['Wall width', '200 m', 'at most 100 m'], ['Wall width', '2000', 'columns are 3065.4 mm wide; the wall is 2000']] as const) {
    await fill(page, label, typed)
    await expect(page.getByRole('alert').filter({ hasText: said })).toBeVisible()
    await page.getByLabel(label, { exact: true }).press('Escape')
  }
  await saved(page)
  expect((await house.wall()).version).toBe(1)
  expect((await house.wall('holm-point', 'cafe')).version).toBe(1)
})

test('a new site and a new wall are refused beside their fields', async ({ page }) => {
  await page.goto('/')
  await page.getByRole('button', { name: 'Create site' }).click()
  await expect(page.getByRole('alert')).toContainText('The name must not be empty')
  await page.goto('/sites/holm-point')
  await page.getByLabel('Width').fill('150 m')
  await page.getByLabel('Height').fill('tall')
  await page.getByRole('button', { name: 'Create wall' }).click()
  await expect(page.getByText('Enter a name.')).toBeVisible()
  await expect(page.getByText('“tall” is not a length')).toBeVisible()
  await page.locator('#wall-name').fill('Long')
  await page.getByLabel('Height').fill('3000')
  await page.getByRole('button', { name: 'Create wall' }).click()
  await expect(page.getByText('at most 100 m')).toBeVisible()
})

test('the API answers each kind of wrong with its own status and one shape', async ({ house }) => {
  const { job, version } = await house.wall()
  const wall = job.walls[0]
  const put = async (body: unknown, to = HALL) => {
    const { status, body: text } = await house.api(to, { method: 'PUT', body: typeof body === 'string' ? body : JSON.stringify(body) })
    return { status, ...JSON.parse(text).error as { code: string, message: string, faults?: { path: string }[], current?: { version: number } } }
  }
  expect(await put('{ oops')).toMatchObject({ status: 400, code: 'not-json' })
  expect(await put({ wall, version }, '/sites/holm-point/walls/nowhere')).toMatchObject({ status: 404, code: 'not-found' })
  expect(await put({ wall, version }, '/sites/nowhere/walls/ticket-hall')).toMatchObject({ status: 404 })
  expect(await put({ wall, version: version - 1 })).toMatchObject({ status: 409, code: 'stale', current: { version } })
  const wrong = await put({ wall: { ...wall, width: 0, height: 'tall', covering: [{ material: '', thickness: -1 }] }, version })
  expect(wrong.status).toBe(422)
  expect(wrong.faults!.map(({ path }) => path).sort()).toEqual(['$.covering[0].material', '$.covering[0].thickness', '$.height', '$.width'])
  expect(await put({ wall: { ...wall, name: 'x'.repeat(5 * 1024 * 1024) }, version })).toMatchObject({ status: 413, code: 'too-large' })
  const nowhere = await house.api('/nothing/here')
  expect([nowhere.status, JSON.parse(nowhere.body).error.code]).toEqual([404, 'not-found'])
  expect((await house.wall()).version).toBe(version)
})

test('ids of any form break no screen, and a reading of any id is picked on the drawing', async ({ page, house }) => {
  const { job, version } = await house.wall()
  const [wall] = job.walls
  const [array, reading] = ['a(b [c] "d" .e #f', 'a member-1 (left) "quoted"']
  wall.arrays[0].id = array
  wall.evidence.find(({ method, x }: { method: string, x: number }) => method === 'magnet' && x === 1492).id = reading
  const put = await house.api(HALL, { method: 'PUT', headers: { 'content-type': 'application/json' }, body: JSON.stringify({ wall, version }) })
  expect(put.status).toBe(200)
  const errors: string[] = []
  page.on('pageerror', error => errors.push(error.message))
  for (const stage of ['survey', 'arrange', 'mount', 'fix', 'mark', 'hang']) {
    await page.goto(`${HALL}/${stage}`)
    await expect(page.locator('[data-screen]')).toHaveCount(9)
    if (stage === 'hang') await expect(page.getByTestId('hole-name')).toContainText('R1 C1 top 1')
    else await expect(page.locator(`[data-array=${JSON.stringify(array)}]`)).toHaveCount(1)
  }
  await page.goto(`${HALL}/arrange`)
  await page.getByRole('tab', { name: 'Screen', exact: true }).click()
  await page.locator('[data-screen]').nth(4).click()
  await expect(page.locator('.bench')).toContainText('R2 C2')

  await page.goto(`${HALL}/survey`)
  await page.locator(`[data-reading=${JSON.stringify(reading)}]`).click({ force: true })
  await expect(page.getByTestId('reading-card')).toContainText('a magnet')
  expect(errors).toEqual([])
})
