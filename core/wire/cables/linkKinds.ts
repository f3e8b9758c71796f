/** What carries a signal farther, or otherwise, than its own cable: over which, how far, and what it needs. */
export interface LinkKind {
  title: string
  /** What arrives at the screen: links that bring the same do not feed one screen twice. */
  brings: string
  /** The type of cable in which it runs. */
  cable: string
  /** How far it goes at most, mm, where neither the cable nor its maker says less. */
  farthest: number
  source: string
  /** What it needs at its ends. */
  ends?: string
}

/** Links that a source can feed screens by, beside the cables of the catalogue. */
export const LINK_KINDS: Record<string, LinkKind> = {
  'data': {
    title: 'data', brings: 'data', cable: 'data', farthest: 100_000, source: 'ISO/IEC 11801-1: channel of 100 m',
  },
  'usb-2': {
    title: 'USB 2.0', brings: 'usb', cable: 'usb', farthest: 5_000, source: 'USB 2.0: 5 m',
  },
  'usb-3': {
    title: 'USB 3, 5 Gbit/s', brings: 'usb', cable: 'usb', farthest: 3_000, source: 'USB 3: about 3 m, by loss',
  },
  'usb-extender': {
    title: 'USB over data cable', brings: 'usb', cable: 'data', farthest: 50_000,
    source: 'usual for such pairs; the maker’s figure decides', ends: 'transmitter and receiver',
  },
  'picture-extender': {
    title: 'picture over data cable', brings: 'picture', cable: 'data', farthest: 100_000,
    source: 'usual for such pairs; the maker’s figure decides', ends: 'transmitter and receiver',
  },
}

/** The type of cable in which something that a source carries runs. */
export const cableTypeOf = (carries: string): string => LINK_KINDS[carries]?.cable ?? carries
/** What arrives at a screen by it. */
export const broughtBy = (carries: string): string => LINK_KINDS[carries]?.brings ?? carries
