/** English: what each rule looks at, and why. */
export const englishRules = {
  'ladder/climbs': {
    looksAt: 'What each rung asks in all, against those below it, as far as its form is known.',
    why: 'A rung that asks less than the one beneath it is in the wrong place.',
  },
  'ladder/no-leaps': {
    looksAt: 'How much more a rung asks than the next one below it: of one part, and in all.',
    why: 'A big leap wants a rung between; without it people stay below or fall from above.',
  },
  'ladder/rungs-differ': {
    looksAt: 'Rungs of one form that are held as long.',
    why: 'Two rungs that ask the same make a choice that is none.',
  },
  'ladder/props-support': {
    looksAt: 'Props of a rung that is to be easier, and where they are put.',
    why: 'A prop can deepen a form as well as support it; a prop alone does not say easier.',
  },
  'ladder/has-an-easier-way': {
    looksAt: 'Whether a rung below the form described takes weight, range or balance away.',
    why: 'Every person who may not do one rung should have somewhere to go.',
  },
  'ladder/has-signs': {
    looksAt: 'What must be true to go up from a rung, and what tells one to come down.',
    why: 'Without signs people climb by ambition, and stay where they shake.',
  },
  'ladder/signs-are-met': {
    looksAt: 'Signs to go up that are tied to a measure, on the figure of their rung.',
    why: 'A sign that the drawn form itself does not meet is never met in class.',
  },
  'ladder/same-on-both-sides': {
    looksAt: 'Cues of a rung for one side, and rungs that are one form on its two sides.',
    why: 'Both sides climb the same rungs; a ladder that differs by side trains one side only.',
  },
  'card/one-id-one-part': {
    looksAt: 'Ids of steps, cues and rungs.',
    why: 'Rungs, mistakes and cautions point at parts by id; two parts with one id mix them up.',
  },
  'card/links-lead-somewhere': {
    looksAt: 'Cues, rungs and steps that other parts of the card name.',
    why: 'A part that names something that was deleted says nothing to the reader.',
  },
  'card/language-is-known': {
    looksAt: 'Whether Notula knows the language that the card is written in.',
    why: 'Without its words the second side cannot be written, and no breath, count or side word is checked.',
  },
  'card/one-reference-rung': {
    looksAt: 'Which rung the main steps describe.',
    why: 'All other rungs are told as differences from one form; two such forms contradict.',
  },
  'card/not-its-own-counter': {
    looksAt: 'The counter poses.',
    why: 'A pose does not balance itself.',
  },
  'card/usual-meal-gap': {
    looksAt: 'The hours after a meal.',
    why: 'Schools ask for one hour to four, or for none; what lies far off was likely meant in minutes.',
  },
  'card/claims-have-a-basis': {
    looksAt: 'Effects marked as published.',
    why: 'A claim stands on a source that the reader can look up, or is marked as tradition or experience.',
  },
  'names/sanskrit-in-iast': {
    looksAt:
      'Sanskrit names without their marks, and usual misspellings, by a list of the words of poses.',
    why: 'A name without its marks is said wrong, and cannot be written in Devanagari. IAST: ISO 15919 family.',
  },
  'names/near-a-known-word': {
    looksAt: 'Sanskrit words that are one letter away from a word of pose names.',
    why: 'A letter is soon left out, and the Devanagari leaves it out as well.',
  },
  'sides/unsure-word': {
    looksAt: 'Side words whose mirror word would not be read as a side.',
    why: 'A side word that stays the same on both sides sends the second side the wrong way.',
  },
  'sides/suspect-fixed': {
    looksAt:
      'Side words that swap though they are likely meant as fixed: rolling to get up, lying in late pregnancy, a nostril, one person’s own side.',
    why: 'Such a word sends the second side the wrong way; a fixed one stays.',
  },
  'sides/silent-swap': {
    looksAt:
      'Crossed fingers, shins, arms and straps, which change on the second side without a side word.',
    why: 'The second side repeats the first; what crosses must cross the other way.',
  },
  'sides/one-sided-cue-is-marked': {
    looksAt: 'Cues, mistakes and touches that speak of one side only and are marked for both.',
    why: 'The other half would say the opposite of what is meant.',
  },
  'sides/same-form-on-both': {
    looksAt: 'Steps, counts, rungs and options that are for one side only.',
    why: 'The second side repeats the same form as the first: same rung, same count, same options.',
  },
  'sides/lead-agrees': {
    looksAt:
      'Whether the text leads the side that it is kept for, by the limb the side is named by.',
    why: 'A card whose text leads the left while it says right is wrong on both halves.',
  },
  'sides/slip': {
    looksAt:
      'A side word that goes against the lead, the figure, the rest of the card, or another side word in its line.',
    why: 'One wrong side word in a line that is otherwise right is a slip of the tongue.',
  },
  'sides/other-than-what': {
    looksAt: 'Other, opposite and same-side with nothing to refer to.',
    why: 'The other foot is only clear after one foot was named.',
  },
  'sides/braces-fix-a-side': {
    looksAt: 'Braces round words that hold no side word.',
    why: 'Braces fix a side word; round anything else they are printed and do nothing.',
  },
  'sides/even-names-both': {
    looksAt: 'A side named on an even card, with the other side nowhere near.',
    why: 'An even pose is done once: what only the left knee is told, the right knee never hears.',
  },
  'sides/front-back-is-set': {
    looksAt: 'Front and back, top and bottom, used before a step has made them so.',
    why: 'Feet side by side have no front foot.',
  },
  'breath/in-and-out-take-turns': {
    looksAt: 'Two ins or two outs that follow each other.',
    why: 'Linked movement alternates in and out; two ins running hide a missing out.',
  },
  'breath/fold-on-out': {
    looksAt: 'Steps that fold forward on an in-breath.',
    why: 'A fold closes the front of the body, which an in-breath opens.',
  },
  'breath/lengthen-before-turn': {
    looksAt: 'Turns of the trunk that no lengthening in-breath comes before.',
    why: 'In every twist an in-breath that lengthens comes before the out-breath that turns.',
  },
  'breath/one-movement-a-phase': {
    looksAt: 'Steps that put two movements on one breath.',
    why: 'One breath phase carries one movement; the second one is done without breath.',
  },
  'breath/no-hold': {
    looksAt: 'Held breath where the school holds none.',
    why: 'Holding is left out for pregnancy, high blood pressure, heart and eye-pressure conditions, and some schools never do it.',
  },
  'breath/count-of-what': {
    looksAt: 'Counts that do not say whether breaths or seconds are counted.',
    why: '“Hold for five” is 5 seconds to one teacher and 40 to another.',
  },
  'breath/said-within-the-breath': {
    looksAt: 'How long each step takes to say, at the school’s rate of speech, against its breath.',
    why: 'A cue that cannot be said within the breath it belongs to is a bad cue, however true.',
    reference: 'calm instruction runs about 110 to 130 words a minute',
  },
  'breath/cycle-is-marked': {
    looksAt: 'Moving cards that say how often, but not which steps.',
    why: 'Without the cycle nobody can tell how long the card takes.',
  },
  'breath/cycle-counts-once': {
    looksAt: 'Steps of a cycle that repeat by themselves, too.',
    why: 'Both counts multiply, which is seldom meant.',
  },
  'breath/usual-dose': {
    looksAt:
      'Counts and times that are far from what is practised: stays, repeats, single breaths, the pause between the sides.',
    why: 'A nought too many makes a stay of ten minutes out of one; whoever means it loses nothing by a word.',
  },
  'figure/can-be-read': {
    looksAt: 'The data of the figures.',
    why: 'A figure that cannot be read is not drawn.',
  },
  'figure/does-not-fall': {
    looksAt:
      'Whether floor, props, walls and what limbs lean on can hold a drawn form still, within the grip of their surfaces.',
    why: 'A form that falls cannot be stood in, and its loads mean nothing.',
  },
  'figure/marks-are-drawn': {
    looksAt:
      'Marks of cues that name no part of the body, would lie over the face, or are more than three.',
    why: 'What is not drawn is not seen, and more than three marks at once are not read.',
  },
  'figure/within-its-ranges': {
    looksAt:
      'Angles typed past the end of a joint’s range, and hips bent over a straight knee further than the back of the thigh is long.',
    why: 'What a joint does not do is drawn at its end, and the trainer should know. Normal ranges: AAOS 1965 (from memory).',
  },
  'figure/limbs-apart': {
    looksAt: 'Limbs that pass through each other, the trunk or the head.',
    why: 'Two parts of a body are never in one place.',
  },
  'figure/contacts-are-met': {
    looksAt: 'Whether what should touch touches.',
    why: 'A hand that hangs above its block teaches the wrong distance.',
  },
  'sense/words-and-figure': {
    looksAt:
      'Whether a figure that is kept does what the words say: which side, which way, which part.',
    why: 'A trainee believes the picture; a picture that turns the other way teaches the other way.',
  },
  'sense/already-there': {
    looksAt: 'Steps that tell a limb to go where it already is.',
    why: 'Either the step is not needed, or one before it is missing.',
  },
  'sense/still-busy': {
    looksAt: 'A hand, a foot or a prop that is used while it is still needed elsewhere.',
    why: 'What holds or carries cannot be taken away without a word.',
  },
  'sense/taken-back': {
    looksAt:
      'What the way in did and the way out does not undo: an arm up, a strap on, a foot turned.',
    why: 'One comes out by the way one went in; what is forgotten stays on the mat.',
  },
  'sense/props-named': {
    looksAt: 'Props that a step or a cue names and the set-up does not list.',
    why: 'Nobody fetches a block in the middle of a pose.',
  },
  'sense/props-used': {
    looksAt: 'Props that the set-up lists and nothing on the card uses.',
    why: 'A room full of props that are not needed costs time.',
  },
  'sense/which-side': {
    looksAt: 'A limb with no side, in a step or a cue of a card with two sides.',
    why: 'There are two knees; the half that is read aloud must say which.',
  },
  'sense/one-thing-asked': {
    looksAt: 'Two cues that ask opposite things of one part.',
    why: 'The body can follow one of them.',
  },
  'sense/ground-up': {
    looksAt: 'Whether the cues go from the ground up.',
    why: 'What stands below is set first; what is above follows from it.',
  },
  'sense/does-something': {
    looksAt: 'Steps in that move nothing and prepare nothing.',
    why: 'A breath with nothing to do is a breath in which the class waits.',
  },
  'sense/family-fits': {
    looksAt: 'The base and the spine direction that a card is filed under, against its form.',
    why: 'The map of the deck, the verdicts and what is offered in place of a card go by its family.',
  },
  'sense/mistake-meets-cue': {
    looksAt: 'Whether what is said to mend a mistake is about the part that its cue is about.',
    why: 'A correction elsewhere leaves the mistake as it is.',
  },
  'cautions/contradict': {
    looksAt: 'Cautions written by hand, against what the body does in the form and the policy.',
    why: 'Cautions are copied from card to card until they disagree; a milder one is believed.',
  },
  'cautions/no-ground': {
    looksAt: 'Cautions that keep people away where nothing in the form asks for it.',
    why: 'Whoever is kept away for nothing trusts the next caution less.',
  },
  'cautions/reason-holds': {
    looksAt: 'Verdicts that a card overrides with a reason, when what is usual has changed since.',
    why: 'The reason was given for another verdict, and may no longer hold.',
  },
  'cautions/condition-known': {
    looksAt: 'Whether the condition of a caution is in the list.',
    why: 'A condition by a name of its own is compared with nothing and found by nobody.',
  },
  'cautions/rung-asks-less': {
    looksAt:
      'The rung that people are sent to for what they have, where it stands above the form described.',
    why: 'Whoever is sent to another rung is to find something that can be done there.',
  },
  'cautions/condition-once': {
    looksAt: 'Conditions that stand on a card twice, by one name or by two.',
    why: 'Whoever finds one of them reads no further.',
  },
  'cautions/way-out': {
    looksAt: 'Conditions with which every rung is to be avoided, and no other card is named.',
    why: 'Every person in the room should have somewhere to go.',
  },
  'cautions/instead-open': {
    looksAt: 'Whether the card that is named for someone is open to them.',
    why: 'Being sent from one closed card to another is no way out.',
  },
  'cautions/can-tell': {
    looksAt: 'Rungs whose form is neither drawn, nor understood, nor set by hand.',
    why: 'What cannot be seen is never fine: everybody is asked to ask first.',
  },
  'mistakes/says-what-to-do': {
    looksAt: 'Corrections that only say what not to do.',
    why: 'A body follows what it is told to do; “don’t” leaves it with nothing to do.',
  },
  'mistakes/cue-says-what-to-do': {
    looksAt: 'Cues that only say what not to do.',
    why: 'A cue is said to someone who does something; “don’t” leaves the body with nothing to do.',
  },
  'mistakes/one-breath': {
    looksAt: 'Whether a correction can be said within one out-breath.',
    why: 'It is said while the student is in the form, between two breaths.',
  },
  'mistakes/names-a-part': {
    looksAt: 'Whether a correction names a part of the body.',
    why: '“Better!” mends nothing: the student must know what is to move.',
  },
  'mistakes/has-a-cue': {
    looksAt: 'Mistakes that break no cue of the card.',
    why: 'What can go wrong there is worth a cue before it does.',
  },
  'mistakes/cue-has-one': {
    looksAt: 'Cues with nothing that goes wrong.',
    why: 'A trainee learns to see a cue by seeing it broken.',
  },
  'mistakes/one-wording': {
    looksAt: 'The same mistake, worded otherwise on other cards of the deck.',
    why: 'Trainees take two wordings for two mistakes.',
  },
  'claims/no-cure': {
    looksAt: 'Effects and other lines that say a pose cures, heals, treats or cleans out.',
    why: 'A cure is never promised: people stop a treatment for it.',
  },
  'claims/no-promise': {
    looksAt: 'Effects that are promised: will, always, guarantees, prevents.',
    why: 'Bodies differ; what was promised and does not come is taken for a fault of one’s own.',
  },
  'claims/numbers-have-a-source': {
    looksAt: 'Percentages and other numbers in effects without a published source.',
    why: 'Numbers are believed, and most of those that are passed on were never measured.',
  },
  'touch/on-the-out': {
    looksAt: 'Whether a press of the hand goes with the out-breath.',
    why: 'On the in-breath the body widens against the hand.',
  },
  'touch/stance': {
    looksAt: 'Whether a touch says how the teacher stands.',
    why: 'Who is not steady leans on the student.',
  },
  'figure/keeps-the-cues': {
    looksAt: 'Cues with a measure, on the figure of the form described.',
    why: 'A picture that breaks its own cue is believed more than the words.',
  },
}
