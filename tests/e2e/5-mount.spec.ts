import { expect, fill, HALL, saved, test, type House } from './house'

const SLID = 'Lateral adjustment'

test('a plate is slid by typing and by keys, within its travel, and shows its sum', async ({ page, house }) => {
  await page.goto(`${HALL}/mount`)
  await expect(page.getByTestId('chosen-screen')).toContainText('Screen R1 C1')
  await page.locator('h1').click()
  await page.keyboard.press(']')
  await expect(page.getByTestId('chosen-screen')).toContainText('Screen R1 C2')
  const slid = page.getByLabel(SLID, { exact: true })
  await fill(page, SLID, '4')
  await page.locator('h1').click()
  await page.keyboard.press('ArrowRight')
  await expect(slid).toHaveValue('5')
  await fill(page, SLID, '50')
  await expect(page.getByRole('alert')).toContainText('The lateral adjustment is 45 mm either way; 50 mm was entered.')
  await expect(slid).toHaveValue('50')
  await slid.press('Escape')
  await expect(slid).toHaveValue('5')

  // One that misses is drawn so, counted at the stage, and told on the sheet with its reason.
  await page.locator('h1').click()
  await page.keyboard.press('[')
  await fill(page, 'Array lateral adjustment', '0')
  await fill(page, SLID, '0')
  await expect(page.locator('[data-state=off]')).toHaveCount(2)
  await expect(page.getByRole('link', { name: /^Mount/ })).toContainText('2 stops')
  await fill(page, 'Reason for this position', 'conduit to the right')
  await saved(page)
  expect((await house.api(`${HALL}/sheet?paper=a3&format=svg&revision=draft`)).body).toContain('conduit to the right')
  await page.getByRole('button', { name: 'Use calculated position' }).click()
  await page.keyboard.press(']')

  await page.getByRole('button', { name: /Top holes above floor/ }).click()
  // Bottom edge + bottom to pattern − hook to plate centre + plate to hole: 2038.6 + 270.1 − 40 + 210
  await expect(page.getByText(/bottom edge 2038\.6 \+ to mounting pattern 270\.1 − hook to plate centre 40 \+ plate centre to hole 210 = 2478\.7/)).toBeVisible()
})

/** The hall with one screen in the middle, whose plate reaches one stud of the two that it needs. */
async function unheld(house: House) {
  const { job, version } = await house.wall()
  const [wall] = job.walls
  wall.structure.members = [2500, 2900, 3500, 4100].map(centre => ({ centre, width: 38 }))
  wall.features = []
  Object.assign(wall.arrays[0], { rows: 1, columns: 1, at: { x: { edge: 'centre', value: 3100 }, y: { edge: 'centre', value: 1600 } } })
  const put = await house.api(HALL, { method: 'PUT', headers: { 'content-type': 'application/json' }, body: JSON.stringify({ wall, version }) })
  expect(put.status).toBe(200)
}

// Both studs are reached from 2655.3 to 2744.7, and the plate slides 45 by itself: 3100 − 2744.7 − 45 = 310.3.
test('a plate that cannot be held is cured in each of the ways that would do it', async ({ page, house }) => {
  await unheld(house)
  await page.goto(`${HALL}/mount`)
  const bench = page.getByRole('region', { name: 'Mount' })
  await expect(bench).toContainText('0 of 1 plates fixed')
  await page.getByRole('tab', { name: /Remedies/ }).click()
  const way = (kind: string) => page.locator(`[data-remedy=${kind}]`).first()
  await expect(way('shift')).toContainText('Shift the whole array 311 mm to the left')
  await expect(way('slots')).toContainText('The maker then allows 24 kg; the heaviest display is 21.5 kg')
  await expect(way('rail')).toContainText('79 mm instead of 58 mm')
  await expect(way('mount')).toContainText('Quay F3')

  // Drawn first, then as it was again.
  await way('board').getByRole('button', { name: 'Preview' }).click()
  await expect(page.locator('[data-strip=board]')).toHaveCount(1)
  await expect(bench).toContainText('1 of 1 plates fixed, on a board')
  await way('board').getByRole('button', { name: 'Hide preview' }).click()
  await expect(page.locator('[data-strip]')).toHaveCount(0)

  for (const kind of ['shift', 'slots', 'rail', 'board', 'mount']) {
    await way(kind).getByRole('button', { name: 'Apply remedy' }).click()
    await expect(bench, kind).toContainText('1 of 1 plates fixed')
    if (kind === 'rail') await expect(page.locator('[data-strip]')).toHaveCount(2)
    await saved(page)
    const plan = JSON.parse((await house.api(`${HALL}/plan`)).body)
    const [position] = plan.walls[0].arrays[0].positions
    expect(position.mount.held, kind).toBe(true)
    expect(position.loads[0].utilisation, kind).toBeGreaterThan(0)
    await page.getByRole('button', { name: /^Undo/ }).click()
    await expect(bench).toContainText('0 of 1 plates fixed')
  }
})

test('on block every hole keeps clear of the joints, and one that does not is a stop', async ({ page, house }) => {
  const path = '/sites/stennick/walls/departures-row'
  const { walls: [wall] } = JSON.parse((await house.api(`${path}/plan`)).body)
  const { origin, length, height, joint } = wall.coursing
  const holes = wall.arrays[0].positions.flatMap((position: { holes: { x: number, y: number }[] }) => position.holes)
  expect(holes.length).toBeGreaterThan(0)
  for (const { x, y } of holes) {
    const course = Math.floor((y - origin.y) / height)
    const intoCourse = y - origin.y - course * height
    const along = x - origin.x - (Math.abs(course % 2) === 1 ? length / 2 : 0)
    const intoBlock = along - Math.floor(along / length) * length
    for (const [into, module] of [[intoCourse, height], [intoBlock, length]]) expect(Math.min(into!, module! - into!) - joint / 2).toBeGreaterThanOrEqual(32)
  }
  await page.goto(`${path}/mount`)
  await expect(page.getByRole('region', { name: 'Mount' })).toContainText('4 of 4 plates fixed')
  await fill(page, 'Array height adjustment', '0')
  await fill(page, 'Height adjustment', '5')
  await expect(page.locator('[data-finding=joint-too-near]').first()).toContainText('too close to a joint')
  await fill(page, 'Height adjustment', '20')
  await expect(page.getByRole('alert')).toContainText('The height adjustment is')
})

test('the section shows what lies behind a screen, and the slider pulls its row out', async ({ page }) => {
  await page.goto(`${HALL}/mount`)
  await page.getByRole('tab', { name: 'Depth' }).click()
  const section = page.getByTestId('depth-section')
  await expect(section).toBeVisible()
  await expect(page.getByTestId('plug-fit')).toContainText('Enter plug, cable and player sizes')
  await fill(page, 'Plug length', '48')
  await fill(page, 'Cable thickness', '8')
  // 48 and a moving bend of 4 × 8; the mount leaves 58.
  await expect(page.getByTestId('plug-fit')).toContainText('need 80 mm: 22 mm short')
  await expect(page.locator('[data-finding=plug-does-not-fit]')).toContainText('The space behind Kelda 46N narrow-bezel is 58 mm')
  await page.getByTestId('pull-out').fill('1')
  await expect(page.getByText('312 mm behind the display')).toBeVisible()
  await expect(section).toContainText('380')
  await fill(page, 'Plug length', '20')
  await expect(page.locator('[data-finding=plug-does-not-fit]')).toHaveCount(0)
  // What is not known any more is said to be not known.
  await fill(page, 'Plug length', '')
  await expect(page.getByTestId('plug-fit')).toContainText('Enter plug, cable and player sizes')
})

test('a stop is taken on by a named person with a reason, and can stand again', async ({ page, house }) => {
  await unheld(house)
  await page.goto(`${HALL}/mount`)
  const stops = page.locator('[data-finding=hole-misses-member]')
  await expect(stops.first()).toBeVisible()
  const count = await stops.count()
  await stops.first().getByRole('button', { name: 'Override…' }).click()
  await page.getByRole('button', { name: 'Override stop' }).click()
  await expect(page.getByRole('alert')).toContainText('Enter a reason')
  await page.getByLabel('Reason for the override').fill('Steel plate let in behind the board')
  await page.getByRole('button', { name: 'Override stop' }).click()
  await expect(page.getByTestId('taken-on')).toContainText('Stop overridden by Isla Brandt: “Steel plate let in behind the board”')
  await saved(page)
  const plan = JSON.parse((await house.api(`${HALL}/plan`)).body)
  expect(plan.walls[0].findings.filter(({ overridden }: { overridden?: object }) => overridden)).toMatchObject([{ severity: 'caution', overridden: { by: 'Isla Brandt' } }])
  expect((await house.api(`${HALL}/sheet?paper=a3&format=svg&revision=draft`)).body).toContain('Stop overridden by Isla Brandt')
  // It is in the log: an undo takes back edits, and never this.
  await page.locator('h1').click()
  await page.keyboard.press('Control+z')
  await expect(page.getByTestId('taken-on')).toBeVisible()
  await page.getByRole('button', { name: 'Remove override' }).click()
  await expect(page.getByTestId('taken-on')).toHaveCount(0)
  await expect(stops).toHaveCount(count)
  await saved(page)
  expect((await house.wall()).job.log.slice(-2)).toMatchObject([{ kind: 'override', code: 'hole-misses-member', by: 'Isla Brandt' }, { kind: 'override-ended', code: 'hole-misses-member' }])
})
