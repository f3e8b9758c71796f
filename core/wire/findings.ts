import { saidOf } from '../findings/said'
import type { Finding } from '../finding'
import { overlaps } from '../geometry'
import { itemName, type PlanContext, type Rules, type Wall } from '../job'
import type { ArrayPlan } from '../mount'
import { isFramed } from '../survey'
import { counted, quantity, words, type Text } from '../units'
import { isSignal, type BoxPlan } from './boxes'
import type { CablePlan } from './cables'
import { CONTINUOUS, type Load } from './draw'
import { isOutside } from './fit'
import { keptFrom } from './obstacles'
import type { Wiring } from './wiring'
import { givesSignal, isFeed, isGone, nameOfSource } from './sources'
import { screensOf, type Screen } from './screens'
import { mountKindOf } from '../mount/kinds'

const STAGE = { stage: 'wire' } as const
const about = (wall: Wall) => ({ ...STAGE, subject: { kind: 'wall', id: wall.id } } as const)
const aboutBox = (id: string) => ({ ...STAGE, subject: { kind: 'box', id } } as const)

/** Names in a list, six of them at most. */
const some = (names: string[]) =>
  names.slice(0, 6).join(', ') + (names.length > 6 ? ` and ${names.length - 6} more` : '')
const labels = (list: Load[]) => some(list.map(({ label }) => label))
const capital = (text: Text): Text =>
  typeof text[0] === 'string' ? [text[0].replace(/^./, letter => letter.toUpperCase()), ...text.slice(1)] : text

/** What is wrong, doubtful or not known of circuits. */
function circuitFindings(wall: Wall, { circuits, loads, left }: Wiring): Finding[] {
  const sources = (wall.sources ?? []).filter(isFeed)
  const unknown = loads.filter(({ power }) => !power)
  const over = circuits.filter(({ share }) => share.value > 100 * CONTINUOUS + 1e-9)
  return [
    ...sources
      .filter(({ amps, volts }) => amps === undefined || volts === undefined)
      .map((source): Finding => ({
        ...about(wall),
        severity: 'stop',
        code: 'circuit-not-known' as const,
        message: words`The ${source.amps === undefined ? 'breaker rating' : 'voltage'} of ${nameOfSource(source)} is
          not known: no screen can be put on it.`,
        remedy: words`Read it at the panel and enter it.`,
      })),
    ...(wall.sources ?? [])
      .filter(source => isGone(source, wall))
      .map((source): Finding => ({
        ...about(wall),
        severity: 'stop',
        code: 'source-gone' as const,
        message: words`${nameOfSource(source)} was at ${itemName({ id: source.feature! })}, which is no longer on the
          wall.`,
        remedy: words`Enter its new position, or delete it.`,
      })),
    ...(unknown.length > 0 && sources.length > 0
      ? [
          {
            ...about(wall),
            severity: 'stop' as const,
            code: 'power-not-known' as const,
            facts: [unknown.length],
            message: words`The power that ${labels(unknown)} ${unknown.length === 1 ? 'draws' : 'draw'} is not known:
              no circuit can be chosen for ${unknown.length === 1 ? 'it' : 'them'}.`,
            remedy: words`Enter typical power and max power in the catalogue, from the display’s data sheet.`,
          },
        ]
      : []),
    ...(left.length > 0
      ? [
          {
            ...about(wall),
            severity: 'stop' as const,
            code: 'circuit-full' as const,
            message: words`No circuit has capacity left for ${labels(left)}: max power
              ${quantity(Math.round(left.reduce((sum, { power }) => sum + power!.max, 0)), 'W')}.`,
            remedy: words`Have another circuit installed, or take load off an existing one.`,
          },
        ]
      : []),
    ...over.map((circuit): Finding => ({
      ...about(wall),
      severity: 'stop',
      code: 'circuit-overloaded' as const,
      message: words`The load on ${circuit.name} is over 80 % of its breaker.`,
      remedy: words`Take load off it, and add nothing more.`,
    })),
  ]
}

/** By the house rule on power, what boxes there should be. */
const BY_RULE = { electrician: ['power', 'floor'], kit: ['kit-upper', 'kit-lower'], outlet: [] as string[] }
const RULE_WORDS = {
  electrician: 'hard-wired by a licensed electrician',
  kit: 'by a listed in-wall kit',
  outlet: 'from an existing outlet',
}

/** What is wrong with how power comes to the screens. */
function powerFindings(wall: Wall, wiring: Wiring, { power = 'electrician' }: Rules): Finding[] {
  const { boxes, loads, circuits } = wiring
  const sources = (wall.sources ?? []).filter(isFeed)
  const powered = boxes.filter(({ kind }) => !isSignal(kind))
  const against = powered.filter(({ kind }) => !BY_RULE[power].includes(kind))
  const bare = sources.length > 0 && power !== 'outlet' ? loads.filter(({ screen }) => !boxes.some(box => (box.kind === 'power' || box.kind === 'kit-upper' || box.kind === 'floor') && box.for.includes(screen))) : []
  const used = sources.filter(({ id }) => circuits.some(circuit => circuit.id === id && circuit.screens.length > 0))
  const kits = boxes.filter(({ kind }) => kind === 'kit-lower')
  const fromCircuit = kits.filter(kit => !used.some(source => source.kind === 'outlet' && circuits.some(({ id, screens }) => id === source.id && kit.for.some(screen => screens.includes(screen)))))
  return [
    ...against.length > 0 ? [{ ...about(wall), severity: 'caution' as const, code: 'power-against-rule' as const, message: words`The house rule requires power ${RULE_WORDS[power]}, and ${some(against.map(box => `box ${itemName(box)}`))} ${against.length === 1 ? 'does' : 'do'} not comply.`, remedy: words`Use other boxes, or choose another rule for this wall.` }] : [],
    ...bare.length > 0 ? [{ ...about(wall), severity: 'caution' as const, code: 'no-box' as const, message: words`${labels(bare)} ${bare.length === 1 ? 'has' : 'have'} no power box.`, remedy: words`Add power boxes in Wire, under Boxes.` }] : [],
    ...fromCircuit.length > 0 ? [{ ...about(wall), severity: 'stop' as const, code: 'kit-without-outlet' as const, message: words`An in-wall kit is fed by a cord from an existing outlet, and none is entered for ${some(fromCircuit.map(box => `box ${itemName(box)}`))}.`, remedy: words`Add the outlet in Wire, under Power. A kit cannot be wired to a circuit; use a power box for that.` }] : [],
    ...isOutside(wall)
      ? used.filter(source => source.protected !== true).map((source): Finding => source.protected === false
          ? { ...about(wall), severity: 'stop', code: 'outlet-not-protected' as const, message: words`${nameOfSource(source)} feeds a display that is outside or wet, without protection by a 30 mA RCD.`, remedy: words`Have an RCD or GFCI fitted, as local code requires.` }
          : { ...about(wall), severity: 'caution', code: 'protection-not-known' as const, message: words`It is not known whether ${nameOfSource(source)} is protected by a 30 mA RCD, and it feeds a display that is outside or wet.`, remedy: words`Test it, and enter the result in Wire, under Power.` })
      : [],
    ...isOutside(wall) && used.length > 0 ? [{ ...about(wall), severity: 'note' as const, code: 'outside' as const, message: words`Outside or wet: use in-use covers, make a drip loop in every cable below its entry, and seal every opening.` }] : [],
    ...used.length > 0 ? [{ ...about(wall), severity: 'note' as const, code: 'licensed-people' as const, message: words`Only licensed electricians may install, protect and test fixed wiring, under local code. Isolate, lock off and prove dead before opening a box; detect live cables before cutting.` }] : [],
    ...(wall.linedIn ?? 3000) < 1990 && boxes.some(({ bay: [left, right] }) => left !== undefined || right !== undefined) ? [{ ...about(wall), severity: 'caution' as const, code: 'old-lining-cut' as const, message: words`The lining dates from ${String(wall.linedIn)}: it may contain asbestos or lead, and the plan cuts it.`, remedy: words`Have it tested before opening anything.` }] : [],
  ]
}

/** Boxes without a place, and what is doubtful of those that have one, each doubt once. */
function boxFindings({ boxes }: Wiring): Finding[] {
  const doubts = new Map<string, { text: Text, boxes: BoxPlan[] }>()
  for (const box of boxes) {
    for (const text of box.held ? box.doubts : []) {
      const key = JSON.stringify(text)
      doubts.set(key, { text, boxes: [...doubts.get(key)?.boxes ?? [], box] })
    }
  }
  return [
    ...boxes
      .filter(({ held }) => !held)
      .map((box): Finding => ({
        ...aboutBox(box.id),
        severity: 'stop',
        code: 'box-no-place' as const,
        message: words`Box ${itemName(box)}: ${box.wrong.reduce((text, each, n) => (n === 0
          ? each
          : words`${text};
          ${each}`), [])}.`,
        ...(box.nearest
          ? { remedy: words`It fits at ${box.nearest.x} from wall left and ${box.nearest.y} above floor.` }
          : { remedy: box.cure ?? words`Use a smaller or shallower box, another stud bay, or a surface box.` }),
      })),
    ...[...doubts.values()].map(({ text, boxes: of }): Finding => ({
      ...aboutBox(of[0]!.id),
      severity: 'caution',
      code: 'box-hard-to-reach' as const,
      message: words`${of.length === 1 ? 'Box' : 'Boxes'} ${some(of.map(itemName))}: ${text}.`,
      remedy: words`Plug in before the display goes up, and record it in the notes, or use another mount.`,
    })),
  ]
}

/** Ways that are not there, that lie with what they should not, and openings where plates will stand. */
function wayFindings(wall: Wall, { boxes, routes, noWay, bays, works }: Wiring, screens: Pick<Screen, 'plate' | 'row' | 'column'>[], { signalBesidePower = 'own-bay' }: Rules): Finding[] {
  const powered = new Set(routes.flatMap(({ kind, bays: through }) => kind === 'power' ? through : []))
  const calledBox = (id: string) => itemName(boxes.find(box => box.id === id) ?? { id })
  const boxOf = (route: string) => routes.find(({ id }) => id === route)!.to
  const mixed = signalBesidePower === 'own-bay' ? routes.filter(({ kind, bays: through }) => kind === 'signal' && through.some(bay => powered.has(bay))) : []
  const under = works.openings.filter(({ rect }) => screens.some(({ plate }) => plate && overlaps(plate.rect, rect)))
  const hazards = keptFrom(wall).filter(({ hazard }) => hazard)
  const struck = works.openings.flatMap(({ rect }) => hazards.filter(hazard => overlaps(hazard, rect)).slice(0, 1).map(hazard => ({ rect, hazard })))
  const wide = works.bores.filter(({ diameter }) => Number.isNaN(diameter))
  const weak = works.bores.filter(({ through, diameter }) => through === 'plate' && wall.structure.memberDepth !== undefined && diameter > wall.structure.memberDepth / 2)
  return [
    ...noWay.map(({ box, why }): Finding => ({
      ...aboutBox(box), ...(wall.void === undefined ? { severity: 'caution', code: 'void-not-known' } : { severity: 'stop', code: 'no-way' }), message: words`No cable route reaches box ${calledBox(box)}: ${why}.`,
      ...wall.void === undefined && { opens: { panel: 'routes', title: 'Enter voids' } },
      remedy: wall.void === undefined
        ? words`Enter in Wire, under Routes, which voids are open.`
        : words`Feed it
        from an outlet in its stud bay, run a surface raceway, or have a void opened.`,
    })),
    ...mixed.map(({ to, bays: through }): Finding => ({
      ...aboutBox(to), severity: 'stop', code: 'signal-with-power' as const, message: words`Signal to box ${calledBox(to)} runs through ${through.length === 1 ? 'a stud bay' : 'stud bays'} with power, starting ${bays[through.find(bay => powered.has(bay))!]!.from} from wall left; no other route avoids it.`,
      remedy: words`Bring it in from the other side, put the box in another stud bay, or choose the house rule that
        fixes them apart in one stud bay.`,
    })),
    ...under.map(({ rect, routes: of }): Finding => ({ ...aboutBox(boxOf(of[0]!)), severity: 'caution', code: 'opening-under-plate' as const, message: words`An opening at ${rect.x} from wall left and ${rect.y} above floor is behind a plate.`, remedy: words`Close it and let the filler set before fitting the plate, or choose another route.` })),
    ...struck.map(({ rect, hazard }): Finding => ({ ...about(wall), severity: 'stop', code: 'opening-at-hazard' as const, message: words`An opening at ${rect.x} from wall left and ${rect.y} above floor is too close to ${hazard.name}.`, remedy: words`Locate it with a detector, and bring the cable in through another stud bay or from the other side.` })),
    ...wide.length > 0 ? [{ ...about(wall), severity: 'stop' as const, code: 'hole-too-wide' as const, message: words`No bit is large enough for the cables at ${wide[0]!.x} from wall left.`, remedy: words`Bring the cables in at more than one place.` }] : [],
    ...weak.map(({ x, diameter }): Finding => ({ ...about(wall), severity: 'caution', code: 'plate-weakened' as const, message: words`The ${diameter} hole at ${x} from wall left removes more than half of the top or bottom plate.`, remedy: words`Have a metal tie fixed across it (IRC R602.6.1), or bring the cables in at more than one place.` })),
    ...(wall.fireRating ?? 0) > 0 && routes.some(({ way }) => way !== 'surface') ? [{ ...about(wall), severity: 'stop' as const, code: 'rated-wall-opened' as const, message: words`The wall is fire-rated, and cables are planned inside it.`, remedy: words`Run them on the wall face, or have a licensed person fit the approved seal on both faces.` }] : [],
  ]
}

/**
 * Cables that nothing does for, those of which the length is not known, and what is longer than a shorter kind carries;
 * each once.
 */
function cableFindings(wall: Wall, { cables, routes }: Wiring): Finding[] {
  const groups = <Key>(keyOf: (cable: CablePlan) => Key | undefined) => {
    const out = new Map<Key, CablePlan[]>()
    for (const cable of cables) {
      const key = keyOf(cable)
      if (key !== undefined) out.set(key, [...out.get(key) ?? [], cable])
    }
    return [...out.values()]
  }
  const subject = (cable: CablePlan) =>
    cable.route === undefined
      ? { ...STAGE, subject: { kind: 'screen', id: cable.screen } as const }
      : aboutBox(routes.find(({ id }) => id === cable.route)!.to)
  const ends = (list: CablePlan[]) => some(list.map(({ to }) => to))
  return [
    ...groups(({ choice }) => choice.fault && JSON.stringify(choice.fault)).map((list): Finding => {
      const { code, message, remedy, opens } = list[0]!.choice.fault!
      // Where the shop has no such cable at all, nothing unsafe is planned: it is still to be found.
      return {
        ...subject(list[0]!),
        ...saidOf(code),
        message: words`${list[0]!.kind.replace(/^./, letter => letter.toUpperCase())} to ${ends(list)}: ${message}.`,
        remedy,
        ...(opens && { opens }),
      }
    }),
    ...groups(({ unknown, choice }) => (choice.fault ? undefined : unknown)).map((list): Finding => ({
      ...about(wall),
      severity: 'caution',
      code: 'cable-length-not-known' as const,
      message: words`${capital(words`${list[0]!.unknown!}`)} is not known: no length can be chosen for the
        ${list[0]!.kind} cable to ${ends(list)}.`,
      remedy: words`Measure it and enter it in Wire.`,
    })),
    ...groups(({ choice, kind }) =>
      choice.tooShort && choice.model && choice.tooShort.id !== choice.model.id
        ? `${kind} ${choice.tooShort.id} ${choice.model.id}`
        : undefined,
    ).map((list): Finding => {
      const { tooShort, model } = list[0]!.choice
      return {
        ...about(wall),
        severity: 'note',
        code: 'farther-kind' as const,
        message: words`${tooShort!.name ?? tooShort!.id} has a max run of ${tooShort!.farthest!}, and the
          ${list[0]!.kind} cable to ${ends(list)} is up to ${Math.max(...list.map(({ needed }) => needed.value))}:
          ${model!.name ?? model!.id} is used instead.`,
      }
    }),
  ]
}

/** What is wrong or missing between the sources of signal and the screens. */
function signalFindings(wall: Wall, { unported, links, boxes }: Wiring, screens: Screen[], framed: boolean): Finding[] {
  const label = (id: string) => screens.find(screen => screen.id === id)?.label ?? id
  const sources = (wall.sources ?? []).filter(givesSignal)
  const away = sources.flatMap(source => (source.for ?? []).filter(id => !screens.some(screen => screen.id === id)))
  const open = framed ? links.filter(({ from, to }) => from === undefined && !boxes.some(box => isSignal(box.kind) && box.for.includes(to))).map(({ to }) => to) : []
  const single = screens.filter(({ mounting }) => mounting && mountKindOf(mounting).swings)
  const channels = [...new Map(single.map(screen => [screen.mounting!.id, screen.mounting!])).values()]
  return [
    ...unported.map(({ source, screens: without }): Finding => ({ ...about(wall), severity: 'stop', code: 'no-port' as const, facts: [without.length], message: words`${nameOfSource(source)} has ${counted(source.ports!)} ${source.ports === 1 ? 'port' : 'ports'}, and ${some(without.map(label))} ${without.length === 1 ? 'gets' : 'get'} none.`, remedy: words`Daisy-chain the screens, or add a player or a splitter.` })),
    ...away.length > 0 ? [{ ...about(wall), severity: 'caution' as const, code: 'screen-gone' as const, message: words`${some([...new Set(away)])} ${away.length === 1 ? 'is' : 'are'} assigned to a source, but not on the wall.`, remedy: words`Choose again which screens the source feeds.` }] : [],
    ...open.length > 0 ? [{ ...about(wall), severity: 'caution' as const, code: 'no-pass-through' as const, message: words`${some([...new Set(open)].map(label))} ${new Set(open).size === 1 ? 'has' : 'have'} no pass-through for signal.`, remedy: words`Add pass-throughs in Wire, under Boxes, or run the cables on the wall face.` }] : [],
    ...links.length > 0
      ? channels.filter(mount => (mount.channels ?? 0) < 2).map((mount): Finding => mount.channels === undefined
          ? { ...about(wall), severity: 'caution', code: 'channels-not-known' as const, message: words`The number of cable channels in the arm of ${mount.name} is not known: power and signal require one each.`, remedy: words`Enter it in the catalogue, from the maker’s data sheet.` }
          : { ...about(wall), severity: 'stop', code: 'one-channel' as const, message: words`The arm of ${mount.name} has one cable channel, and power and signal must not share one.`, remedy: words`Tie one cable along the outside, if the maker allows it, or use another arm.` })
      : [],
  ]
}

/**
 * What is wrong, doubtful or not known in the wiring of a wall; nothing is said of one where nobody has begun to wire.
 */
export function wireFindings(
  wall: Wall,
  arrays: ArrayPlan[],
  wiring: Wiring,
  { catalogue, rules }: PlanContext,
): Finding[] {
  if ((wall.sources ?? []).length === 0 && wiring.boxes.length === 0) return []
  const screens = screensOf(wall, arrays, catalogue)
  return [
    ...circuitFindings(wall, wiring),
    ...powerFindings(wall, wiring, rules),
    ...boxFindings(wiring),
    ...wayFindings(wall, wiring, screens, rules),
    ...signalFindings(wall, wiring, screens, isFramed(wall)),
    ...cableFindings(wall, wiring),
  ]
}
