import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { d46, exampleJob, m1 } from '../../tests/fixtures/job'
import { ORIENTATIONS, type ScreenArray } from '../job'
import { planWall } from '../plan'
import { arrange, orientDisplay } from './index'
import { fitSource, hiddenPixels, pixelMap, pixelPitch } from './pixels'
import { testPicture } from './testPicture'
import { leastGap, lostToSeams, massOf, powerOf, seamTolerance } from './totals'
import { angleUp, farthestViewer, nearestViewer, pictureOf, pixelsNotVisible } from './viewing'
import { cases } from '../../tests/fixtures/soak'

const job = exampleJob()
const wall = job.walls[0]!
const arrayOf = (change: Partial<ScreenArray> = {}): ScreenArray => ({ ...wall.arrays[0]!, ...change })
function mapped(change: Partial<ScreenArray> = {}) {
  const array = arrayOf(change)
  const { cells, imageGap } = arrange(array, [d46], wall)!
  return pixelMap(cells, imageGap)
}

describe('the pixel map', () => {
  it('hides 3.76 pixels behind a seam of 2.0 at 0.53125 mm a pixel', () => {
    expect(pixelPitch(orientDisplay(d46, 'landscape')).x).toBeCloseTo(0.53125, 9)
    expect(hiddenPixels(2, 0.53125).value).toBeCloseTo(3.7647, 4)
    const { hidden, canvas, crops } = mapped()
    expect(hidden.x).toBeCloseTo(3.7647, 4)
    expect(canvas).toEqual({ width: 3 * 1920 + 8, height: 2 * 1080 + 4 })
    expect(crops.map(({ rounded }) => [rounded.x, rounded.y, rounded.width, rounded.height]).slice(0, 4)).toEqual([
      [0, 0, 1920, 1080], [1924, 0, 1920, 1080], [3848, 0, 1920, 1080], [0, 1084, 1920, 1080],
    ])
  })

  it('gives every screen its own pixels, never a neighbour’s, and a canvas that holds all', () => {
    const size = fc.integer({ min: 1, max: 6 })
    const gap = fc.double({ min: 0, max: 40, noNaN: true })
    fc.assert(
      fc.property(size, size, gap, gap, fc.constantFrom(...ORIENTATIONS), (rows, columns, x, y, orientation) => {
        const { crops, canvas } = mapped({ rows, columns, gap: { x, y }, orientation })
        const turned = orientation.startsWith('portrait')
        for (const { rounded, exact } of crops) {
          expect([rounded.width, rounded.height]).toEqual(turned ? [1080, 1920] : [1920, 1080])
          expect(Math.abs(rounded.x - exact.x)).toBeLessThanOrEqual(0.5)
          expect(rounded.x + rounded.width).toBeLessThanOrEqual(canvas.width)
          expect(rounded.y + rounded.height).toBeLessThanOrEqual(canvas.height)
        }
        for (const a of crops)
          for (const b of crops) {
            if (a === b) continue
            const apart
              = a.rounded.x + a.rounded.width <= b.rounded.x
                || b.rounded.x + b.rounded.width <= a.rounded.x
                || a.rounded.y + a.rounded.height <= b.rounded.y
                || b.rounded.y + b.rounded.height <= a.rounded.y
            expect(apart).toBe(true)
          }
      }),
      { numRuns: cases(60) },
    )
  })

  it('is drawn as a test picture at canvas size, with every screen named and a circle over every seam', () => {
    const svg = testPicture(mapped(), 'Hall <1>')
    expect(svg).toContain('width="5768" height="2164"')
    for (const name of ['R1 C1', 'R1 C3', 'R2 C2']) expect(svg).toContain(`>${name}<`)
    expect(svg.match(/<ellipse/g)).toHaveLength(2 * 2 + 3)
    expect(svg).toContain('Hall &lt;1&gt;')
  })

  it('comes with the plan', () => {
    const [array] = planWall(wall, job).arrays
    expect(array!.canvas).toEqual({ width: 5768, height: 2164 })
    expect(array!.positions[4]!.crop).toEqual({ x: 1924, y: 1084, width: 1920, height: 1080 })
  })
})

describe('a source on the canvas', () => {
  const hd = { width: 1920, height: 1080 }
  it('fits with bars or fills with cuts', () => {
    expect(fitSource(hd, { width: 3840, height: 1080 }, 'fit')).toEqual({
      width: 1920,
      height: 1080,
      cut: { across: 0, up: 0 },
    })
    expect(fitSource(hd, { width: 3840, height: 1080 }, 'fill')).toEqual({
      width: 3840,
      height: 2160,
      cut: { across: 0, up: 0.5 },
    })
  })

  it('keeps its shape, and covers or is covered', () => {
    const size = fc.record({ width: fc.integer({ min: 1, max: 9000 }), height: fc.integer({ min: 1, max: 9000 }) })
    fc.assert(fc.property(size, size, (source, canvas) => {
      const [fit, fill] = [fitSource(source, canvas, 'fit'), fitSource(source, canvas, 'fill')]
      expect(fit.width / fit.height / (source.width / source.height)).toBeCloseTo(1, 9)
      expect(fit.width).toBeLessThanOrEqual(canvas.width + 1e-6)
      expect(fill.height).toBeGreaterThanOrEqual(canvas.height - 1e-6)
      expect(Math.min(fill.cut.across, fill.cut.up)).toBeLessThan(1e-9)
    }))
  })
})

describe('viewing', () => {
  const display = orientDisplay(d46, 'landscape')
  const picture = pictureOf(arrange(arrayOf(), [d46], wall)!.cells)

  it('is read at 6 picture heights where elements are 3 % of it', () => {
    expect(farthestViewer(picture).value).toBeCloseTo(6 * picture.height, 9)
    expect(farthestViewer(picture, 0.05).value).toBeCloseTo(10 * picture.height, 9)
  })

  it('shows no pixels from 0.53222 × 3437.75 on', () =>
    expect(pixelsNotVisible(display).value).toBeCloseTo((574.8 / 1080) * 3437.75, 6))

  it('stands within 30° to the top and 15° to the centre from the nearest viewer on, and not nearer', () => {
    const top = picture.foot + picture.height
    const near = nearestViewer(picture, 1200).value
    const angles = (distance: number) => [
      angleUp(top, 1200, distance, 'top').value,
      angleUp(picture.foot + picture.height / 2, 1200, distance, 'centre').value,
    ]
    expect(angles(near).map((angle, n) => angle <= [30, 15][n]! + 1e-9)).toEqual([true, true])
    expect(angles(near - 5).some((angle, n) => angle > [30, 15][n]!)).toBe(true)
    expect(nearestViewer({ ...picture, foot: 0, height: 800 }, 1600).value).toBe(0)
  })

  it('cautions of what is too high to look at, and of a face in a walkway', () => {
    const codes = (y: number, walkway = true) => {
      const job = exampleJob()
      Object.assign(job.walls[0]!, { height: 9000, walkway })
      job.walls[0]!.arrays[0]!.at.y = { edge: 'bottom', value: y }
      const { findings } = planWall(job.walls[0]!, job)
      return findings.filter(({ stage }) => stage === 'arrange').map(({ code }) => code)
    }
    expect(codes(7000)).toEqual(['viewing-too-high'])
    expect(codes(900)).toEqual(['stands-into-walkway'])
    expect(codes(2100)).toEqual([])
    expect(codes(900, false)).toEqual([])
  })
})

describe('sums over an array', () => {
  it('adds mass and power, and says when power is not known', () => {
    const { cells } = arrange(arrayOf(), [d46], wall)!
    expect(massOf(cells, arrayOf(), { displays: [d46], mounts: [m1] }).value).toBeCloseTo(6 * (21.5 + 12.3), 9)
    expect(powerOf(cells, { displays: [d46], mounts: [] }, 'max')).toBeUndefined()
    expect(
      powerOf(cells, { displays: [{ ...d46, power: { typical: 118, max: 165 } }], mounts: [] }, 'max'),
    ).toMatchObject({ value: 990, unit: 'W' })
  })

  it('tells what seams take, and how far a seam may come out', () => {
    const lit = (...places: number[]) => places.map(x => ({ picture: { x, y: 0, width: 99, height: 50 } }))
    expect(lostToSeams(lit(0)).value).toBeCloseTo(0, 12)
    expect(lostToSeams(lit(0, 101)).value).toBeCloseTo(1, 9)
    expect(seamTolerance({ ...d46, sizeTolerance: 0.4 })).toMatchObject({
      worst: { value: 0.4 },
      usual: { value: 0.4 / Math.SQRT2 },
    })
    expect(seamTolerance(d46)).toBeUndefined()
    expect([0.4, 0.5, 0.51, 0].map(sizeTolerance => leastGap({ sizeTolerance }, 'metric'))).toEqual([0.5, 0.5, 1, 0])
    expect(leastGap({ sizeTolerance: 0.4 }, 'imperial')).toBeCloseTo(25.4 / 32, 12)
  })
})
