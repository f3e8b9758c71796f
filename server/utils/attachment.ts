import contentDisposition from 'content-disposition'
import { FORMATS, type Format } from '../../core/formats'
import { setResponseHeaders, type H3Event } from 'h3'

/**
 * Has the browser save an answer as a file (RFC 6266).
 *
 * @param parts what the file is called by, hyphens between; the ending is always that of its format
 */
export function asFile(event: H3Event, parts: string[], format: Format): void {
  const name = parts.join('-').replace(/[/\\]/g, '-')
  setResponseHeaders(event, {
    'content-type': FORMATS[format].type, 'content-disposition': contentDisposition(`${name}.${format}`),
  })
}
