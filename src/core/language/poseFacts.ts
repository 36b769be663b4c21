/** What a pose is, worked out from its figure, for words about it. */
export interface PoseFacts {
  /** What carries the body, and which parts rest on it, in the order of the figure. */
  contacts: { on: string; parts: string[] }[]
  /** Joints of the limbs that are bent by so many degrees. */
  bent: { joint: 'knee' | 'elbow' | 'hip'; left: number | null; right: number | null }[]
  /** How the trunk is tipped: degrees from upright, and which way. */
  trunk: { lean: number; way: 'upright' | 'forward' | 'back' | 'left' | 'right' | 'upside-down' }
  /** Bend and turn within the spine, in degrees; above 0 forward, and to the left. */
  spine: { bend: number; side: number; turn: number }
  /** Where each hand is. */
  hands: Record<'left' | 'right', 'up' | 'level' | 'down'>
  /** Turn of the head against the shoulders; above 0 to the left. */
  head: number
  view: 'front' | 'back' | 'left' | 'right'
  /** Limbs of which hardly anything is seen. */
  hidden: string[]
}
