import type { EntryOf } from '../log'
import { words, type Text } from '../units'
import { ADJUSTER_NAMES, type TrueScreen } from './screen'

const capital = (text: string) => text.replace(/^./, letter => letter.toUpperCase())

/** What is entered in eighths may differ from travel in mm by this, mm. */
const SAME = 1e-6

/**
 * Why something cannot have been turned so: there is no such adjuster, or it has not so much travel left.
 *
 * @param screens with the travel that each adjuster had left before
 */
export function turnFaults(screens: TrueScreen[], moves: EntryOf<'turned'>['moves']): Text[] {
  return moves.flatMap(({ screen, adjuster, turns, mm }): Text[] => {
    const travel = screens.find(({ name }) => name === screen)?.travels.find(each => each.adjuster === adjuster)
    const of = `${ADJUSTER_NAMES[adjuster]} of ${screen.toUpperCase().replace('C', ' C')}`
    if (!travel) return [words`This adjuster does not exist: ${of}.`]
    const by = mm ?? (turns ?? 0) * (travel.perTurn ?? 0)
    if (by > travel.most + SAME)
      return [
        words`${capital(of)}: ${by} is more than the ${Math.max(0, travel.most)} of travel left in that direction.`,
      ]
    if (by < travel.least - SAME)
      return [
        words`${capital(of)}: ${Math.abs(by)} is more than the ${Math.max(0, -travel.least)} of travel left in that
          direction.`,
      ]
    return []
  })
}
