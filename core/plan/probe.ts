import type { Catalogue, PlanContext, ScreenArray, Wall } from '../job'
import { mountModels, type ArrayPlan, type Mounting } from '../mount'
import { isFramed, nextProbe, type NextProbe, type Survey, type Unheld } from '../survey'
import { screenLabel } from '../job/screenLabel'

/** An array as far as the next reading asks of it. */
export interface Planned { array: ScreenArray, mounting: Mounting, plan: Pick<ArrayPlan, 'outline'> }

/**
 * The stretch of wall whose members the plates of some arrays may be fixed to, by themselves or by rails: a bay past
 * their outlines.
 */
function besidePlates(arrays: Pick<ArrayPlan, 'outline'>[]): { from: number, to: number } {
  const BAY = 610
  return {
    from: Math.min(...arrays.map(({ outline }) => outline.x)) - BAY,
    to: Math.max(...arrays.map(({ outline }) => outline.x + outline.width)) + BAY,
  }
}

/**
 * The plates of an array that nothing holds, and where along the wall each could reach members, as far as it and the
 * array may be shifted.
 */
function unheldIn({ array, mounting }: Planned, catalogue: Catalogue): Unheld[] {
  const modelOf = mountModels(array, catalogue)
  return mounting.positions.flatMap((position) => {
    const { row, column, plate } = position
    if (!plate || plate.held) return []
    const reach = (array.shiftTolerance?.x ?? 0) + (modelOf(position)?.adjust?.lateral ?? 0)
    return [
      {
        from: plate.rect.x - reach,
        to: plate.rect.x + plate.rect.width + reach,
        y: plate.centre.y,
        of: `${array.name} ${screenLabel({ row, column })}`,
      },
    ]
  })
}

/**
 * Where one more reading of a wall tells most for its arrays; undefined where nothing is left to settle, or there are
 * no members to find.
 */
export function probeFor(
  wall: Wall,
  { members, runs }: Survey,
  mounted: Planned[],
  { catalogue, site }: PlanContext,
): NextProbe | undefined {
  if (!isFramed(wall)) return undefined
  return nextProbe(
    wall,
    members,
    mounted.flatMap(({ mounting }) => mounting.positions.flatMap(({ holes = [] }) => holes)),
    {
      unsurveyed: mounted.flatMap(({ mounting }) => mounting.unsurveyed),
      unheld: mounted.flatMap(each => unheldIn(each, catalogue)),
      runs,
      units: site?.units ?? 'metric',
      ...(mounted.length > 0 && { near: besidePlates(mounted.map(({ plan }) => plan)) }),
    },
  )
}
