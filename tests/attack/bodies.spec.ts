import { expect, testAlone as test } from '../e2e/house'

const job = async (house: { api: (path: string) => Promise<{ body: string }> }) =>
  JSON.parse((await house.api('/sites/holm-point/job')).body)
const sent = (body: string) => ({ method: 'POST', body })

test('a list of what is nothing is answered with a hundred faults, and the server goes on', async ({ house }) => {
  const file = JSON.stringify({ ...await job(house), log: Array.from({ length: 20_000 }, () => ({})) })
  const { status, body } = await house.api('/sites/import?copy=1', sent(file))
  const { error } = JSON.parse(body)
  expect([status, error.faults.length]).toEqual([422, 100])
  expect(error.message).toContain('there may be more')
  expect((await house.api('/sites')).status).toBe(200)
})

test('what no form would send is refused in words, wherever it is sent', async ({ house }) => {
  const file = await job(house)
  const named = (name: string) => JSON.stringify({ ...file, site: { ...file.site, id: 'other', name } })
  const bodies: [string, number, RegExp][] = [
    ['['.repeat(100_000) + ']'.repeat(100_000), 422, /deeper than 64 levels/],
    [named('Pier\u0000'), 422, /control character/],
    [named('Pier \ud83d'), 422, /half a character/],
    ['{"__proto__": {"site": 1}}', 422, /is not allowed/],
    [JSON.stringify({ ...file, log: 'x' }), 422, /\$\.log must be a list/],
    ['null', 422, /must be an object|is missing/],
    ['{"site":', 400, /not JSON/],
    ['', 400, /not JSON/],
  ]
  for (const [text, expected, words] of bodies) {
    for (const address of [
      '/sites/import',
      '/sites/holm-point/walls',
      '/sites/holm-point/walls/ticket-hall/log',
      '/catalogue/display/import',
    ]) {
      const { status, body } = await house.api(address, sent(text))
      const { error } = JSON.parse(body)
      if (address === '/sites/import' || expected !== 422 || /deeper|control|half|kept/.test(words.source)) {
        expect([address, status]).toEqual([address, expected])
        expect(`${error.message} ${JSON.stringify(error.faults ?? [])}`).toMatch(words)
      }
      else expect([400, 404, 422]).toContain(status)
    }
  }
  // A job file may be larger than any other request.
  const large = sent(`{"x": "${'y'.repeat(5 * 1024 * 1024)}"}`)
  for (const address of ['/sites/holm-point/walls', '/sites/holm-point/walls/ticket-hall/log']) {
    const { status, body } = await house.api(address, large)
    expect([status, JSON.parse(body).error.message]).toEqual([413, 'The data sent is over 5 MB.'])
  }
  expect((await house.api('/sites/import', large)).status).toBe(422)
  expect((await house.api('/sites')).status).toBe(200)
  expect(await job(house)).toEqual(file)
})

test('a wall has one limit for its screens, in one array or in many, whoever asks', async ({ house }) => {
  const { job: { walls: [wall] }, version } = await house.wall()
  const arrays = [1, 2, 3].map(n => ({
    ...wall.arrays[0],
    id: `a${n}`,
    name: `A${n}`,
    rows: 30,
    columns: 30,
    plates: undefined,
    cells: undefined,
    holes: undefined,
  }))
  const { status, body } = await house.api('/sites/holm-point/walls/ticket-hall', {
    method: 'PUT',
    body: JSON.stringify({ wall: { ...wall, arrays }, version }),
  })
  expect([status, JSON.parse(body).error.message]).toEqual([
    422,
    '1 error: $.arrays have 2700 screens in total; at most 2500 can be planned on one wall',
  ])
})
