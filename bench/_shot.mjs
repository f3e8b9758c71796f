import { chromium } from 'playwright-core'
import { mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { startServer, untilAnswering } from '../scripts/house.mjs'
import { findChromium } from '../scripts/chromium.mjs'

const port = '4377'
const server = startServer({ PORT: port, WT_DATA: mkdtempSync(`${tmpdir()}/wt-`), WT_DEMO: '1' }, 'pipe')
process.on('exit', () => server.kill('SIGKILL'))
const base = `http://localhost:${port}`
await untilAnswering(server, base)
const browser = await chromium.launch({ executablePath: findChromium() })
const steps = (await import(process.argv[2])).default
await steps({ browser, base, page: async (w = 1280, h = 800, more = {}) => { const c = await browser.newContext({ viewport: { width: w, height: h }, ...more }); const p = await c.newPage(); p.on('pageerror', e => console.log('ERR', e.message)); p.on('console', m => m.type() === 'error' && console.log('CON', m.text())); return p } })
await browser.close()
process.exit(0)
