import type { Rules } from '../job'

/** What a part of a cable route takes until a firm has its own figure: a number of minutes, or minutes a metre. */
interface RouteMinute { title: string, why: string, unit: 'min' | 'min/m', otherwise: number }

/** Every part of a cable route whose time is counted. */
export const ROUTE_MINUTES = {
  minutesEnter: { title: 'Set-up of a route', why: 'Tools, light, a look into the bay.', unit: 'min', otherwise: 10 },
  minutesDrop: { title: 'Drop in an empty stud bay', why: 'It falls by itself.', unit: 'min/m', otherwise: 1 },
  minutesLine: { title: 'Weighted line past insulation', why: 'Downwards.', unit: 'min/m', otherwise: 4 },
  minutesRod: { title: 'Fish rod up an empty stud bay', why: 'Upwards.', unit: 'min/m', otherwise: 3 },
  minutesRodInsulated: { title: 'Fish rod up past insulation', why: 'Upwards.', unit: 'min/m', otherwise: 6 },
  minutesOpening: {
    title: 'Opening at blocking', why: 'Cut, bored, sealed, closed and filled.', unit: 'min', otherwise: 42,
  },
  minutesRecover: { title: 'Recovery of a lost weight or rod', why: 'A second hole, magnet and line.', unit: 'min',
    otherwise: 15 },
  minutesPlate: { title: 'Bore through a top or bottom plate', why: 'With its seal.', unit: 'min', otherwise: 12 },
  minutesStud: { title: 'Crossing of a stud', why: 'Opened, bored, guarded and closed.', unit: 'min', otherwise: 40 },
  minutesVoid: { title: 'Run along a void', why: 'On its own supports.', unit: 'min/m', otherwise: 1 },
  minutesPipe: { title: 'Past a pipe with room beside it', why: 'By feel, without drilling.', unit: 'min',
    otherwise: 8 },
  minutesPipeAcross: { title: 'Past a pipe without room beside it', why: 'By feel.', unit: 'min', otherwise: 20 },
  minutesRaceway: { title: 'Raceway on the wall face', why: 'Cut, fixed and closed.', unit: 'min/m', otherwise: 6 },
  minutesRacewayEnd: { title: 'End of a raceway', why: 'End cap or entry to a box.', unit: 'min', otherwise: 8 },
  minutesRacewayCorner: { title: 'Corner of a raceway', why: 'Corner piece, both cuts.', unit: 'min', otherwise: 4 },
  minutesThroughWall: { title: 'Bore through the wall', why: 'To its other face, sealed.', unit: 'min',
    otherwise: 35 },
  minutesMetalClad: { title: 'Metal-clad cable, extra', why: 'It is stiff, and is strapped.', unit: 'min/m',
    otherwise: 2 },
  minutesMetalCladEnd: { title: 'Metal-clad cable, each end', why: 'Armour cut, bushing and connector.', unit: 'min',
    otherwise: 6 },
  minutesConduit: { title: 'Conduit, extra', why: 'Pulled or fixed, then its conductors.', unit: 'min/m',
    otherwise: 5 },
  minutesConduitEnd: { title: 'Conduit, each end', why: 'Cut, deburred and connected.', unit: 'min', otherwise: 8 },
  minutesConduitBend: { title: 'Conduit, each quarter bend', why: 'Bent, or a fitting.', unit: 'min', otherwise: 3 },
  minutesPullBox: { title: 'Pull box', why: 'Where a conduit has more bends than one pull allows.', unit: 'min',
    otherwise: 30 },
} as const satisfies Record<string, RouteMinute>

export type RouteMinuteKey = keyof typeof ROUTE_MINUTES
/** What each part of a route takes, min or min/m. */
export type RouteMinutes = Record<RouteMinuteKey, number>
export const ROUTE_MINUTE_KEYS = Object.keys(ROUTE_MINUTES) as RouteMinuteKey[]

/** What the parts of a route take by the firm's own figures, else by default. */
export const routeMinutes = (rules: Rules): RouteMinutes =>
  Object.fromEntries(ROUTE_MINUTE_KEYS.map(key => [key, rules[key] ?? ROUTE_MINUTES[key].otherwise])) as RouteMinutes
