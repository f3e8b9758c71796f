import type { UnitSystem } from '../units'
import { group, type Shape } from '../svg'
import type { Sheet } from './sheet'
import type { Paper } from './paper'
import { label } from './text'

/** What a sheet is of: a revision that was issued, when and by whom. */
export interface Issue { revision: string, at: string, by: string, note?: string }

/** How a print names what it is of, for its head. */
export const issueLine = (issue: Issue | undefined, units: UnitSystem): string => issue ? `Revision ${issue.revision} · issued ${dayOf(issue.at, units)} by ${issue.by}` : 'Draft: not issued'

/** A day as people of a unit write it. */
export const dayOf = (at: string, units: UnitSystem): string => {
  const [year = '', month = '', day = ''] = at.slice(0, 10).split('-')
  return units === 'metric' ? `${day}.${month}.${year}` : `${month}/${day}/${year}`
}

/** DRAFT across a page, beneath what is drawn there; nothing on what was issued. */
export function draftAcross(issue: Issue | undefined, { width, height }: Paper): Shape | string {
  const size = Math.min(width / 3.2, height / 2)
  return issue ? '' : label('DRAFT', width / 2, height / 2 + size / 3, size, { 'text-anchor': 'middle', 'font-weight': 600, 'fill': '#ece4d4' })
}

/** A sheet with what it is of at the head of every page, and DRAFT across what was not issued. */
export const stamped = ({ pages, paper }: Sheet, issue: Issue | undefined, units: UnitSystem): Sheet => ({
  paper, pages: pages.map(page => group({}, draftAcross(issue, paper), page, label(issueLine(issue, units), paper.width - paper.margin, paper.margin - 1, 2.6, { 'text-anchor': 'end', 'font-weight': 600 }))),
})
