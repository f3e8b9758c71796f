import type { Finding } from '../../finding'
import type { Wall } from '../../job'
import { quantity, words } from '../../units'
import { CONTINUOUS } from '../circuits/draw'
import { isFeed, nameOfSource } from '../sources'
import type { Wiring } from '../wiring'
import { about, labels } from './about'

/** What is wrong, doubtful or not known of circuits. */
export function circuitFindings(wall: Wall, { circuits, loads, left }: Wiring): Finding[] {
  const sources = (wall.sources ?? []).filter(isFeed)
  const unknown = loads.filter(({ power }) => !power)
  const over = circuits.filter(({ share }) => share.value > 100 * CONTINUOUS + 1e-9)
  return [
    ...sources
      .filter(({ amps, volts }) => amps === undefined || volts === undefined)
      .map((source): Finding => ({
        ...about(wall),
        severity: 'stop',
        code: 'circuit-not-known' as const,
        message: words`The ${source.amps === undefined ? 'breaker rating' : 'voltage'} of ${nameOfSource(source)} is
          not known: no screen can be put on it.`,
        remedy: words`Read it at the panel and enter it.`,
      })),
    ...(unknown.length > 0 && sources.length > 0
      ? [
          {
            ...about(wall),
            severity: 'stop' as const,
            code: 'power-not-known' as const,
            facts: [unknown.length],
            message: words`The power that ${labels(unknown)} ${unknown.length === 1 ? 'draws' : 'draw'} is not known:
              no circuit can be chosen for ${unknown.length === 1 ? 'it' : 'them'}.`,
            remedy: words`Enter typical power and max power in the catalogue, from the display’s data sheet.`,
          },
        ]
      : []),
    ...(left.length > 0
      ? [
          {
            ...about(wall),
            severity: 'stop' as const,
            code: 'circuit-full' as const,
            message: words`No circuit has capacity left for ${labels(left)}: max power
              ${quantity(Math.round(left.reduce((sum, { power }) => sum + power!.max, 0)), 'W')}.`,
            remedy: words`Have another circuit installed, or take load off an existing one.`,
          },
        ]
      : []),
    ...over.map((circuit): Finding => ({
      ...about(wall),
      severity: 'stop',
      code: 'circuit-overloaded' as const,
      message: words`The load on ${circuit.name} is over 80 % of its breaker.`,
      remedy: words`Take load off it, and add nothing more.`,
    })),
  ]
}
