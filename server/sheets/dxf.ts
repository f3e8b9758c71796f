import { Colors, DxfWriter, LWPolylineFlags, point2d, point3d, Units } from '@tarikjabiri/dxf'
import { centreOf, type Rect } from '../../core/geometry'
import type { Wall } from '../../core/job'
import { levelAt } from '../../core/mark'
import type { WallPlan } from '../../core/plan'
import { screenLabel } from '../../core/job/screenLabel'

/** Each kind of thing on a layer of its own, so that anyone who opens the drawing shows what he needs. */
const LAYERS = {
  'WALL': Colors.White,
  'MEMBERS': Colors.Yellow,
  'FEATURES': Colors.Cyan,
  'SCREENS': Colors.White,
  'PLATES': Colors.Green,
  'RAILS': Colors.Green,
  'HOLES': Colors.Red,
  'CUT-OUTS': Colors.Magenta,
  'OPENINGS': Colors.Magenta,
  'BORES': Colors.Red,
  'LEVEL-LINE': Colors.Blue,
  'CENTRE-LINES': Colors.Blue,
  'TEXT': Colors.White,
} as const
type Layer = keyof typeof LAYERS

/** Letters are so high, mm of the wall. */
const LETTERS = 25

/** What of a wall's plan is drawn. */
export type DrawnPlan = Pick<WallPlan, 'members' | 'arrays' | 'marking' | 'wiring'>

/**
 * A wall as a DXF drawing in millimetres: x to the right from its left end, y up from the finished floor.
 *
 * @param of what it is of, written below the wall: its revision, or that it is a draft
 */
export function wallAsDxf(wall: Wall, plan: DrawnPlan, of = 'DRAFT'): string {
  const dxf = new DxfWriter()
  dxf.setUnits(Units.Millimeters)
  for (const [name, colour] of Object.entries(LAYERS)) dxf.addLayer(name, colour, 'Continuous')
  const pen = penOn(dxf)
  pen.text(of, 0, -3 * LETTERS)
  drawWall(pen, wall, plan)
  plan.arrays.forEach(array => drawArray(pen, array))
  drawWiring(pen, plan.wiring)
  return dxf.stringify()
}

type Pen = ReturnType<typeof penOn>

/** What is drawn, each on its layer. */
function penOn(dxf: DxfWriter) {
  const on = (layerName: Layer) => ({ layerName })
  const box = (layer: Layer, { x, y, width, height }: Rect) =>
    dxf.addLWPolyline(
      [
        [x, y],
        [x + width, y],
        [x + width, y + height],
        [x, y + height],
      ].map(([px, py]) => ({ point: point2d(px!, py!) })),
      { ...on(layer), flags: LWPolylineFlags.Closed },
    )
  const line = (layer: Layer, x1: number, y1: number, x2: number, y2: number) =>
    dxf.addLine(point3d(x1, y1), point3d(x2, y2), on(layer))
  const circle = (layer: Layer, x: number, y: number, diameter: number) =>
    dxf.addCircle(point3d(x, y), diameter / 2, on(layer))
  const text = (words: string, x: number, y: number) => dxf.addText(point3d(x, y), LETTERS, words, on('TEXT'))

  return { box, line, circle, text }
}

function drawWall({ box, line }: Pen, wall: Wall, { members, marking: { levelLine } }: DrawnPlan): void {
  box('WALL', { x: 0, y: 0, width: wall.width, height: wall.height })
  for (const { centre, width } of members) box('MEMBERS', { x: centre - width / 2, y: 0, width, height: wall.height })
  for (const feature of wall.features ?? []) box('FEATURES', feature)
  if (levelLine) line('LEVEL-LINE', 0, levelAt(levelLine, 0), wall.width, levelAt(levelLine, wall.width))
}

function drawArray(pen: Pen, { outline, positions, strips }: DrawnPlan['arrays'][number]): void {
  const { box, line, circle, text } = pen
  const { x, y } = centreOf(outline)
  line('CENTRE-LINES', x, outline.y, x, outline.y + outline.height)
  line('CENTRE-LINES', outline.x, y, outline.x + outline.width, y)
  for (const { rect } of strips) box('RAILS', rect)
  for (const { row, column, outer, plate, holes = [], bolts = [] } of positions) {
    box('SCREENS', outer)
    text(screenLabel({ row, column }), outer.x + LETTERS, outer.y + LETTERS)
    if (plate) box('PLATES', plate.rect)
    // A hole whose bit is not known is drawn as a point would be: a circle of 1 mm.
    for (const { x: holeX, y: holeY, bit = 1 } of [...holes, ...bolts]) circle('HOLES', holeX, holeY, bit)
  }
}

function drawWiring({ box, circle }: Pen, wiring: DrawnPlan['wiring']): void {
  for (const { cutout } of wiring.boxes.filter(({ held, kind }) => held && kind !== 'floor')) box('CUT-OUTS', cutout)
  for (const { rect } of wiring.works.openings) box('OPENINGS', rect)
  for (const { x, y, diameter } of wiring.works.bores) if (Number.isFinite(diameter)) circle('BORES', x, y, diameter)
}
