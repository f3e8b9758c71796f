/** What lines of the audit are called on the screen. */
export const AUDIT_WORDS: Record<string, string> = {
  'firm-begun': 'firm begun', 'settings': 'firm settings', 'signed-in': 'signed in', 'signed-out': 'signed out', 'sign-in-failed': 'sign-in failed', 'session-ended': 'session ended',
  'invited': 'invited', 'invitation-ended': 'invitation taken back', 'joined': 'came in', 'role': 'role changed', 'removed': 'removed', 'reset': 'link for a new password', 'password': 'password set',
  'passkey': 'passkey added', 'passkey-removed': 'passkey removed', 'export': 'site saved as a file', 'link-made': 'client’s link made', 'link-ended': 'client’s link taken back',
  'rules': 'house rules changed', 'contacts': 'contacts changed', 'file-added': 'file added', 'file-removed': 'file taken away', 'place': 'site’s place and windows changed', 'programme': 'programme changed', 'published': 'programme published', 'calendar-made': 'calendar’s address made', 'calendar-ended': 'calendar ended', 'catalogue': 'catalogue changed', 'entry-accepted': 'entry taken into the log', 'entry-declined': 'entry declined',
}
