import type { Finding } from '../../finding'
import type { FindingCode } from '../../findings'
import type { CableModel } from '../../job'
import { quantity, words, type Text } from '../../units'
import type { LinkKind } from './linkKinds'

/**
 * What a cable has to do: how far it goes, mm, whether in a wall or through a void that carries air, and behind what
 * breaker, A. A thicker one bends wider at a pull-out, so that how far is asked of each model.
 */
export interface Duty {
  kind: string
  needed: (model: CableModel) => number
  inWall: boolean
  plenum: boolean
  amps?: number
  /** The least cross-section behind that breaker, mm², with the rule that says so. */
  least?: { area: number, source: string }
  /** The least cross-section by voltage drop, mm². */
  area?: number
  /** The construction that its route takes; absent: any. */
  construction?: NonNullable<CableModel['construction']>
  /** What it carries, where that goes less far than the cable. */
  link?: LinkKind
}

/** The model that does it and the stocked length that is taken, or why none does. */
export interface Choice {
  model?: CableModel
  taken?: number
  /** The model by which a fault was found, where none does it: what is needed is told for it. */
  judged?: CableModel
  /** The one of the kind that would be taken if the way were shorter. */
  tooShort?: CableModel
  fault?: { code: FindingCode, message: Text, remedy: Text, opens?: Finding['opens'] }
}

/** A cord with a plug at its end, made to lie open: whatever its kind is called, the word is in it. */
export const isCord = (kind: string): boolean => /cord/i.test(kind)
const nameOf = ({ id, name }: CableModel) => name ?? id
const longest = ({ lengths }: CableModel) => Math.max(0, ...lengths)
/** How far a cable carries what it has to carry, mm. */
const runOf = ({ farthest = Infinity }: CableModel, link?: LinkKind) => Math.min(farthest, link?.farthest ?? Infinity)
const reaches = (cable: CableModel, needed: number, link?: LinkKind) => runOf(cable, link) >= needed - 1e-9
const list = (models: CableModel[]) => models.slice(0, 3).map(nameOf).join(', ')

/** Whether a signal can be turned into what another kind of cable carries. */
const isSignalKind = (kind: string) => kind !== 'power' && !isCord(kind) && kind !== 'loop'

/** Where a cable is chosen of which the wall has none yet. */
const ADD_POWER = {
  remedy: words`Choose one for all boxes in Wire, under Power. New models are entered in the catalogue.`,
  opens: { panel: 'power', title: 'Choose cables' },
}
const ADD_SIGNAL = {
  remedy: words`Choose one in Wire, under Schedule. New models are entered in the catalogue.`,
  opens: { panel: 'schedule', title: 'Choose cables' },
}

/** What to take when nothing of a kind goes so far. */
function fartherThan({ kind, needed, inWall }: Duty, cables: CableModel[]): Text {
  const other = cables
    .filter(
      cable =>
        isSignalKind(kind)
        && isSignalKind(cable.kind)
        && cable.kind !== kind
        && cable.farthest !== undefined
        && reaches(cable, needed(cable))
        && (!inWall || cable.inWall),
    )
    .sort((a, b) => a.farthest! - b.farthest!)[0]
  return other
    ? words`Use ${nameOf(other)} (${other.kind}), with a max run of ${other.farthest!}, and a converter at each end,
      or move the source closer.`
    : words`Move the source closer, or add an amplifier in the run.`
}

/** What a construction is called. */
const CONSTRUCTIONS = {
  'sheathed': 'sheathed power cable', 'metal-clad': 'metal-clad power cable', 'conductors': 'conductors for conduit',
}

/** Of some cables those that may be taken for a duty, or what none of them is. */
function allowed(duty: Duty, cables: CableModel[]): { models: CableModel[], fault?: NonNullable<Choice['fault']> } {
  const { kind, inWall, plenum, amps, construction } = duty
  if (inWall && cables.length > 0 && cables.every(cable => isCord(cable.kind)))
    return {
      models: [],
      fault: {
        code: 'cord-in-wall',
        message: words`a flexible cord must not run inside a wall (NEC 400.12)`,
        remedy: words`Use installation cable, or a listed kit whose cord stays outside the wall.`,
      },
    }
  const built = cables.filter(cable => !construction || (cable.construction ?? 'sheathed') === construction)
  if (built.length === 0)
    return {
      models: [],
      fault: {
        code: 'cable-construction',
        message: words`the house rule requires ${CONSTRUCTIONS[construction!]}, and the catalogue has none`,
        remedy: words`Choose one in Wire, under Power, or another house rule for power cable on this wall. New models
          are entered in the catalogue.`,
        opens: ADD_POWER.opens,
      },
    }
  const rated = built.filter(cable => !inWall || (cable.inWall && !isCord(cable.kind)))
  if (rated.length === 0)
    return {
      models: [],
      fault: {
        code: 'cable-not-in-wall',
        message: words`no ${kind} cable is in-wall rated`,
        remedy: words`Add an in-wall rated cable to the catalogue, or run it on the wall face.`,
      },
    }
  const airy = rated.filter(cable => !plenum || cable.plenum)
  if (airy.length === 0)
    return {
      models: [],
      fault: {
        code: 'cable-not-plenum',
        message: words`the void is a plenum, and no ${kind} cable is plenum rated`,
        remedy: words`Add a plenum-rated cable to the catalogue, or enter the wall from the other side.`,
      },
    }
  return kind === 'power' || amps !== undefined ? carrying(duty, airy) : { models: airy }
}

/** Of some power cables those that are rated for the breaker and thick enough behind it. */
function carrying({ kind, amps, least }: Duty, cables: CableModel[]): ReturnType<typeof allowed> {
  const known = cables.filter(cable => cable.amps !== undefined)
  if (known.length === 0)
    return {
      models: [],
      fault: {
        code: 'cable-rating-not-known',
        message: words`the max breaker rating of ${list(cables)} is not known`,
        remedy: words`Enter it in the catalogue, from the maker’s data sheet.`,
      },
    }
  const rated = known.filter(cable => amps === undefined || cable.amps! >= amps)
  if (rated.length === 0)
    return {
      models: [],
      fault: {
        code: 'cable-too-thin',
        message: words`no ${kind} cable is rated for a ${String(amps)} A breaker`,
        remedy: words`Add a suitable cable, or have the electrician fit a smaller breaker.`,
      },
    }
  const thick = rated.filter(({ area }) => !least || area === undefined || area >= least.area - 1e-9)
  if (thick.length === 0)
    return {
      models: [],
      fault: {
        code: 'cable-too-thin',
        message: words`a ${String(amps)} A breaker requires conductors of at least
          ${quantity(least!.area, 'sq mm')} (${least!.source}), and ${list(rated)}
          ${rated.length === 1 ? 'has' : 'have'} less`,
        remedy: words`Add a suitable cable, or have the electrician fit a smaller breaker.`,
      },
    }
  return { models: thick }
}

/** Of some cables those in which not too much voltage is lost; the thickest where it is too much in every one. */
function thickEnough({ area: least }: Duty, cables: CableModel[]): CableModel[] {
  if (least === undefined) return cables
  const enough = cables.filter(({ area }) => area !== undefined && area >= least - 1e-9)
  if (enough.length > 0) return enough
  const unknown = cables.filter(({ area }) => area === undefined)
  if (unknown.length > 0) return unknown
  const most = Math.max(...cables.map(({ area }) => area!))
  return cables.filter(({ area }) => area === most)
}

/** That no model carries so far, told by the one that carries farthest. */
function tooFar(duty: Duty, models: CableModel[], catalogue: CableModel[]): Choice {
  const most = Math.max(...models.map(model => runOf(model, duty.link)))
  const judged = models.find(model => runOf(model, duty.link) === most)!
  const [by, allow] = duty.link && most === duty.link.farthest
    ? [`${duty.link.title} (${duty.link.source})`, 'allows']
    : [list(models), models.length === 1 ? 'allows' : 'allow']
  return {
    judged,
    fault: {
      code: 'cable-too-far',
      message: words`${duty.needed(judged)} is longer than ${by} ${allow}: the max run is ${most}`,
      remedy: fartherThan(duty, catalogue),
    },
  }
}

/** That no stocked length is long enough, told by the model that comes nearest to it. */
function tooShort({ needed }: Duty, models: CableModel[]): Choice {
  const lacks = (cable: CableModel) => needed(cable) - longest(cable)
  const judged = models.reduce((best, cable) => lacks(cable) < lacks(best) ? cable : best)
  return {
    judged,
    fault: {
      code: 'cable-too-short',
      message: words`${needed(judged)} is longer than the stocked lengths of ${list(models)}: the longest is
        ${longest(judged)}`,
      remedy: words`Have one made up, move the source closer, or joint it in a box where this is allowed.`,
    },
  }
}

/**
 * The cable for a duty: of the kind, rated for where it runs, carrying so far, in the stocked length that leaves the
 * least over, among equals the thinnest. What is left over is told by each model's own length.
 *
 * @param byHand the id of the model that a person chose, whatever its kind
 */
export function chooseCable(duty: Duty, catalogue: CableModel[], byHand?: string): Choice {
  const chosen = catalogue.find(({ id }) => id === byHand)
  if (byHand !== undefined && !chosen)
    return {
      fault: {
        code: 'cable-model-not-known',
        message: words`the catalogue has no cable model ${byHand}, which was chosen manually`,
        remedy: words`Choose another model in Wire, or enter this one in the catalogue.`,
      },
    }
  const offered = chosen ? [chosen] : catalogue.filter(({ kind, retired }) => kind === duty.kind && !retired)
  if (offered.length === 0)
    return {
      fault: {
        code: 'cable-unknown',
        message: words`the catalogue has no ${duty.kind} cable`,
        ...(isSignalKind(duty.kind) ? ADD_SIGNAL : ADD_POWER),
      },
    }
  const { models, fault } = allowed(duty, offered)
  if (fault) return { fault }
  const { needed } = duty
  const far = thickEnough(duty, models).filter(cable => reaches(cable, needed(cable), duty.link))
  if (far.length === 0) return tooFar(duty, models, catalogue)
  const fits = far.flatMap(model => model.lengths.map(taken => ({ model, taken, over: taken - needed(model) })))
    .filter(({ over }) => over >= -1e-9).sort((a, b) => a.over - b.over || a.model.diameter - b.model.diameter)
  if (fits.length === 0) return tooShort(duty, far)
  const { model, taken } = fits[0]!
  const nearer = models.filter(cable => !reaches(cable, needed(cable)) && longest(cable) > 0)
    .sort((a, b) => b.farthest! - a.farthest!)[0]
  return { model, taken, ...nearer && { tooShort: nearer } }
}

/** The cables of a kind that may be in a bundle, the thickest of which, and the widest plug, the hole must take. */
export function thickestOf(
  kind: string,
  construction: Duty['construction'] & string,
  catalogue: CableModel[],
  byHand?: CableModel,
): Pick<CableModel, 'diameter' | 'plug'> | undefined {
  const { models } = allowed(
    { kind, needed: () => 0, inWall: true, plenum: false, ...kind === 'power' && { construction } },
    byHand ? [byHand] : catalogue.filter(cable => cable.kind === kind && !cable.retired),
  )
  if (models.length === 0) return undefined
  const plugs = models.flatMap(({ plug }) => (plug ? [plug] : []))
  return {
    diameter: Math.max(...models.map(({ diameter }) => diameter)),
    ...(plugs.length > 0 && {
      plug: {
        width: Math.max(...plugs.map(({ width }) => width)),
        height: Math.max(...plugs.map(({ height }) => height)),
      },
    }),
  }
}
