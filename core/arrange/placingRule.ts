import type { Feature, Rules, ScreenArray, Wall } from '../job'
import { chosenFigure } from '../rules'
import type { UnitSystem } from '../units'
import { EYE } from './viewing'

type Place = Pick<ScreenArray, 'at' | 'follows'>

const FURNITURE = ['furniture', 'counter']
const topOf = ({ y, height }: Feature) => y + height

/** The features above and below a line up the wall between which there is most room. */
function widestRoom(features: Feature[]): [Feature, Feature] | undefined {
  const upward = [...features].sort((a, b) => a.y - b.y)
  const rooms = upward.flatMap((upper, n): [Feature, Feature][] => {
    const lower = upward
      .slice(0, n)
      .reduce<Feature | undefined>(
        (highest, each) => (highest && topOf(highest) >= topOf(each) ? highest : each),
        undefined,
      )
    return lower && topOf(lower) < upper.y ? [[lower, upper]] : []
  })
  return rooms.reduce<[Feature, Feature] | undefined>(
    (best, room) => (best && best[1].y - topOf(best[0]) >= room[1].y - topOf(room[0]) ? best : room),
    undefined,
  )
}

/**
 * The position of a new array by the house rule for height: centred on the wall horizontally, vertically by the rule.
 *
 * @returns undefined where the wall has no feature that the rule needs
 * @example
 * // a counter 1050 high before the middle of the wall
 * placeByRule(wall, { placingHeight: 'above-furniture', clearAboveFurniture: 100 }).follows.y
 * // { rule: 'above', feature: 'f1', value: 100 }
 */
export function placeByRule(
  { width, height, features = [] }: Wall,
  rules: Rules,
  units: UnitSystem = 'metric',
): Place | undefined {
  const x = width / 2
  const at = (y = height / 2): ScreenArray['at'] => ({
    x: { edge: 'centre', value: x },
    y: { edge: 'centre', value: y },
  })
  const inLine = features.filter(feature => feature.x <= x && feature.x + feature.width >= x)
  switch (rules.placingHeight ?? 'asked') {
    case 'asked':
      return { at: at() }
    case 'seated-eye':
      return { at: at(), follows: { y: { rule: 'eye', value: EYE.seated } } }
    case 'standing-eye':
      return { at: at(), follows: { y: { rule: 'eye', value: EYE.standing } } }
    case 'fixed':
      return { at: at(chosenFigure('fixedHeight', rules, units)) }
    case 'above-furniture': {
      const highest = inLine.filter(({ kind }) => FURNITURE.includes(kind)).sort((a, b) => topOf(b) - topOf(a))[0]
      return (
        highest && {
          at: at(),
          follows: {
            y: { rule: 'above', feature: highest.id, value: chosenFigure('clearAboveFurniture', rules, units) },
          },
        }
      )
    }
    case 'between-features': {
      const room = widestRoom(inLine)
      return room && { at: at(), follows: { y: { rule: 'between', features: room.map(({ id }) => id), value: 0 } } }
    }
  }
}
