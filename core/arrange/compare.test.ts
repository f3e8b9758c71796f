import { describe, expect, it } from 'vitest'
import { exampleJob } from '../../tests/fixtures/job'
import { textToString } from '../units'
import { arrange, compareWall, offAxis, pictureOf, pixelMap, uncompensated } from './index'

describe('a comparison of arrangements', () => {
  const told = (change: (job: ReturnType<typeof exampleJob>) => void = () => {}) => {
    const job = exampleJob()
    change(job)
    return Object.fromEntries(
      compareWall(job.walls[0]!, job.catalogue, 24, 1).map(({ what, text }) => [what, textToString(text, 'metric')]),
    )
  }
  it('tells size, seams, heights, protrusion, mass and what it costs', () => {
    expect(told()).toEqual({
      'Screens': '6',
      'Size': '3065.4 × 1153 mm',
      'Bezel seams': '2 mm',
      'Bottom edge above floor': '1073.5 mm',
      'Top edge above floor': '2226.5 mm',
      'Screen face from wall': '126 mm',
      'Mass': '202.8 kg',
      'Mounts': '6',
      'Holes': '24',
      'Stops': '1',
    })
  })
  it('spans what differs, and tells each array by itself', () => {
    const mixed = told((job) => {
      const [array] = job.walls[0]!.arrays
      job.catalogue.mounts.push({ ...job.catalogue.mounts[0]!, id: 'deep', depth: { stowed: 90, service: 300 } })
      array!.cells = [{ row: 1, column: 1, mount: 'deep' }, { row: 1, column: 2, orientation: 'inverted' }]
      job.walls[0]!.arrays.push({ ...array!, id: 'b', rows: 1, columns: 1, cells: [] })
    })
    expect(mixed).toMatchObject({
      'Screens': '7',
      'Size': '3065.4 × 1153 mm; 1021.4 × 576.2 mm',
      'Screen face from wall': '126 to 158 mm',
      'Bezel seams': '1.6 to 2.4 mm',
    })
  })
  it('of nothing is told as none', () => {
    expect(
      told((job) => {
        job.walls[0]!.arrays = []
      }),
    ).toMatchObject({ 'Screens': '0', 'Size': '', 'Bezel seams': 'none', 'Mass': '0.0 kg' })
  })
})

describe('a viewer aside', () => {
  const job = exampleJob()
  const { cells, imageGap } = arrange(job.walls[0]!.arrays[0]!, job.catalogue.displays, job.walls[0]!)!
  it('is so far off the axis of the picture’s middle', () => {
    const picture = pictureOf(cells)
    const middle = picture.left + picture.width / 2
    expect(offAxis(picture, middle, 3000).value).toBeCloseTo(0, 9)
    expect(offAxis(picture, middle + 3000, 3000).value).toBeCloseTo(45, 9)
    expect(offAxis(picture, middle - 1500, 1500 * Math.sqrt(3)).value).toBeCloseTo(30, 9)
  })

  it('sees a picture jump at the seams where they are not compensated: parts of even size, side by side', () => {
    const map = pixelMap(cells, imageGap)
    const parts = uncompensated(map)
    expect(parts[1]).toEqual({
      x: map.canvas.width / 3,
      y: 0,
      width: map.canvas.width / 3,
      height: map.canvas.height / 2,
    })
    expect(parts.reduce((sum, { width, height }) => sum + width * height, 0)).toBeCloseTo(
      map.canvas.width * map.canvas.height,
      6,
    )
  })
})
