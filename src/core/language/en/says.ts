import type { SideRole } from '../lexicon'
import type { SectionId } from '../../card'
import { worded } from './worded'

/** English: what the rules say of a card. */

const sectionWhy: Record<SectionId, string> = {
  name: 'A card that is not named, or does not say what its side is named by, is ambiguous.',
  when: 'The gap after a meal and the time of day decide whether the pose fits the class.',
  setup: 'The students must be in place before the first step is said.',
  enter: 'The way in is the part that is said word by word.',
  alignment: 'Trainees look at the body from the ground up and need a cue for each place.',
  stay: 'Without a count, or with different counts for the sides, the class guesses.',
  mistakes: 'A trainee must know what goes wrong, why it matters and what to say.',
  cautions: 'Someone in the class may not do this pose, and the teacher must know who.',
  ladder: 'Students differ; each needs a form to do.',
  exit: 'Most slips happen on the way out.',
  rest: 'A class needs to know what follows, and what to do between the sides.',
}

export const englishSays = {
  sectionWhy,
  sectionRule: (title: string) => `Whether “${title}” is written.`,
  names: {
    spelt: (word: string, offered: string | null, unmarked: boolean) =>
      `“${word}” ${unmarked ? 'has no marks' : 'is not as IAST writes it'}${offered ? `: “${offered}”` : '; the right form is not in the list'}. Until then there is no Devanagari.`,
    near: (word: string, near: string) =>
      `“${word}” is in no list of words of pose names; “${near}” is, one letter away. A slip of the pen?`,
    write: (offered: string) => `Write “${offered}”`,
  },
  sides: {
    unsure: (written: string, other: string) =>
      `“${written}” is left as it is on the other side, because “${other}” would be read as something else here. Name the limb: “the ${written} hand”.`,
    suspect: (written: string, other: string, why: string) =>
      `“${written}” becomes “${other}” on the other side, but ${why}. Fix it?`,
    fix: (written: string) => `Fix “${written}”`,
    silent: (words: string, say: string) =>
      `“${words}” has no side word, so the second side would do it the same way. For the second side: “${say}”`,
    addSecond: 'Add that for the second side',
    oneSidedCue: (words: string) => `“${words}”: this is for one side, and is marked for both.`,
    markOn: (on: string) => `Mark it: ${on}`,
    counts: (counts: string) =>
      `“${counts}”: the second side repeats the same form, with the same count.`,
    oneSidedForm: (words: string) =>
      `“${words}”: the second side would be another form. Both sides do the same steps, rungs and options.`,
    noFoot: 'no step has put a foot in front or behind yet',
    noTop: 'nothing has put one above the other yet',
    noLimb: 'no limb was named before it',
    relative: (words: string, why: string) => `“${words}”: ${why}. Say left or right here.`,
    lead: (named: string, kept: string, word: string, led: string) =>
      `The side is named by the ${named}, and the text is kept for ${kept}, but “${word}” here makes it the ${led} side.`,
    keepFor: (side: string) => `Keep the text for ${side}`,
    slip: (word: string, why: string) =>
      `“${word}” does not go with the rest: ${why}. A slip of the tongue?`,
    led: (side: string) => `the ${side} side leads`,
    shown: (what: string) => `in the figure ${what}`,
    itsCue: (line: string) => `the cue that it breaks says “${line}”`,
    saidElsewhere: (line: string) => `elsewhere the card says “${line}”`,
    pairDiffers: (words: string) =>
      `“${words}”: this names one limb twice. One of the two is of the other side.`,
    pairSame: (words: string) =>
      `“${words}”: one joint stands over the next of its own side. One of the two side words is a slip.`,
    emptyBraces: (whole: string) =>
      `“${whole}” fixes nothing: braces keep a side word as it is, and there is none in it. What a step is (breath, cycle) stands in square brackets before it.`,
    lone: (word: string, other: string) =>
      `The card is even, and only the ${word} is named here. Say both, or say what the ${other} does; or make the card sided.`,
    /** Said of the side that has a role. */
    role: {
      front: (side: string) => `the ${side} leg is in front`,
      back: (side: string) => `the ${side} leg is behind`,
      'hip-forward': (side: string) => `the ${side} hip comes forward`,
      'hip-back': (side: string) => `the ${side} hip draws back`,
      bent: (side: string) => `the ${side} knee is the bent one`,
      straight: (side: string) => `the ${side} leg is the straight one`,
      out: (side: string) => `the ${side} leg is out to the side`,
      lifted: (side: string) => `the ${side} foot is off the floor`,
      standing: (side: string) => `the ${side} leg stands`,
      kneeling: (side: string) => `the ${side} knee is on the floor`,
      sole: (side: string) => `the ${side} sole is on the floor`,
      up: (side: string) => `the ${side} arm is up`,
      low: (side: string) => `the ${side} hand is low`,
      behind: (side: string) => `the ${side} hand is behind`,
      across: (side: string) => `the ${side} arm goes across`,
      turn: (side: string) => `the chest turns to the ${side}`,
      bend: (side: string) => `the trunk bends to the ${side}`,
      'open-ribs': (side: string) => `the ${side} ribs open`,
      lies: (side: string) => `one lies on the ${side} side`,
      moves: (side: string) => `the ${side} one is moved`,
    } satisfies Record<SideRole, (side: string) => string>,
    sayOther: (other: string) => `Say “${other}”`,
  },
  breath: {
    makeIt: (breath: string) => `Make it ${breath}`,
    equal: (first: number, second: number, phase: string, missing: string) =>
      `Steps ${first} and ${second} are both on ${phase}; an ${missing} is missing between them.`,
    cycleEqual: (phase: string) =>
      `The cycle ends and begins on ${phase}: going round, two of them follow each other.`,
    fold: (word: string, phase: string) =>
      `“${word}” folds the body on ${phase}: the lungs fill against it. A fold goes with an out.`,
    saidHeld: (words: string) =>
      `“${words}”: the line holds the breath, and the school does not. Say it without, or allow retention on the school’s page.`,
    makeOut: 'Make it out',
    turnBefore:
      'This step turns, and no in-breath that lengthens stands right before it: a rounded spine turns from one place only. Put one before it, such as “Grow tall.”',
    turnFirst:
      'The first step turns at once; begin with an in-breath that lengthens, such as “Grow tall.”',
    two: (breath: string, first: string, other: string) =>
      `One ${breath}-breath carries two movements here, “${first}” and “${other}”. Give the second a step and a breath of its own.`,
    held: 'The breath is held here, and the school holds none.',
    makeFree: 'Make it free',
    paceHeld: 'The pace of the stay holds the breath, and the school holds none.',
    takeHolds: 'Take the holds out',
    count: (count: string) => `“${count}” is a count of breaths or of seconds; say which.`,
    sayUnit: 'Say breaths',
    phaseName: (breath: string) => `the ${breath}-breath`,
    itsBreath: 'its breath',
    leaveOutCut: (clause: string) => `Leave out “${clause}”.`,
    fewer: 'Say it in fewer words, or make two steps of it.',
    tooLong: (
      takes: string,
      phase: string,
      lasts: string,
      over: string,
      words: number,

      cut: string
    ) =>
      `Takes ${takes} to say and ${phase} lasts ${lasts}: ${over} over, about ${words} ${words === 1 ? 'word' : 'words'}. ${cut}`,
    leaveOut: (clause: string) => `Leave out “${clause}”`,
    split: (second: string) => `Give “${second}” a step of its own`,
    splitRungs: (rungs: string[]) =>
      ` ${rungs.map((rung) => `“${rung}”`).join(' and ')} ${rungs.length > 1 ? 'say' : 'says'} something else in place of this step, and will leave the new one out.`,
    noCycle: (times: number) =>
      `The card is done ${times} times, and no step is marked as part of what is repeated.`,
    cycleTwice: (rounds: number, each: number | undefined, all: number) =>
      `This step is part of the cycle, done ${rounds} times, and repeats ${each} times in each: ${all} in all.`,
    dose: {
      often: (times: number, manner: string, most: number) =>
        `${times} times is far from what is usual: a ${manner} card is done ${most} times at most. Is the count right?`,
      long: (lasts: string, most: string) =>
        `This stays for ${lasts}; such a form is usually left after ${most} at most. Is the count right?`,
      short: (lasts: string) =>
        `This stays for ${lasts}; a restorative form is stayed in for minutes. Is the count right?`,
      phase: (lasts: string, most: number) =>
        `This one breath lasts ${lasts}; nobody breathes in or out for more than ${most} s in a class. Is it meant to be a stay?`,
      between: (breaths: number) =>
        `${breaths} breaths between the sides; one or two are usual. Is the count right?`,
    },
  },
  card: {
    double: (id: string, what: string) =>
      `The id “${id}” is used by two ${what}; give one of them another.`,
    deadOnRung: (rung: string, to: string | undefined, id: string) =>
      `The rung “${rung}” speaks of a ${to} “${id}” that is not on this card.`,
    dead: (to: string | undefined, id: string) => `There is no ${to} “${id}” on this card.`,
    references: 'More than one rung is marked as the reference; keep one.',
    ownCounter: 'The card names itself as its counter pose.',
    mealGap: (hours: number) =>
      `${hours} h after a meal is far from what schools ask: 1 to 4 h, or 0 for what is done right after one. Is it meant in hours?`,
    noSource: 'This effect is marked as published but names no source.',
    unknownLanguage: (language: string, sided: boolean) =>
      `Notula knows no words of “${language}” yet: ${sided ? 'only the side that the text is kept for can be read, and ' : ''}side words, breath and time to say it are not checked.`,
  },
  deck: {
    circle: (ids: readonly string[]) => `The counter poses lead in a circle: ${ids.join(' → ')}.`,
    tooLarge: (bytes: number) =>
      `the file is larger than ${bytes / 2 ** 20} MB; a card is never that long`,
    inBin: (id: string) => `a card “${id}” lies in the bin; put it back or empty the bin first`,
    noCard: 'the file cannot be read as a card',
    twice: (id: string, file: string) =>
      `the id “${id}” stands in ${file} too; give one of the cards another`,
  },
  figure: {
    noMeasure: (name: string, all: string) =>
      `“${name}” cannot be measured; the measures are ${all}.`,
    unit: (name: string, unit: string, asked: string) =>
      `“${name}” is measured in ${unit}, not in ${asked}; tell the target in ${unit}.`,
    breaks: (name: string, value: string, target: string, tolerance: number) =>
      `The figure breaks this cue: ${name} is ${value}, wanted ${target} give or take ${tolerance}.`,
    of: (id: string, message: string) => `Figure of ${id}: ${message}`,
    noSupport: 'nothing carries it, so it falls. Say what touches the floor.',
    falls: (cm: number, way: 'front' | 'back' | 'left' | 'right') =>
      `it falls: its weight lies ${cm.toFixed(1)} cm outside what carries it, to the ${way}. Move the weight back over the base, or say what it leans on.`,
    pastLimit: ({
      joint,
      angle,
      asked,
      limit,
      typical,
    }: {
      joint: string
      angle: string
      asked: number
      limit: number
      typical: readonly [number, number] | null
    }) =>
      `${worded(joint)} ${worded(angle)} of ${asked}° is past what the joint does; the figure stands at ${limit}°${typical ? ` (usual: ${typical[0]}° to ${typical[1]}°)` : ''}.`,
    hamstring: (side: string, hip: number, most: number) =>
      `the ${side} hip bends ${hip}° over a straight knee; the back of the thigh is at its length at about ${most}°. Bend the knee, or the hip less.`,
    noMark: (mark: string, parts: string) =>
      `The mark “${mark}” names nothing that it can be drawn at; it can be at: ${parts}.`,
    overFace: (mark: string) =>
      `The mark “${mark}” would lie over the face, and is left out. Choose another place, or turn the view.`,
    manyMarks: (most: number) =>
      `At most ${most} marks are drawn at once; this one is shown only by itself.`,
    clash: (a: string, b: string, cm: number) =>
      `the ${a} goes ${cm.toFixed(1)} cm through the ${b}. Move one of them, or let one rest on the other.`,
    unread: (problem: string) => `The figure cannot be read: ${problem}.`,
  },
  sense: {
    /** A part of the body as it is called, of one side when one is meant. */
    sided: (side: string | null | undefined, part: string) =>
      side === 'left' || side === 'right' ? `${side} ${part}` : part,
    figure: {
      turns: (way: string) => `The words turn ${way}; the figure turns the other way.`,
      bends: (way: string) => `The words bend to the ${way}; the figure bends the other way.`,
      restsOn: (part: string, asked: string, is: string) =>
        `The words set the ${part} on the ${asked}; the figure has it on the ${is}.`,
      otherSide: (asked: string, is: string) =>
        `The words use the ${asked}; the figure uses the ${is}.`,
      beside: (part: string, place: string, is: string) =>
        `The words bring the ${part} to the ${place}; in the figure the ${is} is there.`,
      besideOther: (part: string, asked: string, is: string) =>
        `The words bring the ${part} to the ${asked}; in the figure it is at the ${is}.`,
      onFloor: (side: string, swapped: boolean) =>
        swapped
          ? `The words lift the ${side} leg; the figure lifts the other one.`
          : `The words lift the ${side} leg; in the figure it is on the floor.`,
      arm: (side: string, asked: string, is: string) =>
        `The words take the ${side} arm ${asked}; in the figure it is ${is}.`,
      degrees: (side: string, asked: number, is: number) =>
        `The words bend the ${side} knee ${asked}°; the figure bends it ${is}°.`,
      knee: (side: string, asked: string, is: string) =>
        `The words ${asked} the ${side} knee; in the figure it is ${is}.`,
    },
    already: (part: string) =>
      `Nothing moves here: as far as the words tell, the ${part} ${/s$/.test(part) || /feet$/.test(part) ? 'are' : 'is'} there already.`,
    holdsStrap: (side: string) =>
      `The ${side} hand still holds the strap. Say first where the strap goes.`,
    carries: (side: string) =>
      `The ${side} leg carries the whole body here: the other one is off the floor.`,
    propBusy: (prop: string, part: string) =>
      `The ${prop} is still under the ${part}. List two in the set-up, or take it away first.`,
    left: {
      arm: (side: string) => `At the end of the way out the ${side} arm is still up.`,
      foot: (side: string) => `At the end of the way out the ${side} foot is still turned out.`,
      lifted: (side: string) =>
        `At the end of the way out the ${side} foot is still off the floor.`,
      hand: (side: string, on: string) =>
        `At the end of the way out the ${side} hand is still on the ${on}.`,
      leg: (side: string) => `At the end of the way out the ${side} leg is still folded.`,
      strap: 'At the end of the way out the strap is still on.',
    },
    noProp: (prop: string) => `The ${prop} is named here, and the set-up does not list it.`,
    addProp: (prop: string) => `Add the ${prop} to the set-up`,
    unusedProp: (prop: string) => `The set-up lists “${prop}”, and nothing on the card uses it.`,
    whichSide: (part: string) => `Which ${part}? The card has two sides, and this line names none.`,
    saySide: (side: string, part: string) => `Say the ${side} ${part}`,
    opposite: (cue: number, text: string) =>
      `Cue ${cue} asks the opposite of the same part: “${text}”`,
    groundUp: (region: string, before: string) =>
      `The cues go from the ground up, and ${region} comes after ${before}.`,
    sortCues: 'Put the cues in order',
    nothing: 'This step moves nothing and prepares nothing, as far as the words tell.',
    mistake: (said: string, region: string) =>
      `The correction is about ${said}; its cue is about ${region}.`,
    family: {
      base: (base: string, rests: readonly string[]) =>
        `The card is filed under “${base}”, and its form rests on ${rests.join(', ')}.`,
      twist: (is: number) =>
        `The card is filed as a twist, and its form turns the trunk by ${is}°.`,
      side: (is: number) =>
        `The card is filed as a side bend, and its form bends the trunk sideways by ${is}°.`,
      forward: (back: number) =>
        back > 0
          ? `The card is filed as a forward bend, and its form bends back by ${back}°.`
          : 'The card is filed as a forward bend, and its form is upright.',
      back: (is: number) =>
        `The card is filed as a back bend, and its form bends forward by ${is}°.`,
      aside: (filed: 'forward' | 'back', what: string, is: number) =>
        `The card is filed as a ${filed} bend, and its form ${what} by ${is}°.`,
      lengthen: {
        bend: 'bends forward',
        arch: 'bends back',
        side: 'bends sideways',
        turn: 'turns',
      },
      lengthened: (what: string, is: number) =>
        `The card is filed as lengthening, and its form ${what} by ${is}°.`,
    },
  },
}

export type Says = typeof englishSays
