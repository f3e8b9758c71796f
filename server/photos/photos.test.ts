import { mkdtempSync, readdirSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import sharp from 'sharp'
import { beforeEach, describe, expect, it } from 'vitest'
import { keepPhoto, LARGEST_PHOTO, readPhoto } from './photos'

const picture = (format: 'jpeg' | 'png' | 'webp' | 'tiff') =>
  sharp({ create: { width: 800, height: 500, channels: 3, background: '#1d4b45' } }).toFormat(format).toBuffer()
const status = (error: unknown) => (error as { statusCode: number }).statusCode

let data: string
beforeEach(() => {
  data = mkdtempSync(join(tmpdir(), 'wt-photos-'))
  process.env.WT_DATA = data
})

describe('a picture', () => {
  it.each([['jpeg', 'jpg', 'image/jpeg'], ['png', 'png', 'image/png'], ['webp', 'webp', 'image/webp']] as const)('of kind %s is kept as it came, with a small one', async (format, ending, type) => {
    const bytes = await picture(format)
    const name = await keepPhoto(bytes)
    expect(name).toMatch(new RegExp(`^[0-9a-f]{32}\\.${ending}$`))
    expect(readPhoto(name, false)).toEqual({ bytes, type })
    const thumb = readPhoto(name, true)
    expect(thumb.type).toBe('image/webp')
    expect(await sharp(thumb.bytes).metadata()).toMatchObject({ width: 320, height: 200, format: 'webp' })
  })

  it('is kept once, however often it is sent', async () => {
    const bytes = await picture('png')
    expect(await keepPhoto(bytes)).toBe(await keepPhoto(bytes))
    expect(readdirSync(join(data, 'photos'))).toHaveLength(2)
  })

  it('is told by its content: other formats, text and broken files are refused', async () => {
    const broken = (await picture('jpeg')).subarray(0, 300)
    for (const bytes of [await picture('tiff'), Buffer.from('%PDF-1.3'), Buffer.alloc(0), broken]) {
      expect(status(await keepPhoto(bytes).catch((error: unknown) => error))).toBe(422)
    }
    expect(status(await keepPhoto(Buffer.alloc(LARGEST_PHOTO + 1)).catch((error: unknown) => error))).toBe(413)
  })

  it('is read by its own name only', () => {
    for (const name of ['../wide-trellis.db', 'x.png', `${'0'.repeat(32)}.png`]) expect(() => readPhoto(name, false)).toThrow('There is no picture')
  })
})
