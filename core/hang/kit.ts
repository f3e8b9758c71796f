import { chooseScrew } from '../fix'
import { coveringOf, type Catalogue, type Wall } from '../job'
import { stepName } from '../log'
import { mountModels, type ArrayPlan, type Position } from '../mount'
import { bitName, quantity, words, type Text, type UnitSystem } from '../units'
import type { Wiring } from '../wire'
import type { HangingOrder } from './order'

/** A part or a tool that the work needs: how many, how many more to have with one, and what it is for. */
export interface KitItem {
  id: string
  group: KitGroup
  name: Text
  count: number
  spare: number
  why: Text
  /** Whether it is a model of the catalogue, of which stock is kept. */
  isModel?: true
}

export const KIT_GROUPS = ['tools', 'bits', 'fasteners', 'mounts', 'displays', 'cables', 'access'] as const
export type KitGroup = typeof KIT_GROUPS[number]

/** One in ten is lost, bent or stripped: so many more to have with one. */
const spareOf = (count: number) => Math.ceil(count / 10)
const SCREWS_EACH = 4

/** What a kit is calculated of. */
export interface KitOf {
  wall: Wall
  arrays: ArrayPlan[]
  wiring: Wiring
  hanging: HangingOrder[]
  catalogue: Catalogue
  units: UnitSystem
}

/** Counts things by what tells them apart. */
function counted<Item>(items: Item[], keyOf: (item: Item) => string): { item: Item, key: string, count: number }[] {
  const found = new Map<string, { item: Item, key: string, count: number }>()
  for (const item of items) {
    const key = keyOf(item)
    const known = found.get(key)
    if (known) known.count++
    else found.set(key, { item, key, count: 1 })
  }
  return [...found.values()]
}

type Placed = { position: Position, array: Wall['arrays'][number] }
const placedIn = ({ wall, arrays }: KitOf): Placed[] => arrays.flatMap(({ id, positions }) => {
  const array = wall.arrays.find(each => each.id === id)
  return array ? positions.map(position => ({ position, array })) : []
})

function bits({ arrays, wiring, units }: KitOf): KitItem[] {
  const holes = arrays
    .flatMap(({ positions }) => positions.flatMap(({ holes = [], bolts = [] }) => [...holes, ...bolts]))
    .filter(({ bit }) => bit !== undefined)
  const bored = wiring.works.bores.filter(({ diameter }) => Number.isFinite(diameter))
  return [
    ...counted(holes, ({ bit }) => String(bit)).map(({ item, count }): KitItem => {
      const deep = Math.max(...holes.filter(({ bit }) => bit === item.bit).map(({ depth = 0 }) => depth))
      return {
        id: `bit-${item.bit}`,
        group: 'bits',
        name: words`Drill bit ${bitName(item.bit!, units)}`,
        count: 1,
        spare: 1,
        why: words`${String(count)} holes; deepest ${deep}: mark this depth on the bit.`,
      }
    }),
    ...counted(bored, ({ diameter }) => String(diameter)).map(({ item, count }): KitItem => ({
      id: `bore-${item.diameter}`,
      group: 'bits',
      name: words`Auger or hole saw ${bitName(item.diameter, units)}`,
      count: 1,
      spare: 0,
      why: words`${String(count)} cable holes.`,
    })),
  ]
}

function fasteners(of: KitOf): KitItem[] {
  const placed = placedIn(of)
  const holes = placed.flatMap(({ position }) => (position.holes ?? []).filter(({ made }) => made !== 'hit'))
  const bolts = placed.flatMap(({ position }) => position.bolts ?? [])
  const nameOf = (id: string) => of.catalogue.fasteners.find(each => each.id === id)?.name ?? id
  return [
    ...counted(
      holes.filter(({ fastener }) => fastener),
      ({ fastener }) => fastener!,
    ).map(({ key, count }): KitItem => ({
      isModel: true,
      id: `fastener-${key}`,
      group: 'fasteners',
      name: words`${nameOf(key)}, each with a washer`,
      count,
      spare: spareOf(count),
      why: words`One for each hole not drilled yet.`,
    })),
    ...counted(
      holes.filter(({ fastener }) => fastener),
      ({ fastener }) => String(of.catalogue.fasteners.find(({ id }) => id === fastener)?.diameter),
    ).map(({ item, key }): KitItem => {
      const torque = of.catalogue.fasteners.find(({ id }) => id === item.fastener)?.torque
      return {
        id: `socket-${key}`,
        group: 'tools',
        name:
          torque === undefined
            ? words`Socket for ${nameOf(item.fastener!)}, and a ratchet`
            : words`Socket for ${nameOf(item.fastener!)}, and a torque driver up to ${quantity(torque, 'N·m')}`,
        count: 1,
        spare: 0,
        why: words`To tighten the plates.`,
      }
    }),
    ...(bolts.length > 0
      ? [{
          id: 'bolts',
          group: 'fasteners' as const,
          name: words`Bolts from the rail or board maker, with washers and nuts`,
          count: bolts.length,
          spare: spareOf(bolts.length),
          why: words`Plates to rails or board.`,
        }]
      : []),
    ...packers(of, placed),
    ...screws(of, placed),
  ]
}

/** Packers or spacer sleeves under each fastener, as thick as what lies before the base. */
function packers({ wall }: KitOf, placed: Placed[]): KitItem[] {
  const packed = placed.filter(({ array }) => array.packers)
  const count = packed.reduce((sum, { position: { holes = [] } }) => sum + holes.length, 0)
  if (count === 0) return []
  const name = words`Packers or spacer sleeves, ${coveringOf(wall)} long`
  const why = words`One around each fastener, so that the plate bears on the base.`
  return [{ id: 'packers', group: 'fasteners', name, count, spare: spareOf(count), why }]
}

/** Screws into the displays, with what goes under them. */
function screws({ catalogue }: KitOf, placed: Placed[]): KitItem[] {
  return counted(
    placed,
    ({ position, array }) =>
      `${position.model} ${mountModels(array, catalogue)(position)?.id} ${array.screw ?? ''} ${array.spacer ?? 0}`,
  ).flatMap(({ item: { position, array }, key, count }): KitItem[] => {
    const display = catalogue.displays.find(({ id }) => id === position.model)
    const mount = mountModels(array, catalogue)(position)
    if (!display || !mount) return []
    const kit = catalogue.screwKits?.find(({ thread }) => thread === display.vesa.thread)
    const choice = chooseScrew(display, mount.bracket, kit, array.spacer)
    const all = count * SCREWS_EACH
    const length = array.screw ?? (choice.fits ? choice.length : undefined)
    const why = choice.fits
      ? words`Four per display, each with ${choice.stack.washers} of washers${choice.stack.spacer > 0
        ? words` and a
        ${choice.stack.spacer} spacer`
        : []}.`
      : words`Four per display; ${choice.why}.`
    return [{
      id: `screws-${key.replaceAll(' ', '-')}`,
      group: 'fasteners',
      name:
        length === undefined
          ? words`Screws for ${display.name}, length not known`
          : words`M${String(display.vesa.thread)} screws, ${length} long, for ${display.name}`,
      count: all,
      spare: spareOf(all),
      why,
    }]
  })
}

function largeParts(of: KitOf): KitItem[] {
  const placed = placedIn(of)
  const strips = of.arrays.flatMap(({ id, strips }) =>
    strips.map(strip => ({ ...strip, thickness: of.wall.arrays.find(array => array.id === id)?.carrier?.thickness })))
  return [
    ...counted(placed, ({ position, array }) => mountModels(array, of.catalogue)(position)?.id ?? '')
      .filter(({ key }) => key !== '')
      .map(({ key, count }): KitItem => ({
        isModel: true,
        id: `mount-${key}`,
        group: 'mounts',
        name: words`${of.catalogue.mounts.find(({ id }) => id === key)?.name ?? key}`,
        count,
        spare: 0,
        why: words`One per display.`,
      })),
    ...counted(strips, ({ of: kind, rect, thickness }) => {
      const size = `${Math.round(rect.width)} ${Math.round(rect.height)} ${thickness ?? ''}`.trim()
      return `${kind === 'board' ? 'board' : 'rail'} ${size}`
    }).map(({ item, key, count }): KitItem => ({
      id: `strip-${key.replaceAll(' ', '-')}`,
      group: 'mounts',
      name: words`${item.of === 'board' ? 'Board' : 'Rail'} ${item.rect.width} ×
        ${item.rect.height}${item.thickness === undefined ? [] : words`, ${item.thickness} thick`}`,
      count,
      spare: 0,
      why: words`Cut to this length.`,
    })),
    ...counted(placed, ({ position }) => position.model).map(({ key, count }): KitItem => ({
      isModel: true,
      id: `display-${key}`,
      group: 'displays',
      name: words`${of.catalogue.displays.find(({ id }) => id === key)?.name ?? key}`,
      count,
      spare: 0,
      why: words`Unpack, inspect and measure all of them before lifting any.`,
    })),
  ]
}

/** What guards cables, and closes bores and openings. */
function closingParts(
  { seals, guards, patches, grommets, connectors, pullBoxes }: KitOf['wiring']['works'],
): KitItem[] {
  const part = (id: string, name: Text, count: number, spare: number, why: Text): KitItem[] =>
    count > 0 ? [{ id, group: 'cables', name, count, spare, why }] : []
  return [
    ...part('seals', words`Seals for bored holes`, seals, 1, words`In a fire-rated wall, only the approved seal.`),
    ...part('guards', words`Nail plates`, guards, 0, words`Where a cable runs close to the face of a stud.`),
    ...part('grommets', words`Grommets`, grommets, 2, words`Where a cable passes sheet steel.`),
    ...part('connectors', words`Cable or conduit connectors`, connectors, 2, words`At each end of a metal-clad cable
      or conduit.`),
    ...part('pull-boxes', words`Pull boxes with covers`, pullBoxes, 0, words`Where a conduit has more bends than one
      pull allows.`),
    ...part('patches', words`Battens, tape and filler`, patches, 0, words`To close the openings.`),
  ]
}

function cableParts({ wiring: { boxes, cables, works }, catalogue }: KitOf): KitItem[] {
  const taken = cables.filter(({ model, taken }) => model?.plug && taken !== undefined)
  return [
    ...counted(
      boxes.filter(({ held }) => held),
      ({ model }) => model,
    ).map(({ key, count }): KitItem => ({
      isModel: true,
      id: `box-${key}`,
      group: 'cables',
      name: words`${catalogue.boxes?.find(({ id }) => id === key)?.name ?? key}`,
      count,
      spare: 0,
      why: words`Fitted in the cut-outs on the sheet.`,
    })),
    ...counted(taken, ({ model, taken }) => `${model!.id} ${taken}`).map(({ item, key, count }): KitItem => ({
      isModel: true,
      id: `cable-${key.replaceAll(' ', '-')}`,
      group: 'cables',
      name: words`${item.model!.name ?? item.model!.id}, ${item.taken!} long`,
      count,
      spare: 0,
      why: words`See the cable schedule.`,
    })),
    ...works.reels.map(({ model, lengths }): KitItem => ({
      id: `reel-${model.id}`,
      group: 'cables',
      name: words`${model.name ?? model.id}, off the reel`,
      count: lengths.length,
      spare: 0,
      why: words`Reels of ${lengths.flatMap((mm, n) => (n === 0 ? [{ mm }] : [', ', { mm }]))}.`,
    })),
    ...closingParts(works),
  ]
}

const access = (hanging: HangingOrder[]): KitItem[] => {
  const steps = hanging.flatMap(({ steps }) => steps)
  if (steps.length === 0) return []
  const people = Math.max(...steps.map(({ lifting }) => lifting.people))
  const from = steps.some(({ lifting }) => lifting.from === 'tower')
    ? 'tower'
    : steps.some(({ lifting }) => lifting.from === 'platform')
      ? 'platform'
      : 'floor'
  const item = (id: string, name: Text, count: number, why: Text): KitItem => ({
    id,
    group: 'access',
    name,
    count,
    spare: 0,
    why,
  })
  return [
    item(
      'people',
      people === 1 ? words`One person for lifting` : words`${String(people)} people for lifting`,
      people,
      words`From the mass and height of the heaviest lift, or by the house rule.`,
    ),
    ...(from !== 'floor'
      ? [
          item(
            from,
            from === 'tower' ? words`Scaffold tower` : words`Work platform`,
            1,
            from === 'tower' ? words`To reach edges above ${3500}.` : words`To reach edges above ${2000}.`,
          ),
        ]
      : [item('steps', words`Stepladder`, 1, words`To sight along the level line.`)]),
    ...(steps.some(({ lifting }) => lifting.aid)
      ? [item('lift-aid', words`Lifting aid`, 1, words`Too heavy for two people at that height.`)]
      : []),
    ...(steps.some(({ lifting }) => lifting.handling === 'face-down')
      ? [item('bench', words`Padded bench`, 1, words`To fit brackets with the display face down, as its maker allows.`)]
      : []),
  ]
}

const standing = (arrays: ArrayPlan[]): KitItem[] => {
  const tool = (id: string, name: Text, why: Text): KitItem => ({ id, group: 'tools', name, count: 1, spare: 0, why })
  return arrays.length === 0
    ? []
    : [
        tool(
          'tape',
          words`Tape measure checked against the survey tape`,
          words`Tapes differ, and all dimensions run from one datum.`,
        ),
        tool('level', words`Laser level or long spirit level`, words`For the level line and for checking the plates.`),
        tool('detector', words`Detector for live cables and pipes`, words`Use before every hole.`),
        tool('protection', words`Eye protection, dust mask, vacuum`, words`For everyone near the drill.`),
      ]
}

/**
 * Everything that the work on a wall needs, calculated of its plan: what is made already asks for no fastener any more.
 */
export function kitOf(of: KitOf): KitItem[] {
  const items = [
    ...standing(of.arrays),
    ...bits(of),
    ...fasteners(of),
    ...largeParts(of),
    ...cableParts(of),
    ...access(of.hanging),
  ]
  return items
    .map(item => ({ ...item, id: stepName({ kind: 'kit', id: item.id }) }))
    .sort((a, b) => KIT_GROUPS.indexOf(a.group) - KIT_GROUPS.indexOf(b.group))
}
