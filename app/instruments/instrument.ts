import type { TypedReading } from '~~/core/survey'

/** What a measuring instrument sends: a length along the wall, or a reading of what is behind it. */
export type InstrumentEvent = { kind: 'length', mm: number } | { kind: 'reading', reading: Omit<TypedReading, 'y'> }

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
