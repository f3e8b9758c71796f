import type { InferType } from 'yup'
import { LIMITS } from './limits'
import { amount, count, extent, flag, group, length, list, maybe, must, name, notLess, oneOf, size, text } from './fields'
import { modelNotes } from './display'

export const BOX_KINDS = ['power', 'kit-upper', 'kit-lower', 'pass-through', 'floor'] as const
/** What a box is for: fixed wiring, the upper or the lower end of a listed kit, a way through the covering, or an outlet in the floor. */
export type BoxKind = typeof BOX_KINDS[number]

const [CASE, WALL] = ['Box', 'In the wall']

/** A box or a plate that is let into a wall, as its maker gives it. */
export const boxModelSchema = group({
  id: name(), name: text('Name', CASE), kind: oneOf(BOX_KINDS, 'Kind', CASE),
  cutout: group({ width: must(size('Cut-out, wide', WALL)), height: must(size('Cut-out, high', WALL)) }),
  depth: must(size('Depth behind the face', WALL)), proud: extent('Stands out in front of the face', WALL),
  clamps: maybe({ min: must(extent('Clamps covering from', WALL)), max: must(size('Clamps covering to', WALL)) }),
  gang: count(8, 'Gangs', CASE), outlets: count(12, 'Outlets', CASE), surface: flag('On the face of the wall, not let in', CASE), cover: flag('Covers what is plugged in, for outside', CASE), pack: count(10_000, 'In the maker’s pack', CASE), ...modelNotes,
})
export type BoxModel = InferType<typeof boxModelSchema>

const CABLE = 'Cable'
/** A cable as its maker gives it. */
export const cableModelSchema = group({
  id: name(), name: text('Name', CABLE), kind: name('Carries', CABLE),
  diameter: must(size('Diameter', CABLE)), plug: maybe({ width: must(size('Plug, wide', 'Plug')), height: must(size('Plug, high', 'Plug')) }),
  lengths: must(list(must(size()), 60, 'Stocked lengths', CABLE, 'lengths')), farthest: size('Carries as far as', CABLE),
  amps: amount('A', 400, 'Suits a breaker up to', CABLE), inWall: flag('Rated to run inside a wall', CABLE), plenum: flag('Rated for a void that carries air', CABLE), pack: count(10_000, 'In the maker’s pack', CABLE), ...modelNotes,
})
export type CableModel = InferType<typeof cableModelSchema>

/** Where power or a signal comes from: a circuit of the panel, an outlet that is there, a player or rack, a data plate. */
const sourceSchema = group({
  id: name(), kind: must(oneOf(['circuit', 'outlet', 'player', 'network'])), name: text('What it is called'), feature: text('The feature that it is on the wall'),
  x: length('Where it is, if it is no feature'), y: length('Its height'), behind: flag('Whether it is on the other face of the wall'),
  away: extent('Where it is not on the wall: of cable from it to where that comes in'),
  amps: amount('A', 400, 'Of its breaker'), volts: amount('V', 500), loaded: notLess('A', 'What is on it already'), protected: flag('Whether a device of 30 mA, or as the local rule has it, protects it'),
  carries: text('Kind of cable by which it feeds screens: picture, data, …'), by: oneOf(['each', 'chain'], 'A cable to each screen, or from screen to screen'),
  ports: count(512, 'How many it has'), for: list(name(), LIMITS.screens, 'Ids of the screens that it feeds; absent for all of the wall'),
})
export type Source = InferType<typeof sourceSchema>

/** A box that the wall is to have. */
const wallBoxSchema = group({
  id: name(), kind: must(oneOf(BOX_KINDS)), model: name('Model of box'), x: length('Its middle, where a person put it'), y: length('Its middle, where a person put it'),
  for: must(list(name(), 100, 'Ids of the screens that it serves')), cable: text('Model of cable to it, where a person chose one'),
})
export type WallBox = InferType<typeof wallBoxSchema>

/** A stretch of a bay through which a line went. */
const passedSchema = group({ x1: must(length('From, along')), x2: must(length('To')), y1: must(length('From, up')), y2: must(length('To')) })
export type Passed = InferType<typeof passedSchema>

/** What of a wall is wired: how it is open above and below, where power and signal come from, and the boxes in it. */
export const wiring = () => ({
  bearing: flag('Whether its members bear'),
  void: maybe({ above: oneOf(['open', 'plenum', 'none'], 'Above it'), below: oneOf(['open', 'plenum', 'none'], 'Below it') }, 'Whether cables can come in from above or below; a plenum carries air'),
  sources: list(sourceSchema, 200, 'Where power and signal come from'),
  boxes: list(wallBoxSchema, 1_000, 'Boxes that it is to have'),
  passed: list(passedSchema, 500, 'Where a line went through, so that no blocking is there'),
})
