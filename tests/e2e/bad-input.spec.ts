import { expect, HALL, test } from './house'

test('the API answers each kind of wrong with its own status and one shape', async ({ house }) => {
  const { job, version } = await house.wall()
  const wall = job.walls[0]
  const put = async (body: unknown, to = HALL) => {
    const { status, body: text } = await house.api(to, {
      method: 'PUT',
      body: typeof body === 'string' ? body : JSON.stringify(body),
    })
    return {
      status,
      ...(JSON.parse(text).error as {
        code: string
        message: string
        faults?: { path: string }[]
        current?: { version: number }
      }),
    }
  }
  expect(await put('{ oops')).toMatchObject({ status: 400, code: 'not-json' })
  expect(await put({ wall, version }, '/sites/holm-point/walls/nowhere')).toMatchObject({
    status: 404,
    code: 'not-found',
  })
  expect(await put({ wall, version }, '/sites/nowhere/walls/ticket-hall')).toMatchObject({ status: 404 })
  expect(await put({ wall, version: version - 1 })).toMatchObject({ status: 409, code: 'stale', current: { version } })
  const wrong = await put({
    wall: { ...wall, width: 0, height: 'tall', covering: [{ material: '', thickness: -1 }] },
    version,
  })
  expect(wrong.status).toBe(422)
  expect(wrong.faults!.map(({ path }) => path).sort()).toEqual([
    '$.covering[0].material',
    '$.covering[0].thickness',
    '$.height',
    '$.width',
  ])
  expect(await put({ wall: { ...wall, name: 'x'.repeat(5 * 1024 * 1024) }, version })).toMatchObject({
    status: 413,
    code: 'too-large',
  })
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
  const put = await house.api(HALL, {
    method: 'PUT',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ wall, version }),
  })
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
