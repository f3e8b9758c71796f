import { request } from 'node:http'
import { expect, HALL, testAlone as test, type House } from '../e2e/house'

/** Asks with headers that no page may set; `fetch` would set its own. */
function ask(
  { port }: House,
  path: string,
  method: string,
  headers: Record<string, string> = {},
  body = '',
): Promise<{ status: number, headers: Record<string, unknown>, body: string }> {
  return new Promise((answer, fail) => {
    const asked = request(
      {
        host: '127.0.0.1',
        port,
        path,
        method,
        headers: {
          ...(body && { 'content-type': 'application/json', 'content-length': String(Buffer.byteLength(body)) }),
          ...headers,
        },
      },
      (response) => {
        let text = ''
        response.on('data', (chunk: Buffer) => {
          text += String(chunk)
        })
        response.on('end', () => answer({ status: response.statusCode!, headers: response.headers, body: text }))
      },
    )
    asked.on('error', fail)
    asked.end(body)
  })
}
const SITE = JSON.stringify({ name: 'From elsewhere', units: 'metric' })

test('another page’s writes are refused, and leave nothing', async ({ house }) => {
  const tries: [Record<string, string>, number][] = [
    [{ origin: 'http://evil.example' }, 403], [{ origin: 'null' }, 403], [{ 'sec-fetch-site': 'cross-site' }, 403],
    [{ 'content-type': 'text/plain' }, 415], [{ 'content-type': 'application/x-www-form-urlencoded' }, 415],
    [{ host: 'rebound.example' }, 421], [{ host: `localhost.evil.example:${house.port}` }, 421],
  ]
  for (const [headers, status] of tries) {
    const answer = await ask(house, '/api/sites', 'POST', headers, SITE)
    expect([headers, answer.status]).toEqual([headers, status])
    expect(JSON.parse(answer.body).error.message).toBeTruthy()
  }
  expect((await ask(house, '/api/sites', 'GET', { host: 'rebound.example' })).status).toBe(421)
  expect((await ask(house, '/api/sites/holm-point/photos', 'POST', { 'content-type': 'image/png' }, 'x')).status).toBe(
    415,
  )
  expect(JSON.parse((await house.api('/sites')).body).map(({ name }: { name: string }) => name)).not.toContain(
    'From elsewhere',
  )
  const own = await ask(
    house,
    '/api/sites',
    'POST',
    {
      'origin': house.address,
      'host': `localhost:${house.port}`,
      'sec-fetch-site': 'same-origin',
      'cookie': house.cookie,
    },
    SITE,
  )
  expect(own.status).toBe(201)
})

test('a page elsewhere cannot write through a browser that knows the server', async ({ page, house }) => {
  await page.route('http://evil.example/**', route =>
    route.fulfill({ contentType: 'text/html', body: '<h1>Elsewhere</h1>' }),
  )
  await page.goto('http://evil.example/')
  const { port } = house
  await page.evaluate(async (port) => {
    const to = `http://localhost:${port}/api/sites`
    const body = '{"name":"From elsewhere","units":"metric"}'
    for (const type of ['text/plain', 'application/json'])
      await fetch(to, { method: 'POST', body, headers: { 'content-type': type } }).catch(() => {})
    await fetch(to, { method: 'POST', body, mode: 'no-cors' }).catch(() => {})
  }, port)
  expect((await house.api('/sites')).body).not.toContain('From elsewhere')
})

test('every answer says what a browser may do with it, and the application works by that', async ({ page, house }) => {
  for (const path of ['/', '/api/sites', '/api/nothing', '/mark.svg', `${HALL}/arrange`]) {
    const { headers } = await ask(house, path, 'GET')
    expect(headers).toMatchObject({
      'x-content-type-options': 'nosniff',
      'referrer-policy': 'same-origin',
      'content-security-policy': expect.stringContaining('frame-ancestors \'none\''),
    })
    expect(headers['content-security-policy']).not.toMatch(/script-src[^;]*'unsafe/)
    expect(headers['permissions-policy']).toContain('camera=(self), microphone=(self)')
    // At a plain address of a site's own network a browser must not be told to come by TLS only; over TLS it is.
    expect(headers).not.toHaveProperty('strict-transport-security')
    expect((await ask(house, path, 'GET', { 'x-forwarded-proto': 'https' })).headers).toHaveProperty(
      'strict-transport-security',
    )
  }
  const cookieOver = async (proto: string) => {
    const { headers } = await ask(
      house,
      '/api/session/demo',
      'POST',
      { 'x-forwarded-proto': proto },
      '{"person":"Odd Varga"}',
    )
    return (headers['set-cookie'] as string[]).find(cookie => cookie.startsWith('wide-trellis='))!
  }
  expect(await cookieOver('http')).toMatch(/HttpOnly; SameSite=Strict/)
  expect([await cookieOver('http'), await cookieOver('https')].map(cookie => cookie.includes('Secure'))).toEqual([
    false,
    true,
  ])
  const said: string[] = []
  page.on('console', message => said.push(message.text()))
  for (const stage of ['survey', 'arrange', 'mount', 'fix', 'mark', 'hang']) {
    await page.goto(`${HALL}/${stage}`)
    await expect(page.locator('[data-testid=elevation] [data-screen]').first()).toBeVisible()
  }
  expect(said.filter(text => /Content Security Policy|Refused to/.test(text))).toEqual([])
})

test('an address that is asked in another way says how it is asked; one that there is not is told as JSON', async ({
  house,
}) => {
  const asked = async (path: string, method: string) => {
    const { status, headers, body } = await ask(house, path, method, { 'content-type': 'application/json' })
    return [status, headers.allow, headers['content-type'], JSON.parse(body).error.code]
  }
  const json = 'application/json; charset=utf-8'
  expect(await asked('/api/sites', 'DELETE')).toEqual([405, 'GET, POST', json, 'not-so'])
  expect(await asked('/api/sites/holm-point/walls/ticket-hall?x=1', 'PATCH')).toEqual([405, 'GET, PUT', json, 'not-so'])
  expect(await asked('/api/sites/holm-point/walls/ticket-hall/log', 'DELETE')).toEqual([
    405,
    'GET, POST',
    json,
    'not-so',
  ])
  for (const path of ['/api/nothing', '/api/sites/holm-point/nothing', '/api/'])
    expect(await asked(path, 'GET')).toEqual([404, undefined, json, 'not-found'])
})
