import type { Finding } from '../finding'
import type { Carrier, Display, Fastener, Mount, Rules, ScreenArray, Structure, Wall } from '../job'
import type { Position } from '../mount'
import { quantity, words, type Text } from '../units'
import type { BoltLoad } from './stripLoads'
import { caseTitle, handForceOf, isByHand, isOffCentre } from './cases'
import { isSpacerUnknown, screwFault } from './displayScrew'
import type { Unheld } from './group'
import type { Fixing } from './fixing'
import type { LoadedEdge } from './loadedEdge'
import { boltUse } from './rail'
import { screenLabel } from '../job/screenLabel'

/** Over this a fastener is used more than is wise. */
export const MUCH = 0.8

const percent = (share: number) => quantity(Math.round(100 * share), '%')
const about = (array: ScreenArray) => ({ stage: 'fix', subject: { kind: 'array', id: array.id } }) as const

/** A stop for each way in which fasteners cannot hold a plate at all. */
export function unheldFindings(array: ScreenArray, unheld: { position: Position, why: Unheld }[]): Finding[] {
  return unheld.map(({ position: { id, row, column }, why }): Finding =>
    why === 'none-above-foot'
      ? {
          severity: 'stop',
          code: 'no-fastener-above-foot' as const,
          stage: 'fix',
          subject: { kind: 'screen', id },
          message: words`R${String(row)} C${String(column)}: every fastener is at the bottom of the plate, so nothing
            holds the top of the plate to the wall.`,
          remedy: words`Fasten a row above the bottom, or use another mount for ${array.name}.`,
        }
      : {
          severity: 'stop',
          code: 'plate-free-to-turn' as const,
          stage: 'fix',
          subject: { kind: 'screen', id },
          message: words`R${String(row)} C${String(column)}: the plate has one fastener, and loads act beside it:
            nothing stops the plate turning.`,
          remedy: words`Use two or more fasteners.`,
        },
  )
}

/**
 * Where loads across the grain push screws towards an edge that is too near for that: a stop under weight and wind, a
 * caution under a hand.
 */
export function loadedEdgeFindings(
  array: ScreenArray,
  judgements: { position: Position, loadedEdges: LoadedEdge[] }[],
): Finding[] {
  const found = judgements.flatMap(({ position: { row, column }, loadedEdges }) =>
    loadedEdges.map(edge => ({ ...edge, name: `${screenLabel({ row, column })} ${edge.hole.row} ${edge.hole.rank}` })),
  )
  const [byHand, others] = [
    found.filter(({ case: name }) => isByHand(name)),
    found.filter(({ case: name }) => !isByHand(name)),
  ]
  return [
    ...loadedEdgeFinding(array, others, 'stop'),
    ...(others.length > 0 ? [] : loadedEdgeFinding(array, byHand, 'caution')),
  ]
}

function loadedEdgeFinding(
  array: ScreenArray,
  found: (LoadedEdge & { name: string })[],
  severity: 'stop' | 'caution',
): Finding[] {
  if (found.length === 0) return []
  const worst = found.reduce((a, b) => (b.edge < a.edge ? b : a))
  const others = new Set(found.map(({ name }) => name)).size - 1
  return [
    {
      ...about(array),
      severity,
      code: 'loaded-edge-too-near' as const,
      facts: [others],
      message: words`${worst.name}${others > 0 ? ` and ${others} more` : ''}: in the load case
        “${caseTitle(worst.case)}” the load is mainly across the grain, towards an edge ${worst.edge} away. That
        requires four diameters, ${worst.least} (NDS table 12.5.1C).`,
      remedy: words`Fix the plate to two studs, to blocking or to a board, so that the load runs along the grain.`,
    },
  ]
}

/** Findings about unknown masses, and about framing that is not checked here. */
export function loadFindings(array: ScreenArray, mounts: Mount[], kind: Structure['kind']): Finding[] {
  const { player, mass } = array.behind ?? {}
  return [
    ...(player !== undefined && mass === undefined
      ? [
          {
            ...about(array),
            severity: 'stop' as const,
            code: 'player-mass-not-known' as const,
            message: words`The mass of the player behind each display of ${array.name} is not known, so no load is
              known.`,
            remedy: words`Enter it in Mount, under Depth.`,
          },
        ]
      : []),
    ...(kind === 'steel-stud' && mounts.some(({ depth }) => depth.service > depth.stowed)
      ? [
          {
            ...about(array),
            severity: 'caution' as const,
            code: 'steel-framing-unchecked' as const,
            message: words`The screens pull out from light steel studs, and the studs themselves are not checked.`,
            remedy: words`Have an engineer check the studs, or fit blocking in the stud bays.`,
          },
        ]
      : []),
  ]
}

/** So high no hand reaches the lower edge of a screen, mm. */
const OUT_OF_REACH = 2_300

/** What is said where a wall has a hand load of its own, or none at all. */
export function handFindings(array: ScreenArray, positions: Position[], wall: Wall, rules: Rules): Finding[] {
  const [force, firms] = [handForceOf(wall, rules), handForceOf({}, rules)]
  const [own, usual] = [quantity(Math.round(force), 'N'), quantity(Math.round(firms), 'N')]
  const lowest = Math.min(...positions.map(({ outer }) => outer.y))
  const edge = words`the lower edge of ${array.name} is ${lowest} above floor`
  const stop = { ...about(array), severity: 'stop' as const }
  const within: Finding[] = force === 0 && lowest < OUT_OF_REACH
    ? [{
        ...stop,
        code: 'hand-load-within-reach',
        message: words`No hand load is counted, and ${edge}: a hand reaches it below ${OUT_OF_REACH}.`,
        remedy: words`Enter a hand load in the house rules, or for this wall in Survey.`,
      }]
    : []
  if (force >= firms) return within
  const less = words`The hand load of this wall is ${own} instead of ${usual}`
  return wall.handForceReason
    ? [...within, {
        ...about(array),
        severity: 'caution',
        code: 'hand-load-reduced',
        message: words`${less}: ${wall.handForceReason}`,
      }]
    : [...within, {
        ...stop,
        code: 'hand-load-without-reason',
        message: words`${less}, and no reason is given.`,
        remedy: words`Enter the reason in Survey, or the hand load of the house rules.`,
      }]
}

/** What is said of the wind that a wall outside is reckoned with. */
export function windFindings(array: ScreenArray, { wind, windSpeed }: Wall): Finding[] {
  return windSpeed !== undefined && wind === undefined
    ? [
        {
          ...about(array),
          severity: 'caution',
          code: 'wind-basis-not-given' as const,
          message: words`The wind of ${quantity(windSpeed, 'm/s')} is read as a 3 s gust. A 10 min mean of that speed
            presses about twice as hard.`,
          remedy: words`Enter the basis of the wind in Survey: 3 s gust, 10 min mean or fastest mile.`,
        },
      ]
    : []
}

/** Findings about utilisation: unknown, over 80 % (caution), over 100 % (stop). */
export function useFindings(
  array: ScreenArray,
  { cases }: Fixing,
  fastener: Fastener,
  mount: Mount,
  why: Text | undefined,
): Finding[] {
  const [governing] = cases
  const name = fastener.name ?? fastener.id
  if (why)
    return [
      {
        ...about(array),
        severity: 'stop',
        code: 'capacity-not-known' as const,
        message: words`The capacity of ${name} is not known: ${why}.`,
        remedy: words`Enter the missing figure, or use a fastener whose data sheet gives it.`,
      },
    ]
  if (governing?.utilisation === undefined || governing.utilisation <= MUCH) return []
  const { utilisation } = governing
  const told = words`${name}, fixing ${mount.name}: utilisation ${percent(utilisation)} at ${governing.name},
    ${caseTitle(governing.case)}: tension ${quantity(Math.round(governing.tension.value), 'N')}, shear
    ${quantity(Math.round(governing.shear.value), 'N')}.`
  const over = cases.filter(({ utilisation = 0 }) => utilisation > 1)
  if (over.length > 0 && over.every(({ case: name }) => isOffCentre(name))) {
    return [
      {
        ...about(array),
        severity: 'stop',
        code: 'overloaded-by-hand' as const,
        message: told,
        remedy: words`Fix the plate to two studs or to a backing board, use a longer or larger fastener, or enter
          another hand load for this wall in Survey, with the reason.`,
      },
    ]
  }
  return [
    utilisation > 1
      ? {
          ...about(array),
          severity: 'stop',
          code: 'fastener-overloaded' as const,
          message: told,
          remedy: words`Use a larger fastener or more fasteners, or a mount with rows farther apart or a shorter
            pull-out.`,
        }
      : { ...about(array), severity: 'caution', code: 'fastener-much-used' as const, message: told },
  ]
}

/** Findings about rails and boards, and about the bolts between them and the plates. */
export function carriedFindings(
  array: ScreenArray,
  { rail }: Fixing,
  carrier: Carrier | undefined,
  bolts: BoltLoad[],
): Finding[] {
  if (!carrier || bolts.length === 0) return []
  const bolted = boltUse(carrier, bolts)
  const bolt: Finding[] = !bolted
    ? [
        {
          ...about(array),
          severity: 'stop',
          code: 'bolt-not-known' as const,
          message: words`The capacity of a bolt between plate and ${carrier.kind} is not known.`,
          remedy: words`Enter its allowable tension and shear from the maker’s table.`,
        },
      ]
    : bolted.utilisation > MUCH
      ? [
          {
            ...about(array),
            ...(bolted.utilisation > 1
              ? { severity: 'stop', code: 'bolt-overloaded' }
              : { severity: 'caution', code: 'bolt-much-used' }),
            message: words`Bolt between plate and ${carrier.kind}: utilisation ${percent(bolted.utilisation)},
              tension ${quantity(Math.round(bolted.tension), 'N')}, shear ${quantity(Math.round(bolted.shear), 'N')}.`,
            remedy: words`Use stronger bolts, or a mount with more bolts.`,
          },
        ]
      : []
  return [...bolt, ...bendingFindings(array, rail)]
}

function bendingFindings(array: ScreenArray, rail: Fixing['rail']): Finding[] {
  if (!rail) return []
  const bent = quantity(Math.round(rail.figure.value), 'N·m')
  if (rail.utilisation === undefined)
    return [
      {
        ...about(array),
        severity: 'stop',
        code: 'rail-not-known' as const,
        message: words`The bending capacity of the rail is not known; its bending moment is ${bent}.`,
        remedy: words`Enter its allowable bending moment from the maker’s table.`,
      },
    ]
  if (rail.utilisation <= MUCH) return []
  const told = words`The rail has a bending moment of ${bent}: utilisation ${percent(rail.utilisation)}.`
  return [
    rail.utilisation > 1
      ? {
          ...about(array),
          severity: 'stop',
          code: 'rail-overbent' as const,
          message: told,
          remedy: words`Use a stronger rail, or fix it to more studs.`,
        }
      : { ...about(array), severity: 'caution', code: 'rail-much-bent' as const, message: told },
  ]
}

/** Findings about where the spacer of a recessed back sits. */
export function spacerFindings(array: ScreenArray, display: Display): Finding[] {
  if (!isSpacerUnknown(display, array.spacer)) return []
  return [
    {
      ...about(array),
      severity: 'caution',
      code: 'spacer-seat-not-known',
      message: words`Where the spacer of ${display.name} sits is not known: in its recess, or across it. The screw is
        the shorter of the two: a screw ${display.vesa.recess ?? 0} too long breaks the panel.`,
      remedy: words`Look at the back of the display, and enter it in the catalogue.`,
    },
  ]
}

/** Findings about the screws into a display. */
export function screwFindings(array: ScreenArray, { screw }: Fixing, display: string): Finding[] {
  if (!screw.range)
    return [
      {
        ...about(array),
        severity: 'stop',
        code: 'display-screw-not-known' as const,
        message: words`The screw for ${display} is not known: ${screw.fits ? '' : screw.why}.`,
        remedy: words`Enter the missing figure in the catalogue.`,
      },
    ]
  const fault = array.screw === undefined ? undefined : screwFault(array.screw, screw.range)
  if (fault) {
    return [
      {
        ...about(array),
        severity: 'stop',
        code: `display-screw-${fault.kind}`,
        message:
          fault.kind === 'too-long'
            ? words`A ${array.screw!} screw is ${fault.by} too long for ${display}: it damages the parts behind the
              insert.`
            : words`A ${array.screw!} screw is ${fault.by} too short for ${display}: the thread strips.`,
        remedy: words`Use a length of ${screw.range.shortest.value} to ${screw.range.longest.value}, or change the
          washers or spacer under the head.`,
      },
    ]
  }
  return screw.fits || array.screw !== undefined
    ? []
    : [
        {
          ...about(array),
          severity: 'caution',
          code: 'display-screw-to-buy' as const,
          message: words`For ${display}: ${screw.why}.`,
        },
      ]
}
