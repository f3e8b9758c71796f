import type { InferType } from 'yup'
import { extent, flag, group, must, name, oneOf } from './fields'

export const siteSchema = group({ id: name().matches(/^[a-z0-9][a-z0-9-]*$/, 'must be small letters, figures and hyphens'), name: name(), units: must(oneOf(['metric', 'imperial'])) })
export type Site = InferType<typeof siteSchema>

/** House rules as chosen by the firm; a key that is absent takes its default. */
export const rulesSchema = group({
  heightDatum: oneOf(['bottom-edge', 'top-row-centre'], 'What heights are measured from'),
  proofOfFraming: oneOf(['two-kinds', 'one-sign'], 'What proves a member: two signs of different kinds or one probe, or any one sign'),
  hollowWallAnchors: oneOf(['never', 'supplement', 'counted'], 'Anchors that hold in the covering alone'),
  coveringCountsAsGap: flag('Whether the covering under a plate weakens the screw in shear'),
  furring: oneOf(['through', 'into-furring'], 'Whether plates over furring are fixed through into the block, or into the furring alone'),
  blockJoints: oneOf(['keep-clear', 'anywhere-under-timber'], 'Whether anchors in block keep clear of joints even where timber lies over them'),
  markingSigma: extent('Standard deviation of one tape measurement'),
})
export type Rules = InferType<typeof rulesSchema>
