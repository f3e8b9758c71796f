import { execFile, type ChildProcess } from 'node:child_process'
import { randomUUID } from 'node:crypto'
import { once } from 'node:events'
import { cpSync, mkdirSync, mkdtempSync, readdirSync, rmSync } from 'node:fs'
import { createServer } from 'node:net'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { promisify } from 'node:util'
import SQLite from 'better-sqlite3'
import { expect, test as base, type Browser, type BrowserContext, type Page } from '@playwright/test'
import { cookieOf, saveData, signIn, startServer, untilAnswering } from '../../scripts/house.mjs'

/**
 * Asks the server; once more where it closed an idle connection just as this was sent, which says nothing of
 * the application.
 */
async function asked(address: string, init: RequestInit = {}): Promise<Response> {
  try {
    return await fetch(address, init)
  }
  catch (error) {
    const { code } = ((error as Error).cause ?? {}) as { code?: string }
    if (code !== 'UND_ERR_SOCKET' || (init.method ?? 'GET') !== 'GET') throw error
    return fetch(address, init)
  }
}

/** A server of the built application with a folder of its own, which can be stopped and started again. */
export class House {
  private server: ChildProcess | undefined
  /** The session of whoever `api` asks as. */
  cookie = ''

  /** What it printed. */
  said = ''

  private constructor(readonly port: number, readonly data: string, private readonly demo: boolean) {}

  /** Begins with a copy of the demo, or with a folder as it is; without `demo` with nothing. */
  static async open(data?: string, demo = true): Promise<House> {
    if (data === undefined) {
      data = mkdtempSync(join(tmpdir(), 'wide-trellis-'))
      if (demo) cpSync(process.env.WT_FILLED_DATA!, data, { recursive: true })
    }
    const house = new House(await freePort(), data, demo)
    await house.start()
    return house
  }

  get address() {
    return `http://localhost:${this.port}`
  }

  /** The server's process. */
  get pid() {
    return this.server!.pid
  }

  async start() {
    this.server = startServer({ PORT: String(this.port), WT_DATA: this.data, ...this.demo && { WT_DEMO: '1' } }, 'pipe')
    this.server.stdout?.on('data', (text: Buffer) => { this.said += String(text) })
    await untilAnswering(this.server, this.address)
    if (this.demo) this.cookie ||= await this.cookieOf('Isla Brandt')
  }

  /** How often it began anew. */
  private renewed = 0

  /**
   * Begins anew with a copy of the demo's sites, catalogue and programme in another folder: that takes a hundredth of
   * the time in which a server starts. People, sessions and the audit log stay.
   */
  async renew() {
    if (!this.isRunning) await this.start()
    const [before, folder] = [`firms/${this.renewed}`, `firms/${++this.renewed}`]
    mkdirSync(join(this.data, folder), { recursive: true })
    const filled = process.env.WT_FILLED_DATA!
    for (const part of readdirSync(filled)) {
      if (/^(accounts|lock|session|firms|backups)/.test(part)) continue
      cpSync(join(filled, part), join(this.data, folder, part), { recursive: true })
    }
    const accounts = new SQLite(join(this.data, 'accounts.db'))
    // Another firm: the heads that were signed of the one before are not of these logs.
    accounts.prepare('UPDATE firms SET folder = ?, id = ? WHERE key = (SELECT min(key) FROM firms)')
      .run(folder, randomUUID())
    accounts.close()
    rmSync(join(this.data, before), { recursive: true, force: true })
  }

  private get isRunning() {
    return this.server !== undefined && this.server.exitCode === null && this.server.signalCode === null
  }

  /** A session of one of the demo's people, as a cookie. */
  cookieOf = (person: string) => cookieOf(this.address, person)

  /** A code by which one more firm is begun here. */
  async codeForFirm(): Promise<string> {
    const { stdout } = await promisify(execFile)('npm', ['run', '-s', 'firm'], {
      env: { ...process.env, WT_DATA: this.data },
    })
    return /[a-z2-9]{4}-[a-z2-9]{4}-[a-z2-9]{4}/.exec(stdout)![0]
  }

  /** Asks as one of the demo's people, or, with a cookie, as somebody else. */
  async as(who: string, path: string, init: RequestInit = {}) {
    const { cookie } = this
    this.cookie = who.includes('=') ? who : await this.cookieOf(who)
    const answer = this.api(path, init)
    this.cookie = cookie
    return answer
  }

  /** Signs one of the demo's people in in a browser. */
  signIn = (context: BrowserContext, person?: string) => signIn(context, this.address, person)

  stop = () => this.end('SIGTERM')
  /** Ends it as a power cut does. */
  kill = () => this.end('SIGKILL')

  private async end(signal: NodeJS.Signals) {
    if (!this.isRunning) return
    const ended = once(this.server!, 'exit')
    this.server!.kill(signal)
    await ended
  }

  async close() {
    await this.stop()
    rmSync(this.data, { recursive: true, force: true })
  }

  async api(path: string, init?: RequestInit) {
    const response = await asked(`${this.address}/api${path}`, {
      ...init,
      headers: {
        cookie: this.cookie,
        ...(init?.body !== undefined && { 'content-type': 'application/json' }),
        ...(init?.headers as Record<string, string>),
      },
    })
    return { status: response.status, headers: response.headers, body: await response.text() }
  }

  /** A file of the server's. */
  async file(path: string): Promise<Buffer> {
    return Buffer.from(
      await (await asked(`${this.address}/api${path}`, { headers: { cookie: this.cookie } })).arrayBuffer(),
    )
  }

  /** A wall as the server keeps it. */
  async wall(site = 'holm-point', wall = 'ticket-hall') {
    return JSON.parse((await this.api(`/sites/${site}/walls/${wall}`)).body)
  }
}

export function freePort(): Promise<number> {
  return new Promise((answer, fail) => {
    const probe = createServer()
    probe.once('error', fail)
    probe.listen(0, () => {
      const { port } = probe.address() as { port: number }
      probe.close(() => answer(port))
    })
  })
}

export const HALL = '/sites/holm-point/walls/ticket-hall'
export const saved = (page: Page) => expect(page.getByTestId('save-state')).toHaveAttribute('data-state', 'saved')

/** Sees to it that every stage is loaded, and the firm's catalogue: what is done next may lose its connection. */
export async function atHand(page: Page) {
  const [there, offered] = [page.getByTestId('at-hand'), page.getByTestId('load-ahead')]
  await expect(there.or(offered)).toBeVisible()
  if (await offered.isVisible()) await offered.click()
  await expect(there).toBeVisible()
}

/** Types into a field and leaves it with Enter. */
export async function fill(page: Page, label: string, text: string) {
  await page.getByLabel(label, { exact: true }).fill(text)
  await page.getByLabel(label, { exact: true }).press('Enter')
}

/** Signs in the field for a signature, by the mouse. */
export async function scribble(page: Page) {
  const field = page.getByTestId('signature-field')
  await field.scrollIntoViewIfNeeded()
  const box = (await field.boundingBox())!
  await page.mouse.move(box.x + 30, box.y + 60)
  await page.mouse.down()
  for (let n = 1; n <= 16; n++) await page.mouse.move(box.x + 30 + 10 * n, box.y + 60 + 25 * Math.sin(n))
  await page.mouse.up()
}

/** Begins a wall, at Stennick unless elsewhere, and comes to its survey. */
export async function beginWall(page: Page, name: string, width: string, height: string, site = 'stennick') {
  await page.goto(`/sites/${site}`)
  await page.locator('#wall-name').fill(name)
  await page.getByLabel('Width').fill(width)
  await page.getByLabel('Height').fill(height)
  await page.getByRole('button', { name: 'Create wall' }).click()
  await expect(page).toHaveURL(/\/survey$/)
}

/** Another person at another machine: a browser of their own. */
export async function otherPerson(browser: Browser, house: House, person: string): Promise<Page> {
  const context = await browser.newContext({ baseURL: house.address })
  await saveData(context)
  await house.signIn(context, person)
  return context.newPage()
}

/** A server that stays for all journeys of one worker. */
type Shared = { shared: House }

export const test = base.extend<{ house: House }, Shared>({
  // eslint-disable-next-line no-empty-pattern
  shared: [async ({}, use) => {
    const house = await House.open()
    await use(house)
    await house.close()
  }, { scope: 'worker' }],
  house: async ({ shared }, use) => {
    await shared.renew()
    await use(shared)
  },
  baseURL: async ({ house }, use) => use(house.address),
  context: async ({ context, house }, use) => {
    await saveData(context)
    await house.signIn(context)
    await use(context)
  },
  page: async ({ page }, use) => {
    const faults: string[] = []
    page.on('pageerror', error => faults.push(error.message))
    await use(page)
    expect(faults, 'errors on the page').toEqual([])
  },
})
export { expect }

/** A journey with a server of its own: it changes people, or is about the server itself. */
export const testAlone = test.extend({
  // eslint-disable-next-line no-empty-pattern
  house: async ({}, use) => {
    const house = await House.open()
    await use(house)
    await house.close()
  },
})

/** The row of a member in the list below the drawing, by its number from the left. */
export const memberRow = (page: Page, number: number) =>
  page.locator('tr', { has: page.getByRole('cell', { name: `Stud ${number}`, exact: true }) })
