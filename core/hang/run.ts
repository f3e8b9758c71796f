import { mountModels, type ArrayPlan } from '../mount'
import type { Catalogue, Rules, Wall } from '../job'
import type { Subject } from '../subject'
import { words, type Text } from '../units'
import type { Wiring } from '../wire'
import type { HangingOrder, ScreenStep } from './order'
import { presetsOf, type Presets } from './preset'

export const STEP_KINDS = ['check', 'cable', 'drill', 'plates', 'level', 'preset', 'uprights', 'hang', 'secure'] as const
export type StepKind = typeof STEP_KINDS[number]

/** One step of the run of work: what is done, and why it stands where it does. */
export interface RunStep {
  id: string
  kind: StepKind
  title: Text
  does: Text[]
  why: Text
  /** What it is about on the drawing. */
  subject?: Subject
  /** Ids of the holes that are drilled in it. */
  holes?: string[]
  /** The screen that is hung in it. */
  hangs?: string
  people?: number
  /** What it takes, min, where that is worked out. */
  minutes?: number
}

/** What a run of work is worked out of. */
export interface RunOf { wall: Wall, arrays: ArrayPlan[], wiring: Wiring, hanging: HangingOrder[], catalogue: Catalogue, rules: Rules }

/** Checks before anything is cut, drilled or lifted. */
function checks({ wiring, catalogue, arrays, hanging }: RunOf): RunStep[] {
  const models = [...new Set(arrays.flatMap(({ positions }) => positions.map(({ model }) => model)))]
  const displays = catalogue.displays.filter(({ id }) => models.includes(id))
  const faceDown = hanging.some(({ steps }) => steps.some(({ lifting }) => lifting.handling === 'face-down'))
  const step = (id: string, title: Text, does: Text[], why: Text): RunStep => ({ id: `check:${id}`, kind: 'check', title, does, why })
  if (displays.length === 0) return []
  return [
    step('power', words`Power off, and proved dead`, [words`Isolate, lock off and prove dead what runs in this wall. Go over every mark with a detector for live cables and pipes.`, ...wiring.boxes.length > 0 ? [words`Fixed wiring is opened by licensed people only.`] : []], words`First, as everything after it goes into the wall.`),
    step('thread', words`Try a screw by hand`, displays.map(({ name, vesa: { thread, insertDepth } }) => words`${name}: turn a screw of the kit by hand into its thread${thread === undefined ? [] : words`, M${String(thread)}`}. It must go in freely${insertDepth === undefined ? [] : words`, and no deeper than ${insertDepth}`}.`), words`Before the kit is trusted: a wrong thread strips, a screw that is too long breaks what is behind it.`),
    step('pattern', words`Measure the unpacked displays`, displays.map(({ name, width, height, vesa }) => words`${name}: case ${width} × ${height}, pattern ${vesa.width} × ${vesa.height}, its middle ${vesa.offset.x} right of and ${vesa.offset.y} above the middle of the case.`), words`Before a hole is drilled: datasheets have been wrong, and every hole follows from these.`),
    step('keep', words`Keep the displays ${faceDown ? 'as their maker says' : 'upright'}`, [faceDown ? words`Brackets are fitted face down on a padded bench; all else is done upright.` : words`Upright against a wall, on foam, none leaning on another.`, words`Nothing sharp behind, nobody walks between.`], words`Before they are unpacked: a panel that is laid on its face without leave can break.`),
  ]
}

/** Boxes are let in and cables pulled before a screen hides them. */
function cableSteps({ wiring: { boxes, routes, works } }: RunOf): RunStep[] {
  const cut = boxes.filter(({ held, kind, cutout }) => held && kind !== 'floor' && cutout.height > 0)
  return [
    ...cut.length > 0 ? [{ id: 'cable:boxes', kind: 'cable' as const, title: words`Cut ${String(cut.length)} box ${cut.length === 1 ? 'opening' : 'openings'}`, does: cut.map(({ id, cutout }) => words`Box ${id}: ${cutout.width} × ${cutout.height}, its middle ${cutout.y + cutout.height / 2} up. Look in before the saw goes deeper than the board.`), why: words`Before the plates, while there is room for the saw.`, subject: { kind: 'box' as const, id: cut[0]!.id } }] : [],
    ...routes.map((route): RunStep => ({
      id: `cable:${route.id}`, kind: 'cable', title: words`Pull ${route.kind} to ${route.to}`, people: route.people, minutes: route.minutes, subject: { kind: 'route', id: route.id },
      does: [words`From ${route.from}, ${route.way === 'surface' ? 'in a raceway on the face' : route.way === 'bay' ? 'within the wall' : `from ${route.way}`}, ${route.length} along the wall: leg by leg under Wire.`, ...route.seals > 0 ? [words`Seal what is bored: ${String(route.seals)}.`] : []],
      why: words`Before the screen that hides it; power and signal apart.`,
    })),
    ...works.patches > 0 ? [{ id: 'cable:patch', kind: 'cable' as const, title: words`Close the openings`, does: [words`${String(works.patches)} openings: piece back on battens, tape, fill twice; dry by the filler’s own sheet before sanding.`], why: words`After an inspection where one is due, and before the plates where they are in the way.` }] : [],
  ]
}

/** Holes along one height of one array, which are drilled together. */
function drillSteps({ arrays }: RunOf): RunStep[] {
  const rows = arrays.flatMap(({ id, name, positions }) => {
    const found = new Map<string, { id: string, array: string, row: number, of: string, y: number, holes: string[] }>()
    for (const { row, holes = [] } of positions) {
      for (const hole of holes) {
        const key = `${row} ${hole.row}`
        const known = found.get(key) ?? { id: `drill:${id}-r${row}-${hole.row}`, array: name, row, of: hole.row, y: hole.y, holes: [] }
        known.holes.push(hole.id)
        found.set(key, known)
      }
    }
    return [...found.values()]
  }).sort((a, b) => b.y - a.y)
  return rows.map(({ id, array, row, of, holes, y }): RunStep => ({
    id, kind: 'drill', title: words`Drill the ${of} holes of row ${String(row)}`, holes, subject: { kind: 'hole', id: holes[0]! },
    does: [words`${array}: ${String(holes.length)} holes, ${y} up. One laying of the tape; never from hole to hole.`, words`Record each as it is made: one that misses is answered at once.`],
    why: words`From the top down, so that dust falls on what is not drilled yet.`,
  }))
}

/** What is said of each row's preset, and of what the adjusters do not give. */
function presetStep(plan: ArrayPlan, { rows, apart, short }: Presets): RunStep[] {
  if (apart.value === 0 || rows.every(({ by }) => Math.abs(by) < 1e-9)) return []
  return [{
    id: `preset:${plan.id}`, kind: 'preset', title: words`Preset the height of ${plan.name}`,
    why: words`So that nothing touches while a screen is lifted past another: two rows may come out ${apart.working[0]!.value} nearer than planned. The seams are closed afterwards.`,
    does: [
      ...rows.map(({ row, by }) => Math.abs(by) < 1e-9 ? words`Row ${String(row)}: as the plan has it.` : words`Row ${String(row)}: ${Math.abs(by)} ${by > 0 ? 'up' : 'down'} from where it will be.`),
      ...short > 1e-9 ? [words`${short} less between two rows than would be sure: the adjusters go no farther. Pull the row above out while the next is hung.`] : [],
    ],
  }]
}

function plateSteps({ wall, arrays, catalogue, rules }: RunOf): RunStep[] {
  return arrays.filter(({ positions }) => positions.some(({ plate }) => plate)).flatMap((plan): RunStep[] => {
    const array = wall.arrays.find(({ id }) => id === plan.id)
    const mount = array && catalogue.mounts.find(({ id }) => id === array.mount)
    const strips = plan.strips.length
    return [
      { id: `plates:${plan.id}`, kind: 'plates', title: words`Set the plates of ${plan.name}`, why: words`After all holes of the row, so that no plate covers one that is still to be made.`, does: [...strips > 0 ? [words`${String(strips)} rails or boards first, drawn tight at every member.`] : [], words`Top row of each plate by hand, level it, then the row below; then all tight crosswise.`, ...mount?.kind === 'tilt' || mount?.kind === 'arm' ? [words`Set ${mount.kind === 'tilt' ? 'the tilt' : 'the tension of the arm'} now, for the mass that it will carry: with a screen on it, it cannot be reached.`] : []] },
      { id: `level:${plan.id}`, kind: 'level', title: words`Check the plates of ${plan.name}`, why: words`Before anything is lifted: a plate is moved in a minute now, and in an hour once screens hang.`, does: [words`Every plate level, its middle on its mark. Along a row the tops are in one line.`, words`Pull at each with your weight: plate and bracket stand firm before a screen goes on.`] },
      ...array ? presetStep(plan, presetsOf(array, plan, catalogue, rules)) : [],
    ]
  })
}

function uprightSteps({ arrays, wall, catalogue, hanging }: RunOf): RunStep[] {
  return arrays.flatMap((plan): RunStep[] => {
    const array = wall.arrays.find(({ id }) => id === plan.id)
    const steps = hanging.find(({ array }) => array === plan.id)?.steps ?? []
    if (!array || steps.length === 0) return []
    const mounts = [...new Set(plan.positions.map(position => mountModels(array, catalogue)(position)?.name ?? 'the mount'))]
    return [{ id: `uprights:${plan.id}`, kind: 'uprights', title: words`Fit the brackets to the displays of ${plan.name}`, why: words`Before hanging, on the floor, where a screw that is dropped is found.`, does: [words`${mounts.join(', ')}: four screws a display from the kit, by hand first, then snug.`, steps[0]!.lifting.handling === 'face-down' ? words`Face down on a padded bench.` : words`Upright, one holds and one fits.`] }]
  })
}

const FROM: Record<ScreenStep['lifting']['from'], string> = { floor: 'from the floor', platform: 'from a platform', tower: 'from a tower' }

function hangSteps({ arrays, wall, catalogue, hanging }: RunOf): RunStep[] {
  return hanging.flatMap(({ array: id, why, steps }) => steps.map((step, n): RunStep => {
    const position = arrays.find(plan => plan.id === id)?.positions.find(each => each.id === step.screen)
    const array = wall.arrays.find(each => each.id === id)
    const mount = array && position && mountModels(array, catalogue)(position)
    const { lifting: { people, aid, from, why: lifts }, pulledOut, label } = step
    const pulls = mount?.kind === 'pull-out'
    return {
      id: `hang:${step.screen}`, kind: 'hang', title: words`Hang ${label}`, hangs: step.screen, people, subject: { kind: 'screen', id: step.screen },
      does: [
        words`${aid ? `A lift aid, and ${people} people who guide it` : people === 1 ? 'One person' : `${people} people`}, ${FROM[from]}. ${lifts}`,
        ...pulledOut ? [words`Pull its mount out${mount ? words`, ${mount.depth.service} from the wall` : []}: it is lifted in front of the screens above.`] : [],
        words`Hook it on${mount?.lift ? words`, ${mount.lift} above its place, and let it down` : []}. ${pulls ? 'Plug power and signal while it is out, then push it home.' : 'Plug power and signal before the last edge closes.'}`,
        words`Lock it before the hands let go, and before anybody works below it.${mount?.secures?.includes('safety-wire') ? ' Clip its safety wire.' : ''}`,
      ],
      why: n === 0 ? why : words`Row after row, each from the left: ${step.row === steps[n - 1]!.row ? 'the seam to the screen before it can be seen and felt' : 'the row before it hangs and is locked'}.`,
    }
  }))
}

function secureSteps({ arrays, wall, catalogue }: RunOf): RunStep[] {
  return arrays.flatMap((plan): RunStep[] => {
    const array = wall.arrays.find(({ id }) => id === plan.id)
    const secured = new Set(plan.positions.flatMap(position => (array && mountModels(array, catalogue)(position)?.secures) ?? []))
    return secured.has('wind-lock') ? [{ id: `secure:${plan.id}`, kind: 'secure', title: words`Set the wind locks of ${plan.name}`, why: words`Last, as they hold the screens where they are.`, does: [words`Every lock in, and seen by a second person. A photograph of each.`] }] : []
  })
}

/**
 * The run of work on a wall from the first check to the last lock, each step with its reason: what goes into the wall
 * before what hides it, holes before plates, plates checked and preset before anything is lifted, screens in the order
 * that their mounts allow, and locks before anybody works below.
 */
export const runOf = (of: RunOf): RunStep[] => [...checks(of), ...cableSteps(of), ...drillSteps(of), ...plateSteps(of), ...uprightSteps(of), ...hangSteps(of), ...secureSteps(of)]
