import type { Component } from 'vue'
import type { Stage } from '~~/core/finding'
import type { Rect } from '~~/core/geometry'
import type { Change } from '~~/core/hang'
import type { ArrayPlan } from '~~/core/mount'
import type { SeamDrawing } from '../drawing/seams'
import type { Tape } from '../drawing/useTape'
import type { DragOffset } from '../drawing/useDraftDrag'

/** How the drawing is while a stage is worked on: what it shows, and what a hand on it does. */
export interface Canvas {
  showPlates?: boolean
  /** Whether screens are only outlined, so that the structure is seen. */
  ghost?: boolean
  /** What can be dragged. */
  movable?: 'arrays' | 'members' | 'boxes'
  /** Whether a hand on the wall tells where something is, or draws a rectangle round it. */
  draws?: 'point' | 'rect'
  surveying?: boolean
  /** Whether the wall is seen through, with boxes and routes; or only what is cut and bored for them. */
  wiring?: boolean | 'cut'
  /** Marks that moved, from where they were. */
  moves?: Change['marks']
  /** Seams, drawn wider than they are. */
  seams?: SeamDrawing
  /** Id of the hole that is worked on. */
  current?: string
  /** What runs along the tape. */
  tape: Tape
  movingArray?: (array: ArrayPlan, by: DragOffset) => void
  movingMember?: (id: string, by: DragOffset) => void
  movingBox?: (id: string, by: DragOffset) => void
  moved?: () => void
  /** What stands in the place of the drawing just now. */
  inPlace?: Component
}

/** What a bench does with what a hand tells on the drawing, mm. */
export interface Bench { pointed?: (at: { x: number, y: number }) => void, drawn?: (rect: Rect) => void }

/** What a stage is called and what it is for. */
export interface StageName { id: Stage, title: string, does: string }

/** A stage as it is worked on. A new one is a folder with this in its `index.ts`, and a line in the list of stages. */
export interface StageRoom extends StageName {
  bench: Component
  /** What is listed below the drawing. */
  ledger: Component
  /** Fetches what sets up its drawing. */
  canvas: () => Promise<() => ComputedRef<Canvas>>
  /** Whether nothing is drawn but what was issued or is planned now, and never a plan that was kept. */
  onlyCurrent?: boolean
  /** What is fetched ahead, as there is often no signal at the wall. */
  parts: (() => Promise<unknown>)[]
}
