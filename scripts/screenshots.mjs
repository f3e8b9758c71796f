import { once } from 'node:events'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { build, install, ROOT, signIn, startServer, untilAnswering } from './house.mjs'
import { CHROMIUM_FLAGS, findChromium } from './chromium.mjs'

/**
 * Takes the pictures of docs/screenshots anew from the demo: `npm run screenshots`, or with names of some of
 * them. `--inches` and `--to FOLDER` are for looking at views that are not kept.
 */
const [HALL, LOUNGE] = ['/sites/holm-point/walls/ticket-hall', '/sites/ravel-sands/walls/lounge']
const tab = name => page => page.getByRole('tab', { name, exact: true }).click()
/** Name, address, and what is done there before the picture is taken. */
const VIEWS = {
  'sites': ['/'],
  'site': ['/sites/holm-point'],
  'programme': ['/programme', async (page) => {
    await page.getByTestId('finish').waitFor()
    await page.locator('[data-task="holm-point/ticket-hall/pull"]').first().click({ position: { x: 6, y: 20 } })
    await page.getByTestId('why').waitFor()
  }],
  'stock': ['/programme/stock'],
  'day': ['/programme/day', undefined, { width: 390, height: 844 }],
  'people': ['/people'],
  'rules': ['/sites/holm-point/rules'],
  'catalogue': ['/catalogue', async (page) => {
    await tab('Mounts')(page)
    await page.getByText('Slipway P2 pull-out').first().click()
  }],
  'survey': [`${HALL}/survey`],
  'arrange': [`${HALL}/arrange`],
  'mount': [`${HALL}/mount`],
  'fix': [`${HALL}/fix`],
  'wire': [`${HALL}/wire`, async (page) => {
    await tab('Routes')(page)
    await page.getByRole('button', { name: /^R2 C2 power/ }).click()
  }],
  'mark': ['/sites/stennick/walls/departures-row/mark', async (page) => {
    await tab('Revisions')(page)
    await page.getByRole('button', { name: 'Compare with A' }).click()
  }],
  'hang': [`${HALL}/hang`, undefined, { width: 390, height: 844 }],
  'hang-steps': [`${HALL}/hang`, async (page) => {
    await tab('Steps')(page)
    await page.getByText('step 1 of').waitFor()
    await page.keyboard.press('PageDown')
    await page.keyboard.press('PageDown')
  }, { width: 390, height: 844 }],
  'true-study': ['/sites/ravel-sands/walls/arrivals/true', async (page) => {
    await tab('Study')(page)
    await page.getByRole('button', { name: 'Run study' }).click()
    await page.getByTestId('study').waitFor()
  }],
  'close': [`${LOUNGE}/close`, tab('As built')],
  // These change what the demo has, so they come last.
  'true': [`${HALL}/true`, async (page) => {
    await tab('Readings')(page)
    await page.getByLabel('Instrument').selectOption('practice-feeler')
    while (!(await page.getByTestId('seam-end').textContent()).startsWith('R3 C2 | R3 C3, bottom')) {
      const level = (await page.getByTestId('seam-end').textContent()).startsWith('Level')
      if (!level) await page.getByRole('button', { name: 'Take reading' }).click()
      await page.getByRole('button', { name: 'Next', exact: true }).click()
    }
    await page.getByRole('button', { name: 'Save and calculate turns' }).click()
    await page.getByTestId('closes').waitFor()
  }],
}

install()
build()
const args = process.argv.slice(2)
const folder = args.includes('--to') ? args.splice(args.indexOf('--to'), 2)[1] : join(ROOT, 'docs', 'screenshots')
const inches = args.includes('--inches') && args.splice(args.indexOf('--inches'), 1)
const { chromium } = await import('@playwright/test')
const data = mkdtempSync(join(tmpdir(), 'wide-trellis-'))
const port = '4199'
const server = startServer({ PORT: port, WT_DATA: data, WT_DEMO: '1' }, 'pipe')
await untilAnswering(server, `http://localhost:${port}`)
const browser = await chromium.launch({ executablePath: findChromium(), args: CHROMIUM_FLAGS })
for (const [name, [address, prepare, viewport = { width: 1280, height: 800 }]] of Object.entries(VIEWS)) {
  if (args.length > 0 && !args.includes(name)) continue
  const context = await browser.newContext({ viewport })
  await signIn(context, `http://localhost:${port}`)
  const page = await context.newPage()
  await page.goto(`http://localhost:${port}${address}`)
  await page.locator('h1').first().waitFor()
  // An open wall hears from the server all the while, so that the network is never idle.
  await page.waitForTimeout(1_500)
  // A wall says so once it can be worked without signal.
  if (address.includes('/walls/')) await page.getByTestId('at-hand').waitFor({ state: 'attached' })
  if (inches) await page.getByTestId('units').first().click({ timeout: 2000 }).catch(() => {})
  await prepare?.(page)
  await page.waitForTimeout(800)
  await page.screenshot({ path: join(folder, `${name}.png`) })
  await context.close()
}
await browser.close()
server.kill('SIGTERM')
await once(server, 'exit')
rmSync(data, { recursive: true, force: true })
