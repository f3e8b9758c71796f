import type { Rules, Wall } from '../job'
import { buildUpFindings, carryingWall } from '../survey'
import { words, type Text } from '../units'

/** What the build-up of what is drilled asks of the drill, each in a sentence or two. */
export const drillingCautions = (wall: Wall, rules: Rules): Text[] =>
  buildUpFindings(carryingWall(wall, rules))
    .filter(({ atTheDrill }) => atTheDrill)
    .map(({ message, remedy }) => words`${message} ${remedy ?? words``}`)
