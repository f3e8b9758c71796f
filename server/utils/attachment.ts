import contentDisposition from 'content-disposition'
import { setResponseHeaders, type H3Event } from 'h3'

/**
 * Has the browser save an answer as a file (RFC 6266).
 *
 * @param parts what the file is called by, hyphens between; the ending is always the one given
 */
export function asFile(event: H3Event, parts: string[], ending: string, type: string): void {
  const name = parts.join('-').replace(/[/\\]/g, '-')
  setResponseHeaders(event, { 'content-type': type, 'content-disposition': contentDisposition(`${name}.${ending}`) })
}
