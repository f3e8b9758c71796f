import { chromium, type Page } from '@playwright/test'
import { signIn } from '../scripts/house.mjs'
import { CHROMIUM_FLAGS, findChromium } from '../scripts/chromium.mjs'
import { ask } from './asking'
import { gridJob, readWallOf60 } from './jobs'
import { atMost, measured, type Row } from './row'

/** A site of its own with one wall, kept on the server. */
async function keep(address: string, id: string, job: object): Promise<string> {
  const answer = await ask(`${address}/api/sites/import`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ ...job, site: { id, name: id, units: 'metric' } }),
  })
  if (!answer.ok) throw new Error(`The bench's wall was refused: ${await answer.text()}`)
  return `${address}/sites/${id}/walls`
}

/** Times between the frames that the browser draws while something goes on, ms, in order of size. */
async function framesDuring(page: Page, act: () => Promise<void>): Promise<number[]> {
  await page.evaluate(
    `window.seen = []; requestAnimationFrame(function tick(at) { window.seen.push(at); requestAnimationFrame(tick) })`,
  )
  await act()
  const seen = await page.evaluate<number[]>('window.seen')
  return seen.slice(1).map((at, n) => at - seen[n]!).sort((a, b) => a - b)
}

function rowsOf(what: string, times: number[]): Row[] {
  const at = (share: number) => times[Math.min(Math.floor(share * times.length), times.length - 1)]!
  const mean = times.reduce((sum, ms) => sum + ms, 0) / times.length
  return [
    atMost(`${what}: mean time between frames`, mean, 17, 'ms'),
    measured(`${what}: median time between frames`, at(0.5), 'ms'),
    measured(`${what}: 95 % of frames within`, at(0.95), 'ms'),
  ]
}

const redrawn = (times: number[]): Row[] => [
  atMost('Typing a gap of 10 × 10: drawn anew, 95 % within', times[Math.floor(0.95 * times.length)]!, 100, 'ms'),
]

/** Drags a grid about its wall. */
async function dragging(
  page: Page,
  address: string,
  stage: 'arrange' | 'mount',
  [rows, columns]: [number, number],
): Promise<number[]> {
  const walls = await keep(address, `bench-drag${stage === 'mount' ? '-mount' : ''}`, gridJob(rows, columns))
  await page.goto(`${walls}/ticket-hall/${stage}`)
  const screen = page.locator('[data-testid=elevation] [data-screen]').nth(44)
  await screen.waitFor()
  const box = (await screen.boundingBox())!
  const from = { x: box.x + box.width / 2, y: box.y + box.height / 2 }
  await page.mouse.move(from.x, from.y)
  await page.mouse.down()
  const times = await framesDuring(page, async () => {
    for (let n = 0; n < 120; n++) await page.mouse.move(from.x + 20 * Math.sin(n / 9), from.y + 10 * Math.cos(n / 7))
  })
  await page.mouse.up()
  return times
}

/** Types another place for one of 400 readings, a figure at a time. */
async function typing(page: Page, address: string): Promise<number[]> {
  const job = gridJob(1, 1)
  const walls = await keep(address, 'bench-type', { ...job, walls: [{ ...readWallOf60(), arrays: [] }] })
  await page.goto(`${walls}/w/survey`)
  await page.getByRole('tab', { name: /^\d+ readings/ }).click()
  await page.locator('[data-row=e10]').click()
  const field = page.getByLabel('From wall left', { exact: true })
  await field.waitFor()
  return framesDuring(page, async () => {
    for (let n = 0; n < 40; n++) {
      await field.fill(String(600 + n % 9))
      await page.waitForTimeout(40)
    }
  })
}

/** From a figure typed in a field until a grid of 10 × 10 is drawn with it, ms, in order of size. */
async function redrawing(page: Page, address: string): Promise<number[]> {
  await page.goto(`${address}/sites/bench-drag/walls/ticket-hall/arrange`)
  await page.locator('[data-testid=elevation] [data-screen]').nth(99).waitFor()
  await page.waitForTimeout(1500)
  return page.evaluate<number[]>(`(async () => {
    const label = [...document.querySelectorAll('label')].find(each => each.textContent === 'Horizontal gap')
    const field = document.getElementById(label.htmlFor)
    const right = () => document.querySelector('[data-testid=elevation] [data-array]').getBBox().width
    const times = []
    for (let n = 0; n < 20; n++) {
      const before = right(), began = performance.now()
      field.value = String(1 + n % 7)
      field.dispatchEvent(new Event('input', { bubbles: true }))
      while (right() === before) await new Promise(requestAnimationFrame)
      await new Promise(requestAnimationFrame)
      times.push(performance.now() - began)
      await new Promise(done => setTimeout(done, 150))
    }
    return times.sort((a, b) => a - b)
  })()`)
}

/** How evenly the browser draws while a large wall is worked on. */
export async function frames(address: string): Promise<Row[]> {
  const browser = await chromium.launch({ executablePath: findChromium(), args: CHROMIUM_FLAGS })
  try {
    const context = await browser.newContext({ viewport: { width: 1280, height: 800 } })
    await signIn(context, address)
    const page = await context.newPage()
    return [
      ...rowsOf('Dragging a grid of 10 × 10', await dragging(page, address, 'arrange', [10, 10])),
      ...rowsOf('Dragging 12 × 6 with its plates placed as it goes', await dragging(page, address, 'mount', [6, 12])),
      ...redrawn(await redrawing(page, address)),
      ...rowsOf('Typing the place of one of 400 readings', await typing(page, address)),
    ]
  }
  finally {
    await browser.close()
  }
}
