import { caseTitle, testPull } from '../fix'
import { mountModels, type ArrayPlan } from '../mount'
import { hasSafetyWire, namesOn, type Catalogue, type Mount, type Rules, type Wall } from '../job'
import { stepName, type AsBuilt, type MadeHole, type RunStepKind } from '../log'
import type { Subject } from '../subject'
import { buildUpFindings, carryingWall, drillingCautions } from '../survey'
import { beside, quantity, words, type Text } from '../units'
import type { Wiring } from '../wire'
import { fixedBoxes } from '../wire/fixedBoxes'
import type { HangingOrder, ScreenStep } from './order'
import { presetsOf, type Presets } from './preset'
import { mountKindOf } from '../mount/kinds'
import { plural } from '../units/plural'

/** One step of the run of work: what is done, and why it stands where it does. */
export interface RunStep {
  id: string
  kind: RunStepKind
  title: Text
  does: Text[]
  why: Text
  /** What it is about on the drawing. */
  subject?: Subject
  /** Ids of the holes that are drilled in it. */
  holes?: string[]
  /** The screen that is hung in it. */
  hangs?: string
  /** The circuit that is tested in it, by its source. */
  tests?: string
  people?: number
  /** What it takes, min, where that is calculated. */
  minutes?: number
}

/** What a run of work is calculated of. */
export interface RunOf {
  wall: Wall
  arrays: ArrayPlan[]
  wiring: Wiring
  hanging: HangingOrder[]
  catalogue: Catalogue
  rules: Rules
}

/** A step by its kind, and its id as a log entry names it. */
const stepAs = (kind: RunStepKind, id: string) => ({ id: stepName({ kind, id }), kind })

/** Checks before anything is cut, drilled or lifted. */
function checks({ wiring, catalogue, arrays, hanging }: RunOf): RunStep[] {
  const models = [...new Set(arrays.flatMap(({ positions }) => positions.map(({ model }) => model)))]
  const displays = catalogue.displays.filter(({ id }) => models.includes(id))
  const faceDown = hanging.some(({ steps }) => steps.some(({ lifting }) => lifting.handling === 'face-down'))
  const step = (id: string, title: Text, does: Text[], why: Text): RunStep => ({
    ...stepAs('check', id),
    title,
    does,
    why,
  })
  if (displays.length === 0) return []
  return [
    step(
      'power',
      words`Isolate and prove dead`,
      [
        words`Isolate, lock off and prove dead every circuit in this wall. Check every mark with a detector for live
          cables and pipes.`,
        ...(wiring.boxes.length > 0 ? [words`Only licensed electricians may open fixed wiring.`] : []),
      ],
      words`First, because every later step goes into the wall.`,
    ),
    step(
      'thread',
      words`Test a screw by hand`,
      displays.map(
        ({ name, vesa: { thread, insertDepth } }) =>
          words`${name}: turn a screw from the kit into its insert by
            hand${thread === undefined ? [] : words`, M${String(thread)}`}. It must turn
            freely${insertDepth === undefined ? [] : words`, and go no deeper than ${insertDepth}`}.`,
      ),
      words`Before using the kit: a wrong thread strips, and a screw that is too long damages the parts behind the
        insert.`,
    ),
    step(
      'pattern',
      words`Unpack and measure the displays`,
      displays.map(
        ({ name, width, height, vesa }) =>
          words`${name}: case ${width} × ${height}, mounting pattern ${vesa.width} × ${vesa.height}, its centre
            ${beside(vesa.offset)} the centre of the case.`,
      ),
      words`Before drilling: data sheets can be wrong, and every hole depends on these figures.`,
    ),
    step(
      'keep',
      words`Store the displays ${faceDown ? 'as their maker says' : 'upright'}`,
      [
        faceDown
          ? words`Fit brackets face down on a padded bench; keep the displays upright for everything else.`
          : words`Stand them upright on foam against a wall, none leaning on another.`,
        words`Keep sharp objects away from the backs, and keep people from walking between them.`,
      ],
      words`Before unpacking: a panel laid face down without its maker’s approval can break.`,
    ),
  ]
}

/** Boxes are let in and cables pulled before a screen hides them. */
function cableSteps({ wall, wiring: { boxes, routes, works } }: RunOf): RunStep[] {
  const called = namesOn(wall)
  const cut = boxes.filter(({ held, kind, cutout }) => held && kind !== 'floor' && cutout.height > 0)
  return [
    ...(cut.length > 0
      ? [{
          ...stepAs('cable', 'boxes'),
          title: words`Cut out for ${plural(cut.length, 'box', 'boxes')}`,
          does: cut.map(
            ({ id, cutout }) =>
              words`Box ${called(id)}: ${cutout.width} × ${cutout.height}, centre ${cutout.x + cutout.width / 2} from
                wall left and ${cutout.y + cutout.height / 2} above floor. Look inside before sawing deeper than the
                board.`,
          ),
          why: words`Before the plates, while there is room for the saw.`,
          subject: { kind: 'box' as const, id: cut[0]!.id },
        }]
      : []),
    ...routes.map((route): RunStep => ({
      ...stepAs('cable', route.id),
      title: words`Pull ${route.kind} cable to ${called(route.to)}`,
      people: route.people,
      minutes: route.minutes,
      subject: { kind: 'route', id: route.id },
      does: [
        words`From ${called(route.from)},
          ${route.way === 'surface'
        ? 'in a surface raceway'
        : route.way === 'bay' ? 'inside the wall' : `from ${route.way}`}, ${route.length} along the
            wall. See Wire for each leg.`,
        ...(route.seals > 0 ? [words`Seal the bored holes: ${String(route.seals)}.`] : []),
      ],
      why: words`Before the screen that hides it goes up. Keep power and signal apart.`,
    })),
    ...(works.patches > 0
      ? [{
          ...stepAs('cable', 'patch'),
          title: words`Close the openings`,
          does: [
            words`${String(works.patches)} openings: screw the piece back on battens, tape and fill twice; let the
              filler dry as its maker says before sanding.`,
          ],
          why: words`After any inspection that is due, and before any plates that would be in the way.`,
        }]
      : []),
  ]
}

/**
 * Each circuit is live again, and tested, while its boxes can still be reached: a fault behind a wall of screens costs
 * a day.
 */
function liveSteps({ wall, wiring }: RunOf): RunStep[] {
  const called = namesOn(wall)
  return wiring.circuits.flatMap((circuit): RunStep[] => {
    const { id, name } = circuit
    const fed = fixedBoxes(wiring, circuit)
    if (fed.length === 0) return []
    const names = fed.map(box => called(box.id)).join(', ')
    return [{
      ...stepAs('check', `live-${id}`),
      title: words`Re-energise and test ${name}`,
      subject: { kind: 'box', id: fed[0]!.id },
      tests: id,
      does: [
        words`A licensed electrician closes the boxes, removes the lock and re-energises ${name}.`,
        words`Test polarity and earth at ${fed.length === 1 ? 'box' : 'boxes'} ${names}.`,
        words`Press the test button of the RCD or GFCI, and measure its trip time where local code requires it.`,
        words`Load test: plug in one display after another and read the current at the board.`,
        words`Record the results below with name and licence; the electrician signs the electrician’s sheet, and a photo
          of it goes into Close.`,
      ],
      why: words`Before any screen is pushed home: behind the screens no box can be reached.`,
    }]
  })
}

/** Holes along one height of one array, which are drilled together. */
function drillSteps({ arrays, wall, rules }: RunOf): RunStep[] {
  const rows = arrays
    .flatMap(({ id, name, positions }) => {
      const found = new Map<
        string,
        { id: string, array: string, row: number, of: string, y: number, holes: string[] }
      >()
      for (const { row, holes = [] } of positions) {
        for (const hole of holes) {
          const key = `${row} ${hole.row}`
          const known = found.get(key) ?? {
            id: `${id}-r${row}-${hole.row}`,
            array: name,
            row,
            of: hole.row,
            y: hole.y,
            holes: [],
          }
          known.holes.push(hole.id)
          found.set(key, known)
        }
      }
      return [...found.values()]
    })
    .sort((a, b) => b.y - a.y)
  const cautions = drillingCautions(buildUpFindings(carryingWall(wall, rules)))
  return rows.map(({ id, array, row, of, holes, y }): RunStep => ({
    ...stepAs('drill', id),
    title: words`Drill the ${of} holes of row ${String(row)}`,
    holes,
    subject: { kind: 'hole', id: holes[0]! },
    does: [
      words`${array}: ${String(holes.length)} holes, ${y} above floor. Measure all from one tape position, never from
        hole to hole.`,
      words`Record each hole as you drill it: a miss is replanned at once.`,
      ...cautions,
    ],
    why: words`From the top down, so that dust does not fall on finished work.`,
  }))
}

/** What is said of each row's preset, and of what the adjusters do not give. */
function presetStep(plan: ArrayPlan, { rows, apart, short }: Presets): RunStep[] {
  if (apart.value === 0 || rows.every(({ by }) => Math.abs(by) < 1e-9)) return []
  return [{
    ...stepAs('preset', plan.id),
    title: words`Preset the heights of ${plan.name}`,
    why: words`So that screens do not touch while one is lifted past another: two rows can come out
      ${apart.working[0]!.value} closer than planned. The seams are closed afterwards.`,
    does: [
      ...rows.map(({ row, by }) =>
        Math.abs(by) < 1e-9
          ? words`Row ${String(row)}: as planned.`
          : words`Row ${String(row)}: ${Math.abs(by)} ${by > 0 ? 'above' : 'below'} its final position.`,
      ),
      ...(short > 1e-9
        ? [
            words`The spacing between two rows is ${short} less than the safe spacing: the adjusters have no more
              travel. Pull the row above out while you hang the next.`,
          ]
        : []),
    ],
  }]
}

/** The test pull of a plate: a force that is read off a scale, never anybody's weight. */
function pullTexts({ positions }: ArrayPlan, mount: Mount | undefined): Text[] {
  const pull
    = mount
      && testPull(
        positions.flatMap(({ loads = [] }) => loads),
        mount,
      )
  if (!pull) return []
  const force = words`${quantity(Math.round(pull.force), 'N')} and no more (${caseTitle(pull.case)})`
  return [
    words`Pull straight out at a top fastener of each plate with a spring scale, to ${force}: nothing must move.`,
    words`Record the pull tests in Close, Checks.`,
  ]
}

function plateSteps({ wall, arrays, catalogue, rules }: RunOf): RunStep[] {
  return arrays
    .filter(({ positions }) => positions.some(({ plate }) => plate))
    .flatMap((plan): RunStep[] => {
      const array = wall.arrays.find(({ id }) => id === plan.id)
      const mount = array && catalogue.mounts.find(({ id }) => id === array.mount)
      const strips = plan.strips.length
      const setBefore = mount && mountKindOf(mount).setBefore
      return [
        {
          ...stepAs('plates', plan.id),
          title: words`Fit the plates of ${plan.name}`,
          why: words`After all holes of the row, so that no plate covers a hole still to be drilled.`,
          does: [
            ...(strips > 0 ? [words`Fit ${String(strips)} rails or boards first, tightened at every stud.`] : []),
            words`Start the top row of each plate by hand, level the plate, then start the row below. Tighten all in a
              diagonal pattern.`,
            ...(setBefore
              ? [words`Set ${setBefore} now, for the mass it will carry: it cannot be reached with a screen on it.`]
              : []),
          ],
        },
        {
          ...stepAs('level', plan.id),
          title: words`Check the plates of ${plan.name}`,
          why: words`Before lifting: moving a plate takes a minute now, and an hour once screens hang.`,
          does: [
            words`Check that every plate is level with its centre on its mark, and that the tops of each row are in
              line.`,
            ...pullTexts(plan, mount),
          ],
        },
        ...(array ? presetStep(plan, presetsOf(array, plan, catalogue, rules)) : []),
      ]
    })
}

function uprightSteps({ arrays, wall, catalogue, hanging }: RunOf): RunStep[] {
  return arrays.flatMap((plan): RunStep[] => {
    const array = wall.arrays.find(({ id }) => id === plan.id)
    const steps = hanging.find(({ array }) => array === plan.id)?.steps ?? []
    if (!array || steps.length === 0) return []
    const mounts = [
      ...new Set(plan.positions.map(position => mountModels(array, catalogue)(position)?.name ?? 'the mount')),
    ]
    return [{
      ...stepAs('uprights', plan.id),
      title: words`Fit the brackets to the displays of ${plan.name}`,
      why: words`Before hanging, on the floor, where a dropped screw can be found.`,
      does: [
        words`${mounts.join(', ')}: four screws per display from the kit; start them by hand, then tighten until
          snug.`,
        steps[0]!.lifting.handling === 'face-down'
          ? words`Work face down on a padded bench.`
          : words`Keep the display upright: one person holds, one fits.`,
      ],
    }]
  })
}

const FROM: Record<ScreenStep['lifting']['from'], string> = {
  floor: 'from the floor',
  platform: 'from a platform',
  tower: 'from a tower',
}

function liftersOf({ people, aid }: ScreenStep['lifting']): string {
  if (aid) return `A lifting aid and ${people} people to guide it`
  return people === 1 ? 'One person' : `${people} people`
}

function hangSteps({ arrays, wall, catalogue, hanging }: RunOf): RunStep[] {
  return hanging.flatMap(({ array: id, why, steps }) =>
    steps.map((step, n): RunStep => {
      const position = arrays.find(plan => plan.id === id)?.positions.find(each => each.id === step.screen)
      const array = wall.arrays.find(each => each.id === id)
      const mount = array && position && mountModels(array, catalogue)(position)
      const {
        lifting: { people, from, why: lifts },
        pulledOut,
        label,
      } = step
      const pulls = mount && mountKindOf(mount).pullsOut
      const wire = mount && hasSafetyWire(mount) ? ' Clip its safety wire.' : ''
      return {
        ...stepAs('hang', step.screen),
        title: words`Hang ${label}`,
        hangs: step.screen,
        people,
        subject: { kind: 'screen', id: step.screen },
        does: [
          words`${liftersOf(step.lifting)}, ${FROM[from]}. ${lifts}`,
          ...(pulledOut
            ? [
                words`Pull the mount out${mount ? words`, ${mount.depth.service} from the wall` : []}: lift the screen
                  in front of the screens above.`,
              ]
            : []),
          words`Hook it on${mount?.lift ? words`: lift it ${mount.lift} above its position and lower it` : []}.
            ${pulls
              ? 'Plug in power and signal while it is pulled out, check that it shows a picture, then push it home.'
              : 'Plug in power and signal, and check that it shows a picture, before closing the last edge.'}`,
          words`Lock it before letting go, and before anyone works below it.${wire}`,
        ],
        why:
          n === 0
            ? why
            : words`Row by row, from left to right:
              ${step.row === steps[n - 1]!.row
                ? 'the seam to the previous screen can be seen and felt'
                : 'the previous row is hung and locked'}.`,
      }
    }),
  )
}

function secureSteps({ arrays, wall, catalogue }: RunOf): RunStep[] {
  return arrays.flatMap((plan): RunStep[] => {
    const array = wall.arrays.find(({ id }) => id === plan.id)
    const secured = new Set(
      plan.positions.flatMap(position => (array && mountModels(array, catalogue)(position)?.secures) ?? []),
    )
    return secured.has('wind-lock')
      ? [{
          ...stepAs('secure', plan.id),
          title: words`Set the wind locks of ${plan.name}`,
          why: words`Last, because they hold the screens in position.`,
          does: [words`Engage every lock, have a second person check it, and take a photo of each.`],
        }]
      : []
  })
}

/**
 * The run of work on a wall from the first check to the last lock, each step with its reason: what goes into the wall
 * before what hides it, holes before plates, plates checked and preset before anything is lifted, screens in the order
 * that their mounts allow, and locks before anybody works below.
 */
export const runOf = (of: RunOf): RunStep[] => [
  ...checks(of),
  ...cableSteps(of),
  ...drillSteps(of),
  ...plateSteps(of),
  ...uprightSteps(of),
  ...liveSteps(of),
  ...hangSteps(of),
  ...secureSteps(of),
]

/**
 * Whether a step of the run of work is done: somebody said so, or all that it is for is there, each of its holes
 * drilled or its screen hung.
 *
 * @param drilled holes of the plan that are made
 */
export function isStepDone(
  { id, holes, hangs }: RunStep,
  { steps, hung }: Pick<AsBuilt, 'steps' | 'hung'>,
  drilled: Map<string, MadeHole>,
): boolean {
  if (steps.some(({ step, done }) => step === id && done)) return true
  if (hangs !== undefined) return hung.includes(hangs)
  return holes !== undefined && holes.length > 0 && holes.every(hole => drilled.get(hole)?.result === 'hit')
}
