import { apiError } from '../utils/apiError'
import { isOurHost } from './hosts'

/** What a request says of itself beside its body. */
export interface Asked { method: string, path: string, header: (name: string) => string | undefined }

const READS = ['GET', 'HEAD', 'OPTIONS']
const PHOTOS = /^\/api\/sites\/[^/]+\/photos$/
const FILES = /^\/api\/sites\/[^/]+\/files$/
const ARCHIVES = '/api/sites/archive'

export const isApi = (path: string): boolean => path === '/api' || path.startsWith('/api/')

/** Whether a page of this server asks, or something that is no page. */
function isOurPage({ header }: Asked): boolean {
  const site = header('sec-fetch-site')
  if (site !== undefined && site !== 'same-origin' && site !== 'none') return false
  const origin = header('origin')
  if (origin === undefined) return true
  return URL.canParse(origin) && new URL(origin).host === header('host')?.toLowerCase()
}

/**
 * Refuses what another page has a browser send here.
 *
 * @throws 421 where the Host is not this server's, 403 where another page writes
 */
export function guard(asked: Asked): void {
  const { method, path, header } = asked
  if (!isApi(path)) return
  if (!isOurHost(header('host')))
    throw apiError(
      421,
      'unknown-host',
      `This server does not accept the host name “${header('host') ?? ''}”. If the name is correct, start the server `
      + `with WT_HOSTS set to it.`,
    )
  if (READS.includes(method)) return
  if (!isOurPage(asked)) throw apiError(403, 'another-page', 'Only pages of this server can write to it.')
}

/**
 * Refuses a body of a kind that a page elsewhere could send unasked: only JSON, a ZIP file, or a picture or file with a
 * header of ours is taken.
 *
 * @throws 415
 */
export function checkType({ method, path, header }: Asked): void {
  if (READS.includes(method)) return
  const type = header('content-type')?.split(';')[0]!.trim().toLowerCase() ?? ''
  if (PHOTOS.test(path)) {
    if (header('x-wide-trellis') !== 'photograph' || !/^image\/|^application\/octet-stream$/.test(type))
      throw apiError(
        415,
        'wrong-type',
        'Send a photo as image/… or application/octet-stream, with the header “x-wide-trellis: photograph”.',
      )
  }
  else if (FILES.test(path)) {
    if (header('x-wide-trellis') !== 'file' || type !== 'application/octet-stream')
      throw apiError(
        415,
        'wrong-type',
        'Send a file as application/octet-stream, with the header “x-wide-trellis: file”.',
      )
  }
  else if (path === ARCHIVES) {
    if (type !== 'application/zip') throw apiError(415, 'wrong-type', 'Send a site with its photos as application/zip.')
  }
  else if (type !== 'application/json') throw apiError(415, 'wrong-type', 'The data sent must be application/json.')
}
