import { afterEach, describe, expect, it, vi } from 'vitest'
import type { ApiErrorBody } from '../utils/apiError'
import { policy, scriptsIn } from './headers'
import { isOffered } from '../accounts/demo'
import { isForThisMachineOnly, isOurHost } from './hosts'
import { checkType, guard, isApi } from './requests'

describe('the hosts by which a server is known', () => {
  it('are this machine alone while it listens to no other', () => {
    expect([undefined, '127.0.0.1', '::1', 'localhost'].map(host => isForThisMachineOnly(host))).toEqual([
      true,
      true,
      true,
      true,
    ])
    for (const ours of ['localhost:3000', '127.0.0.1', '[::1]:3000', 'LOCALHOST'])
      expect(isOurHost(ours, '127.0.0.1', '')).toBe(true)
    for (const other of [
      undefined,
      '',
      '192.168.1.7:3000',
      'rebound.example',
      'localhost.example',
      '127.0.0.1.example',
    ])
      expect(isOurHost(other, '127.0.0.1', '')).toBe(false)
  })

  it('are addresses and given names on a network, and no name that somebody else chose', () => {
    for (const ours of ['192.168.1.7:3000', '[fe80::1]:3000', 'trellis.firm.example:443'])
      expect(isOurHost(ours, '0.0.0.0', 'other, trellis.firm.example')).toBe(true)
    expect(isOurHost('rebound.example:3000', '0.0.0.0', 'trellis.firm.example')).toBe(false)
  })
})

describe('a request', () => {
  const status = (method: string, path: string, headers: Record<string, string>) => {
    try {
      const all: Record<string, string> = { 'host': 'localhost:3000', 'content-type': 'application/json', ...headers }
      const asked = { method, path, header: (name: string) => all[name] }
      guard(asked)
      if (isApi(path)) checkType(asked)
      return 200
    }
    catch (error) {
      expect(((error as { data: ApiErrorBody }).data).error.message.length).toBeGreaterThan(20)
      return (error as { statusCode: number }).statusCode
    }
  }
  const write = (headers: Record<string, string>, path = '/api/sites') => status('POST', path, headers)

  it('writes from our pages and from scripts, not from another page', () => {
    expect([
      write({}),
      write({ 'origin': 'http://localhost:3000', 'sec-fetch-site': 'same-origin' }),
      write({ 'sec-fetch-site': 'none' }),
    ]).toEqual([200, 200, 200])
    const others: Record<string, string>[] = [
      { origin: 'http://evil.example' },
      { origin: 'null' },
      { origin: 'http://localhost:4000' },
      { origin: '' },
      { 'sec-fetch-site': 'cross-site' },
      { 'sec-fetch-site': 'same-site' },
    ]
    for (const headers of others) expect(write(headers)).toBe(403)
  })

  it('is JSON, or a picture that says so', () => {
    for (const type of ['text/plain', 'application/x-www-form-urlencoded', 'multipart/form-data', ''])
      expect(write({ 'content-type': type })).toBe(415)
    expect(write({ 'content-type': 'application/json; charset=utf-8' })).toBe(200)
    expect([
      write({ 'content-type': 'application/zip' }, '/api/sites/archive'),
      write({ 'content-type': 'text/plain' }, '/api/sites/archive'),
      write({}, '/api/sites/archive'),
      write({ 'content-type': 'application/zip' }),
    ]).toEqual([200, 415, 415, 415])
    const photos = '/api/sites/holm-point/photos'
    expect([
      write({ 'content-type': 'image/png' }, photos),
      write({ 'content-type': 'image/png', 'x-wide-trellis': 'photograph' }, photos),
      write({ 'content-type': 'text/plain', 'x-wide-trellis': 'photograph' }, photos),
    ]).toEqual([415, 200, 415])
  })

  it('is a file where files of a site go, with a header that no page elsewhere can send', () => {
    const files = '/api/sites/holm-point/files'
    const said = { 'content-type': 'application/octet-stream', 'x-wide-trellis': 'file' }
    expect([
      write(said, files),
      write({ ...said, 'x-wide-trellis': 'photograph' }, files),
      write({ ...said, 'content-type': 'application/pdf' }, files),
      write({}, files),
      write(said, `${files}/abc`),
    ]).toEqual([200, 415, 415, 415, 415])
  })

  it('comes to a host of ours, reading or writing', () => {
    expect([
      status('GET', '/api/sites', { host: 'rebound.example' }),
      write({ host: 'rebound.example' }),
      status('GET', '/', { host: 'rebound.example' }),
    ]).toEqual([421, 421, 200])
  })
})

it('lets run what stands in the page itself, and nothing that is brought in', () => {
  const html
    = '<script>window.a=1</script><script type="application/json" id="d">{"x":1}</script><script type="module" '
      + 'src="/a.js"></script>'
  expect(scriptsIn(html)).toEqual(['window.a=1'])
  expect(policy(scriptsIn(html))).toContain('script-src \'self\' \'wasm-unsafe-eval\' \'sha256-')
  expect(policy()).toMatch(/frame-ancestors 'none'; script-src 'self' 'wasm-unsafe-eval'$/)
})

describe('the demo’s click', () => {
  afterEach(() => vi.unstubAllEnvs())
  it('is offered on its own machine, and nowhere else', () => {
    const offered = (demo: string, host: string | undefined, header: string) => {
      vi.stubEnv('WT_DEMO', demo)
      vi.stubEnv('HOST', host)
      return isOffered(header)
    }
    expect([offered('1', undefined, 'localhost:3000'), offered('1', '127.0.0.1', '127.0.0.1:3000')]).toEqual([
      true,
      true,
    ])
    vi.stubEnv('WT_DEMO', '1')
    expect(isOffered('localhost:3000', '192.0.2.7')).toBe(false)
    expect([
      offered('', undefined, 'localhost:3000'),
      offered('1', '0.0.0.0', 'localhost:3000'),
      offered('1', undefined, 'trellis.firm.example'),
      offered('1', undefined, '192.168.1.7:3000'),
    ]).toEqual([false, false, false, false])
  })
})
