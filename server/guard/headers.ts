import { createHash } from 'node:crypto'

/**
 * What every answer says to the browser: nothing from elsewhere runs, nobody frames it, no type is guessed, no referrer
 * is sent.
 */
const POLICY = {
  'default-src': '\'self\'',
  'img-src': '\'self\' data: blob:',
  'style-src': '\'self\' \'unsafe-inline\'',
  'font-src': '\'self\' data:',
  'worker-src': '\'self\' blob:',
  'object-src': '\'none\'',
  'base-uri': '\'self\'',
  'form-action': '\'self\'',
  'frame-ancestors': '\'none\'',
}

/**
 * WebAssembly of our own may be compiled: the solver of the seams is that.
 *
 * @param scripts what runs from within the page itself
 */
export function policy(scripts: string[] = []): string {
  const allowed = scripts.map(text => ` 'sha256-${createHash('sha256').update(text).digest('base64')}'`).join('')
  return Object.entries({ ...POLICY, 'script-src': `'self' 'wasm-unsafe-eval'${allowed}` })
    .map(([name, value]) => `${name} ${value}`)
    .join('; ')
}

/** The scripts that stand in a page; what is data, or comes from an address, does not run. */
export const scriptsIn = (html: string): string[] =>
  [...html.matchAll(/<script(?![^>]*(?:\ssrc=|type="application\/))[^>]*>([\s\S]*?)<\/script>/g)].map(
    ([, text]) => text!,
  )

export const HEADERS = {
  'content-security-policy': policy(),
  'x-frame-options': 'DENY',
  'referrer-policy': 'same-origin',
  'x-content-type-options': 'nosniff',
  'cross-origin-resource-policy': 'same-origin',
  // The camera reads labels and takes pictures, the microphone hears readings; of nobody else's pages.
  'permissions-policy':
    'camera=(self), microphone=(self), publickey-credentials-get=(self), publickey-credentials-create=(self), '
    + 'geolocation=(), payment=(), usb=()',
}

/** Said over TLS only: a browser that was told it at a plain address of a site's own network could never come back. */
export const TLS_ONLY = { 'strict-transport-security': 'max-age=31536000' }
