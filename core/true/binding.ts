import { words, type Text } from '../units'
import { deviation, type Reading } from './seam'
import { ADJUSTER_NAMES, type Adjuster, type TrueScreen } from './screen'

/** A reading that stays off its target by more than the tolerance, and what would free it. */
export interface Binding { between: string[], end?: string, kind: Reading['kind'], by: number, needs: Text }

const AT_END = 1e-4
const label = (screen: string) => screen.toUpperCase().replace('C', ' C')

/** Adjusters of a reading that stand at an end of their travel where going on would help. */
function spentOn(
  reading: Reading,
  value: number,
  screens: TrueScreen[],
  moved: Map<string, number>,
): { screen: string, adjuster: Adjuster }[] {
  const wanted = -Math.sign(deviation(reading, value))
  return reading.effects.filter(({ screen, adjuster, by }) => {
    const travel = screens.find(({ name }) => name === screen)?.travels.find(each => each.adjuster === adjuster)
    const at = moved.get(`${screen} ${adjuster}`) ?? 0
    return (
      travel !== undefined && (Math.sign(by) * wanted > 0 ? at >= travel.most - AT_END : at <= travel.least + AT_END)
    )
  })
}

/**
 * The readings that cannot be closed, the worst first, each with the adjusters whose travel is used up, and how much
 * more they would need.
 */
export function bindingOf(
  readings: Reading[],
  values: number[],
  screens: TrueScreen[],
  moved: Map<string, number>,
  tolerance: number,
): Binding[] {
  return readings
    .map((reading, n) => ({ reading, value: values[n]!, by: Math.abs(deviation(reading, values[n]!)) - tolerance }))
    .filter(({ by }) => by > 1e-6)
    .sort((a, b) => b.by - a.by)
    .map(({ reading, value, by }): Binding => {
      const spent = spentOn(reading, value, screens, moved)
      const named = [
        ...new Map(
          spent.map(({ screen, adjuster }) => [
            `${screen} ${adjuster}`,
            `${ADJUSTER_NAMES[adjuster]} of ${label(screen)}`,
          ]),
        ).values(),
      ]
      return {
        between: reading.between,
        ...(reading.end && { end: reading.end }),
        kind: reading.kind,
        by,
        needs:
          reading.effects.length === 0
            ? words`No adjuster moves it.`
            : named.length === 0
              ? words`Other seams of the same screens are off the other way: the cases are not square, or not the
                same size.`
              : words`Requires ${by} more travel at ${named.slice(0, 3).join(', or ')}, where the travel is used up.
                Refit the plate, or take up the difference in the gaps beside it.`,
      }
    })
}
