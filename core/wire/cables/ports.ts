import type { CableModel, Source, Wall } from '../../job'
import type { Position } from '../../mount'
import { givesSignal } from '../sources'
import { broughtBy, cableTypeOf } from './linkKinds'

/** What feeds a screen with a signal: a port of a source, or the screen before it in a chain. */
export interface Link {
  id: string
  /** Kind of cable. */
  kind: string
  /** What the source carries, where that is more than the kind of its cable: USB, a picture over data cable. */
  by: string
  source: Source
  port: number
  /** The screen from which a chain goes on; absent for the first of it, and where each has its own. */
  from?: string
  to: string
  /** Which of its chain the screen is, from 1. */
  place: number
}

/** Which port feeds which screen, and the screens for which a source has none. */
export interface Ports { links: Link[], unported: { source: Source, screens: string[] }[] }

/** Kinds of cable by what they are called: for data, and what carries no picture. */
const DATA = /data|net|lan|^cat/i
const NO_PICTURE = /power|cord|loop|control|touch|usb|speaker/i

/** What a source feeds screens with: as it was said, or the first kind of the catalogue that is for it. */
export function carriesOf({ kind, carries }: Source, cables: Pick<CableModel, 'kind'>[]): string {
  if (carries) return carries
  const kinds = cables.map(cable => cable.kind)
  if (kind === 'network') return kinds.find(each => DATA.test(each)) ?? 'data'
  return kinds.includes('picture')
    ? 'picture'
    : (kinds.find(each => !DATA.test(each) && !NO_PICTURE.test(each)) ?? 'picture')
}

type Placed = Pick<Position, 'id' | 'row' | 'column' | 'outer'>
const apart = (a: Placed, b: Placed) =>
  Math.abs(a.outer.x + a.outer.width / 2 - b.outer.x - b.outer.width / 2)
  + Math.abs(a.outer.y + a.outer.height / 2 - b.outer.y - b.outer.height / 2)
const longest = (screens: Placed[]) =>
  screens.slice(1).reduce((most, screen, n) => Math.max(most, apart(screens[n]!, screen)), 0)

/**
 * Screens to and fro, row by row or column by column, whichever has the shorter longest hop, and then the shorter way
 * in all.
 */
export function inChain<Screen extends Placed>(screens: Screen[]): Screen[] {
  const toAndFro = (line: 'row' | 'column', along: 'row' | 'column') =>
    [...screens].sort((a, b) => a[line] - b[line] || (a[line] % 2 === 1 ? a[along] - b[along] : b[along] - a[along]))
  const whole = (list: Screen[]) => list.slice(1).reduce((total, screen, n) => total + apart(list[n]!, screen), 0)
  const [rows, columns] = [toAndFro('row', 'column'), toAndFro('column', 'row')]
  return longest(columns) < longest(rows) - 1e-6
    || (Math.abs(longest(columns) - longest(rows)) <= 1e-6 && whole(columns) < whole(rows) - 1e-6)
    ? columns
    : rows
}

/** Chains of near the same length, one for each port. */
const split = <T>(list: T[], ports: number): T[][] => {
  const each = Math.ceil(list.length / Math.max(Math.min(ports, list.length), 1))
  return Array.from({ length: Math.ceil(list.length / each) || 0 }, (_, n) => list.slice(n * each, (n + 1) * each))
}

/**
 * Which port feeds which screen: each source in turn feeds the screens that it names, or those that none of its kind
 * feeds yet, a port each or in chains.
 *
 * @param cables by which it is known whether there are leads made for a chain
 */
export function portsOf({ sources = [] }: Wall, screens: Placed[], cables: Pick<CableModel, 'kind'>[]): Ports {
  const links: Link[] = []
  const unported: Ports['unported'] = []
  const fed = new Map<string, Set<string>>()
  for (const source of sources.filter(givesSignal)) {
    const by = carriesOf(source, cables)
    const [kind, brings] = [cableTypeOf(by), broughtBy(by)]
    const had = fed.get(brings) ?? new Set()
    fed.set(brings, had)
    const open = screens.filter(({ id }) => source.for ? source.for.includes(id) : !had.has(id))
    const add = (link: Omit<Link, 'id' | 'source' | 'by'>) => {
      had.add(link.to)
      links.push({ id: `${by}-${link.to}`, source, by, ...link })
    }
    if (source.by === 'chain') {
      const loop = cables.some(cable => cable.kind === 'loop') ? 'loop' : kind
      split(inChain(open), source.ports ?? 1).forEach((chain, n) =>
        chain.forEach(({ id }, place) =>
          add({
            kind: place === 0 ? kind : loop,
            port: n + 1,
            to: id,
            place: place + 1,
            ...(place > 0 && { from: chain[place - 1]!.id }),
          }),
        ),
      )
      continue
    }
    const ported = open.slice(0, source.ports ?? open.length)
    ported.forEach(({ id }, n) => add({ kind, port: n + 1, to: id, place: 1 }))
    // Another source of the kind may have a port for them.
    const left = open.slice(ported.length).map(({ id }) => id)
    if (left.length > 0) unported.push({ source, screens: left })
  }
  return {
    links,
    unported: unported
      .map(({ source, screens }) => ({
        source,
        screens: screens.filter(id => !fed.get(broughtBy(carriesOf(source, cables)))!.has(id)),
      }))
      .filter(({ screens }) => screens.length > 0),
  }
}
