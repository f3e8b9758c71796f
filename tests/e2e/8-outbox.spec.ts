import { atHand, expect, fill, HALL, otherPerson, saved, test } from './house'

test('two walls are worked on in one outage: each opens from this device, and both are sent when it is over', async ({
  page,
  house,
}) => {
  await page.goto(`${HALL}/arrange`)
  await atHand(page)
  await page.getByRole('link', { name: 'Holm Point', exact: true }).click()
  await page.getByRole('link', { name: /^Café/ }).click()
  await page.getByRole('link', { name: /^Arrange/ }).click()
  await expect(page.getByLabel('Horizontal gap')).toBeVisible()
  await house.stop()
  await fill(page, 'Horizontal gap', '42')
  const state = page.getByTestId('save-state')
  await expect(state).toHaveAttribute('data-state', 'offline')
  // Back over the site’s page, which needs the server, to the first wall, which this device has seen.
  for (let n = 0; n < 3; n++) await page.goBack()
  await expect(page).toHaveURL(`${house.address}${HALL}/arrange`)
  await expect(page.getByLabel('Columns')).toHaveValue('3')
  await fill(page, 'Height above floor', '905')
  await expect(page.getByTestId('unsent')).toContainText('2 unsent')

  await house.start()
  await expect(state).toHaveAttribute('data-state', 'saved', { timeout: 20_000 })
  expect((await house.wall()).job.walls[0].arrays[0].at.y.value).toBe(905)
  expect(
    (await house.wall('holm-point', 'cafe')).job.walls[0].arrays.find(
      ({ gap }: { gap: { x: number } }) => gap.x === 42,
    ),
  ).toBeTruthy()
})

test('an entry that is refused among good ones is set aside with the reason, and keeps nothing else back @long', async ({
  page,
  house,
}) => {
  await page.goto(`${HALL}/hang`)
  await atHand(page)
  await house.stop()
  for (let n = 0; n < 3; n++) await page.getByRole('button', { name: 'Hit' }).click()
  await expect(page.getByTestId('unsent')).toContainText('3 unsent')
  // On its way the second loses where it is.
  await page.route('**/log', async (route) => {
    const { entries } = route.request().postDataJSON() as { entries: { x?: number }[] }
    if (entries[1]) delete entries[1].x
    await route.continue({ postData: JSON.stringify({ entries }) })
  })
  await house.start()
  await expect(page.getByTestId('set-aside')).toContainText('1 rejected', { timeout: 20_000 })
  await saved(page)
  const recorded = async () =>
    (await house.wall()).job.log
      .filter(({ by, kind }: { by: string, kind: string }) => by === 'Isla Brandt' && kind === 'hole')
      .map(({ hole }: { hole: string }) => hole)
  expect(await recorded()).toEqual(['departures-r1c1-top-1', 'departures-r1c2-top-1'])
  await fill(page, 'Note', '')
  await page.getByTestId('set-aside').click()
  await expect(page.getByTestId('refused-entry')).toContainText('departures-r1c1-top-2')
  await expect(page.getByTestId('refused-entry')).toContainText(
    'drilling result departures-r1c1-top-2, ticket-hall, Isla Brandt',
  )
  await expect(page.getByTestId('refused-entry')).toContainText('x is missing.')
  await page.unroute('**/log')
  await page.getByRole('button', { name: 'Send again' }).click()
  await expect(page.getByTestId('set-aside')).toHaveCount(0)
  await expect.poll(recorded).toEqual(['departures-r1c1-top-1', 'departures-r1c2-top-1', 'departures-r1c1-top-2'])
})

test('two versions of a wall do not stop what the drill met from being recorded', async ({ browser, house }) => {
  const [isla, odd] = [
    await otherPerson(browser, house, 'Isla Brandt'),
    await otherPerson(browser, house, 'Ranveig Holt'),
  ]
  for (const page of [isla, odd]) {
    await page.goto(`${HALL}/arrange`)
    await expect(page.getByLabel('Columns')).toHaveValue('3')
    await atHand(page)
  }
  await odd.context().setOffline(true)
  await fill(isla, 'Height above floor', '930')
  await saved(isla)
  await fill(odd, 'Height above floor', '925')
  await expect(odd.getByTestId('save-state')).toHaveAttribute('data-state', 'offline')
  await odd.context().setOffline(false)
  await expect(odd.getByTestId('conflict')).toBeVisible()
  await odd.getByRole('link', { name: /^Hang/ }).click()
  await odd.getByRole('button', { name: 'Hit' }).click()
  await expect
    .poll(async () => (await house.wall()).job.log.filter(({ by }: { by: string }) => by === 'Ranveig Holt').length)
    .toBe(1)
  await expect(odd.getByTestId('conflict')).toBeVisible()
})

test('two tabs of one browser keep to one wall: what is done in one is seen in the other, and nothing is asked', async ({
  page,
  house,
  context,
}) => {
  await page.goto(`${HALL}/arrange`)
  const other = await context.newPage()
  await other.goto(`${HALL}/arrange`)
  await expect(other.getByLabel('Columns')).toHaveValue('3')
  await fill(page, 'Height above floor', '940')
  await expect(other.getByLabel('Height above floor')).toHaveValue('940')
  await fill(other, 'Horizontal gap', '0.8')
  await expect(page.getByLabel('Horizontal gap')).toHaveValue('0.8')
  for (const tab of [page, other]) {
    await saved(tab)
    await expect(tab.getByTestId('conflict')).toHaveCount(0)
  }
  expect((await house.wall()).job.walls[0].arrays[0]).toMatchObject({ gap: { x: 0.8 }, at: { y: { value: 940 } } })
})

test('another wall that is opened right after an edit neither loses the edit nor gets anything of it @long', async ({
  page,
  house,
}) => {
  const cafe = (await house.wall('holm-point', 'cafe')).job.walls[0]
  await page.goto(`${HALL}/arrange`)
  await expect(page.getByLabel('Columns')).toHaveValue('3')
  for (const gap of ['0.7', '0.8', '0.9']) {
    await fill(page, 'Horizontal gap', gap)
    await page.getByRole('link', { name: 'Holm Point', exact: true }).click()
    await page.getByRole('link', { name: /^Café/ }).click()
    await expect(page).toHaveURL(/cafe/)
    await page.goBack()
    await page.locator('[data-wall=ticket-hall]').click()
    await page.getByRole('link', { name: /^Arrange/ }).click()
    await expect(page.getByLabel('Horizontal gap')).toHaveValue(gap)
  }
  await saved(page)
  expect((await house.wall()).job.walls[0]).toMatchObject({ id: 'ticket-hall', arrays: [{ gap: { x: 0.9 } }] })
  expect((await house.wall('holm-point', 'cafe')).job.walls[0]).toEqual(cafe)
})

test('what is undone while it is on its way is undone on the server too, and is not called saved before', async ({
  page,
  house,
}) => {
  await page.goto(`${HALL}/arrange`)
  await expect(page.getByLabel('Columns')).toHaveValue('3')
  const gap = async () => (await house.wall()).job.walls[0].arrays[0].gap.x
  const before = await gap()
  const isSave = (method: string) => method === 'PUT'
  for (const moment of ['asked', 'answered', 'asked', 'answered']) {
    const sent
      = moment === 'asked'
        ? page.waitForRequest(request => isSave(request.method()))
        : page.waitForResponse(response => isSave(response.request().method()))
    await fill(page, 'Horizontal gap', '0.8')
    await sent
    await page.locator('h1').click()
    await page.keyboard.press('Control+z')
    await saved(page)
    expect(await gap()).toBe(before)
    await expect(page.getByLabel('Horizontal gap')).toHaveValue(String(before))
  }
})
