/** One kind of mount: all that is particular to it. */
export interface MountKind {
  /** What it is called on screens and sheets. */
  title: string
  /** How it is called where its screen stays at the wall: what is behind it is then out of reach. */
  staying: 'fixed' | 'tilting'
  /**
   * Whether its screen is pulled out in its place, straight towards the room: it is plugged in, turned and lifted off
   * there, and has to come out farther than it is stowed.
   */
  pullsOut: boolean
  /**
   * Whether its screen swings out on an arm: it then loads its plate to either side too, and its cables run through the
   * arm's channels.
   */
  swings: boolean
  /** What is set for the mass that it will carry, and cannot be reached with a screen on it. */
  setBefore?: string
}
