import type { Finding } from '../finding'
import type { Job } from '../job'
import type { ArrayPlan, Position } from '../mount'
import { plan, type WallPlan } from './index'
import { textToString, type UnitSystem } from '../units'
import type { Wiring } from '../wire'

/** A finding as published: its sentences in the site's own unit. */
const publishFinding
  = (units: UnitSystem) =>
    ({ severity, code, stage, subject, message, remedy, overridden }: Finding) => ({
      severity,
      code,
      stage,
      subject: subject.id,
      message: textToString(message, units),
      ...(remedy && { remedy: textToString(remedy, units) }),
      ...(overridden && { overridden: { by: overridden.by, reason: overridden.reason, at: overridden.at } }),
    })

function publishPosition({
  id,
  row,
  column,
  model,
  orientation,
  outer,
  picture,
  pattern,
  crop,
  plate,
  holes,
  bolts,
  loads,
}: Position) {
  return {
    id,
    row,
    column,
    display: model,
    orientation,
    outer,
    picture,
    crop,
    pattern,
    ...(plate && {
      mount: {
        ...plate.centre,
        lateralShift: plate.lateralShift,
        heightShift: plate.heightShift,
        held: plate.held,
        ...(plate.byHand && { byHand: true }),
      },
    }),
    holes: holes ?? [],
    ...(bolts && { bolts }),
    loads: loads ?? [],
  }
}

function publishArray({ positions, ...array }: ArrayPlan) {
  return { ...array, positions: positions.map(publishPosition) }
}

/** How a wall is wired, as published. */
const publishWiring = ({ circuits, boxes, routes, cables, links }: Wiring) => ({
  circuits: circuits.map(({ id, screens, watts, amps, share, drop, chain }) => ({
    id,
    screens,
    watts,
    amps,
    share: share.value / 100,
    drop: drop?.volts ?? null,
    boxes: chain.map(({ box }) => box),
  })),
  boxes: boxes.map(({ id, x, y, bay: [left, right], cutout, held }) => ({
    id,
    x,
    y,
    bay: [left ?? null, right ?? null],
    cutout,
    held,
  })),
  routes: routes.map(
    ({ id, from, to, kind, way, path, length, minutes, openings, seals, patches, hole, guards, people }) => ({
      id,
      from,
      to,
      kind,
      way,
      path,
      length,
      minutes,
      openings,
      seals,
      patches,
      hole: Number.isFinite(hole) ? hole : null,
      guards,
      people,
    }),
  ),
  cables: cables.map(({ id, route, kind, from, to, screen, needed, taken, offcut, slack, model, unknown }) => ({
    id,
    route: route ?? null,
    kind,
    from,
    to,
    screen,
    model: model?.id ?? null,
    needed: needed.value,
    taken: taken ?? null,
    offcut: offcut ?? null,
    slack,
    ...(unknown !== undefined && { unknown }),
  })),
  ports: links.map(({ source, port, kind, from, to, place }) => ({
    source: source.id,
    port,
    kind,
    from: from ?? null,
    to,
    place,
  })),
})

function publishWall(
  { id, members, runs, coursing, nextProbe, arrays, wiring, marking, dead, change, findings }: WallPlan,
  units: UnitSystem,
) {
  const { datum, levelLine, marks } = marking
  return {
    id,
    members,
    runs: runs.map(({ places, ...run }) => ({ ...run, found: places.size })),
    ...(coursing && { coursing }),
    ...(nextProbe && { nextProbe: { ...nextProbe, why: textToString(nextProbe.why, units) } }),
    arrays: arrays.map(publishArray),
    ...((wiring.circuits.length > 0 || wiring.boxes.length > 0) && { wire: publishWiring(wiring) }),
    marking: { datum, levelLine, marks },
    ...(dead.length > 0 && {
      dead: dead.map(({ hole, x, y, result, keepOff, fill }) => ({ hole, x, y, result, keepOff, fill })),
    }),
    ...(change && { change: { plates: change.plates.length, marks: change.marks.length, sum: change.sum } }),
    findings: findings.map(publishFinding(units)),
  }
}

/** A job's plan as the published file, `wide-trellis-plan` version 1. Lengths in mm, not rounded. */
export function planFile(job: Job) {
  return {
    format: 'wide-trellis-plan' as const,
    version: 1 as const,
    walls: plan(job).walls.map(wall => publishWall(wall, job.site.units)),
  }
}
