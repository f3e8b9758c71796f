import { dateText } from '../dates'
import { group, type Shape } from '../svg'
import type { Sheet } from './sheet'
import type { Paper } from './paper'
import { label } from './text'

/** What a sheet is of: a revision that was issued, when and by whom. */
export interface Issue {
  revision: string
  at: string
  by: string
  note?: string
  /** The time zone of the site, in which its day is told. */
  zone?: string
  /** The code of the log up to the entry that issued it. */
  head?: string
  /** That head as the server signed it, as a line. */
  proof?: string
}

/** How a print names what it is of, for its head. */
export const issueLine = (issue: Issue | undefined): string =>
  issue
    ? [
        `Revision ${issue.revision}`,
        `issued ${dateText(issue.at, issue.zone ?? 'UTC')} by ${issue.by}`,
        ...(issue.head === undefined ? [] : [`log ${issue.head}`]),
      ].join(' · ')
    : 'Draft: not issued'

/** DRAFT across a page, beneath what is drawn there; nothing on what was issued. */
export function draftAcross(issue: Issue | undefined, { width, height }: Paper): Shape | string {
  const size = Math.min(width / 3.2, height / 2)
  return issue
    ? ''
    : label('DRAFT', width / 2, height / 2 + size / 3, size, {
        'text-anchor': 'middle',
        'font-weight': 600,
        'fill': '#ece4d4',
      })
}

/** A sheet with what it is of at the head of every page, and DRAFT across what was not issued. */
export const stamped = ({ pages, paper }: Sheet, issue: Issue | undefined): Sheet => ({
  paper,
  pages: pages.map(page =>
    group(
      {},
      draftAcross(issue, paper),
      page,
      label(issueLine(issue), paper.width - paper.margin, paper.margin - 1, 2.6, {
        'text-anchor': 'end',
        'font-weight': 600,
      }),
    ),
  ),
})
