import type { Rules, Site } from '../job'

/** A site in the list of sites. */
export interface SiteSummary extends Site {
  walls: {
    id: string
    name: string
    width: number
    height: number
    structure: string
    savedAt: string
    savedBy: string
  }[]
}

/** What a site decides for all its walls, and which version of that it is. */
export interface SiteState { site: Site, rules: Rules, version: number, firm: Rules }

/** What the firm chose for all its sites, and which version of that it is; 0 while it has chosen nothing. */
export interface FirmState { rules: Rules, version: number }

/** A wall that is planned otherwise once rules are others, and whether something was issued of it. */
export interface TouchedWall { site: string, siteName: string, wall: string, name: string, issued: boolean }
