import { readdirSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { may, type StaffRole } from '../core/people'
import { PAGES, pagesFor } from './navigation'

/** Pages that are reached otherwise: by a link, or before anybody is signed in. */
const OTHERWISE = ['/sign-in', '/begin']

describe('the table of pages', () => {
  it('has every page that has an address of its own, once', () => {
    const files = readdirSync('app/pages', { recursive: true, encoding: 'utf8' })
      .filter(file => file.endsWith('.vue') && !file.includes('['))
      .map(file => `/${file.replace(/(^|\/)index\.vue$/, '').replace('.vue', '')}`)
    expect([...new Set(PAGES.map(({ to }) => to)), ...OTHERWISE].sort()).toEqual(files.sort())
  })

  it('offers each person what he may see, in the menu, on the bar and in the palette', () => {
    const titles = (role: StaffRole, offered?: 'account' | 'programme') =>
      pagesFor(action => may({ role, sites: [] }, action), offered).map(({ title }) => title)
    expect(titles('crew', 'account')).toEqual(['Your account'])
    expect(titles('planner', 'account')).toEqual(['Your account', 'People', 'Audit log'])
    expect(titles('crew', 'programme')).toEqual(['Week', 'My day', 'Stock and vans'])
    // The day of one's own crew is called otherwise.
    expect(titles('planner')).toEqual(PAGES.map(({ title }) => title).filter(title => title !== 'My day'))
  })
})
