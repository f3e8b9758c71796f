import { createHash } from 'node:crypto'
import { existsSync, readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import sharp from 'sharp'
import { LIMITS } from '../../core/job'
import { notFound, apiError } from '../utils/apiError'
import { writeDurably } from './durable'

const THUMB = 320
/** What a picture is by its content, and its ending. */
const FORMATS: Record<string, string> = { jpeg: 'jpg', png: 'png', webp: 'webp' }
const NAME = /^[0-9a-f]{32}\.(jpg|png|webp)$/

/** Where the pictures of a firm are, by the firm's own folder. */
const photosIn = (folder: string) => join(folder, 'photos')
const refused = () =>
  apiError(422, 'not-a-picture', 'This file is not a JPEG, PNG or WebP image, whatever its name says.')
const decoder = (bytes: Buffer) => sharp(bytes, { limitInputPixels: LIMITS.photoPixels })

/** A picture as it is shown: upright, and without what the camera wrote into it (EXIF: place, time, device). */
const withoutNotes = (bytes: Buffer): Promise<Buffer> => decoder(bytes).rotate().toBuffer()

/**
 * Keeps a picture of a site in its firm's folder, with a small one beside it, under a name made from its content, so
 * that the same picture is kept once.
 *
 * @throws 413 over 15 MB; 422 for what is no picture by its content, or has over 50 megapixels
 */
export async function keepPhoto(folder: string, site: string, bytes: Buffer): Promise<string> {
  if (bytes.length > LIMITS.photoBytes)
    throw apiError(413, 'too-large', 'A photo can have at most 15 MB; this one is larger.')
  if (bytes.length === 0) throw refused()
  // Only its head is read here: a small file can unfold to more than there is memory for.
  const { format, width, height } = await sharp(bytes, { limitInputPixels: false })
    .metadata()
    .catch(() => ({ format: undefined, width: 0, height: 0 }))
  const ending = FORMATS[format ?? '']
  if (!ending) throw refused()
  if (width * height > LIMITS.photoPixels)
    throw apiError(
      422,
      'too-many-pixels',
      `A photo can have at most 50 megapixels; this one has ${Math.round((width * height) / 1e6)}.`,
    )
  const [thumb, shown] = await Promise.all([
    decoder(bytes).rotate().resize(THUMB, THUMB, { fit: 'inside', withoutEnlargement: true }).webp().toBuffer(),
    withoutNotes(bytes),
  ]).catch(() => {
    throw refused()
  })
  const name = createHash('sha256').update(bytes).digest('hex').slice(0, 32)
  const at = (rest: string) => join(photosIn(folder), site, `${name}.${rest}`)
  await Promise.all([writeDurably(at('thumb.webp'), thumb), writeDurably(at(`shown.${ending}`), shown)])
  // The picture itself comes last: where it is, the others are.
  await writeDurably(at(ending), bytes)
  return `${name}.${ending}`
}

/**
 * Where a site's picture is kept; one that an earlier version kept for all sites together counts where the site speaks
 * of it.
 */
function pathOf(folder: string, site: string, name: string, isMentioned: () => boolean): string | undefined {
  if (!NAME.test(name)) return undefined
  const own = join(photosIn(folder), site, name)
  if (existsSync(own)) return own
  const common = join(photosIn(folder), name)
  return existsSync(common) && isMentioned() ? common : undefined
}

/**
 * The photos of a site as they were taken: those kept for it, and those of earlier versions that its job file speaks
 * of.
 *
 * @param mentioned names of photos of which the job file speaks
 */
export function photosOf(folder: string, site: string, mentioned: string[]): { name: string, path: string }[] {
  const own = existsSync(join(photosIn(folder), site))
    ? readdirSync(join(photosIn(folder), site)).filter(name => NAME.test(name))
    : []
  return [...new Set([...own, ...mentioned])].sort().flatMap((name) => {
    const path = pathOf(folder, site, name, () => true)
    return path ? [{ name, path }] : []
  })
}

/**
 * A picture that was kept for a site, without what the camera wrote into it, or its small one.
 *
 * @param isMentioned whether the site speaks of it; asked only of pictures of earlier versions
 * @throws 404
 */
export async function readPhoto(
  folder: string,
  site: string,
  name: string,
  thumb: boolean,
  isMentioned: () => boolean,
): Promise<{ bytes: Buffer, type: string }> {
  const path = pathOf(folder, site, name, isMentioned)
  if (!path) throw notFound('this photo')
  const ending = name.split('.')[1]!
  const beside = path.replace(/\.\w+$/, thumb ? '.thumb.webp' : `.shown.${ending}`)
  return {
    bytes: existsSync(beside) ? readFileSync(beside) : await withoutNotes(readFileSync(path)),
    type: thumb ? 'image/webp' : `image/${ending === 'jpg' ? 'jpeg' : ending}`,
  }
}
