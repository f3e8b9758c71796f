import type { Finding } from '../finding'
import {
  backDepth, faceDepth, type Behind, type Carrier, type Display, type Mount, type ScreenArray, type Wall,
} from '../job'
import { takeUp, type Relief } from '../survey'
import { figure, words, type Figure } from '../units'
import { passes, type TightLift } from './tightLifts'
import { recessFindings } from './findings/recess'
import type { MountedCell } from './position'
import { mountKindOf } from './kinds'

/** A cable's bend in its own diameters: one that moves with a pull-out, and one that stays. */
export const BEND = { moving: 4, still: 2.5 }
/** Air beside a player behind the display, and least room to plug manually, mm. */
const AIR = 10
const HAND_ROOM = 200

/** How a display stands before the wall: stowed and pulled out, and what must go behind it; mm. */
export interface Depths {
  /** From the wall's face to the display's back and to its own face. */
  stowed: number
  service: number
  face: Figure
  faceOut: Figure
  /** Room behind it, and what plug, cable and player need of it; absent where nothing is said of them. */
  room: Figure
  need?: Figure
}

const standOff = (carrier: Carrier | undefined) => carrier?.thickness ?? 0

function needOf({ plug, cable, player }: Behind, mount: Mount): Figure | undefined {
  const bend = mount.depth.service > mount.depth.stowed ? BEND.moving : BEND.still
  const plugged = plug === undefined || cable === undefined ? undefined : plug + bend * cable
  const played = player === undefined ? undefined : player + AIR
  if (plugged === undefined && played === undefined) return undefined
  return figure([
    ...(plugged === undefined
      ? []
      : [
          {
            label: 'Plug and cable',
            expression: words`plug ${plug!} + bend ${String(bend)} × ${cable!}`,
            value: plugged,
            unit: 'mm',
          },
        ]),
    ...(played === undefined
      ? []
      : [{ label: 'Player', expression: words`player ${player!} + air ${AIR}`, value: played, unit: 'mm' }]),
    {
      label: 'Required behind the display',
      expression: words`the greatest of these`,
      value: Math.max(plugged ?? 0, played ?? 0),
      unit: 'mm',
      source: 'cable maker’s minimum bend radius, otherwise 4 diameters moving and 2.5 fixed',
    },
  ])
}

/** How a display on its mount stands before the wall, with the workings. */
export function depthsOf(
  { carrier, behind = {} }: Pick<ScreenArray, 'carrier' | 'behind'>,
  mount: Mount,
  display: Display,
): Depths {
  const off = standOff(carrier)
  const [stowed, service] = [backDepth({ carrier }, mount), backDepth({ carrier }, mount, 'service')]
  const on = off === 0 ? [] : words` + ${carrier!.kind} ${off}`
  const need = needOf(behind, mount)
  return {
    stowed,
    service,
    face: figure([
      {
        label: 'Screen face from wall',
        expression: words`mount ${mount.depth.stowed}${on} + display ${display.depth}`,
        value: faceDepth({ carrier }, mount, display),
        unit: 'mm',
        source: 'makers’ data sheets',
      },
    ]),
    faceOut: figure([
      {
        label: 'Screen face from wall, pulled out',
        expression: words`mount ${mount.depth.service}${on} + display ${display.depth}`,
        value: faceDepth({ carrier }, mount, display, 'service'),
        unit: 'mm',
        source: 'makers’ data sheets',
      },
    ]),
    room: figure([
      {
        label: 'Space behind the display',
        expression: words`mount ${mount.depth.stowed}${on}`,
        value: stowed,
        unit: 'mm',
        source: 'mount maker’s data sheet',
      },
    ]),
    ...(need && { need }),
  }
}

type Context = {
  array: ScreenArray
  cells: MountedCell[]
  mountOf: (cell: MountedCell) => Mount
  displayOf: (cell: MountedCell) => Display | undefined
  wall: Wall
}

/** Room to lift each screen on to its hooks: above it, or in front of the row above. */
function liftFindings({ array }: Context, lifts: TightLift[]): Finding[] {
  const about = { stage: 'mount', subject: { kind: 'array', id: array.id } } as const
  const found = lifts
    .filter(lift => !lift.upper || !passes(lift))
    .map(({ cell, lift, free, upper, out, needed }): Finding =>
      upper
        ? {
            ...about,
            severity: 'caution',
            code: 'hang-before-upper' as const,
            message: words`Row ${String(cell.row)} must be lifted ${lift} to hook on under row ${String(upper.row)},
              with ${free} free above it; its mount pulls out ${out}, but ${needed} is required to clear the faces
              there.`,
            remedy: words`Hang the lower row first, or use a mount that pulls out farther.`,
          }
        : {
            ...about,
            severity: 'stop',
            code: 'no-room-to-lift' as const,
            message: words`R${String(cell.row)} C${String(cell.column)} has ${Math.max(free, 0)} free above it, but
              must be lifted ${lift} to hook on.`,
            remedy: words`Hang it lower by ${lift - free}.`,
          },
    )
  return [...new Map(found.map(finding => [JSON.stringify([finding.code, finding.message]), finding])).values()]
}

/** What is wrong, doubtful or not known in depth: plugs, reach, lifting, recess, and a face that is not flat. */
export function depthFindings(context: Context, lifts: TightLift[], relief: Relief | undefined): Finding[] {
  const { array, cells, mountOf, displayOf } = context
  const about = { stage: 'mount', subject: { kind: 'array', id: array.id } } as const
  const pairs = [...new Map(cells.map(cell => [`${cell.model} ${mountOf(cell).id}`, cell])).values()]
  const each = pairs.flatMap((cell): Finding[] => {
    const [mount, display] = [mountOf(cell), displayOf(cell)]
    if (!display) return []
    const { stowed, service, need } = depthsOf(array, mount, display)
    return [
      ...(need && need.value > stowed + 1e-9
        ? [
            {
              ...about,
              severity: 'stop' as const,
              code: 'plug-does-not-fit' as const,
              message: words`The space behind ${display.name} is ${stowed}, but plug, cable or player require
                ${need.value}: ${need.value - stowed} too little.`,
              remedy: words`Use an angled plug, a thinner cable, a slimmer player, or a deeper mount.`,
            },
          ]
        : []),
      ...(mountKindOf(mount).pullsOut && service < HAND_ROOM
        ? [
            {
              ...about,
              severity: 'caution' as const,
              code: 'reach-too-small' as const,
              message: words`${mount.name} pulls out ${service}; plugging in by hand requires ${HAND_ROOM}.`,
              remedy: words`Plug in before hanging, or use a mount that pulls out farther.`,
            },
          ]
        : []),
    ]
  })
  const travels = pairs.map(cell => mountOf(cell).adjust?.depth)
  const travel = Math.min(...travels.map(depth => depth ?? 0))
  const uneven = relief ? takeUp(relief, cells.map(({ plate }) => plate.centre)) : 0
  const flat: Finding[]
    = uneven <= travel
      ? []
      : [
          uneven > 2 * travel
            ? {
                ...about,
                severity: 'stop',
                code: 'wall-not-flat' as const,
                message: words`The wall is ${uneven} out of flat across the plates; their depth adjusters take up
                  only ${2 * travel}.`,
                remedy: words`Pack out the deepest plates, or use mounts with more depth adjustment.`,
              }
            : {
                ...about,
                severity: 'caution',
                code: 'flatness-eats-travel' as const,
                message: words`The wall is ${uneven} out of flat across the plates: of ${2 * travel} depth
                  adjustment, ${2 * travel - uneven} remains.`,
              },
        ]
  return [...each, ...flat, ...liftFindings(context, lifts), ...recessFindings(context)]
}
