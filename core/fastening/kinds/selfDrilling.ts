import type { FastenerKind } from './kind'

/** Drills and threads its own hole in sheet steel. */
export const selfDrilling: FastenerKind = { needs: {}, cutsSteel: true, drillsItself: true }
