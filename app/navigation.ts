import type { Action } from '~~/core/people'

/** Where a page is offered: in the menu of whoever is signed in, on the bar of the programme, in the palette alone. */
export type OfferedIn = 'account' | 'programme' | 'palette'

/** A page that is reached from everywhere: its title, its address, who may see it, and where it is offered. */
export interface PageLink {
  title: string
  to: string
  /** What a person must be allowed to do to see it; absent for everybody who is signed in. */
  needs?: Action
  /** Whoever is allowed to do this has it under another title. */
  unless?: Action
  offered: OfferedIn
  /** Keys that lead there. */
  keys?: string[]
}

/** All pages but those of a site and of a wall, which have the stages; all of them are in the palette. */
export const PAGES: PageLink[] = [
  { title: 'All sites', to: '/', offered: 'palette', keys: ['s'] },
  { title: 'Schedule', to: '/programme', needs: 'programme.plan', offered: 'programme' },
  { title: 'Week', to: '/programme/week', needs: 'programme.read', offered: 'programme' },
  { title: 'Day sheet', to: '/programme/day', needs: 'programme.plan', offered: 'programme' },
  { title: 'My day', to: '/programme/day', needs: 'programme.read', unless: 'programme.plan', offered: 'programme' },
  { title: 'Stock and vans', to: '/programme/stock', needs: 'programme.read', offered: 'programme' },
  { title: 'Lessons learned', to: '/programme/learned', needs: 'programme.plan', offered: 'programme' },
  { title: 'Crews and hours', to: '/programme/crews', needs: 'programme.plan', offered: 'programme' },
  { title: 'Catalogue', to: '/catalogue', offered: 'palette' },
  { title: 'House rules of the firm', to: '/rules', offered: 'palette' },
  { title: 'Your account', to: '/account', needs: 'account', offered: 'account' },
  { title: 'People', to: '/people', needs: 'people.manage', offered: 'account' },
  { title: 'Audit log', to: '/audit', needs: 'audit.read', offered: 'account' },
]

/** The pages that a person may see, of one place or of all. */
export function pagesFor(may: (action: Action) => boolean, offered?: OfferedIn): PageLink[] {
  const here = PAGES.filter(page => offered === undefined || page.offered === offered)
  return here.filter(({ needs, unless }) =>
    (needs === undefined || may(needs)) && (unless === undefined || !may(unless)))
}
