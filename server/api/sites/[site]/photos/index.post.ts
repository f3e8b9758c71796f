import { database, firmOf } from '../../../../accounts/access'
import { folderOfFirm } from '../../../../accounts/open'
import { LIMITS } from '../../../../../core/job'
import { keepPhoto } from '../../../../photos/photos'
import { siteRow } from '../../../../repositories/siteRows'
import { bodyBytes } from '../../../../utils/jsonBody'

/** Keeps a picture, sent as it is; answers with the name it is kept under. */
export default defineEventHandler(async (event) => {
  const { id } = siteRow(database(event), getRouterParam(event, 'site')!)
  const photo = await keepPhoto(
    folderOfFirm(firmOf(event)),
    id,
    await bodyBytes(event, LIMITS.photoBytes, 'A photo can have at most 15 MB; this one is larger.'),
  )
  setResponseStatus(event, 201)
  return { photo }
})
