import type { Finding } from '../finding'
import type { Rect } from '../geometry'
import { faceDepth, type Display, type Mount, type ScreenArray } from '../job'
import { figure, words, type Figure, type UnitSystem } from '../units'
import type { Cell } from './cell'
import type { OrientedDisplay } from './orientation'
import { pixelPitch } from './pixels'

/** Heights of a viewer's eye where none is chosen, mm; for both, half way between. */
export const EYE = { standing: 1600, seated: 1200, both: 1400 } as const
/** Smallest element that is read, as a share of the picture's height, where none is chosen. */
export const ELEMENT = 0.03

const READING = 'AVIXA V202.01'
/** Distance at which a length spans one arc minute, in its own lengths. */
const ARC_MINUTE = 3437.75
const TOP_LIMIT = 30
const CENTRE_LIMIT = 15
/** Between these heights a thing on a wall may stand out no more than this into a walkway, mm (ADA 307.2). */
export const WALKWAY: Record<UnitSystem, { from: number, to: number, out: number }> = {
  metric: { from: 685, to: 2030, out: 100 },
  // 27", 80" and 4", as the standard has them in either unit.
  imperial: { from: 685.8, to: 2032, out: 101.6 },
}
/**
 * A viewer of whom nothing is said: how high the eye is, and how far from the wall; round in the wall's own unit, mm.
 */
export const USUAL_VIEWER: Record<UnitSystem, { eye: number, distance: number }> = {
  metric: { eye: 1500, distance: 4000 },
  // 5' and 13'.
  imperial: { eye: 1524, distance: 3962.4 },
}

/** Where the picture of an array is, from the outermost lit edge to the other, mm. */
export interface Picture { left: number, foot: number, height: number, width: number }

export function pictureOf(cells: Pick<Cell, 'picture'>[]): Picture {
  const span = (from: (rect: Rect) => number, size: (rect: Rect) => number) => {
    const start = Math.min(...cells.map(({ picture }) => from(picture)))
    return [start, Math.max(...cells.map(({ picture }) => from(picture) + size(picture))) - start] as const
  }
  const [left, width] = span(({ x }) => x, ({ width }) => width)
  const [foot, height] = span(({ y }) => y, ({ height }) => height)
  return { left, foot, height, width }
}

/** The farthest viewer who can read an element of some share of the picture's height. */
export function farthestViewer(picture: Picture, element = ELEMENT): Figure {
  return figure([
    {
      label: 'Farthest viewing distance',
      expression: words`200 × ${(100 * element).toFixed(1)} % × picture height ${picture.height}`,
      value: 200 * element * picture.height,
      unit: 'mm',
      source: READING,
    },
  ])
}

/** The distance from which single pixels are no longer seen. */
export function pixelsNotVisible(display: OrientedDisplay): Figure {
  const { x, y } = pixelPitch(display)
  const pitch = Math.max(x, y)
  return figure([
    {
      label: 'Pixels not visible beyond',
      expression: words`pixel pitch ${pitch.toFixed(4)} mm × ${String(ARC_MINUTE)}`,
      value: pitch * ARC_MINUTE,
      unit: 'mm',
      source: 'one arc minute, the resolution of the eye',
    },
  ])
}

const degrees = (radians: number) => radians * 180 / Math.PI

/** The angle up from a viewer's eye to a height at a distance. */
export function angleUp(to: number, eye: number, distance: number, label: string): Figure {
  return figure([
    {
      label,
      expression: words`arctan((${to} − eye ${eye}) ÷ ${distance})`,
      value: degrees(Math.atan2(to - eye, distance)),
      unit: '°',
    },
  ])
}

/** The least distance at which the top edge stands within 30° and the centre within 15° of the eye. */
export function nearestViewer(picture: Picture, eye: number): Figure {
  const [top, centre] = [picture.foot + picture.height - eye, picture.foot + picture.height / 2 - eye]
  const needed = Math.max(top / Math.tan(TOP_LIMIT * Math.PI / 180), centre / Math.tan(CENTRE_LIMIT * Math.PI / 180), 0)
  return figure([
    {
      label: 'Nearest viewing distance',
      expression: words`the greater of ${Math.max(top, 0)} ÷ tan 30° to the top edge and ${Math.max(centre, 0)} ÷ tan
        15° to the centre`,
      value: needed,
      unit: 'mm',
      source: 'neck comfort: at most 30° up to the top edge and 15° up to the centre',
    },
  ])
}

/** Farther off its axis than this a picture is seen too foreshortened: at 45° it has 71 % of its width. */
export const OFF_AXIS_LIMIT = 45

/**
 * How far off the axis of a picture a viewer stands who is so far along the wall and so far from it; to the side of its
 * middle.
 */
export function offAxis({ left, width }: Picture, along: number, distance: number): Figure {
  const aside = Math.abs(along - left - width / 2)
  return figure([
    {
      label: 'Off-axis angle',
      expression: words`arctan(${aside} to the side ÷ ${distance})`,
      value: degrees(Math.atan2(aside, distance)),
      unit: '°',
      source: 'foreshortening: cos 45° leaves 71 % of the width',
    },
  ])
}

/** Cautions about viewing: pictures too high for their size, and faces that project into a walkway. */
export function viewingFindings(
  array: ScreenArray,
  { outline, cells, model, mount }: { outline: Rect, cells: Cell[], model: Display, mount: Mount | undefined },
  units: UnitSystem,
  walkway = false,
): Finding[] {
  if (cells.length === 0) return []
  const picture = pictureOf(cells)
  const [nearest, farthest] = [nearestViewer(picture, EYE.standing).value, farthestViewer(picture).value]
  const face = mount ? faceDepth(array, mount, model) : undefined
  const { from, to, out } = WALKWAY[units]
  const inReach = outline.y < to && outline.y > from
  const about = { stage: 'arrange', subject: { kind: 'array', id: array.id } } as const
  return [
    ...(nearest > farthest
      ? [
          {
            ...about,
            severity: 'caution' as const,
            code: 'viewing-too-high' as const,
            message: words`${array.name} is too high for its size: a standing viewer must be ${nearest} away to view
              it in comfort, but can read it from at most ${farthest} away (${READING}; 30° to the top edge, 15° to
              the centre).`,
            remedy: words`Hang it lower, or use larger displays.`,
          },
        ]
      : []),
    ...(walkway && face !== undefined && face > out && inReach
      ? [
          {
            ...about,
            severity: 'caution' as const,
            code: 'stands-into-walkway' as const,
            message: words`The face of ${array.name} projects ${face} from the wall with its bottom edge
              ${outline.y} above the floor; beside a walkway the maximum is ${out} between heights of ${from} and
              ${to} (ADA 307.2).`,
            remedy: words`Check local accessibility rules, then recess the array, fit a guard below it that a cane
              detects, or hang it higher.`,
          },
        ]
      : []),
  ]
}
