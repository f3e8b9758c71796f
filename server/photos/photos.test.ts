import { mkdtempSync, readdirSync, readFileSync, renameSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import sharp from 'sharp'
import { beforeEach, describe, expect, it } from 'vitest'
import { LIMITS } from '../../core/job'
import { keepPhoto, readPhoto } from './photos'

const picture = (format: 'jpeg' | 'png' | 'webp' | 'tiff', width = 800, height = 500) =>
  sharp({ create: { width, height, channels: 3, background: '#1d4b45' } }).toFormat(format).toBuffer()
const refusal = async (bytes: Buffer) =>
  keepPhoto(data, 'pier', bytes).then(
    () => 0,
    (error: { statusCode: number }) => error.statusCode,
  )
const read = (name: string, thumb = false, site = 'pier', isMentioned = () => false) =>
  readPhoto(data, site, name, thumb, isMentioned)

let data: string
beforeEach(() => {
  data = mkdtempSync(join(tmpdir(), 'wt-photos-'))
})

describe('a picture', () => {
  it.each([
    ['jpeg', 'jpg', 'image/jpeg'],
    ['png', 'png', 'image/png'],
    ['webp', 'webp', 'image/webp'],
  ] as const)('of kind %s is kept as it came, with a small one', async (format, ending, type) => {
    const bytes = await picture(format)
    const name = await keepPhoto(data, 'pier', bytes)
    expect(name).toMatch(new RegExp(`^[0-9a-f]{32}\\.${ending}$`))
    expect(readFileSync(join(data, 'photos', 'pier', name))).toEqual(bytes)
    const shown = await read(name)
    expect([shown.type, (await sharp(shown.bytes).metadata()).format]).toEqual([type, format])
    const thumb = await read(name, true)
    expect(thumb.type).toBe('image/webp')
    expect(await sharp(thumb.bytes).metadata()).toMatchObject({ width: 320, height: 200, format: 'webp' })
  })

  it('is kept once, however often it is sent, and leaves nothing half written', async () => {
    const bytes = await picture('png')
    expect(await keepPhoto(data, 'pier', bytes)).toBe(await keepPhoto(data, 'pier', bytes))
    expect(readdirSync(join(data, 'photos', 'pier')).map(name => name.replace(/^\w+/, ''))).toEqual([
      '.png',
      '.shown.png',
      '.thumb.webp',
    ])
  })

  it('is told by its content: other formats, text and broken files are refused', async () => {
    const broken = (await picture('jpeg')).subarray(0, 300)
    for (const bytes of [await picture('tiff'), Buffer.from('%PDF-1.3'), Buffer.alloc(0), broken])
      expect(await refusal(bytes)).toBe(422)
    expect(await refusal(Buffer.alloc(LIMITS.photoBytes + 1))).toBe(413)
  })

  it('of over 50 megapixels is refused before it is unfolded, and one of just that is taken', async () => {
    expect(await refusal(await picture('png', 10_000, 5_001))).toBe(422)
    expect(await refusal(await picture('png', 10_000, 5_000))).toBe(0)
  })

  it('is shown upright and without what the camera wrote into it', async () => {
    const noted = await sharp(await picture('jpeg'))
      .withExif({ IFD0: { Copyright: 'Isla' }, IFD3: { GPSLatitudeRef: 'N' } })
      .withMetadata({ orientation: 6 })
      .toBuffer()
    expect((await sharp(noted).metadata()).exif).toBeDefined()
    const { bytes } = await read(await keepPhoto(data, 'pier', noted))
    expect(await sharp(bytes).metadata()).toMatchObject({ width: 500, height: 800 })
    expect((await sharp(bytes).metadata()).exif).toBeUndefined()
  })

  it('belongs to its site; one of an earlier version to those that speak of it', async () => {
    const name = await keepPhoto(data, 'pier', await picture('png'))
    await expect(read(name, false, 'hall', () => true)).rejects.toThrow('Not found: this photo')
    renameSync(join(data, 'photos', 'pier', name), join(data, 'photos', name))
    expect((await read(name, false, 'hall', () => true)).type).toBe('image/png')
    await expect(read(name, false, 'hall')).rejects.toThrow('Not found: this photo')
  })

  it('is read by its own name only', async () => {
    for (const name of ['../wide-trellis.db', 'x.png', `${'0'.repeat(32)}.png`])
      await expect(read(name)).rejects.toThrow('Not found: this photo')
  })
})
