import type { InferType } from 'yup'
import { LIMITS } from './limits'
import {
  amount, count, extent, flag, group, itemNumber, length, list, maybe, must, name, notLess, oneOf, size, text,
} from './fields'
import { modelNotes } from './display'

export const BOX_KINDS = ['power', 'kit-upper', 'kit-lower', 'pass-through', 'floor'] as const
/**
 * What a box is for: fixed wiring, the upper or the lower end of a listed kit, a way through the covering, or an outlet
 * in the floor.
 */
export type BoxKind = typeof BOX_KINDS[number]

const [CASE, WALL] = ['Box', 'In the wall']

/** A box or a plate that is let into a wall, as its maker gives it. */
export const boxModelSchema = group({
  id: name(),
  name: text('Name', CASE),
  kind: oneOf(BOX_KINDS, 'Kind', CASE),
  cutout: group({ width: must(size('Cut-out width', WALL)), height: must(size('Cut-out height', WALL)) }),
  depth: must(size('Depth behind the wall face', WALL)),
  proud: extent('Projection from the wall face', WALL),
  clamps: maybe({
    min: must(extent('Min covering thickness clamped', WALL)),
    max: must(size('Max covering thickness clamped', WALL)),
  }),
  gang: count(8, 'Gangs', CASE),
  outlets: count(12, 'Outlets', CASE),
  volume: amount('cm³', 20_000, 'Inside volume', CASE),
  conductors: count(100, 'Max conductors, by its maker', CASE),
  perTerminal: count(4, 'Conductors allowed per terminal', CASE),
  surface: flag('Surface mounted', CASE),
  cover: flag('In-use cover, for outdoors', CASE),
  pack: count(10_000, 'Pieces per pack', CASE),
  ...modelNotes,
})
export type BoxModel = InferType<typeof boxModelSchema>

const CABLE = 'Cable'
/** A cable as its maker gives it. */
export const cableModelSchema = group({
  id: name(),
  name: text('Name', CABLE),
  kind: name('Cable type', CABLE),
  diameter: must(size('Diameter', CABLE)),
  plug: maybe({ width: must(size('Plug width', 'Plug')), height: must(size('Plug height', 'Plug')) }),
  lengths: must(list(must(size()), 60, 'Stocked lengths', CABLE, 'lengths')),
  farthest: size('Max run', CABLE),
  amps: amount('A', 400, 'Max breaker rating', CABLE),
  area: amount('sq mm', 300, 'Conductor cross-section', CABLE),
  inWall: flag('In-wall rated', CABLE),
  construction: oneOf(['sheathed', 'metal-clad', 'conductors'], 'Construction; conductors: a set of three', CABLE),
  plenum: flag('Plenum rated', CABLE),
  pack: count(10_000, 'Pieces per pack', CABLE),
  ...modelNotes,
})
export type CableModel = InferType<typeof cableModelSchema>

/**
 * Where power or a signal comes from: a circuit of the panel, an outlet that is there, a player or rack, a data plate.
 */
const sourceSchema = group({
  id: name(),
  number: itemNumber(),
  kind: must(oneOf(['circuit', 'outlet', 'player', 'network'])),
  name: text('Name'),
  feature: text('Wall feature at which it is'),
  x: length('Distance along the wall, if it is not at a feature'),
  y: length('Height above floor'),
  behind: flag('Whether it is on the other face of the wall'),
  away: extent('If not on the wall: cable length from it to the point of entry'),
  amps: amount('A', 400, 'Breaker rating'),
  volts: amount('V', 500),
  feederDrop: notLess('%', 'Voltage drop from the service to its board'),
  loaded: notLess('A', 'Other load'),
  protected: flag('Whether a 30 mA RCD, or a GFCI where local code says so, protects it'),
  cable: text('Power cable model to all boxes that it feeds, if chosen manually'),
  cord: text('Cord model to all screens that it feeds, if chosen manually'),
  loop: oneOf(['chain', 'tree'], 'How the boxes on it are looped: from box to box, or branching in a tree'),
  carries: text('Type of cable that feeds the screens: picture, data, …'),
  by: oneOf(['each', 'chain'], 'One cable to each screen, or a daisy chain from screen to screen'),
  ports: count(512, 'Number of ports'),
  poe: notLess('W', 'PoE budget of the switch'),
  poeClass: count(8, 'PoE class of each of its ports, 1 to 8'),
  for: list(name(), LIMITS.screens, 'Ids of the screens it feeds; absent: all screens of the wall'),
})
export type Source = InferType<typeof sourceSchema>

/** A box that the wall is to have. */
const wallBoxSchema = group({
  id: name(),
  number: itemNumber(),
  kind: must(oneOf(BOX_KINDS)),
  model: name('Box model'),
  x: length('Centre, if placed manually'),
  y: length('Centre, if placed manually'),
  for: must(list(name(), 100, 'Ids of the screens it serves')),
  cable: text('Cable model to it, if chosen manually'),
})
export type WallBox = InferType<typeof wallBoxSchema>

/** A stretch of a bay through which a line went. */
const passedSchema = group({
  x1: must(length('Start along the wall')),
  x2: must(length('End along the wall')),
  y1: must(length('Start height')),
  y2: must(length('End height')),
})
export type Passed = InferType<typeof passedSchema>

/** What of a wall is wired: how it is open above and below, where power and signal come from, and the boxes in it. */
export const wiring = () => ({
  bearing: flag('Whether its studs are load-bearing'),
  void: maybe(
    { above: oneOf(['open', 'plenum', 'none'], 'Void above'), below: oneOf(['open', 'plenum', 'none'], 'Void below') },
    'Voids that cables can enter from, above and below; a plenum carries air',
  ),
  sources: list(sourceSchema, 200, 'Power and signal sources'),
  boxes: list(wallBoxSchema, 1_000, 'Planned boxes'),
  passed: list(passedSchema, 500, 'Stretches that a pull line has passed, so there is no blocking'),
})
