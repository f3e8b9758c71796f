import type { Site } from '../../job'

/** By which electrical rules a site is wired; undefined where nobody has said. */
export type ElectricalRules = Site['electricalRules']

/** The least conductor behind a breaker: up to so many ampere so many mm². */
interface Row { amps: number, area: number }

/** Copper behind breakers (NEC 240.4(D); 40 A and above: table 310.16 at 60 °C), AWG 14 to 4 in mm². */
const NEC: Row[] = [
  { amps: 15, area: 2.08 },
  { amps: 20, area: 3.31 },
  { amps: 30, area: 5.26 },
  { amps: 40, area: 8.37 },
  { amps: 55, area: 13.3 },
  { amps: 70, area: 21.2 },
]
/** Copper of two loaded conductors in an insulated wall (IEC 60364-5-52, table B.52.2, method A2, 30 °C). */
const IEC: Row[] = [
  { amps: 14, area: 1.5 },
  { amps: 18.5, area: 2.5 },
  { amps: 25, area: 4 },
  { amps: 32, area: 6 },
  { amps: 43, area: 10 },
  { amps: 57, area: 16 },
]
const SOURCES = { nec: 'NEC 240.4(D)', iec: 'IEC 60364-5-52, table B.52.2, method A2' }

const fromTable = (table: Row[], amps: number) => table.find(row => amps <= row.amps)?.area ?? Infinity

/**
 * The least cross-section of a copper conductor behind a breaker, mm², and the rule that says so; where it is not known
 * which rules hold, the stricter of both.
 *
 * @param amps rating of the breaker
 * @example
 * leastArea(20, 'nec').area // 3.31: AWG 12
 * leastArea(16, 'iec').area // 2.5
 */
export function leastArea(amps: number, rules: ElectricalRules): { area: number, source: string } {
  const [nec, iec] = [fromTable(NEC, amps), fromTable(IEC, amps)]
  const by = rules ?? (nec >= iec ? 'nec' : 'iec')
  return { area: by === 'nec' ? nec : iec, source: SOURCES[by] }
}
