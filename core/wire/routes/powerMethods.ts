import type { CableModel, Rules } from '../../job'
import type { RouteMinutes } from '../../rules'
import type { UnitSystem } from '../../units'

/** What a bore lets through: a cable, with the plug that is on it, or a conduit. */
export type Passing = Pick<CableModel, 'diameter' | 'plug'> & { conduit?: number }

/** A way to run fixed power cable in or on a wall. */
export interface PowerMethod {
  title: string
  /** The construction of the cable that it takes, as the catalogue has it. */
  construction: NonNullable<CableModel['construction']>
  perMetre: (minutes: RouteMinutes) => number
  perEnd: (minutes: RouteMinutes) => number
  perBend: (minutes: RouteMinutes) => number
  /** Whether its sheath is kept from the edge of sheet steel by a grommet (NEC 300.4(B)). */
  grommets: boolean
  /** Quarter bends that one pull allows (NEC 348.26, 358.26: 360°). */
  bends?: number
  /** What is bored for it. */
  passing: (cable: Pick<CableModel, 'diameter' | 'plug'>, units: UnitSystem) => Passing
}

/** Flexible conduits by their inside and outside, mm (NEC chapter 9, table 4, FMC; EN 61386-22). */
const CONDUITS: Record<UnitSystem, { inside: number, outside: number }[]> = {
  metric: [{ inside: 14.1, outside: 20 }, { inside: 18.3, outside: 25 }, { inside: 24.3, outside: 32 }],
  imperial: [{ inside: 16.1, outside: 23.4 }, { inside: 20.9, outside: 28.1 }, { inside: 25.9, outside: 35.1 }],
}
/** Three conductors, line, neutral and earth, fill 40 % of a conduit at most (NEC chapter 9, table 1). */
const [CONDUCTORS, FILL] = [3, 0.4]

/**
 * The conduit for the three conductors of a circuit; undefined where none is large enough.
 *
 * @param diameter of one conductor with its insulation, mm
 * @example
 * // three of 4.2: √(3 × 4.2² ÷ 0.4) = 11.5, so 14.1 inside, 20 outside
 */
export const conduitFor = (diameter: number, units: UnitSystem = 'metric') =>
  CONDUITS[units].find(({ inside }) => inside >= diameter * Math.sqrt(CONDUCTORS / FILL) - 1e-9)

/** Every way to run fixed power cable, by the house rule. */
export const POWER_METHODS: Record<NonNullable<Rules['powerWiring']>, PowerMethod> = {
  'sheathed': {
    title: 'sheathed cable',
    construction: 'sheathed',
    perMetre: () => 0,
    perEnd: () => 0,
    perBend: () => 0,
    grommets: true,
    passing: cable => cable,
  },
  'metal-clad': {
    title: 'metal-clad cable',
    construction: 'metal-clad',
    perMetre: ({ minutesMetalClad }) => minutesMetalClad,
    perEnd: ({ minutesMetalCladEnd }) => minutesMetalCladEnd,
    perBend: () => 0,
    grommets: false,
    passing: cable => cable,
  },
  'conduit': {
    title: 'conduit',
    construction: 'conductors',
    perMetre: ({ minutesConduit }) => minutesConduit,
    perEnd: ({ minutesConduitEnd }) => minutesConduitEnd,
    perBend: ({ minutesConduitBend }) => minutesConduitBend,
    grommets: false,
    bends: 4,
    passing: ({ diameter }, units) => ({ diameter, conduit: conduitFor(diameter, units)?.outside ?? Number.NaN }),
  },
}

/** How power runs by the house rule, and signal always: in its own sheath. */
export const methodOf = (kind: 'power' | 'signal', { powerWiring = 'sheathed' }: Rules): PowerMethod =>
  POWER_METHODS[kind === 'power' ? powerWiring : 'sheathed']
