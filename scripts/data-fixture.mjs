import { once } from 'node:events'
import { cpSync, mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import sharp from 'sharp'
import { build, cookieOf, install, ROOT, startServer, untilAnswering } from './house.mjs'

/**
 * Makes a data folder as this version leaves it after some work, with the job files that it gave out, in
 * `tests/fixtures/data/NAME`: later versions are tested on bringing it up to date without losing anything.
 * Run it before a change of the database: `node scripts/data-fixture.mjs NAME`.
 */
const name = process.argv[2]
if (!name) throw new Error('Name the fixture after the last migration.')
install()
build()
const data = mkdtempSync(join(tmpdir(), 'wide-trellis-'))
const address = 'http://localhost:4196'
const server = startServer({ PORT: '4196', WT_DATA: data, WT_DEMO: '1' }, 'pipe')
process.on('exit', () => server.kill('SIGKILL'))
await untilAnswering(server, address)
const cookie = await cookieOf(address)

async function send(method, path, body, headers = { 'content-type': 'application/json' }) {
  const answer = await fetch(`${address}/api/${path}`, {
    method,
    headers: { cookie, ...headers },
    body: Buffer.isBuffer(body) ? body : JSON.stringify(body),
  })
  if (!answer.ok) throw new Error(`${method} ${path}: ${answer.status} ${await answer.text()}`)
  return answer.json()
}
const get = async path => (await fetch(`${address}/api/${path}`, { headers: { cookie } })).json()
async function edit(site, wall, change) {
  const { job, version } = await get(`sites/${site}/walls/${wall}`)
  change(job.walls[0])
  await send('PUT', `sites/${site}/walls/${wall}`, { wall: job.walls[0], version })
}
const picture = colour => sharp({ create: { width: 48, height: 36, channels: 3, background: colour } }).png().toBuffer()
const addPhoto = async (site, colour) =>
  (
    await send('POST', `sites/${site}/photos`, await picture(colour), {
      'content-type': 'image/png',
      'x-wide-trellis': 'photograph',
    })
  ).photo

// Holes of the ticket hall and of the departures row, two of them missed.
for (const [site, wall] of [['holm-point', 'ticket-hall'], ['stennick', 'departures-row']]) {
  const { walls: [plan] } = await get(`sites/${site}/walls/${wall}/plan`)
  const holes = plan.arrays.flatMap(({ positions }) => positions.flatMap(({ holes = [] }) => holes)).slice(0, 14)
  for (const [n, { id, x, y }] of holes.entries()) {
    const result = n === 3 ? 'miss' : n === 9 ? 'stripped' : 'hit'
    await send('POST', `sites/${site}/walls/${wall}/log`, {
      id: `${wall}-${n + 1}`,
      at: `2026-11-2${n % 6}T0${n % 9}:15:00.000Z`,
      by: 'Odd Varga',
      wall,
      kind: 'hole',
      hole: id,
      x,
      y,
      result,
      ...(result === 'miss' && { note: 'nothing behind the board' }),
    })
  }
}
const [grey, blue] = [await addPhoto('holm-point', '#777788'), await addPhoto('ravel-sands', '#335577')]
await edit('holm-point', 'ticket-hall', (wall) => {
  wall.evidence.push({
    id: 'seen-1',
    method: 'probe',
    hit: true,
    x: 1200,
    y: 2650,
    by: 'Odd Varga',
    at: '2026-11-20T08:00:00.000Z',
    note: 'behind the old sign',
    photo: grey,
  })
  wall.evidence[0].setAside = 'taken on the door frame'
  const { arrays } = wall
  arrays[0].alternative = 'three-rows'
  arrays.push({ ...structuredClone(arrays[0]), id: 'departures-2', rows: 2, alternative: 'two-rows' })
  Object.assign(wall, {
    'alternative': 'three-rows',
    'chosen': 'three-rows',
    'alternatives': [
      { id: 'three-rows', name: 'Three rows' },
      { id: 'two-rows', name: 'Two rows' },
    ],
    'rules': { heightDatum: 'bottom-edge' },
    'x-client': { order: 'SSF-118', floors: ['ground', null] },
  })
  arrays[0].plates = [{ row: 1, column: 2, lateralShift: 3, heightShift: 0, reason: 'clear of the conduit' }]
  arrays[0].behind = { mass: 1.4 }
})
await edit('ravel-sands', 'pier', (wall) => {
  wall.evidence.push({ id: 'seen-1', method: 'seen', x: 900, y: 1200, photo: blue })
})
// One of each kind of entry that a wall can have.
const entry = (kind, n, more) => ({
  id: `pier-${kind}-${n}`,
  at: '2026-11-20T08:00:00.000Z',
  by: 'Isla Brandt',
  wall: 'pier',
  kind,
  ...more,
})
await send('POST', 'sites/ravel-sands/walls/pier/log', {
  entries: [
    entry('override', 1, { code: 'wind-not-known', subject: 'pier', reason: 'sheltered by the hall', figures: [27.5] }),
    entry('override-ended', 1, { code: 'wind-not-known', subject: 'pier' }),
    entry('step', 1, { step: 'mark-out', done: true, minutes: 40 }),
    entry('hung', 1, { screen: 'sign-r1c1' }),
    entry('serial', 1, { screen: 'sign-r1c1', serial: 'FX-2291' }),
    entry('locked', 1, { screen: 'sign-r1c1' }),
    entry('seams', 1, { array: 'sign', round: 1, gaps: [{ between: ['r1c1', 'r1c2'], end: 'top', mm: 1.8 }] }),
    entry('turned', 1, {
      array: 'sign',
      round: 1,
      moves: [{ screen: 'r1c2', adjuster: 'height-left', turns: -0.375 }],
    }),
    entry('fished', 1, { route: 'r1', result: 'stopped', y: 1400 }),
    entry('photo', 1, { photo: blue }),
    entry('remark', 1, { note: 'dusty' }),
    entry('correction', 1, { corrects: 'pier-remark-1', note: 'another wall' }),
  ],
})
await send('PUT', 'rules', { rules: { lifting: 'always-two', markingSigma: 0.9 }, version: 0 })
await send('POST', 'catalogue/fastener/stock', {
  model: 'lag-3/8x3',
  change: -36,
  by: 'Odd Varga',
  note: 'Ticket hall',
})
const { rules, version } = await get('sites/stennick')
await send('PUT', 'sites/stennick/rules', {
  rules: { ...rules, blockJoints: 'keep-clear', markingSigma: 0.8 },
  version,
})

const folder = join(ROOT, 'tests', 'fixtures', 'data', name)
rmSync(folder, { recursive: true, force: true })
mkdirSync(join(folder, 'jobs'), { recursive: true })
for (const { id } of await get('sites'))
  writeFileSync(
    join(folder, 'jobs', `${id}.json`),
    Buffer.from(await (await fetch(`${address}/api/sites/${id}/job`, { headers: { cookie } })).arrayBuffer()),
  )
writeFileSync(join(folder, 'catalogue.json'), JSON.stringify(await get('catalogue'), null, 2))
server.kill('SIGTERM')
await once(server, 'exit')
cpSync(data, join(folder, 'data'), { recursive: true })
rmSync(data, { recursive: true, force: true })
