import type { TypedReading } from '~~/core/survey'
import type { End } from '~~/core/true'

/**
 * What a measuring instrument sends: a length along the wall, a reading of what is behind it, a gap or a step at the
 * end of a seam, or how far a case is out of level.
 */
export type InstrumentEvent
  = | { kind: 'length', mm: number }
    | { kind: 'reading', reading: Omit<TypedReading, 'y'> }
    | { kind: 'gap' | 'step', mm: number }
    | { kind: 'roll', mmPerM: number }

/**
 * Anything that measures and can be listened to. A real device implements this over its own radio
 * or cable; the practice ones in this folder are stand-ins that ship with the application.
 */
export interface Instrument {
  id: string
  name: string
  connect: () => Promise<void>
  disconnect: () => Promise<void>
  /** Tells each measurement as it comes; returns how to stop listening. */
  listen: (heard: (event: InstrumentEvent) => void) => () => void
}

/** A stand-in: held against the wall by pointing at the elevation, mm. */
export interface PracticeInstrument extends Instrument { holdAt: (x: number) => void }

/** Where a gauge is held at a seam, or a level at a screen. */
export type HeldAtScreens = { between: [string, string], end: End } | { screen: string }

/** A stand-in that is held at a seam or at a screen. */
export interface PracticeGauge extends Instrument { holdAt: (place: HeldAtScreens) => void }

/** Those who listen to an instrument. */
export class Listeners {
  private readonly all = new Set<(event: InstrumentEvent) => void>()

  listen = (heard: (event: InstrumentEvent) => void) => {
    this.all.add(heard)
    return () => this.all.delete(heard)
  }

  tell(event: InstrumentEvent) {
    for (const heard of this.all) heard(event)
  }
}
