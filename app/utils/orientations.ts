import type { Orientation } from '~~/core/job'

/** What each way of hanging is called: by where the display's own top comes to lie. */
export const ORIENTATION_NAMES: Record<Orientation, string> = {
  'landscape': 'Landscape',
  'portrait-cw': 'Portrait, top right',
  'portrait-ccw': 'Portrait, top left',
  'inverted': 'Upside down',
}
