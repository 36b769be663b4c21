import { mirrorText, sideWords } from '../../../tests/support/english'

/** Lines of instruction and what they become; all of it written by hand. */

const lines = (text: string) =>
  text
    .trim()
    .split('\n')
    .map((line) => line.trim())

const SWAPPED = lines(`
  Turn right in the waist. | Turn left in the waist.
  Lean right onto the hand. | Lean left onto the hand.
  Shift right into the hip. | Shift left into the hip.
  Cross left over right. | Cross right over left.
  Place the right next to left. | Place the left next to right.
  Stack right next to left. | Stack left next to right.
  Find your left-right balance. | Find your right-left balance.
  Stack the knee right over the right ankle. | Stack the knee right over the left ankle.
  Point the foot to 9 o'clock. | Point the foot to 3 o'clock.
  Turn the toes to two o'clock. | Turn the toes to ten o'clock.
  Aim the knee at 1 o’clock. | Aim the knee at 11 o’clock.
  Turn left in the waist, not in the hips. | Turn right in the waist, not in the hips.
  Twist right from the ribs. | Twist left from the ribs.
  Tilt left over the thigh. | Tilt right over the thigh.
  Bring the hands right up beside the left foot. | Bring the hands right up beside the right foot.
  Set the left hand right beside the right foot. | Set the right hand right beside the left foot.
  Alright, take the left foot back. | Alright, take the right foot back.
  Everything is all right on the left side. | Everything is all right on the right side.
  Five left, five right. | Five right, five left.
  Three times left, then two times right. | Three times right, then two times left.
  One breath left, two on the left. | One breath right, two on the right.
  Two to the left, two to the right, one left. | Two to the right, two to the left, one right.
  Hold for four breaths right and four breaths left. | Hold for four breaths left and four breaths right.
  Five left, five right. | Five right, five left.
  Take two breaths on the left, two on the right. | Take two breaths on the right, two on the left.
  The front knee is left of the ankle. | The front knee is right of the ankle.
  Once the foot has left the mat, straighten the right knee. | Once the foot has left the mat, straighten the left knee.
  Left hand to right foot. | Right hand to left foot.
  Right elbow outside left knee. | Left elbow outside right knee.
  Right leads. | Left leads.
  Lead with the left. | Lead with the right.
  Begin on the right. | Begin on the left.
  Start to the left. | Start to the right.
  Lift the left, lower the right. | Lift the right, lower the left.
  Left leg up, right leg down. | Right leg up, left leg down.
  Left foot forward, right back. | Right foot forward, left back.
  Sway left and right. | Sway right and left.
  Rock from right to left. | Rock from left to right.
  Left, right, left, right, walk it out. | Right, left, right, left, walk it out.
  Neither left nor right leads. | Neither right nor left leads.
  Look over the right shoulder. | Look over the left shoulder.
  Turn the head right. | Turn the head left.
  Turn the head right as you breathe out. | Turn the head left as you breathe out.
  Roll onto the right side. | Roll onto the left side.
  Drop the knees left. | Drop the knees right.
  Drop both knees to the right. | Drop both knees to the left.
  Walk the hands to the left, then right. | Walk the hands to the right, then left.
  Slide the left heel in. | Slide the right heel in.
  Draw the right inner thigh back. | Draw the left inner thigh back.
  Lift the left outer ankle. | Lift the right outer ankle.
  Spin the right upper arm out. | Spin the left upper arm out.
  Press the left big toe down. | Press the right big toe down.
  Breathe into the left back ribs. | Breathe into the right back ribs.
  Weight on the right sit bone. | Weight on the left sit bone.
  Front foot right, back foot left. | Front foot left, back foot right.
  The left is longer. | The right is longer.
  Keep left hip over left heel. | Keep right hip over right heel.
  Make a right turn at the wall. | Make a left turn at the wall.
  Take a half turn left. | Take a half turn right.
  Stand at the left edge of the mat. | Stand at the right edge of the mat.
  Hold the strap in the right. | Hold the strap in the left.
  Interlace, left index finger on top. | Interlace, right index finger on top.
  Left over right, then change. | Right over left, then change.
  Wrap the right under the left. | Wrap the left under the right.
  Thread the left arm under the right. | Thread the right arm under the left.
  Hook left behind right. | Hook right behind left.
  Bend right at the waist. | Bend left at the waist.
  Bend to a right angle, left knee in front. | Bend to a right angle, right knee in front.
  The left-hand wall is yours. | The right-hand wall is yours.
  Left-leg lead first. | Right-leg lead first.
  A left-leaning head. | A right-leaning head.
  Right-angled elbows, left thumb in. | Right-angled elbows, right thumb in.
  Circle the arms clockwise. | Circle the arms counterclockwise.
  Shift left, pause, shift right. | Shift right, pause, shift left.
  If the right knee hurts, bend it. | If the left knee hurts, bend it.
  Move the left foot an inch to the right. | Move the right foot an inch to the left.
  Turn right, look left. | Turn left, look right.
  Twist to the right, gaze left. | Twist to the left, gaze right.
  From your right to your left. | From your left to your right.
  Bring your right to meet your left. | Bring your left to meet your right.
  Only one repeat left on the right side. | Only one repeat left on the left side.
  Ten seconds left, keep the left knee out. | Ten seconds left, keep the right knee out.
  Stack the shoulders, left above right. | Stack the shoulders, right above left.
  Rest the left on the right. | Rest the right on the left.
  Let the weight drift right. | Let the weight drift left.
  The hip drifts right as the knee bends. | The hip drifts left as the knee bends.
  Lean a little left. | Lean a little right.
  Slightly right of the centre line. | Slightly left of the centre line.
  Down and to the right. | Down and to the left.
  Up and left. | Up and right.
  Gaze up and right. | Gaze up and left.
  Left palm up, right palm down. | Right palm up, left palm down.
  Revolve right from the navel. | Revolve left from the navel.
  Turn right toward the wall. | Turn left toward the wall.
  Lean left into the block. | Lean right into the block.
  Bend left over the straight leg. | Bend right over the straight leg.
  Face right, toes to the short edge. | Face left, toes to the short edge.
  Shift right so the left heel is light. | Shift left so the right heel is light.
  Tip left until the hand lands. | Tip right until the hand lands.
  Twist left on the out-breath. | Twist right on the out-breath.
  Turn right with the chest, not the chin. | Turn left with the chest, not the chin.
  Pivot right on the back heel. | Pivot left on the back heel.
  Place right over left at the shins. | Place left over right at the shins.
  Set left in front of right. | Set right in front of left.
  Slide right past left. | Slide left past right.
  Put the left on top of the right. | Put the right on top of the left.
  Right beside left, feet parallel. | Left beside right, feet parallel.
  Keep right and left even. | Keep left and right even.
  Change left/right after five breaths. | Change right/left after five breaths.
  A right-to-left shift of weight. | A left-to-right shift of weight.
  The right–left difference is small. | The left–right difference is small.
  Keep the shin right above the left ankle. | Keep the shin right above the right ankle.
  Rest the elbow right on the left knee. | Rest the elbow right on the right knee.
  Tuck the heel right against the right thigh. | Tuck the heel right against the left thigh.
  Set it right behind the left heel. | Set it right behind the right heel.
  Right: other side. | Left: other side.
  That was easy, right? Now the left leg. | That was easy, right? Now the right leg.
  The card lies right side up, left foot beside it. | The card lies right side up, right foot beside it.
  Point the fingers to ten o'clock. | Point the fingers to two o'clock.
  From 12 o'clock sweep to 3 o'clock. | From 12 o'clock sweep to 9 o'clock.
  Lower the leg to 5 o’clock and lift to 1 o’clock. | Lower the leg to 7 o’clock and lift to 11 o’clock.
  Knees to 11 o'clock. | Knees to 1 o'clock.
  The teacher was right about the left heel. | The teacher was right about the right heel.
  Right yourself with the left hand. | Right yourself with the right hand.
  The left knee stays right where it is. | The right knee stays right where it is.
  Left knee bends, right straightens. | Right knee bends, left straightens.
  Left arm lifts while the right rests. | Right arm lifts while the left rests.
  Alternate left and right. | Alternate right and left.
  Either left or right may lead. | Either right or left may lead.
  Right first, then left. | Left first, then right.
  Left first. | Right first.
  Right last. | Left last.
  Repeat on the left. | Repeat on the right.
  Same on the right side. | Same on the left side.
  Move right. | Move left.
  Go left. | Go right.
  Look right. | Look left.
  Look to the left and up. | Look to the right and up.
  Eyes left, chest right. | Eyes right, chest left.
  Hips left, shoulders right. | Hips right, shoulders left.
  Knees fall left, head turns right. | Knees fall right, head turns left.
  Both knees right, both arms left. | Both knees left, both arms right.
  Swing the leg left, then right. | Swing the leg right, then left.
  Stretch the left side of the neck. | Stretch the right side of the neck.
  Weight left, then centre, then right. | Weight right, then centre, then left.
  The pelvis is left of the midline. | The pelvis is right of the midline.
  Two fingers left of the navel. | Two fingers right of the navel.
  A hand's width to the right of the hip. | A hand's width to the left of the hip.
  Left hip is higher than the right. | Right hip is higher than the left.
  Left is longer than right. | Right is longer than left.
  Compare right with left. | Compare left with right.
  Compare the left with the right. | Compare the right with the left.
  The left one is tighter. | The right one is tighter.
  Take hold of the right one with the left. | Take hold of the left one with the right.
  Close the left nostril. | Close the right nostril.
  With the right hand, hold the left elbow. | With the left hand, hold the right elbow.
  Clasp the left wrist with the right hand. | Clasp the right wrist with the left hand.
  Grip left wrist in right hand. | Grip right wrist in left hand.
  Stay on the right until the breath is even. | Stay on the left until the breath is even.
  Drop left. | Drop right.
  On the left, bend less. | On the right, bend less.
  Not the right hip, the left. | Not the left hip, the right.
  Your left, not mine. | Your right, not mine.
  My right is your left. | My left is your right.
  A left twist follows the right one. | A right twist follows the left one.
  Lie on the right side of the mat. | Lie on the left side of the mat.
  Leave the left where it is. | Leave the right where it is.
  What the right does, the left undoes. | What the left does, the right undoes.
  Lunge left. | Lunge right.
  Lunge right until the knee stacks. | Lunge left until the knee stacks.
  Side bend left in one plane. | Side bend right in one plane.
  Do it on the left as well. | Do it on the right as well.
  Once right, once left. | Once left, once right.
  Twice to the left. | Twice to the right.
  From the right hand right up to the shoulder. | From the left hand right up to the shoulder.
  Right up to the armpit, the left arm is heavy. | Right up to the armpit, the right arm is heavy.
  Take one step left. | Take one step right.
  Take two small steps left. | Take two small steps right.
  Move an inch left. | Move an inch right.
  Turn a quarter left. | Turn a quarter right.
  Two more on the left. | Two more on the right.
  Keep three breaths on the right, three on the left. | Keep three breaths on the left, three on the right.
  One breath left side, one breath right side. | One breath right side, one breath left side.
`)

const STAYING = lines(`
  Breathe right into the low back.
  Place it right under the shoulder.
  Right, now sweep the arms up.
  Right, let us go on.
  You can feel that, right?
  It opens the chest, right?
  Three left, two left, one left.
  Is there any room left?
  Left to itself, the shoulder creeps up.
  Left to themselves, the toes grip.
  Put the block where you left it.
  Go back to where you left the strap.
  It is your right to stop at any time.
  You have every right to rest.
  Tuck the left-over strap away.
  Keep the block right-side-up.
  Face 12 o'clock.
  The class begins at 9 o'clock in the morning.
  Lean right back into the wall.
  Sit right down on the heels.
  Sink right into the hips.
  Press right through the heel.
  Reach right up through the fingertips.
  Step right up to the wall.
  Hands right beside the feet.
  Keep the hip right above the knee.
  Stay right there.
  Right there, pause.
  Stop right before it hurts.
  Come out right when the breath catches.
  Go right to the end of the breath.
  Right at the top, pause.
  Right as you land, soften the knees.
  It feels just right.
  That is about right.
  Not quite right yet? Take a block.
  If it does not feel right, come out.
  The right amount of effort is little.
  Choose the right rung for today.
  Pick the right block height.
  Do what is right for your body.
  Get the breath right first.
  Get it right slowly.
  All right, and up.
  Two breaths left.
  One left, three left.
  How many breaths left, right?
  Two more rounds left, one round left, done.
  One more round left.
  With the breath you have left, lengthen.
  What strength is left goes into the legs.
  No slack should be left in the strap.
  Leave nothing left undone.
  There is space left between the ribs.
  How many breaths are left?
  The arm is left free.
  Let the hand be left where it is.
  As the heel left the floor, the hip rose.
  You left the back hand behind.
  Elbows at right angles.
  Stay upright, right to the crown.
  Lengthen right out through the fingers.
  The breath moves right down into the belly.
  Fold right over the legs.
  Let the head hang right down.
  Roll right over onto the back.
  Open the chest right across.
  Wrap the strap right around the foot.
  Lower right down to the floor.
  Pull the shoulder right back.
  Fold the blanket the right way round.
  The strap hangs the right way up.
  Right after the stay, rest.
  Right from the start, lengthen.
  Stand right next to the wall.
  Stand right at the back of the mat.
  Sit right on the edge of the chair.
  Keep the chin right in.
  Come right off the heels.
  Right under the knee, set a block.
  A block stands right where the hand lands.
  Who left the strap here?
  Nothing is left to hold.
  Soften what is left of the grip.
  Half the breath is left.
  Right then, come up.
  OK, right, switch the legs.
  Is that right?
  Your right to rest comes first.
  The right to say no is theirs.
  Do not feel left out.
  Left alone, the ribs flare.
  Left unsupported, the head drops.
  With little room left, bend the knee.
  Use the last of the air left in the chest.
  There are two poses left before rest.
  Right side up, the blanket is smooth.
  Send the breath right to the back ribs.
  Breathe right down to the floor of the pelvis.
  Draw it right in.
  Bring them right under the hips.
  The block goes right beneath the sacrum.
  Place your hands right beneath your shoulders.
  Hold the strap right at the end.
  Right, next pose.
  Right. Now the other side.
  So, right, we begin.
  Feels steady, right?
  You have three rounds left, two rounds left, one round left.
  Four, three, two left.
  Just one left.
  Is any breath left in you?
  If there is time left, repeat.
  If any length is left, reach.
  Take whatever room is left.
  When you have nothing left, come down.
  Left to its own devices, the knee rolls in.
  The knee, left to itself, falls in.
  Find the mat you left by the wall.
  They left the blocks by the door.
  Take up the pose where you left it.
  We left off at the hips.
  The strap you left behind will do.
  I left the chair out.
  Your right to refuse touch comes first.
  Every student has a right to say no.
  You have the right to stop.
  It is within your right to ask.
  Fold up the leftover blanket.
  Use the left-over length of the strap.
  Set the bolster right-side up.
  Turn the blanket right side up.
  We meet at 7 o'clock in the evening.
  Nothing after 6 o'clock.
  Do not lie down right after a meal.
  Take the pressure right off.
  Exhale right out.
  Straighten right up.
  Fold right down.
  Curl right up into a ball.
  Melt right into the mat.
  Ground right through the outer heel.
  Push right away from the floor.
  Walk right round the mat.
  Keep breathing right through the turn.
  Squeeze the block right between the thighs.
  It should land right between the hands.
  Stand tall, right up through the crown.
  Let go right away.
  Right off, the knee drifts in.
  The right height of block meets the hand.
  Find the right distance for the feet.
  Is the strap the right length?
  If the knee is not right, stop.
  You will know when it is right.
  Whatever feels right for the neck.
  Make it right.
  Any weight left in the hands is too much.
  See if some length is left.
  Breathe out all the air left.
`)

/** Read one way as well as the other: left as they are, and told. */
const UNSURE = lines(`
  Look left past the thumb.
  Look right past the thumb.
  Rotate left through the ribs as you breathe out.
  Right the chair before you sit.
  Left where it lies, the block is in the way.
`)

test.each(SWAPPED)('%s', (row) => {
  const [line, other] = row.split(' | ')
  expect(mirrorText(line!)).toBe(other)
  expect(mirrorText(other!)).toBe(line)
})

test.each(STAYING)('leaves “%s” alone', (line) => {
  expect(mirrorText(line)).toBe(line)
})

test.each(UNSURE)('is unsure of “%s”', (line) => {
  expect(sideWords(line).map(({ role }) => role)).toContain('unsure')
})
