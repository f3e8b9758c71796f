import { createHash } from 'node:crypto'
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import sharp from 'sharp'
import { dataFolder } from '../database/connection'
import { notFound, apiError } from '../utils/apiError'

/** The largest picture that is taken, bytes. */
export const LARGEST_PHOTO = 15 * 1024 * 1024
const THUMB = 320
/** What a picture is by its content, and its ending. */
const FORMATS: Record<string, string> = { jpeg: 'jpg', png: 'png', webp: 'webp' }
const NAME = /^[0-9a-f]{32}\.(jpg|png|webp)$/

const folder = () => join(dataFolder(), 'photos')
const refused = () => apiError(422, 'not-a-picture', 'This is no JPEG, PNG or WebP picture, whatever its name says.')

/**
 * Keeps a picture in the data folder with a small one beside it, under a name made from its content,
 * so that the same picture is kept once.
 *
 * @throws 413 over 15 MB; 422 for what is no picture by its content
 */
export async function keepPhoto(bytes: Buffer): Promise<string> {
  if (bytes.length > LARGEST_PHOTO) throw apiError(413, 'too-large', 'A picture can have 15 MB; this one has more.')
  if (bytes.length === 0) throw refused()
  const image = sharp(bytes, { limitInputPixels: 100_000_000 })
  const { format } = await image.metadata().catch(() => ({ format: undefined }))
  const ending = FORMATS[format ?? '']
  if (!ending) throw refused()
  const thumb = await image.rotate().resize(THUMB, THUMB, { fit: 'inside', withoutEnlargement: true }).webp().toBuffer().catch(() => { throw refused() })
  const name = createHash('sha256').update(bytes).digest('hex').slice(0, 32)
  mkdirSync(folder(), { recursive: true })
  writeFileSync(join(folder(), `${name}.${ending}`), bytes)
  writeFileSync(join(folder(), `${name}.thumb.webp`), thumb)
  return `${name}.${ending}`
}

/** A picture that was kept, or its small one. @throws 404 */
export function readPhoto(name: string, thumb: boolean): { bytes: Buffer, type: string } {
  const path = NAME.test(name) ? join(folder(), thumb ? name.replace(/\.\w+$/, '.thumb.webp') : name) : ''
  if (!path || !existsSync(path)) throw notFound('picture of this name')
  return { bytes: readFileSync(path), type: thumb ? 'image/webp' : `image/${name.endsWith('jpg') ? 'jpeg' : name.split('.')[1]}` }
}
