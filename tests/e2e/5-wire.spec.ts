import { pdfText } from '../fixtures/pdfText'
import { atHand, expect, fill, HALL, saved, test } from './house'

test('a box that is dragged over a member says so, and goes to the nearest place that would do', async ({
  page,
  house,
}) => {
  await page.goto(`${HALL}/wire`)
  await page.getByRole('tab', { name: 'Boxes' }).click()
  await page.getByRole('button', { name: /^R2 C2, power/ }).click()
  const before = await page.getByLabel('Centre, along').inputValue()
  const box = page.locator('[data-box=b22] rect').first()
  const at = (await box.boundingBox())!
  // From 2655 on to the plate and the member at 2770.
  await page.mouse.move(at.x + at.width / 2, at.y + at.height / 2)
  await page.mouse.down()
  await page.mouse.move(at.x + at.width / 2 + 8, at.y + at.height / 2, { steps: 4 })
  await page.mouse.move(at.x + at.width / 2 + 14, at.y + at.height / 2, { steps: 4 })
  await expect(page.locator('[data-finding=box-no-place]')).toContainText('the plate of R2 C2')
  await page.mouse.up()
  await expect(page.locator('[data-finding=box-no-place]')).toContainText('clear of the studs')
  await expect(box).toHaveAttribute('stroke-dasharray', '4 3')
  await page.getByRole('button', { name: 'Move to nearest position' }).click()
  await expect(page.locator('[data-finding=box-no-place]')).toHaveCount(0)
  await page.getByRole('button', { name: 'Place automatically' }).click()
  await expect(page.getByLabel('Centre, along')).toHaveValue(before)
  // A cord is chosen for it, and refused for a wall.
  await page.getByLabel('Cable to box').selectOption('lyng-cord')
  await expect(page.locator('[data-finding=cord-in-wall]')).toContainText('must not run inside a wall')
  await page.getByLabel('Cable to box').selectOption('')
  await expect(page.locator('[data-finding=cord-in-wall]')).toHaveCount(0)
  await saved(page)
  expect((await house.wall()).job.walls[0].boxes.find(({ id }: { id: string }) => id === 'b22')).toEqual({
    id: 'b22',
    kind: 'power',
    model: 'skarv-p1',
    for: ['departures-r2c2'],
  })
})

test('a pull-out wall is wired from an outlet below, and a line that stops gives the next way, offline too', async ({
  page,
  house,
}) => {
  await page.goto(`${HALL}/wire`)
  await page.getByRole('tab', { name: 'Routes' }).click()
  await page.getByRole('button', { name: /^R2 C1 power, in the wall/ }).click()
  const card = page.getByTestId('route-card')
  // From the outlet at 360 up its bay: opened at the blocking that was found at 1640.
  await expect(card).toContainText('push a fish rod up to the blocking; open the covering there')
  await expect(card).toContainText('1 opening, 1 seal, 1 patch')
  await page.getByRole('button', { name: /^R3 C2 power, from above/ }).click()
  await expect(card.getByRole('listitem')).toHaveCount(5)
  await expect(card).toContainText('along the void')
  await page.getByRole('tab', { name: 'All work' }).click()
  await expect(page.getByTestId('works')).toContainText('1 opening,')
  await page.getByRole('tab', { name: 'Legs' }).click()

  await page.getByRole('button', { name: 'Line blocked' }).click()
  await atHand(page)
  await house.stop()
  await fill(page, 'Blockage above floor', '4000')
  await expect(card).toContainText('The wall is only 3300 mm high')
  await fill(page, 'Blockage above floor', '2600')
  await expect(card).toContainText('Blocking entered at 2600 mm')
  await expect(card).toContainText('3 openings, 3 seals, 3 patches; 2 people')
  // The chain is another now: it is fed from the box beside it, across two studs.
  await expect(card).toContainText('open the covering at each stud')
  await page.getByRole('button', { name: 'Line through' }).click()
  await expect(card).toContainText('the stud bay is clear on this route')
  await house.start()
  await saved(page)
  const { job } = await house.wall()
  const [wall] = job.walls
  expect(wall.blocking.at(-1)).toMatchObject({ y: 2600, found: true })
  // Found in the bay in which the rod goes up, that of the outlet, and there only.
  expect([wall.blocking.at(-1).x1 > 1300, wall.blocking.at(-1).x2 < 1700, wall.passed.length > 0]).toEqual([
    true,
    true,
    true,
  ])
  expect(job.log.slice(-2)).toMatchObject([
    { kind: 'fished', route: 'to-b32', result: 'stopped', y: 2600 },
    { kind: 'fished', result: 'through' },
  ])
})

test('at the wall a route is followed leg by leg, and where it stopped is told by a thumb on the drawing', async ({
  page,
  house,
}) => {
  await page.setViewportSize({ width: 390, height: 844 })
  await page.goto(`${HALL}/wire`)
  await page.getByRole('tab', { name: 'Routes' }).click()
  await page.getByLabel('Route', { exact: true }).selectOption('to-b13')
  const leg = page.getByTestId('leg-card')
  await expect(leg).toContainText('1 of 5: Fish rod up')
  await page.keyboard.press('PageDown')
  await expect(leg).toContainText('2 of 5: Bore plate')
  await leg.getByRole('button', { name: 'Next' }).click()
  await expect(leg).toContainText('3 of 5: Along the void')
  await page.getByRole('button', { name: 'Line blocked' }).click()
  const drawing = (await page.getByTestId('elevation').boundingBox())!
  await page.getByTestId('elevation').click({ position: { x: 100, y: drawing.height / 2 } })
  const told = Number(await page.getByLabel('Blockage above floor').inputValue())
  expect(told).toBeGreaterThan(800)
  await page.getByRole('button', { name: '+25' }).click()
  await page.getByRole('button', { name: 'Record blockage' }).click()
  await expect(page.getByTestId('route-card')).toContainText(`Blocking entered at ${told + 25}`)
  await saved(page)
  expect((await house.wall()).job.walls[0].blocking.at(-1)).toMatchObject({ y: told + 25, found: true })
})

test('the schedule, the labels and the electrician’s sheet are saved, opened and read back', async ({
  page,
  house,
}) => {
  await page.goto(`${HALL}/wire`)
  await page.getByRole('tab', { name: 'Schedule' }).click()
  await page.getByRole('row', { name: /picture .*Rack, ticket office, port 2/ }).click()
  await expect(page.getByRole('button', { name: /picture: Rack, ticket office to R3 C2/ })).toBeVisible()
  await page.getByRole('button', { name: /picture: Rack, ticket office to R3 C2/ }).click()
  await expect(page.getByText(/route 2126\.9 \+ beyond the wall 6500/)).toBeVisible()
  for (const [title, file] of [
    ['Electrician’s sheet', 'electrician.pdf'],
    ['Schedule CSV', 'schedule.csv'],
    ['Cable labels', 'labels.pdf'],
  ] as const) {
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('link', { name: title, exact: true }).click(),
    ])
    expect(download.suggestedFilename()).toBe(`holm-point-ticket-hall-${file}`)
  }
  const file = async (as: string) => new Uint8Array(await house.file(`${HALL}/wiring?as=${as}&paper=a4`))
  const sheet = (await pdfText(await file('electrician'))).flat()
  for (const text of [
    'Outlet below, circuit 7',
    '16 A',
    '1485 W',
    '6.46 A',
    '48 %',
    'b22',
    '2327',
    'Licence',
    'Signature',
  ])
    expect(sheet.join('|')).toContain(text)
  const labels = (await pdfText(await file('labels'))).flat()
  expect(labels.filter(text => text === '1')).toHaveLength(2)
  expect(labels.join(' ')).toContain('other end: Rack, ticket office, port 2')
  expect((await house.api(`${HALL}/wiring?as=poem`)).status).toBe(400)
})
