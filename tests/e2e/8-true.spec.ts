import { execFile } from 'node:child_process'
import { writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { promisify } from 'node:util'
import { expect, HALL, saved, test } from './house'

test.use({ viewport: { width: 390, height: 844 }, hasTouch: true })

test('seams are read by the keypad, the turns that close them worked out, and what was turned is kept @long', async ({
  page,
  house,
}) => {
  await page.goto(`${HALL}/true`)
  await expect(page.getByTestId('seam-end')).toHaveText('R1 C1 | R1 C2, top')
  // What no seam can have is refused beside the key.
  for (const key of ['4', '0', '0']) await page.getByRole('button', { name: key, exact: true }).tap()
  await expect(page.getByRole('alert')).toContainText('A gap must be from 0 to 100.6 mm')
  for (let n = 0; n < 3; n++) await page.getByRole('button', { name: 'Delete' }).tap()
  for (const name of ['1', '0', 'Next', 'Back']) {
    const { width, height, x } = (await page.getByRole('button', { name, exact: true }).boundingBox())!
    expect(Math.min(width, height)).toBeGreaterThanOrEqual(48)
    expect(x + width).toBeLessThanOrEqual(390)
  }
  // Gaps of 1.8 at the top and 0.6 below, where 0.6 is wanted, and the second face 1.2 out.
  const type = async (text: string) => {
    for (const key of text)
      await page.getByRole('button', { name: key === '±' ? 'Change the sign' : key, exact: true }).tap()
  }
  // Gap and step of an end with one Next; whether it is within tolerance is said as soon as it is typed.
  const pair = async (gap: string, step: string) => {
    await type(gap)
    await page.getByLabel('Step').tap()
    await type(step)
  }
  await pair('1.8', '1.2')
  await expect(page.getByTestId('reading-verdict').first()).toHaveText('0.9 mm out of tolerance')
  await page.getByRole('button', { name: 'Next', exact: true }).tap()
  await expect(page.getByTestId('seam-end')).toHaveText('R1 C1 | R1 C2, bottom')
  await pair('0.6', '1.2±')
  await expect(page.getByTestId('reading-verdict').first()).toHaveText('✓ within tolerance')
  await expect(page.getByLabel('Step')).toHaveValue('-1.2')
  await page.getByRole('button', { name: 'Change the sign' }).tap()
  await expect(page.getByLabel('Step')).toHaveValue('1.2')

  // A reload in the middle of a round loses nothing that was typed.
  await page.reload()
  await expect(page.getByLabel('Gap')).toHaveValue('1.8')
  await expect(page.getByText('2 read')).toBeVisible()
  await page.getByRole('button', { name: 'Save and calculate turns' }).tap()
  await expect(page.getByTestId('closes')).toContainText('All seams come within tolerance.')
  await expect(page.getByTestId('closes')).toContainText('max gap deviation 1.2 mm')
  await expect(page.locator('[data-move]').first()).toContainText(/turn|to the (left|right)/)
  await expect(page.locator('section[data-row]').first()).toContainText('pull out, turn, push home and lock')
  await saved(page)

  const file = join(house.data, 'true.json')
  writeFileSync(file, (await house.api('/sites/holm-point/job')).body)
  const { stdout } = await promisify(execFile)('npm', ['run', '-s', 'wt', '--', 'align', file], { maxBuffer: 1e8 })
  const {
    arrays: [aligned],
  } = JSON.parse(stdout)
  expect(aligned).toMatchObject({
    wall: 'ticket-hall',
    id: 'departures',
    closes: true,
    before: { gap: expect.closeTo(1.2, 6), step: expect.closeTo(1.2, 6) },
  })
  expect(await page.locator('[data-move]').count()).toBe(aligned.moves.length)
  expect(await page.locator('[data-move]').first().textContent()).toContain(aligned.moves[0].words)

  await page.getByRole('button', { name: 'Tick all' }).tap()
  await page.getByRole('button', { name: `${aligned.moves.length} turned` }).tap()
  await expect(page.getByTestId('closes')).not.toContainText('max gap deviation 1.2 mm')
  await expect(page.getByRole('checkbox', { checked: true })).toHaveCount(0)
  await saved(page)
  const { log } = (await house.wall()).job
  expect(log.slice(-2)).toMatchObject([
    { kind: 'seams', round: 1, by: 'Isla Brandt' },
    {
      kind: 'turned',
      round: 1,
      moves: aligned.moves.map(({ screen, adjuster }: { screen: string, adjuster: string }) => ({ screen, adjuster })),
    },
  ])
})

test.describe('at the desk', () => {
  test.use({ viewport: { width: 1280, height: 800 }, hasTouch: false })

  test('readings are taken by voice where the browser listens, the same figure twice too', async ({ page }) => {
    // A browser that hears what the test has it hear, and ends after every sentence.
    await page.addInitScript(() => {
      class Hears {
        onstart?: () => void
        onresult?: (event: object) => void
        onend?: () => void
        start() {
          Object.assign(window, { hears: this })
          this.onstart?.()
        }

        stop() { this.onend?.() }
      }
      Object.assign(window, { SpeechRecognition: Hears, webkitSpeechRecognition: Hears })
    })
    const say = (text: string) => page.evaluate(async (text) => {
      const { hears } = window as unknown as { hears: { onresult: (event: object) => void, onend: () => void } }
      const [key] = ['trans' + 'cript']
      hears.onresult({ resultIndex: 0, results: [Object.assign([{ [key]: text, confidence: 1 }], { isFinal: true })] })
      hears.onend()
      await new Promise(done => setTimeout(done, 150))
    }, text)
    await page.goto(`${HALL}/true`)
    await page.getByRole('tab', { name: 'Readings' }).click()
    await page.getByRole('button', { name: 'Voice' }).click()
    for (const said of ['one point eight', 'zero', 'zero', 'minus zero point two millimetres']) await say(said)
    await expect(page.getByTestId('seam-end')).toHaveText('R1 C2 | R1 C3, top')
    await say('back')
    await expect(page.getByLabel('Step', { exact: true })).toHaveValue('-0.2')
    await expect(page.getByLabel('Gap', { exact: true })).toHaveValue('0')
  })

  test('the study is run before anything is drilled, cancelled, and told of in charts', async ({ page }) => {
    await page.goto(`${HALL}/true`)
    await page.getByRole('tab', { name: 'Study' }).click()
    await page.getByLabel('Simulated walls').selectOption('10000')
    await page.getByRole('button', { name: 'Run study' }).click()
    await expect(page.getByRole('progressbar')).toBeVisible()
    await page.getByRole('button', { name: 'Cancel' }).click()
    await expect(page.getByRole('progressbar')).toHaveCount(0)
    await expect(page.getByTestId('study')).toHaveCount(0)
    await page.getByLabel('Simulated walls').selectOption('500')
    await page.getByRole('button', { name: 'Run study' }).click()
    await expect(page.locator('[data-way="running"]')).toHaveText(/\d+ %/)
    await expect(page.locator('.apexcharts-canvas')).toHaveCount(2)
    await expect(page.getByText('Flatness was not surveyed')).toBeVisible()
    // What is less than a mark on the tape is told finer, in inches too.
    await page.getByTestId('units').click()
    await expect(page.getByText('Seam tolerance 0.012"')).toBeVisible()
  })
})
