import { execFile } from 'node:child_process'
import { writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { promisify } from 'node:util'
import { expect, HALL, saved, test } from './house'

test.use({ viewport: { width: 390, height: 844 }, hasTouch: true })

test('seams are read by the keypad, the turns that close them worked out, and what was turned is kept', async ({ page, house }) => {
  await page.goto(`${HALL}/true`)
  await expect(page.getByTestId('seam-end')).toHaveText('R1 C1 | R1 C2, top')
  // What no seam can have is refused beside the key.
  for (const key of ['4', '0', '0']) await page.getByRole('button', { name: key, exact: true }).tap()
  await expect(page.getByRole('alert')).toContainText('A gap is from 0 to 100 mm')
  for (let n = 0; n < 3; n++) await page.getByRole('button', { name: 'Delete' }).tap()
  for (const name of ['1', '0', 'Next', 'Back']) {
    const { width, height, x } = (await page.getByRole('button', { name, exact: true }).boundingBox())!
    expect(Math.min(width, height)).toBeGreaterThanOrEqual(48)
    expect(x + width).toBeLessThanOrEqual(390)
  }
  // Gaps of 1.8 at the top and 0.6 below, where 0.6 is wanted, and the second face 1.2 out.
  const type = async (text: string) => {
    for (const key of text) await page.getByRole('button', { name: key === '±' ? 'Change the sign' : key, exact: true }).tap()
    await page.getByRole('button', { name: 'Next', exact: true }).tap()
  }
  await type('1.8')
  await type('1.2')
  await expect(page.getByTestId('seam-end')).toHaveText('R1 C1 | R1 C2, bottom')
  await type('0.6')
  await type('1.2±')
  await page.getByRole('button', { name: 'Back', exact: true }).tap()
  await expect(page.getByLabel('Step')).toHaveValue('-1.2')
  await page.getByRole('button', { name: 'Change the sign' }).tap()
  await expect(page.getByLabel('Step')).toHaveValue('1.2')

  // A reload in the middle of a round loses nothing that was typed.
  await page.reload()
  await expect(page.getByLabel('Gap')).toHaveValue('1.8')
  await expect(page.getByText('2 read')).toBeVisible()
  await page.getByRole('button', { name: 'Keep these readings' }).tap()
  await expect(page.getByRole('alert')).toContainText('Write your name first')
  await page.getByLabel('Your name').last().fill('Isla Brandt')
  await page.getByRole('button', { name: 'Keep these readings' }).tap()
  await expect(page.getByTestId('closes')).toContainText('It closes.')
  await expect(page.getByTestId('closes')).toContainText('gaps off by 1.2 mm at most')
  await expect(page.locator('[data-move]').first()).toContainText(/turn|to the (left|right)/)
  await saved(page)

  const file = join(house.data, 'true.json')
  writeFileSync(file, (await house.api('/sites/holm-point/job')).body)
  const { stdout } = await promisify(execFile)('npm', ['run', '-s', 'wt', '--', 'align', file], { maxBuffer: 1e8 })
  const { arrays: [aligned] } = JSON.parse(stdout)
  expect(aligned).toMatchObject({ wall: 'ticket-hall', id: 'departures', closes: true, before: { gap: expect.closeTo(1.2, 6), step: expect.closeTo(1.2, 6) } })
  expect(await page.locator('[data-move]').count()).toBe(aligned.moves.length)
  expect(await page.locator('[data-move]').first().textContent()).toContain(aligned.moves[0].words)

  await page.getByRole('button', { name: 'Tick all' }).tap()
  await page.getByRole('button', { name: `${aligned.moves.length} turned` }).tap()
  await expect(page.getByTestId('closes')).not.toContainText('gaps off by 1.2 mm')
  await expect(page.getByRole('checkbox', { checked: true })).toHaveCount(0)
  await saved(page)
  const { log } = (await house.wall()).job
  expect(log.slice(-2)).toMatchObject([{ kind: 'seams', round: 1, by: 'Isla Brandt' }, { kind: 'turned', round: 1, moves: aligned.moves.map(({ screen, adjuster }: { screen: string, adjuster: string }) => ({ screen, adjuster })) }])
})
