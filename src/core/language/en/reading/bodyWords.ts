import type { Amount, BodyPart, Relation, Spot, Thing, Way } from '../../instruction'

/** English words for the parts of the body, for places, ways and amounts. Common practice, no source. */

/** `one | many`: the words for one of a part, then those for both or all of it. */
const PARTS: Record<BodyPart, string> = {
  foot: 'foot, sole, arch, instep, arch of the foot, ball of the foot, top of the foot, sole of the foot, outer edge of the foot, inner edge of the foot, edge of the foot | feet, stance, soles, arches, insteps, soles of the feet, tops of the feet, balls of the feet, edges of the feet, outer edges of the feet, inner edges of the feet',
  toes: 'toe, big toe, little toe, big toe mound, toe mound, ball of the big toe, second toe, toenail | toes, big toes, toe mounds, big toe mounds, little toes, toenails, toe tips, tips of the toes',
  heel: 'heel | heels',
  ankle: 'ankle | ankles',
  shin: 'shin, calf, shinbone, shank, lower leg | shins, calves, shinbones, lower legs',
  knee: 'knee, kneecap, back of the knee | knees, kneecaps, backs of the knees, knee joints',
  thigh:
    'thigh, thighbone, inner thigh, outer thigh, upper leg, hamstring, quad, front of the thigh, back of the thigh | thighs, thighbones, inner thighs, outer thighs, upper legs, hamstrings, quads, fronts of the thighs, backs of the thighs',
  leg: 'leg, back of the leg | legs, backs of the legs, inner legs, outer legs',
  hip: 'hip, hip joint, hip crease, groin, hip bone, hipbone, hip point, outer hip, buttock, side of the hip | hips, hip joints, hip creases, groins, hip bones, hipbones, hip points, outer hips, buttocks',
  pelvis:
    'pelvis, tailbone, sacrum, pubic bone, pelvic floor, seat, bottom, bum, pelvic bowl, coccyx, pubis, sit bone, sitting bone | sit bones, sitting bones',
  'low back':
    'low back, lower back, lumbar spine, waist, navel, belly, abdomen, lower belly, low belly, belly button, stomach, abs, lower abdomen, sides of the waist, core, lumbar |',
  ribs: 'rib, rib cage, ribcage, side body, upper back, middle back, mid back, middle of the back, thoracic spine, side of the ribs, rib side, side of the chest | ribs, lower ribs, front ribs, side ribs, back ribs, low ribs, upper ribs, bottom ribs, floating ribs',
  chest:
    'chest, front, breastbone, breast bone, sternum, heart, heart center, heart centre, front of the chest, top of the chest, upper chest, heart space |',
  spine:
    'spine, back, whole back, whole spine, trunk, torso, upper body, back body, backbone, front body, long back, vertebrae |',
  shoulder:
    'shoulder, shoulder blade, shoulderblade, collarbone, collar bone, armpit, top of the shoulder, shoulder head, shoulder joint | shoulders, shoulder blades, shoulderblades, collarbones, collar bones, armpits, tops of the shoulders, shoulder heads, upper shoulders',
  arm: 'arm, upper arm, inner arm, outer arm, straight arm, upper arm bone | arms, upper arms, inner arms, outer arms, straight arms, upper arm bones',
  elbow: 'elbow, elbow crease | elbows, elbow creases',
  forearm:
    'forearm, fore-arm, lower arm, inner forearm | forearms, fore-arms, lower arms, inner forearms',
  wrist: 'wrist | wrists',
  hand: 'hand, palm, fist, heel of the hand, back of the hand, palm of the hand, base of the hand | hands, palms, fists, heels of the hands, backs of the hands, palms of the hands, bases of the hands',
  fingers:
    'finger, fingertip, thumb, index finger, middle finger, ring finger, little finger, knuckle, pinky | fingers, fingertips, finger tips, thumbs, index fingers, knuckles, ring fingers, middle fingers, little fingers',
  neck: 'neck, back of the neck, nape, throat, sides of the neck, front of the throat, nape of the neck |',
  head: 'head, crown, crown of the head, top of the head, back of the head, forehead, ear, cheek, face, brow, temple, jaw, skull, third eye | ears, cheeks, temples',
  chin: 'chin |',
  gaze: 'gaze, eye, look | eyes, eyeballs',
  'whole body':
    'body, whole body, weight, body weight, bodyweight, yourself, the weight of the body |',
}

export interface PartWord {
  part: BodyPart
  many: boolean
}

/** Every word for a part, as it is looked up. */
export const PART_WORDS: ReadonlyMap<string, PartWord> = new Map(
  Object.entries(PARTS).flatMap(([part, words]) =>
    words.split('|').flatMap((list, i) =>
      list
        .split(',')
        .map((word) => word.trim())
        .filter(Boolean)
        .map((word): [string, PartWord] => [word, { part: part as BodyPart, many: i === 1 }])
    )
  )
)

/** By part, the words for it that tell a finer place. */
const SPOT_WORDS: Partial<Record<BodyPart, readonly [spot: Spot, words: RegExp][]>> = {
  foot: [['sole', /^soles?(?: of|$)/]],
  fingers: [['fingers', /./]],
  head: [
    ['ear', /^(?:ear|cheek|temple)s?$/],
    ['crown', /crown|top/],
    ['forehead', /forehead|brow|eye/],
  ],
  chin: [['chin', /./]],
  gaze: [['forehead', /eye/]],
  chest: [['breastbone', /^(?!chest$)/]],
  'low back': [
    ['waist', /waist/],
    ['belly', /navel|belly|abdom|stomach|abs|core/],
  ],
  'whole body': [['hands and knees', /hands|fours|table/]],
}

/** The finer place that a word for a part tells; null when it means the whole part. */
export const spotOf = (part: BodyPart, word: string): Spot | null =>
  SPOT_WORDS[part]?.find(([, words]) => words.test(word))?.[0] ?? null

/** What words for an amount say of it, beside its number. */
export const amountSays = (words: string): Pick<Amount, 'further' | 'narrow'> => ({
  ...(/deep|furth|farth/.test(words) ? { further: true } : {}),
  ...(/hip|fist|hand|shoulder/.test(words) ? { narrow: true } : {}),
})

export const THING_WORDS: Record<Thing, string> = {
  floor: 'floor, ground, earth, mat beneath you, mat below',
  ceiling: 'ceiling, sky, roof',
  wall: 'wall',
  chair: 'chair, chair seat, seat of the chair, back of the chair, stool, chair back',
  block: 'block, brick, blocks, bricks',
  bolster: 'bolster, cushion, pillow',
  blanket:
    'blanket, folded blanket, blankets, blanket roll, rolled blanket, pad, folded mat, towel',
  strap: 'strap, belt, loop of the strap',
  mat: 'mat, middle of the mat, center of the mat, centre of the mat, middle of your mat',
  'front of the mat':
    'front of the mat, front edge of the mat, top of the mat, front edge, front of your mat, top of your mat',
  'back of the mat': 'back of the mat, back edge of the mat, back edge, back of your mat',
  'short edge':
    'short edge, short edge of the mat, short side, short side of the mat, short end of the mat',
  'long edge': 'long edge, long edge of the mat, long side, long side of the mat, side of the room',
  side: 'side, sides, either side, side of the mat, sides of the mat',
  you: 'you, yourself, the body, your body',
}

export const WAY_WORDS: Record<Way, string> = {
  up: 'up, upward, upwards, overhead, over your head, above your head, above the head, over the head, skyward, skywards, up high, straight up, all the way up, upright',
  down: 'down, downward, downwards, all the way down, straight down, heavy, heavily, heavier',
  forward:
    'forward, forwards, ahead, to the front, straight ahead, in front, forth, straight forward',
  back: 'back, backward, backwards, rearward, straight back, further back, behind',
  out: 'out, outward, outwards, out to the side, to the side, to the sides, out to the sides, sideways, sideward, to either side, out wide, wide, wider, open, externally, away',
  in: 'in, inward, inwards, inside, internally, narrow, closer, close, in close',
  left: '',
  right: '',
  middle:
    'to center, to centre, to the center, to the centre, to the middle, back to center, back to centre, back to the center, back to the centre, back to the middle, to the midline, toward the midline, towards the midline, through center, to neutral, back to neutral',
  together:
    'in prayer, in prayer position, into each other, to face each other, facing each other, together, touching, to touch, to meet, close together, side by side',
  apart:
    'apart, wide apart, far apart, well apart, away from each other, away from one another, hip-width, hip width, hip-distance, hip distance, hip-width apart, hip width apart, hip-distance apart, hip distance apart, shoulder-width, shoulder-width apart, shoulder width apart, shoulder-distance apart, mat-width apart',
  long: 'long, tall, taller, longer, lengthened',
  level:
    'level, parallel, horizontal, horizontally, even, square, evenly, flat, parallel to the floor, parallel to the ground, parallel with the floor, level with the floor, parallel with the ground',
  straight: 'straight, extended, outstretched, fully straight, stretched',
  bent: 'bent, folded, deeply bent',
  under: 'under, underneath, tucked, tucked under, curled under, underneath you, under you',
  high: 'high, lifted, raised, higher',
  low: 'low, lower, lowered',
  soft: 'soft, softly bent, relaxed, loose, easy, at ease, slack, light, lightly bent, softer',
  still:
    'still, steady, quiet, stable, firm, where it is, in place, where they are, fixed, strong, active, engaged, awake',
  round: 'round, rounded',
  crossed: 'crossed, cross-legged',
}

export const RELATION_WORDS: Record<Relation, string> = {
  on: 'on, onto, upon, on to, on top of, into, against, in',
  to: 'to, toward, towards, down to, up to, back to, for, out to, at, in to, forward to, all the way to, as far as, down the, up the, forward towards, back towards, up towards, down towards, up toward, down toward, back toward, forward toward, close to, closer to, near, onto the front of',
  over: 'over, above, directly over, right over, directly above, across',
  under: 'under, underneath, beneath, below, directly under, directly below, right under, in under',
  behind: 'behind, in back of',
  'in front of': 'in front of, ahead of',
  beside: 'beside, next to, alongside, by, by the side of, at the side of, to the side of',
  outside: 'outside, to the outside of, on the outside of, outside of, wider than',
  inside: 'inside, to the inside of, on the inside of, inside of, within',
  between: 'between, in between',
  against: '',
  from: 'from, away from, off, out of, clear of, up from, down from, up off, off of, back from, forward from, further from',
  past: 'past, beyond, by way of',
  'in line with': 'in line with, in one line with, aligned with, lined up with, in a line with',
  'level with':
    'level with, at the height of, even with, as high as, to the height of, in level with, at the level of',
  'parallel to': 'parallel to, parallel with',
  around: 'around, round, about',
  through: 'through, down through, up through, out through',
  along: 'along, down, up, down along, up along, halfway up, halfway down',
  with: 'with',
}

/** Words that say how much. */
export const AMOUNT_WORDS =
  "a little, a bit, slightly, a touch, an inch, a few inches, halfway, half way, half-way, a hand's width, a hand's breadth, a fist's width, a finger's width, two fists, two fists apart, a fist apart, a leg length, a leg's length, one leg length, as far as you can, as far as is comfortable, a foot's length, one foot's length, a few centimetres, a few centimeters, a step, a big step, deeper, deeply, further, farther, more, a little more, a little further, a little deeper, slightly more, most of the way, all the way, fully, completely, almost, one third, a hand width, a fist width, a foot apart, about a leg length, three feet, four feet, an arm's length, one inch, two inches, a little way, far, very far, quite far, far enough, a long way, well"

/** Words that say how, and move nothing. */
export const MANNER_WORDS =
  'barefoot, slow, gentle, soft, smooth, steady, careful, with control, with ease, with care, at once, at the same time, one by one, one at a time, bone by bone, vertebra by vertebra, again, once more, now, first, last, next, simply, just, actively, with strength, without hurry, without haste, in one movement, in one breath, together with the breath, heel and toe, heel-toe, in small steps, as one, in turn, even more, too, also, as well, evenly, with the breath, by itself, by themselves, easily, still more, then, finally, instead, lightly, straight away, bit by bit, joint by joint, without force, without strain, inch by inch, from there, from here, on the way, please, maybe, perhaps, only, fully relaxed, a second time, one more time, this time'
