import type { SiteState } from '../../core/api/sites'
import { eq } from 'drizzle-orm'
import { siteFaults, type Site } from '../../core/job'
import type { Database } from '../database/perDatabase'
import { sites } from '../database/schema'
import { apiError, notFound, validationError } from '../utils/apiError'
import { readSite } from './sites'
import { siteDocument, siteRow } from './siteRows'

type SiteFile = NonNullable<Site['files']>[number]

function changeFiles(db: Database, id: string, change: (files: SiteFile[]) => SiteFile[]): SiteState {
  db.transaction(() => {
    const row = siteRow(db, id)
    const document = siteDocument(db, row)
    const { files: before = [], ...rest } = document.site
    const files = change(before)
    const site: Site = files.length > 0 ? { ...rest, files } : rest
    const faults = siteFaults(site)
    if (faults.length > 0) throw validationError(faults)
    db.update(sites)
      .set({ document: JSON.stringify({ ...document, site }), version: row.version + 1 })
      .where(eq(sites.key, row.key))
      .run()
  }, { behavior: 'immediate' })
  return readSite(db, id)
}

/** A name that no other file has: “Permit.pdf” is “Permit (2).pdf” where there is one. */
function freeName(name: string, taken: string[]): string {
  const [, stem, ending] = /^(.*?)(\.[^.]*)?$/s.exec(name)!
  for (let n = 2; ; n++) {
    const free = `${stem} (${n})${ending ?? ''}`
    if (!taken.includes(free)) return free
  }
}

/**
 * Adds a file that is kept to what a site names.
 *
 * @throws 409 where it is there already, whatever it is called; 422 where its name is none, or the site has too many
 */
export const addFile = (db: Database, id: string, added: SiteFile): SiteState => changeFiles(db, id, (files) => {
  const same = files.find(({ file }) => file === added.file)
  if (same) throw apiError(409, 'file-exists', `This file is already here, as “${same.name}”.`)
  const taken = files.map(({ name }) => name)
  return [...files, { ...added, name: taken.includes(added.name) ? freeName(added.name, taken) : added.name }]
})

/** Takes a file out of what a site names. @throws 404 */
export function removeFile(db: Database, id: string, file: string): { name: string, saved: SiteState } {
  const name = siteDocument(db, siteRow(db, id)).site.files?.find(each => each.file === file)?.name
  if (name === undefined) throw notFound('this file')
  return { name, saved: changeFiles(db, id, files => files.filter(each => each.file !== file)) }
}
