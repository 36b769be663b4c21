import { mirrorText, sideWords } from '../../../tests/support/english'

/** Lines of instruction and what they become; all of it written by hand. */

const lines = (text: string) =>
  text
    .trim()
    .split('\n')
    .map((line) => line.trim())

const SWAPPED = lines(`
  R foot forward, L foot back. | L foot forward, R foot back.
  Lt. hand to the floor. | Rt. hand to the floor.
  R hip back, L hip forward. | L hip back, R hip forward.
  Look over the R shoulder. | Look over the L shoulder.
  Roll R, then L. | Roll L, then R.
  Lift R arm / L leg. | Lift L arm / R leg.
  Side: R | Side: L
  The outermost, rightmost toe presses down. | The outermost, leftmost toe presses down.
  Turn the block left-to-right across the mat. | Turn the block right-to-left across the mat.
  Circle the right wrist clockwise five times. | Circle the left wrist counterclockwise five times.
  Draw a circle from twelve to three o'clock. | Draw a circle from twelve to nine o'clock.
  Point the toes to ten o'clock. | Point the toes to two o'clock.
  Right hand on right hip, left hand free. | Left hand on left hip, right hand free.
  Keep left hip and right shoulder in one line. | Keep right hip and left shoulder in one line.
  The right is the stronger side for most string players. | The left is the stronger side for most string players.
  Most hold the bow in the right hand. | Most hold the bow in the left hand.
  Left of the mat stands the chair. | Right of the mat stands the chair.
  Put the chair on your left. | Put the chair on your right.
  Leave the block where your left hand can reach it. | Leave the block where your right hand can reach it.
  Turn right over onto the belly. | Turn left over onto the belly.
  Roll right and come up. | Roll left and come up.
  With the right, press; with the left, pull. | With the left, press; with the right, pull.
  Once to the right is enough. | Once to the left is enough.
  Whichever is tighter, left or right, goes first. | Whichever is tighter, right or left, goes first.
  Let the left do what the right did. | Let the right do what the left did.
  Right thumb up, right palm in. | Left thumb up, left palm in.
  Right now, feel the left heel. | Right now, feel the right heel.
  Alright, right foot back. | Alright, left foot back.
  Make sure the right amount of weight is on the right foot. | Make sure the right amount of weight is on the left foot.
  Choose the right prop for the left knee. | Choose the right prop for the right knee.
  The left shoulder drops in front of the right. | The right shoulder drops in front of the left.
  The right hip is higher than the left. | The left hip is higher than the right.
  The left side of the waist shortens. | The right side of the waist shortens.
  The right side of the neck is pinched. | The left side of the neck is pinched.
  The right one does the work and the left one follows. | The left one does the work and the right one follows.
  Keep the weight even, left and right. | Keep the weight even, right and left.
  Half the weight goes left, half goes right. | Half the weight goes right, half goes left.
  The body leans a hand's width to the left of the line. | The body leans a hand's width to the right of the line.
  The right arm hangs, the left one works. | The left arm hangs, the right one works.
  Compare right and left before you go on. | Compare left and right before you go on.
  Whatever was on the right is now on the left. | Whatever was on the left is now on the right.
  Say first which side leads: right. | Say first which side leads: left.
  Now the left side, the same count. | Now the right side, the same count.
  And over to the right. | And over to the left.
  Change sides: left foot in front. | Change sides: right foot in front.
  Left foot in front this time. | Right foot in front this time.
  This time the right leads. | This time the left leads.
  Repeat to the left, as slowly. | Repeat to the right, as slowly.
  From the left hip to the right armpit. | From the right hip to the left armpit.
  A line runs from the right heel to the left hand. | A line runs from the left heel to the right hand.
  Diagonally from left foot to right hand. | Diagonally from right foot to left hand.
  Reach across the body with the left. | Reach across the body with the right.
  Reach the right arm across to the left. | Reach the left arm across to the right.
  Wrap the right leg around the left, twice if it goes. | Wrap the left leg around the right, twice if it goes.
  Set the right elbow into the left. | Set the left elbow into the right.
  Slip the right big toe behind the left calf. | Slip the left big toe behind the right calf.
  Hook the left foot behind the right calf. | Hook the right foot behind the left calf.
  Hold the left big toe with the right hand. | Hold the right big toe with the left hand.
  Hold the right wrist with the left hand behind you. | Hold the left wrist with the right hand behind you.
  The left hand takes the right wrist. | The right hand takes the left wrist.
  Take the strap in the right hand, the block in the left. | Take the strap in the left hand, the block in the right.
  Press the right palm into the left. | Press the left palm into the right.
  The left palm faces up, the right down. | The right palm faces up, the left down.
  Turn the right palm up, the left palm down. | Turn the left palm up, the right palm down.
  Left ear towards left shoulder. | Right ear towards right shoulder.
  Right ear to right shoulder, left hand heavy. | Left ear to left shoulder, right hand heavy.
  Nod left, nod right. | Nod right, nod left.
  Roll the eyes right, then left. | Roll the eyes left, then right.
  Close the right nostril with the thumb. | Close the left nostril with the thumb.
  Breathe in through the left nostril. | Breathe in through the right nostril.
  Breathe in on the left, out on the right. | Breathe in on the right, out on the left.
  Lie on your left side in late pregnancy. | Lie on your right side in late pregnancy.
  Roll to your right and push up. | Roll to your left and push up.
  The bow arm is the right one for most. | The bow arm is the left one for most.
  The left hand fingers, the right hand bows. | The right hand fingers, the left hand bows.
  The cello stands left of the breastbone. | The cello stands right of the breastbone.
  Trombonists reach out with the right arm all day. | Trombonists reach out with the left arm all day.
  Horn players keep the right hand in the bell. | Horn players keep the left hand in the bell.
  The timpani stand at the back, left of the brass. | The timpani stand at the back, right of the brass.
  Put the music stand to the left of the mat. | Put the music stand to the right of the mat.
  When it feels right, lift the left heel. | When it feels right, lift the right heel.
  If the left knee hurts, use the right version: knee bent. | If the right knee hurts, use the right version: knee bent.
  Neither is right for a sore left knee. | Neither is right for a sore right knee.
  With one breath left, lower the left leg. | With one breath left, lower the right leg.
  Find the right block height for the left hand. | Find the right block height for the right hand.
  The right stance length lets the left heel land. | The right stance length lets the right heel land.
  Turn to the right at an angle. | Turn to the left at an angle.
  Step to the right a little distance. | Step to the left a little distance.
  The right foot length decides the stance. | The left foot length decides the stance.
  The right arm length is the same as the left. | The left arm length is the same as the right.
  Turn the right foot out at this angle. | Turn the left foot out at this angle.
  The right chair height for the left knee. | The right chair height for the right knee.
  Go right the same distance. | Go left the same distance.
  Turn to the right in order. | Turn to the left in order.
  Turn a little further right. | Turn a little further left.
  Go a little further right on each breath. | Go a little further left on each breath.
  Walk the hands a little further right. | Walk the hands a little further left.
  Lean slightly more right. | Lean slightly more left.
  Rotate still more right. | Rotate still more left.
  Turn a little more left. | Turn a little more right.
  No further right than the shoulder. | No further left than the shoulder.
  Settle further left than you did on the first side. | Settle further right than you did on the first side.
  The further right you turn, the longer you grow. | The further left you turn, the longer you grow.
  Go no further right. | Go no further left.
  Go further right away from the wall. | Go further left away from the wall.
  First right, then left, then both. | First left, then right, then both.
  Right, then left, then rest. | Left, then right, then rest.
  Face house right for the first round. | Face house left for the first round.
  Turn stage left and bow. | Turn stage right and bow.
  Begin right, then left. | Begin left, then right.
  Sway right, then left, then settle. | Sway left, then right, then settle.
  Tip the head left, then right, then let it rest. | Tip the head right, then left, then let it rest.
  Twice right, then twice left. | Twice left, then twice right.
  Look right, then, slowly, left. | Look left, then, slowly, right.
  Once right, once left, once through the middle. | Once left, once right, once through the middle.
  Left-foot-forward stance. | Right-foot-forward stance.
  Right-leg-lead, both rounds. | Left-leg-lead, both rounds.
  Bend the (R) knee. | Bend the (L) knee.
  Step the R. foot back. | Step the L. foot back.
  Rt knee over rt ankle. | Lt knee over lt ankle.
  Reach the leftmost finger to the wall. | Reach the rightmost finger to the wall.
  Do the left twice if it is the stiffer one. | Do the right twice if it is the stiffer one.
  If the left feels left behind, wait for it. | If the right feels left behind, wait for it.
  What the right hand knows, the left hand learns. | What the left hand knows, the right hand learns.
  Is the block at the right height for the left hand? | Is the block at the right height for the right hand?
  Come up through the right. | Come up through the left.
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
  Slide the right heel back until the left knee bends. | Slide the left heel back until the right knee bends.
  Right arm reaches up while the left slides down the leg. | Left arm reaches up while the right slides down the leg.
  With the left hand on the right thigh, turn right. | With the right hand on the left thigh, turn left.
  Look right, then left, then straight ahead. | Look left, then right, then straight ahead.
  Lean right into the wall with the shoulder. | Lean left into the wall with the shoulder.
  Bring the left heel right up to the sit bone. | Bring the right heel right up to the sit bone.
  Let the right half of the ribs widen. | Let the left half of the ribs widen.
  The left buttock stays heavy, the right one lifts. | The right buttock stays heavy, the left one lifts.
  Swap the cross of the legs, right shin in front. | Swap the cross of the legs, left shin in front.
  Walk the hands right, one palm at a time. | Walk the hands left, one palm at a time.
  Walk the hands all the way to the right. | Walk the hands all the way to the left.
  Leave the left foot where you left it. | Leave the right foot where you left it.
  Roll right, onto the right shoulder. | Roll left, onto the left shoulder.
  Take the left wrist with the right hand and lean left. | Take the right wrist with the left hand and lean right.
  The right-leg lunge comes first. | The left-leg lunge comes first.
  Both feet point to the right of the mat. | Both feet point to the left of the mat.
  Right now the left hip is higher. | Right now the right hip is higher.
  To your right is the wall; face it. | To your left is the wall; face it.
  The strap runs from the left foot to the right hand. | The strap runs from the right foot to the left hand.
  If the left hamstring is the tight one, bend that knee. | If the right hamstring is the tight one, bend that knee.
  Draw a half circle from 9 o'clock to 3 o'clock with the foot. | Draw a half circle from 3 o'clock to 9 o'clock with the foot.
  Turn the toes out to one o'clock. | Turn the toes out to eleven o'clock.
  Move the left foot a hand's width left of centre. | Move the right foot a hand's width right of centre.
  Put the block on the right side, the right way up. | Put the block on the left side, the right way up.
  Cross right ankle over left knee. | Cross left ankle over right knee.
  Right shoulder, right hip and right ankle in one line. | Left shoulder, left hip and left ankle in one line.
  Your left: the teacher's right when facing you. | Your right: the teacher's left when facing you.
  Place both hands left of the left foot. | Place both hands right of the right foot.
  The left-most toe lifts. | The right-most toe lifts.
  Spread the right five toes. | Spread the left five toes.
  Hold the right big toe with the right first two fingers. | Hold the left big toe with the left first two fingers.
  Turn the chest up and right. | Turn the chest up and left.
  Bend left until the right waist feels long. | Bend right until the left waist feels long.
  You'll know it's right when the left heel grounds. | You'll know it's right when the right heel grounds.
  Right side down, left side up. | Left side down, right side up.
  Left, right, left, right, walk the heels. | Right, left, right, left, walk the heels.
  Come out to the left, rise on the right. | Come out to the right, rise on the left.
  Left palm flat, right palm up. | Right palm flat, left palm up.
  Rise from the right, lower to the left. | Rise from the left, lower to the right.
  Place the student's left hand on the block. | Place the student's right hand on the block.
  The partner's right is your left. | The partner's left is your right.
  Your left hand knows what your right is doing. | Your right hand knows what your left is doing.
  Is there any strain left in the right shoulder? | Is there any strain left in the left shoulder?
  Inhale, right; exhale, left. | Inhale, left; exhale, right.
  Left foot back, right foot stays. | Right foot back, left foot stays.
  Draw the right sit bone back and left. | Draw the left sit bone back and right.
  Take two steps right, then one left. | Take two steps left, then one right.
  Let the weight drift right as the left foot lightens. | Let the weight drift left as the right foot lightens.
  Bring the right thumb right to the ear. | Bring the left thumb right to the ear.
  Twist right, and right again. | Twist left, and left again.
  Get the feet right, then turn left. | Get the feet right, then turn right.
  Right angle at the left knee. | Right angle at the right knee.
  She left the block on the right. | She left the block on the left.
  With what is left of the out-breath, turn right. | With what is left of the out-breath, turn left.
  Take a right turn from the hips. | Take a left turn from the hips.
  The left turn is often easier than the right. | The right turn is often easier than the left.
  Repeat left. | Repeat right.
  Now left. | Now right.
  Same on the left. | Same on the right.
  Left again. | Right again.
  All the weight is in the right. | All the weight is in the left.
  Come back right of centre. | Come back left of centre.
  Roll the head right, chin to the collarbone. | Roll the head left, chin to the collarbone.
  Rest the right cheek right on the mat. | Rest the left cheek right on the mat.
  Fold right down over the left thigh. | Fold right down over the right thigh.
  Reach right, then up. | Reach left, then up.
  Reach up and right. | Reach up and left.
  Step right, wide of the mat. | Step left, wide of the mat.
  Right leg behind the left. | Left leg behind the right.
  Hook the right behind the left calf. | Hook the left behind the right calf.
  Interlace the fingers, right thumb over left. | Interlace the fingers, left thumb over right.
  Interlace with the left on top. | Interlace with the right on top.
  Place right on top of left. | Place left on top of right.
  Stack right over left, knees and ankles. | Stack left over right, knees and ankles.
  Left on the inside, right on the outside. | Right on the inside, left on the outside.
  A left-hand strap, a right-hand block. | A right-hand strap, a left-hand block.
  Hold the strap in the left, a hand's breadth from the foot. | Hold the strap in the right, a hand's breadth from the foot.
  Take it in the right. | Take it in the left.
  The left is the heavier of the two. | The right is the heavier of the two.
  Let the left be heavier than the right. | Let the right be heavier than the left.
  Left and right alike. | Right and left alike.
  From left to right, shoulder to hand. | From right to left, shoulder to hand.
  Weight to the right, left heel peels up. | Weight to the left, right heel peels up.
  Hips left, head right. | Hips right, head left.
  Hips to the left, ribs to the right. | Hips to the right, ribs to the left.
  Finish on the right. | Finish on the left.
  Right after the left heel lands, turn. | Right after the right heel lands, turn.
  Knees bent, left a little more than right. | Knees bent, right a little more than left.
  Left a little, right a lot. | Right a little, left a lot.
  The left has less room than the right. | The right has less room than the left.
  Leave room at the left. | Leave room at the right.
  Leave left space for the strap. | Leave right space for the strap.
  Left turned in, right turned out. | Right turned in, left turned out.
  Turn the left in. | Turn the right in.
  Turn the right out, ninety degrees. | Turn the left out, ninety degrees.
  Keep left of the line. | Keep right of the line.
  Sit left of the bolster. | Sit right of the bolster.
  Stand to the right of the chair, left hand on its back. | Stand to the left of the chair, right hand on its back.
  Left hand to the chair, right to the hip. | Right hand to the chair, left to the hip.
  Left hand to chair, right hand to hip. | Right hand to chair, left hand to hip.
  Cross the left over, knee on knee. | Cross the right over, knee on knee.
  Cross left, then right. | Cross right, then left.
  Wrap right round left. | Wrap left round right.
  Wrap the right around the left. | Wrap the left around the right.
  Switch so that the left is in front. | Switch so that the right is in front.
  Whichever leg is in front, right or left, keep it heavy. | Whichever leg is in front, left or right, keep it heavy.
  The bottom right corner of the mat. | The bottom left corner of the mat.
  Rib cage right, hips centred. | Rib cage left, hips centred.
  A little to the left of the navel. | A little to the right of the navel.
  Left nostril closed with the ring finger of the right hand. | Right nostril closed with the ring finger of the left hand.
  Kick the right through. | Kick the left through.
  Press right hand into left. | Press left hand into right.
  Left hand on the block, right on the hip. | Right hand on the block, left on the hip.
  Right on the block, left on the hip. | Left on the block, right on the hip.
  Right on the mat, everyone, and left foot in front. | Left on the mat, everyone, and right foot in front.
  Right elbow under left. | Left elbow under right.
  Right now, left foot stays. | Right now, right foot stays.
  Left foot to the wall and right to the block. | Right foot to the wall and left to the block.
  The right hip sinks and the left floats. | The left hip sinks and the right floats.
  Grow tall on the in-breath, spiral right on the out-breath. | Grow tall on the in-breath, spiral left on the out-breath.
  Let the head hang right, ear towards the shoulder. | Let the head hang left, ear towards the shoulder.
  Pour the weight left until the right toes are light. | Pour the weight right until the left toes are light.
  Right wrist under right shoulder. | Left wrist under left shoulder.
  Drop both knees right, and look left. | Drop both knees left, and look right.
  Windscreen the knees left and right. | Windscreen the knees right and left.
  Circle the right hip three times, then the left. | Circle the left hip three times, then the right.
  Five to the right, five to the left. | Five to the left, five to the right.
  Five circles left, five circles right. | Five circles right, five circles left.
  Four breaths on the right, four on the left. | Four breaths on the left, four on the right.
  Three more on the left. | Three more on the right.
  How does the left compare with the right? | How does the right compare with the left?
  Is one side longer than the other, right or left? | Is one side longer than the other, left or right?
  Right arm up, left arm down, and switch. | Left arm up, right arm down, and switch.
  Everyone has a right and a left that differ. | Everyone has a left and a right that differ.
  Move the right-hand block a little left. | Move the left-hand block a little right.
  Look for the right edge of the mat with the right foot. | Look for the left edge of the mat with the left foot.
  Left edge of the left foot heavy. | Right edge of the right foot heavy.
  Fold the right end of the blanket under. | Fold the left end of the blanket under.
  Set the chair on your right, its back to the left. | Set the chair on your left, its back to the right.
  The pinch sits right under the left shoulder blade. | The pinch sits right under the right shoulder blade.
  Press right down through the left heel. | Press right down through the right heel.
  Bring the right shin right in to the chest. | Bring the left shin right in to the chest.
  Turn the left palm up, right palm down. | Turn the right palm up, left palm down.
  Bow to the right knee, then to the left. | Bow to the left knee, then to the right.
  Bow over the right leg, then right back up. | Bow over the left leg, then right back up.
  The left-handed may start on the right. | The right-handed may start on the left.
  Cartwheel the arms left to lower, right to rise. | Cartwheel the arms right to lower, left to rise.
  Sit a touch left to free the right hip. | Sit a touch right to free the left hip.
  Peel off the mat right to left. | Peel off the mat left to right.
  Roll up, left shoulder last. | Roll up, right shoulder last.
  Roll to one side, the right, and rest. | Roll to one side, the left, and rest.
  Roll to the right side and push up with the left hand. | Roll to the left side and push up with the right hand.
  Let go of the left, then of the right. | Let go of the right, then of the left.
  With the time left, repeat on the right. | With the time left, repeat on the left.
  If there is time left, do the left again. | If there is time left, do the right again.
  The right hand does what the left did. | The left hand does what the right did.
  As the left did, so does the right. | As the right did, so does the left.
  Right is up, left is down. | Left is up, right is down.
  Left is back, right is front. | Right is back, left is front.
  Turn, right shoulder first. | Turn, left shoulder first.
  Lead right. | Lead left.
  Step the right foot outside right hand. | Step the left foot outside left hand.
  Left forearm inside left shin. | Right forearm inside right shin.
  Bring right elbow outside left knee. | Bring left elbow outside right knee.
  Place the strap in right hand. | Place the strap in left hand.
  Over to the right we go. | Over to the left we go.
  And right. And left. | And left. And right.
  Tip right until the left foot wants to lift. | Tip left until the right foot wants to lift.
  Send the breath left and back. | Send the breath right and back.
  Hang left arm, lift right. | Hang right arm, lift left.
  Pull left, resist right. | Pull right, resist left.
  The chin goes left as the knees go right. | The chin goes right as the knees go left.
  Chin left, knees right. | Chin right, knees left.
  Knees over to the right, gaze over the left. | Knees over to the left, gaze over the right.
  Left over the right, whichever crosses first. | Right over the left, whichever crosses first.
  Slide the strap right of the navel. | Slide the strap left of the navel.
  Lunge left, right heel high. | Lunge right, left heel high.
  Gaze right for two breaths, left for two. | Gaze left for two breaths, right for two.
  Hold for five, right; hold for five, left. | Hold for five, left; hold for five, right.
  Place the right ankle on the left thigh, just above the knee. | Place the left ankle on the right thigh, just above the knee.
  With each breath out, sink right and down. | With each breath out, sink left and down.
  Open left, close right. | Open right, close left.
  Open the left hip right out. | Open the right hip right out.
  The weight rolls from the right edge to the left edge of the foot. | The weight rolls from the left edge to the right edge of the foot.
  Weight in the left hand? Then the right is free. | Weight in the right hand? Then the left is free.
  Hands walk left, hips stay right. | Hands walk right, hips stay left.
  Right foot turned out, left in a little. | Left foot turned out, right in a little.
  Right knee over right ankle, left leg long. | Left knee over left ankle, right leg long.
  Turn your chest to the right as the left shoulder softens. | Turn your chest to the left as the right shoulder softens.
  The right kidney, the left kidney: room for both. | The left kidney, the right kidney: room for both.
  Bend the left elbow and let the right stay long. | Bend the right elbow and let the left stay long.
  When the left arm tires, use the right. | When the right arm tires, use the left.
  Do the right first, or the left if that hip is stiffer. | Do the left first, or the right if that hip is stiffer.
  Choose right or left. | Choose left or right.
  Choose the right or the left. | Choose the left or the right.
  Take whichever leg you like, left or right. | Take whichever leg you like, right or left.
  On the left you may feel less. | On the right you may feel less.
  The wall is on the left, the chair on the right. | The wall is on the right, the chair on the left.
  Two blocks, left and right of the front foot. | Two blocks, right and left of the front foot.
  Walk the feet to the right, hands to the left, a long banana. | Walk the feet to the left, hands to the right, a long banana.
  Look back over the right shoulder. | Look back over the left shoulder.
  Lower left forearm to the mat. | Lower right forearm to the mat.
  Lower to the right elbow. | Lower to the left elbow.
  Right leg lifts as high as the left hip. | Left leg lifts as high as the right hip.
  Left leg lifts, right? | Right leg lifts, right?
  Right leg lifts, left hangs. | Left leg lifts, right hangs.
  Leave nothing to the left hand alone. | Leave nothing to the right hand alone.
  Leave it to the left hand. | Leave it to the right hand.
  Leave the strap where it is, left of the mat. | Leave the strap where it is, right of the mat.
  Make a left hook with the arm. | Make a right hook with the arm.
  Once the foot has left the floor, keep the right hip level. | Once the foot has left the floor, keep the left hip level.
  The left one has left the floor. | The right one has left the floor.
  Rest left side down. | Rest right side down.
  Right side to the wall, left foot on the chair. | Left side to the wall, right foot on the chair.
  Stand right side on to the wall. | Stand left side on to the wall.
  Sit with the right side to the wall. | Sit with the left side to the wall.
  Swing right leg up, then left. | Swing left leg up, then right.
  Then the right; then both. | Then the left; then both.
  Turn right palm to the ceiling, left to the floor. | Turn left palm to the ceiling, right to the floor.
  Left eye, right eye, both soft. | Right eye, left eye, both soft.
  Soften right eye, right jaw, right shoulder. | Soften left eye, left jaw, left shoulder.
  Draw left and right heels towards each other. | Draw right and left heels towards each other.
  Balance the left and right sides of the neck. | Balance the right and left sides of the neck.
  The right-left shift is slow. | The left-right shift is slow.
  Rock left-right-left. | Rock right-left-right.
  Rock right-to-left. | Rock left-to-right.
  Go left-to-right on the in-breath. | Go right-to-left on the in-breath.
  A left-leaning spine needs the right arm long. | A right-leaning spine needs the left arm long.
  Right-sided pain: come out. | Left-sided pain: come out.
`)

const STAYING = lines(`
  He righted himself slowly.
  Rightly done, the hip stays level.
  An outright stop is not needed.
  The strap goes right round the back.
  Bring the strap right up to the hip.
  Go right down to the floor.
  The knee comes right in.
  Left alone, the shoulder creeps up.
  The right height for the block is the one that keeps the spine long.
  One hip is left behind.
  The pianist sits right up to the keys.
  Sit right in the middle of the stool.
  The right stool height puts the knees below the hips.
  Is that the right height?
  Get the height right first.
  Do what feels right for your knee.
  Both versions are right.
  Right up to here both sides are alike.
  Stay right with the breath.
  Left to rest, the arm grows heavy.
  What is left of the stretch stays in the hip.
  The right stool height puts the knees below the hips.
  Choose the right strap length.
  Keep the right breath pace.
  Set the right order of the steps.
  There is a little further left to go.
  There is a little more left to give.
  Keep some more left for the end.
  The audience left the hall.
  The whole audience left early.
  A violin left the stage before the others.
  The righting reflex brings the head upright.
  Start with whichever side feels right.
  Fold right over the thigh.
  Sit right back on the heels.
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
  Rest on whichever side is left free.
  Keep the neck right in line with the spine.
  Do you have it right? Then stay.
  Stay right here, three breaths left.
  Sit right back, as though on a chair.
  Nothing is left to hold; breathe.
  Whatever strength you have left, use it to lengthen.
  Put right what the last breath undid.
  One more round is left on this side.
  Keep right on breathing.
  Carry right on into the next round.
  The gaze goes right over the thumb.
  The right response is to come out.
  Nobody should be left holding the strap.
  Keep whatever is left of the twist.
  All right, change sides.
  Come right back to the centre.
  Bend right over, hands to the floor.
  Reach right up through the fingers.
  You have the right to stay seated.
  It is right to stop when the breath catches.
  Right before the out-breath, lift.
  Until the right moment comes, wait.
  What's left? Only the turn.
  Kick right through the heel.
  Press right into the hands.
  Right to the wall, and stay.
  Wrist right under the shoulder.
  Hips right over the knees.
  Knee right above the heel, not past it.
  Stay for what breath is left.
  Keep your right to choose.
  Turn to whichever side feels right.
  It feels right in the back, but tight in the hip.
  Right where the ribs end, breathe.
  Reach the crown right out of the pelvis.
  Straight back, right up to the crown.
  Nothing left undone, nothing forced.
  Anything left over goes under the head.
  The breath that is left goes out through the mouth.
  Push right back to where you started.
  Lift right off the floor.
  Breathe right down into the belly.
  With each out-breath sink right down.
  The cue is said right as the breath turns.
  Hear the count right to its end.
  Right through the stay, keep the jaw soft.
  Let the ribs come right round.
  Turn the right way round and start again.
  If the back knee hurts, it is all right to put a blanket under it.
  Walk the feet right up to the hands.
  Look right back over the shoulder.
  Left behind by the pelvis, the head follows last.
  It left a little space in the hip.
  The twist left the spine longer.
`)

/** Read one way as well as the other: left as they are, and told. */
const UNSURE = lines(`
  Look left past the thumb.
  Look right past the thumb.
  Rotate left through the ribs as you breathe out.
  Right the chair before you sit.
  Left where it lies, the block is in the way.
  Turn right around the waist, not the neck.
  Thread the right arm left under the chest.
  Look right around the shoulder.
  Slide the left heel to the shin, right to the knee.
  Lift the left arm over the ear, and right over the head.
  Draw the shin right in.
  Turn left round the right hip.
  Both, then right alone, then left alone.
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
