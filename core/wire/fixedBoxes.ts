import type { BoxPlan } from './boxes/boxes'
import type { Wiring } from './wiring'

/** The boxes of fixed wiring that a circuit feeds: what is tested before anything is hung before it. */
export const fixedBoxes = ({ boxes }: Pick<Wiring, 'boxes'>, circuit: { screens: string[] }): BoxPlan[] =>
  boxes.filter(({ held, kind, for: served }) =>
    held && kind === 'power' && served.some(screen => circuit.screens.includes(screen)))
