import { afterEach, describe, expect, it, vi } from 'vitest'
import { api, ApiError } from './api'
import { photoAddress, sendPhoto } from './photos'

const answers = (status: number, body: unknown) =>
  vi.stubGlobal(
    'fetch',
    vi.fn(() => Promise.resolve(new Response(typeof body === 'string' ? body : JSON.stringify(body), { status }))),
  )
const refusedBy = async (act: Promise<unknown>) => {
  const error: unknown = await act.then(() => undefined, (error: unknown) => error)
  if (!(error instanceof ApiError)) throw new Error('was not refused')
  return error
}
afterEach(() => vi.unstubAllGlobals())

describe('asking the API', () => {
  it('sends JSON and gives what is answered', async () => {
    answers(200, { version: 2 })
    expect(await api('/sites/a', { method: 'PUT', body: { wall: 1 } })).toEqual({ version: 2 })
    expect(fetch).toHaveBeenCalledWith('/api/sites/a', {
      method: 'PUT',
      body: '{"wall":1}',
      headers: { 'content-type': 'application/json' },
    })
  })

  it('tells a refusal with its faults and the newer state', async () => {
    answers(409, {
      error: {
        code: 'stale',
        message: 'Somebody saved.',
        faults: [{ path: '$', message: 'x' }],
        current: { version: 3 },
      },
    })
    expect(await refusedBy(api('/sites/a'))).toMatchObject({
      status: 409,
      code: 'stale',
      message: 'Somebody saved.',
      faults: [{ path: '$', message: 'x' }],
      current: { version: 3 },
      retryable: false,
    })
  })

  it.each([
    [500, true],
    [503, true],
    [422, false],
    [404, false],
  ])('takes %s for retryable: %s, whatever the answer is made of', async (status, retryable) => {
    answers(status, '<html>')
    expect(await refusedBy(api('/sites'))).toMatchObject({
      status,
      retryable,
      message: `The server answered ${status}.`,
    })
  })

  it('takes no answer for retryable', async () => {
    vi.stubGlobal('fetch', vi.fn(() => Promise.reject(new TypeError('failed'))))
    expect(await refusedBy(api('/sites'))).toMatchObject({ status: 0, code: 'no-connection', retryable: true })
    expect(await refusedBy(sendPhoto('a', new File(['x'], 'x.png')))).toMatchObject({ status: 0, retryable: true })
  })
})

describe('a picture', () => {
  it('is sent as it is and has an address, also for a small one', async () => {
    answers(201, { photo: 'abc.png' })
    const file = new File(['x'], 'x.png')
    expect(await sendPhoto('holm-point', file)).toEqual({ photo: 'abc.png' })
    expect(fetch).toHaveBeenCalledWith(
      '/api/sites/holm-point/photos',
      expect.objectContaining({ method: 'POST', body: file }),
    )
    expect([photoAddress('a', 'b.png'), photoAddress('a', 'b.png', true)]).toEqual([
      '/api/sites/a/photos/b.png',
      '/api/sites/a/photos/b.png?thumb=1',
    ])
  })

  it('that is refused says why', async () => {
    answers(422, { error: { code: 'not-a-picture', message: 'This is no picture.' } })
    expect(await refusedBy(sendPhoto('a', new File(['x'], 'x.png')))).toMatchObject({
      status: 422,
      message: 'This is no picture.',
    })
  })
})
