import { atHand, expect, fill, HALL, saved, test } from './house'

/** One dot, as PNG. */
const PICTURE = Buffer.from(
  'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==',
  'base64',
)

test.use({ viewport: { width: 390, height: 844 }, hasTouch: true })

test('one hole at a time at the wall, with what the drill met, kept for good', async ({ page, house }) => {
  await page.goto(`${HALL}/hang`)
  await expect(page.getByTestId('hole-name')).toHaveText('R1 C1 top 1')
  await expect(page.getByTestId('hole-running')).toContainText('1691')
  await expect(page.getByTestId('hole-height')).toContainText('2479')

  // Everything the thumb needs is on the screen, and large enough.
  for (const name of ['Hit', 'Miss', 'Other…', 'Back', 'Next']) {
    const { x, y, width, height } = (await page.getByRole('button', { name, exact: true }).boundingBox())!
    expect(Math.min(width, height)).toBeGreaterThanOrEqual(48)
    expect([x >= 0, x + width <= 390, y + height <= 844]).toEqual([true, true, true])
  }

  await page.getByRole('button', { name: 'Hit' }).tap()
  await expect(page.getByTestId('hole-name')).toHaveText('R1 C1 top 2')
  await page.getByLabel('Note').fill('void behind the board')
  await page.getByRole('button', { name: 'Miss' }).tap()
  // The answer comes at once: what moves, what fills the dead hole, how far a new one stays from it.
  await expect(page.getByTestId('answer')).toContainText('Keep new holes 28.6 mm away from it')
  await page.getByRole('button', { name: /^Continue/ }).tap()
  await expect(page.getByTestId('answer')).toHaveCount(0)
  await saved(page)

  // A foot pedal sends Page Down.
  await page.locator('h1').click()
  await page.keyboard.press('PageDown')
  await expect(page.getByTestId('hole-name')).toHaveText('R1 C2 top 1')
  await page.keyboard.press('PageUp')
  await page.keyboard.press('ArrowLeft')
  await expect(page.getByTestId('hole-record')).toContainText('Hit')

  const { job } = await house.wall()
  const mine = job.log.filter(({ by, kind }: { by: string, kind: string }) => by === 'Isla Brandt' && kind === 'hole')
  expect(mine).toMatchObject([
    { kind: 'hole', wall: 'ticket-hall', hole: 'departures-r1c1-top-1', result: 'hit' },
    { hole: 'departures-r1c1-top-2', result: 'miss', note: 'void behind the board' },
  ])
  expect(Date.now() - Date.parse(mine[0].at)).toBeLessThan(60_000)

  await page.setViewportSize({ width: 1280, height: 800 })
  await expect(page.locator('[data-hole=departures-r1c1-top-1]')).toHaveAttribute('data-state', 'hit')
  // Nothing holds that plate any more: its marks stay, and it is said what they miss.
  await expect(page.locator('[data-hole=departures-r1c1-top-2]')).toHaveAttribute('data-state', 'miss')
  const { walls: [plan] } = JSON.parse((await house.api(`${HALL}/plan`)).body)
  expect([plan.change.marks, plan.arrays[0].positions[0].mount.held]).toEqual([0, false])
  const stops = plan.findings.filter(({ severity }: { severity: string }) => severity === 'stop')
  expect(stops.map(({ subject }: { subject: string }) => subject)).toContain('departures-r1c1-top-2')
})

test('a hole that differs is answered without a connection: what moves is drawn over what was, and made holes stay', async ({
  page,
  house,
}) => {
  await page.setViewportSize({ width: 1280, height: 800 })
  await page.goto('/sites/ravel-sands/walls/arrivals/hang')
  await expect(page.getByTestId('hole-name')).toHaveText('R1 C1 top 1')
  await page.getByRole('button', { name: 'Hit' }).click()
  await expect(page.getByTestId('hole-name')).toHaveText('R1 C1 top 2')
  await atHand(page)
  await house.stop()
  const at = Number((await page.getByTestId('hole-running').textContent())!.replace(/\D/g, ''))
  await page.getByRole('button', { name: 'Other…' }).click()
  await page.getByRole('button', { name: 'Blown out' }).click()
  const answer = page.getByTestId('answer')
  // In concrete it goes aside in its slot by the depth of the dead hole.
  await expect(answer).toContainText('1 mark moves, by 50 mm in total. Drilled holes stay.')
  await expect(answer).toContainText(`R1 C1 top 2: ${at} →`)
  await expect(answer).toContainText('repair mortar')
  await expect(page.locator('[data-moved]')).toHaveCount(1)
  await house.start()
  await page.getByRole('button', { name: 'Issue revision B' }).click()
  await expect(page.locator('[data-moved]')).toHaveCount(0)
  // Who issued it knows it: the next hole is at hand.
  await expect(page.getByTestId('hole-name')).toBeVisible()
  await saved(page)
  const {
    walls: [plan],
  } = JSON.parse((await house.api('/sites/ravel-sands/walls/arrivals/plan')).body)
  expect(plan.dead).toMatchObject([{ hole: 'arrivals-r1c1-top-2', result: 'blown', keepOff: 50 }])
  expect(plan.arrays[0].positions[0].holes.find(({ id }: { id: string }) => id === 'arrivals-r1c1-top-1').made).toBe(
    'hit',
  )
})

test('a hole that is made stays where it is when its array is moved; what cannot be kept is told and is not taken for made', async ({
  page,
}) => {
  await page.setViewportSize({ width: 1280, height: 800 })
  const wall = '/api/sites/holm-point/walls/ticket-hall'
  const {
    walls: [plan],
  } = await (await page.request.get(`${wall}/plan`)).json()
  const { holes } = plan.arrays[0].positions[0]
  for (const { id, x, y } of holes) {
    const entry = {
      id: `drilled ${id}`,
      at: '2026-11-20T09:00:00Z',
      by: 'Odd Varga',
      wall: 'ticket-hall',
      kind: 'hole',
      hole: id,
      x,
      y,
      result: 'hit',
    }
    expect((await page.request.post(`${wall}/log`, { data: entry })).status()).toBe(201)
  }
  const first = page.locator('[data-row=departures-r1c1-top-1]')
  /** Puts the array's centre elsewhere: it is at 2960. */
  const moveTo = async (x: string) => {
    await page.goto(`${HALL}/arrange`)
    await fill(page, 'From wall left', x)
    await saved(page)
    await page.goto(`${HALL}/mark`)
  }
  await moveTo('2973')
  await expect(first).toContainText('1691')
  await expect(first).toContainText('hit')
  await expect(page.locator('[data-finding=hole-left-behind]')).toHaveCount(0)
  await moveTo('3420')
  await expect(first).not.toContainText('hit')
  await page.goto(`${HALL}/mount`)
  await expect(page.locator('[data-finding=hole-left-behind]')).toContainText(
    'R1 C1 cannot use 4 holes already drilled for it: its plate would have to move',
  )
  await expect(page.locator('[data-testid=elevation] [data-left-behind]')).toHaveCount(4)
})

test('the work is prepared and done step by step; what is missing is told to the planner', async ({ page, house }) => {
  await house.signIn(page.context(), 'Odd Varga')
  await page.goto(`${HALL}/hang`)
  await page.getByRole('tab', { name: 'Prepare' }).tap()
  const kit = page.locator('[data-kit="kit:people"]')
  await expect(kit).toContainText('people for lifting')
  await page.locator('[data-kit^="kit:fastener-"]').getByRole('button', { name: 'is ready' }).tap()
  await expect(page.getByTestId('kit-count')).toContainText('1 of')
  await page.locator('[data-kit="kit:detector"]').getByRole('button', { name: 'is missing' }).tap()
  await expect(page.locator('[data-kit="kit:detector"]')).toContainText('Missing, reported by Odd Varga')
  await page.getByRole('tab', { name: 'Steps' }).tap()
  await expect(page.getByTestId('step-title')).toHaveText('Isolate and prove dead')
  for (const name of ['Done', 'Back', 'Next']) {
    const { x, y, width, height } = (await page.getByRole('button', { name, exact: true }).boundingBox())!
    expect(Math.min(width, height)).toBeGreaterThanOrEqual(48)
    expect([x >= 0, x + width <= 390, y + height <= 844]).toEqual([true, true, true])
  }
  await page.getByTestId('photo').setInputFiles({ name: 'dead.png', mimeType: 'image/png', buffer: PICTURE })
  await expect(page.getByAltText('Photo of this step')).toBeVisible()
  await page.getByRole('button', { name: 'Done', exact: true }).tap()
  await expect(page.getByTestId('step-title')).toHaveText('Test a screw by hand')
  await page.locator('h1').click()
  await page.keyboard.press('PageDown')
  await expect(page.getByTestId('step-title')).toHaveText('Unpack and measure the displays')
  await saved(page)
  const { job } = await house.wall()
  expect(job.log.filter(({ kind }: { kind: string }) => kind === 'step')).toMatchObject([
    { step: expect.stringMatching(/^kit:fastener-/), done: true, by: 'Odd Varga' },
    { step: 'kit:detector', done: false, note: expect.stringContaining('Detector') },
    { step: 'check:power', done: false, photo: expect.stringMatching(/\.png$/) },
    { step: 'check:power', done: true, photo: expect.stringMatching(/\.png$/) },
  ])
  const { walls: [plan] } = JSON.parse((await house.api(`${HALL}/plan`)).body)
  expect(plan.findings.find(({ code }: { code: string }) => code === 'part-missing')).toMatchObject({
    severity: 'caution',
    message: expect.stringContaining('Odd Varga reports missing on site'),
  })
  expect((await page.request.get(`/api${HALL}/kit?format=pdf`)).headers()['content-type']).toBe('application/pdf')
})

test('a second result for a hole is a correction, and named as one @long', async ({ page, house }) => {
  await house.signIn(page.context(), 'Odd Varga')
  await page.goto(`${HALL}/hang`)
  await expect(page.getByTestId('hole-tape')).toHaveText('169 cm+ 1 mm')
  await page.getByRole('button', { name: 'Hit' }).tap()
  await expect(page.getByTestId('hole-name')).toHaveText('R1 C1 top 2')
  await page.getByRole('button', { name: 'Back' }).tap()
  await page.getByRole('button', { name: 'Other…' }).tap()
  await page.getByRole('button', { name: 'Stripped' }).tap()
  await expect(page.getByTestId('corrects')).toContainText('Replace “hit” by Odd Varga with “stripped”?')
  await page.getByRole('button', { name: 'Replace' }).tap()
  await expect(page.getByTestId('answer')).toBeVisible()
  await page.getByRole('button', { name: 'Stop and ask' }).tap()
  const question = page.getByLabel('Question to a lead or planner')
  await expect(question).toHaveValue('R1 C1 top 1 stripped: what is to be done?')
  await page.getByRole('button', { name: 'Ask', exact: true }).tap()
  await expect(page.getByTestId('question')).toContainText('R1 C1 top 1 stripped')
  // Who asked waits for the answer, and may withdraw the question; nobody answers himself.
  await expect(page.getByLabel('Answer')).toHaveCount(0)
  await saved(page)
  const { job } = await house.wall()
  const [hit, stripped, asked] = job.log.slice(-3)
  expect([hit, stripped, asked]).toMatchObject([
    { result: 'hit' }, { result: 'stripped', corrects: hit.id },
    { kind: 'step', step: 'ask:departures-r1c1-top-1', done: false },
  ])
  await house.signIn(page.context(), 'Isla Brandt')
  await page.reload()
  await page.getByLabel('Answer').fill('Next slot, as planned anew')
  await page.getByRole('button', { name: 'Answer' }).tap()
  await expect(page.getByTestId('question')).toHaveCount(0)
})
