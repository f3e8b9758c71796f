import type { InferType } from 'yup'
import { displaySchema } from './display'
import { fastenerSchema, screwKitSchema } from './fastener'
import { group, list, must } from './fields'
import { LIMITS } from './limits'
import { mountSchema } from './mount'
import { boxModelSchema, cableModelSchema } from './wire'

/** The models that a site's walls use. A model that replaces an older one is an entry of its own. */
export const catalogueSchema = group(
  {
    displays: must(list(displaySchema, LIMITS.models)),
    mounts: must(list(mountSchema, LIMITS.models)),
    fasteners: must(list(fastenerSchema, LIMITS.models)),
    screwKits: list(screwKitSchema, LIMITS.models),
    boxes: list(boxModelSchema, LIMITS.models),
    cables: list(cableModelSchema, LIMITS.models),
  },
  'Models used by the walls',
)
export type Catalogue = InferType<typeof catalogueSchema>
