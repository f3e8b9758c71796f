import fc from 'fast-check'
import jsQR from 'jsqr'
import { describe, expect, it } from 'vitest'
import type { Shape } from '../svg'
import { issueLine, OVERLAP, qrCode, tilesOf } from './index'
import { parseScale } from './parseScale'

/** A drawing's rectangles as a bitmap, as a camera would see it. */
function seen(shape: Shape, size: number, each: number): Uint8ClampedArray {
  const wide = Math.round(size * each)
  const pixels = new Uint8ClampedArray(4 * wide * wide).fill(255)
  const paint = ({ name, attributes: { x, y, width, height, fill }, content }: Shape) => {
    if (name === 'rect' && fill !== '#ffffff') {
      for (let row = Math.round(Number(y) * each); row < Math.round((Number(y) + Number(height)) * each); row++) {
        for (
          let column = Math.round(Number(x) * each);
          column < Math.round((Number(x) + Number(width)) * each);
          column++
        )
          pixels.fill(0, 4 * (row * wide + column), 4 * (row * wide + column) + 3)
      }
    }
    for (const part of content) if (typeof part !== 'string') paint(part)
  }
  paint(shape)
  return pixels
}

it('has a code that a telephone reads as the address of the wall', () => {
  const address = 'https://site.example:3000/sites/holm-point/walls/ticket-hall'
  const read = jsQR(seen(qrCode(address, 0, 0, 40), 40, 12), 480, 480)
  expect(read?.data).toBe(address)
})

describe('tiles', () => {
  const window = { x: 10, y: 30, width: 277, height: 140 }

  it('show every place of the drawing, overlap, and keep to their window', () => {
    fc.assert(fc.property(fc.integer({ min: 5, max: 1_500 }), fc.integer({ min: 5, max: 900 }), (width, height) => {
      const tiles = tilesOf({ width, height }, window)
      for (const at of [0, 0.2, 0.5, 0.77, 1]) {
        const [x, y] = [at * width, (1 - at) * height]
        const showing = tiles.filter(
          ({ from, window: { width, height } }) =>
            x >= from.x - 1e-9 && x <= from.x + width + 1e-9 && y >= from.y - 1e-9 && y <= from.y + height + 1e-9,
        )
        expect(showing.length).toBeGreaterThan(0)
      }
      for (const tile of tiles) {
        expect(tile.window.width).toBeLessThanOrEqual(window.width)
        expect(tile.from.x + tile.window.width).toBeLessThanOrEqual(width + 1e-9)
        const right = tiles.find(({ from }) => from.y === tile.from.y && from.x > tile.from.x)
        if (right) expect(tile.from.x + tile.window.width - right.from.x).toBeCloseTo(OVERLAP, 9)
      }
      expect(new Set(tiles.map(({ name }) => name)).size).toBe(tiles.length)
    }))
  })

  it('are one, without a name, where the drawing fits', () => {
    expect(tilesOf({ width: 200, height: 100 }, window)).toEqual([
      { name: '', window: { ...window, width: 200, height: 100 }, from: { x: 0, y: 0 } },
    ])
    expect(tilesOf({ width: 500, height: 200 }, window).map(({ name }) => name)).toEqual(['A1', 'B1', 'A2', 'B2'])
  })
})

it('takes a scale as it is written on drawings, and nothing else', () => {
  expect(['1:25', ' 1 : 10 ', '50', '', 'to fit'].map(text => parseScale(text))).toEqual(
    [25, 10, 50, undefined, undefined].map(value => ({ ok: true, value })),
  )
  for (const text of ['2:1', '1:0', '1:2000', 'x', '1:2.5']) expect(parseScale(text).ok).toBe(false)
})

it('is named by its revision, when and by whom, or is a draft', () => {
  const issue = { revision: 'B', at: '2026-11-19T23:26:00Z', by: 'Odd Varga' }
  expect([issueLine(issue), issueLine({ ...issue, zone: 'Europe/Oslo' }), issueLine(undefined)]).toEqual([
    'Revision B · issued 19 Nov 2026 by Odd Varga', 'Revision B · issued 20 Nov 2026 by Odd Varga', 'Draft: not issued',
  ])
})
