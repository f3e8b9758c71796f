import { MOUNT_KIND_NAMES, MOUNT_KINDS } from '../mount/kinds'

/** Answers of a job file that do not read as words once their hyphens are spaces. */
const NAMES: Record<string, string> = {
  ...Object.fromEntries(MOUNT_KIND_NAMES.map(kind => [kind, MOUNT_KINDS[kind].title])),
  'gypsum-board': 'plasterboard/drywall', 'lath-plaster': 'lath and plaster', 'osb': 'OSB', 'stone': 'stone facing',
  'pass-through': 'pass-through',
  'portrait-cw': 'portrait, top right', 'portrait-ccw': 'portrait, top left', 'inverted': 'upside down',
  'kit-upper': 'kit, upper box', 'kit-lower': 'kit, lower box', 'floor': 'floor outlet', 'power': 'power',
  'self-drilling': 'self-drilling screw', 'hollow-wall-anchor': 'hollow-wall anchor',
  'face-down': 'face down where its maker allows it', 'hdmi': 'HDMI', 'usb': 'USB',
}

/**
 * What one of a field's answers is called on a screen or sheet.
 *
 * @example
 * choiceName('wood-stud') // 'wood stud'
 * choiceName('portrait-cw') // 'portrait, top right'
 */
export const choiceName = (choice: string): string => NAMES[choice] ?? choice.replaceAll('-', ' ')
