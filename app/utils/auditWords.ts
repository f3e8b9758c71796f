/** What lines of the audit are called on the screen. */
export const AUDIT_WORDS: Record<string, string> = {
  'firm-begun': 'firm created', 'settings': 'firm settings', 'signed-in': 'signed in', 'signed-out': 'signed out', 'sign-in-failed': 'sign-in failed', 'session-ended': 'session revoked',
  'invited': 'invited', 'invitation-ended': 'invitation revoked', 'joined': 'joined', 'role': 'role changed', 'removed': 'removed', 'reset': 'password reset link created', 'password': 'password set',
  'passkey': 'passkey added', 'passkey-removed': 'passkey removed', 'export': 'site exported', 'link-made': 'client link created', 'link-ended': 'client link revoked',
  'rules': 'house rules changed', 'contacts': 'contacts changed', 'file-added': 'file added', 'file-removed': 'file deleted', 'place': 'site access changed', 'programme': 'programme changed', 'published': 'programme published', 'calendar-made': 'calendar link created', 'calendar-ended': 'calendar link revoked', 'catalogue': 'catalogue changed', 'entry-accepted': 'entry accepted', 'entry-declined': 'entry declined',
}
