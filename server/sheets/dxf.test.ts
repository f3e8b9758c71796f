import DxfParser from 'dxf-parser'
import { expect, it } from 'vitest'
import { demoWall } from '../../tests/fixtures/demo'
import { asBuilt } from '../../core/log'
import { contextOf, planWall } from '../../core/plan'
import { wallAsDxf } from './dxf'

interface Drawn {
  type: string
  layer: string
  vertices?: { x: number, y: number }[]
  center?: { x: number, y: number }
  radius?: number
  text?: string
}

it.each([
  ['holm-point', 'ticket-hall'],
  ['ravel-sands', 'pier'],
  ['ravel-sands', 'arrivals'],
] as const)(
  '%s, %s as DXF has each kind on its layer, in millimetres of the wall, as another program reads it',
  (site, id) => {
    const { job, wall } = demoWall(site, id)
    const plan = planWall(wall, contextOf(job), asBuilt(job.log, wall))
    const read = new DxfParser().parseSync(wallAsDxf(wall, plan))!
    const entities = read.entities as unknown as Drawn[]
    // Millimetres, by the header's own number for them.
    expect(read.header.$INSUNITS).toBe(4)
    const on = (layer: string) => entities.filter(entity => entity.layer === layer)
    const boxOf = ({ vertices = [] }: Drawn) => {
      const [xs, ys] = [vertices.map(({ x }) => x), vertices.map(({ y }) => y)]
      return {
        x: Math.min(...xs),
        y: Math.min(...ys),
        width: Math.max(...xs) - Math.min(...xs),
        height: Math.max(...ys) - Math.min(...ys),
      }
    }
    const close = (value: number) => expect.closeTo(value, 6)
    const like = ({ x, y, width, height }: { x: number, y: number, width: number, height: number }) => ({
      x: close(x),
      y: close(y),
      width: close(width),
      height: close(height),
    })
    const positions = plan.arrays.flatMap(array => array.positions)
    expect(on('WALL').map(boxOf)).toEqual([{ x: 0, y: 0, width: wall.width, height: wall.height }])
    expect(on('SCREENS').map(boxOf)).toEqual(positions.map(({ outer }) => like(outer)))
    expect(on('PLATES').map(boxOf)).toEqual(positions.flatMap(({ plate }) => (plate ? [like(plate.rect)] : [])))
    expect(on('HOLES').map(({ center, radius }) => [center!.x, center!.y, radius])).toEqual(
      positions.flatMap(({ holes = [], bolts = [] }) =>
        [...holes, ...bolts].map(({ x, y, bit = 1 }) => [close(x), close(y), close(bit / 2)]),
      ),
    )
    expect(on('MEMBERS')).toHaveLength(plan.members.length)
    expect(on('CUT-OUTS').map(boxOf)).toEqual(
      plan.wiring.boxes.filter(({ held }) => held).map(({ cutout }) => like(cutout)),
    )
    expect(on('OPENINGS').map(boxOf)).toEqual(plan.wiring.works.openings.map(({ rect }) => like(rect)))
    expect(on('BORES')).toHaveLength(plan.wiring.works.bores.length)
    expect(on('LEVEL-LINE')[0]!.vertices!.map(({ y }) => y)).toEqual([
      close(plan.marking.levelLine!.y),
      close(plan.marking.levelLine!.y),
    ])
    expect(on('TEXT').map(({ text }) => text)).toEqual([
      'DRAFT',
      ...positions.map(({ row, column }) => `R${row} C${column}`),
    ])
  },
)
