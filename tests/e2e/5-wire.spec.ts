import { pdfText } from '../fixtures/pdfText'
import { expect, fill, HALL, saved, test } from './house'

test('the ticket hall is wired: a circuit that is full is told, and another takes what it has no room for', async ({ page, house }) => {
  await page.goto(`${HALL}/wire`)
  await expect(page.getByText('9 of 9 screens fed by 1 circuit; 12 of 12 boxes placed')).toBeVisible()
  const first = page.locator('[data-source=board-7]')
  // The sum behind the share: 9 × 165 W ÷ 230 V and 1.2 A of 16 A.
  await first.getByRole('button', { name: /Circuit load/ }).click()
  await expect(first).toContainText('9 × 165 W ÷ (230 V × 1)')
  await first.getByLabel('Breaker (A)').fill('6')
  await first.getByLabel('Breaker (A)').press('Enter')
  await expect(page.getByText('9 of 9 screens fed by 2 circuits')).toBeVisible()
  const second = page.locator('[data-source=board-9]')
  await second.getByLabel('Other load (A)').fill('12.5')
  await second.getByLabel('Other load (A)').press('Enter')
  await expect(page.locator('[data-finding=circuit-full]')).toContainText('No circuit has capacity left for')
  await page.getByRole('button', { name: 'Add circuit' }).click()
  await expect(page.locator('[data-finding=circuit-full]')).toHaveCount(0)
  await saved(page)
  const plan = JSON.parse((await house.api(`${HALL}/plan`)).body).walls[0]
  expect(plan.wire.circuits.flatMap(({ screens }: { screens: string[] }) => screens)).toHaveLength(9)
  expect(plan.wire.circuits.every(({ share, screens }: { share: number, screens: string[] }) => share <= 0.8 || screens.length === 0)).toBe(true)
  await second.getByLabel('Breaker (A)').fill('much')
  await expect(second).toContainText('“much” is not a number')
})

test('a box that is dragged over a member says so, and goes to the nearest place that would do', async ({ page, house }) => {
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
  expect((await house.wall()).job.walls[0].boxes.find(({ id }: { id: string }) => id === 'b22')).toEqual({ id: 'b22', kind: 'power', model: 'skarv-p1', for: ['departures-r2c2'] })
})

test('a pull-out wall is wired from an outlet below, blocking is met on the way, and a line that stops gives the next way at once, without a connection too', async ({ page, house }) => {
  await page.goto(`${HALL}/wire`)
  await page.getByRole('tab', { name: 'Routes' }).click()
  await page.getByRole('button', { name: /^R2 C1 power, in the wall/ }).click()
  const card = page.getByTestId('route-card')
  // From the outlet at 360 up its bay: opened at the blocking that was found at 1640.
  await expect(card).toContainText('push a fish rod up to the blocking; open the covering there')
  await expect(card).toContainText('1 opening, 1 seal, 1 patch')
  await page.getByRole('button', { name: /^R2 C2 power, from above/ }).click()
  await expect(card.getByRole('listitem')).toHaveCount(6)
  await expect(card).toContainText('along the void')
  await page.getByRole('tab', { name: 'All work' }).click()
  await expect(page.getByTestId('works')).toContainText('1 opening,')
  await page.getByRole('tab', { name: 'Legs' }).click()

  await page.getByRole('button', { name: 'Line blocked' }).click()
  await expect(page.getByTestId('at-hand')).toBeVisible()
  await house.stop()
  await fill(page, 'Blockage above floor', '4000')
  await expect(card).toContainText('The wall is only 3300 mm high')
  await fill(page, 'Blockage above floor', '2600')
  await expect(card).toContainText('Blocking entered at 2600 mm')
  await expect(card).toContainText('3 openings, 3 seals, 3 patches; 2 people')
  await expect(card).toContainText('blocking may be at 1640 mm (70 % likely)')
  await page.getByRole('button', { name: 'Line through' }).click()
  await expect(card).toContainText('the stud bay is clear on this route')
  await house.start()
  await saved(page)
  const { job } = await house.wall()
  const [wall] = job.walls
  expect(wall.blocking.at(-1)).toMatchObject({ y: 2600, found: true })
  // Found in the bay of the outlet, and there only.
  expect([wall.blocking.at(-1).x1 > 1300, wall.blocking.at(-1).x2 < 1700, wall.passed.length > 0]).toEqual([true, true, true])
  expect(job.log.slice(-2)).toMatchObject([{ kind: 'fished', route: 'to-b22', result: 'stopped', y: 2600 }, { kind: 'fished', result: 'through' }])
})

test('at the wall a route is followed leg by leg, and where it stopped is told by a thumb on the drawing', async ({ page, house }) => {
  await page.setViewportSize({ width: 390, height: 844 })
  await page.goto(`${HALL}/wire`)
  await page.getByRole('tab', { name: 'Routes' }).click()
  await page.getByLabel('Route', { exact: true }).selectOption('to-b33')
  const leg = page.getByTestId('leg-card')
  await expect(leg).toContainText('1 of 6: Open at blocking')
  await page.keyboard.press('PageDown')
  await expect(leg).toContainText('2 of 6: Fish rod up')
  await leg.getByRole('button', { name: 'Next' }).click()
  await expect(leg).toContainText('3 of 6: Bore plate')
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

test('a bay is found from above by a dimension or by the locator, which tells when it is not over it', async ({ page }) => {
  await page.goto(`${HALL}/wire`)
  await page.getByRole('tab', { name: 'Routes' }).click()
  await page.getByRole('button', { name: /^R1 C1 signal, from above/ }).click()
  await page.getByRole('tab', { name: 'Find bay' }).click()
  const find = page.getByTestId('find-bay')
  await expect(find).toContainText('to the right of the left edge of the wall')
  await find.getByRole('button', { name: 'Use practice locator' }).click()
  await expect(find).toContainText('Within the stud bay')
  await fill(page, 'Located at, along', '2500')
  await expect(find).toContainText('outside the stud bay: do not bore there')
})

test('a kit is behind the single sign, its lower box under the upper one in line with the outlet, and its cord from there', async ({ page, house }) => {
  await page.goto('/sites/holm-point/walls/cafe/wire')
  await expect(page.getByText(/3 of 3 boxes placed/)).toBeVisible()
  await page.getByRole('tab', { name: 'Boxes' }).click()
  await page.getByRole('button', { name: /, kit, lower box/ }).click()
  await expect(page.getByTestId('box-card')).toContainText('330 to 450 mm up')
  const { wire } = JSON.parse((await house.api('/sites/holm-point/walls/cafe/plan')).body).walls[0]
  const of = (id: string) => wire.boxes.find((box: { id: string }) => box.id === id)
  expect([of('k-up').x, of('k-up').bay]).toEqual([of('k-low').x, of('k-low').bay])
  // Its top is in line with the outlet's, at 330 + 120.
  expect(of('k-low').cutout.y + of('k-low').cutout.height).toBe(450)
  const cord = wire.cables.find(({ id }: { id: string }) => id === 'feed-k-low')
  expect([cord.kind, cord.taken >= cord.needed, cord.route]).toEqual(['cord', true, null])
  // Taken away and added anew, it comes back where it was, with the models that it wants.
  for (const id of ['kit, upper box', 'kit, lower box']) {
    await page.getByRole('button', { name: new RegExp(`, ${id}`) }).click()
    await page.getByTestId('box-card').getByRole('button', { name: 'Delete box' }).click()
  }
  for (const kind of ['kit-upper', 'kit-lower']) {
    await page.getByLabel('Box type', { exact: true }).selectOption(kind)
    await page.getByRole('button', { name: /^Place boxes for/ }).click()
  }
  await expect(page.getByText(/3 of 3 boxes placed/)).toBeVisible()
  await saved(page)
})

test('an outdoor sign is fed from inside: protected, under a cover, with a drip loop and its openings sealed', async ({ page, house }) => {
  await page.goto('/sites/ravel-sands/walls/pier/wire')
  await expect(page.locator('[data-finding=outside]')).toContainText('a drip loop in every cable')
  await expect(page.locator('[data-finding=protection-not-known]')).toHaveCount(0)
  await page.getByLabel('30 mA RCD protection').selectOption('no')
  await expect(page.locator('[data-finding=outlet-not-protected]')).toContainText('without protection by a 30 mA RCD')
  await page.getByLabel('30 mA RCD protection').selectOption('yes')
  await expect(page.locator('[data-finding=outlet-not-protected]')).toHaveCount(0)
  await page.getByRole('tab', { name: 'Routes' }).click()
  await expect(page.getByTestId('route-card')).toContainText('1 seal')
  await saved(page)
  const { wire } = JSON.parse((await house.api('/sites/ravel-sands/walls/pier/plan')).body).walls[0]
  expect([wire.routes[0].way, wire.routes[0].from, wire.routes[0].path[0].x]).toEqual(['bay', 'shelter', 2150])
})

test('a concrete wall has surface boxes and raceway, with its run, and a player in chains', async ({ page, house }) => {
  await page.goto('/sites/ravel-sands/walls/arrivals/wire')
  await expect(page.getByText('8 of 8 screens fed by 1 circuit; 8 of 8 boxes placed')).toBeVisible()
  await page.getByRole('tab', { name: 'Routes' }).click()
  await page.getByRole('tab', { name: 'All work' }).click()
  await expect(page.getByTestId('works')).toContainText('raceway 6418')
  await page.getByRole('tab', { name: 'Schedule' }).click()
  const cabinet = page.locator('[data-source=cabinet]')
  await expect(cabinet.getByTestId('port')).toHaveText(['Port 1: R1 C1 → R2 C1 → R2 C2 → R1 C2', 'Port 2: R1 C3 → R2 C3 → R2 C4 → R1 C4'])
  await expect(cabinet).toContainText('Longest link')
  // One port cannot feed four in a row each by a cable of its own.
  await cabinet.getByLabel('Connection', { exact: true }).selectOption('each')
  await expect(page.locator('[data-finding=no-port]')).toContainText('Cabinet by the lift has 2 ports, and R1 C3, ')
  await cabinet.getByLabel('Ports').fill('8')
  await cabinet.getByLabel('Ports').press('Enter')
  await expect(page.locator('[data-finding=no-port]')).toHaveCount(0)
  await saved(page)
  const { wire } = JSON.parse((await house.api('/sites/ravel-sands/walls/arrivals/plan')).body).walls[0]
  expect(new Set(wire.ports.map(({ port }: { port: number }) => port)).size).toBe(8)
  expect(wire.routes.every(({ way }: { way: string }) => way === 'surface')).toBe(true)
})

test('the schedule, the labels and the electrician’s sheet are saved, opened and read back', async ({ page, house }) => {
  await page.goto(`${HALL}/wire`)
  await page.getByRole('tab', { name: 'Schedule' }).click()
  await page.getByRole('row', { name: /picture .*Rack, ticket office, port 2/ }).click()
  await expect(page.getByRole('button', { name: /picture: Rack, ticket office to R3 C2/ })).toBeVisible()
  await page.getByRole('button', { name: /picture: Rack, ticket office to R3 C2/ }).click()
  await expect(page.getByText(/route 2126\.9 \+ beyond the wall 6500/)).toBeVisible()
  for (const [title, file] of [['Electrician’s sheet', 'electrician.pdf'], ['Schedule CSV', 'schedule.csv'], ['Cable labels', 'labels.pdf']] as const) {
    const [download] = await Promise.all([page.waitForEvent('download'), page.getByRole('link', { name: title, exact: true }).click()])
    expect(download.suggestedFilename()).toBe(`holm-point-ticket-hall-${file}`)
  }
  const file = async (as: string) => new Uint8Array(await house.file(`${HALL}/wiring?as=${as}&paper=a4`))
  const sheet = (await pdfText(await file('electrician'))).flat()
  for (const text of ['Outlet below, circuit 7', '16 A', '1485 W', '6.46 A', '48 %', 'b22', '2327', 'Licence', 'Signature']) expect(sheet.join('|')).toContain(text)
  const labels = (await pdfText(await file('labels'))).flat()
  expect(labels.filter(text => text === '1')).toHaveLength(2)
  expect(labels.join(' ')).toContain('other end: Rack, ticket office, port 2')
  expect((await house.api(`${HALL}/wiring?as=poem`)).status).toBe(400)
})
