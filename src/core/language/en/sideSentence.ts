import { wordSet } from './worded'

/** What English words are in a sentence about sides, so far as reading a side word asks it. */

export const BODY = wordSet(`
  foot feet leg legs knee knees hand hands arm arms hip hips heel heels toe toes thigh thighs shin
  shins calf calves ankle ankles shoulder shoulders elbow elbows wrist wrists palm palms finger
  fingers fingertip fingertips thumb thumbs ear ears eye eyes cheek cheeks temple jaw rib ribs
  ribcage waist waistline flank buttock buttocks glute glutes nostril nostrils lung lungs kidney
  armpit armpits collarbone collarbones forearm forearms fist fists groin groins hamstring
  hamstrings quad quads quadriceps knuckle knuckles sole soles arch arches instep kneecap kneecaps
  shoulderblade blade blades bone bones side sides half halves edge corner limb limbs hamstrings
  obliques femur sacrum pelvis chest breast brow temple nipple lobe forehead corners lunge lead
  turn twist bend lean spread foothold handhold neighbour neighbor wall`)

export const BODY_ADJECTIVES = wordSet(`
  big little ring index middle inner outer upper lower front back lead leading bent straight
  standing lifted top bottom rear sit sitting supporting long short free raised grounded extended
  crossed folded planted stretched working resting near far whole entire lateral medial second
  first fourth third other lengthened shortened heavier lighter stiffer tighter weaker stronger`)

export const DETERMINERS = wordSet(`
  the your their his her its my our a this that each other far near an either neither every one's another both any`)

export const PRONOUNS = wordSet(
  'it them you him her us me this that these those everything everyone themselves'
)
export const SUBJECTS = wordSet(`
  you we they i he she who it that you'd we'd they'd others people students teacher teachers`)
export const SELVES = wordSet(
  'yourself yourselves itself themselves oneself himself herself myself ourselves'
)

/** Verbs that take a direction: a side word that hangs on one names a side. */
export const TURNERS = wordSet(`
  turn turns turning turned twist twists twisting twisted rotate rotates rotating revolve revolves
  revolving pivot pivots pivoting spin spins swivel swivels lean leans leaning leant tilt tilts
  tilting shift shifts shifting sway sways swaying veer veers curve curves curving arc arcs incline
  face faces facing bend bends bending side-bend sidebend rock rocks rocking tip tips tipping lunge
  lunges lunging circle circles nod nods spiral spirals spiralling corkscrew wind winds windmill
  sidle slant slants pour pours`)

/** Verbs that take a direction, but go with "directly" as well. */
export const ROAMERS = wordSet(`
  roll rolls rolling look looks looking gaze gazes gazing glance glances swing swings swinging step
  steps stepping slide slides sliding move moves moving walk walks walking go goes going travel jump
  jumps hop hops crawl crawls drift drifts point points pointing head sweep sweeps reach reaches
  come comes coming cross crosses crossing start begin begins stretch stretches peek peer cast drop
  drops lower lowers open opens draw draws hang lead leads fold folds`)

/** Of these, the ones that are more often said of a place reached than of a direction. */
export const PLACERS = wordSet(
  'reach reaches go goes going come comes coming drop drops lower lowers open opens draw draws hang start begin begins stretch stretches fold folds'
)

/** What "right" before it makes "directly". */
export const SPACE_WORDS = wordSet(`
  through along down up back out off in into onto under underneath beneath below above over behind
  beside between next against around round across by near on inside outside alongside at to from
  toward towards within upon overhead forward forwards past among there here away where opposite
  close top underfoot`)
export const WHEN_WORDS = wordSet(
  'at on to from before after when as until till then while now with and once because if during'
)

/** What can be right as in correct. */
export const CORRECT_THINGS = wordSet(`
  place places spot amount amounts length distance height time moment word words order size track
  direction thing things choice answer kind sort number pace balance level tension effort intensity
  depth position conditions mix combination idea question support dose feeling alignment width
  angle tone pressure speed tempo version form shape variation prop props cue cues reason reasons
  person mood rung stance setup degree stretch point breath person props balance use fit note decision man woman teacher
  road path job attitude mindset frame approach method technique attention state intention company
  ones reading meaning term quantity proportion footing temperature surface room clothes clothing
  teacher guess diagnosis call response action sequence measure side-up`)

export const RESOURCES = wordSet(`
  breath breaths exhale exhales inhale inhales second seconds minute minutes count counts round
  rounds repeat repeats repetition repetitions time times room space air energy effort strength
  strap straps length lengths slack rope day days week weeks block blocks chance pose poses
  card cards more else work tension cloth mat reserve power movement`)

export const AMOUNTS = wordSet(`
  any some no much more enough little nothing anything something everything none few fewer less
  many plenty lots several still another half`)

/** How far one goes: "one step left" is a way, not what remains. */
export const MEASURED = wordSet(`
  step steps inch inches cm centimetre centimetres centimeter centimeters width widths degree degrees
  notch turn turns quarter pace paces`)
