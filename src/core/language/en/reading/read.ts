import {
  type Action,
  type Amount,
  type BodyPart,
  IN_THE_MIDDLE,
  type Instruction,
  type LineRead,
  type Place,
  type SideTold,
  type Thing,
  type Way,
} from '../../instruction'
import { wordSet } from '../worded'
import {
  amountAt,
  beginsAmount,
  DETERMINERS,
  mannerAt,
  partAt,
  relationAt,
  ROLES,
  thingAt,
  verbAt,
  wayAt,
  type Word,
  wordsOf,
} from './phrases'
import { amountSays, spotOf } from './bodyWords'
import { type Around, type Sense, VERBS } from './verbWords'

/**
 * Reads a line of English: a verb, what it moves, and where to; or a part and how it is to be.
 * A word in the place of what is moved that is not known leaves the whole clause unread.
 */

interface Noun {
  part: BodyPart
  word: string
  side: SideTold
  role?: Instruction['role']
  many: boolean
  from: number
  end: number
}

/** What was told of a part after it: where to, which way, how much, in which manner. */
interface Told {
  ways: Way[]
  places: Place[]
  amount: Amount | null
  manner: string | null
}
const nothingTold = (): Told => ({ ways: [], places: [], amount: null, manner: null })

/** Words between a determiner and a part that say nothing of which part it is. */
const PLAIN = wordSet(
  'ten five four whole entire full big long straight bent soft heavy strong active firm free inner outer outside inside very two own both all each every one lifted raised broad open wide relaxed'
)
const HEADS = wordSet(
  'ball balls mound mounds corner corners edge edges root roots base bases side sides middle top tops bottom back backs front fronts center centre tip tips corner corners weight length pad pads end ends rim line inside outside skin flesh muscle muscles point points'
)
const MARKERS = wordSet('inhale exhale inhaling exhaling inhales exhales')
/** What may stand before them. */
const BEFORE_BREATH = wordSet('on with as you your the an a each every next in at end of')
const SUBORDINATE = wordSet(
  'before until till when once if so because unless after where whether though although whenever that which who whose than like without rather instead or for enough'
)
const SKIPPED = wordSet(
  'and then you try start begin continue please carefully also just but while as we can could should may need want now to aim be sure make let us allow always them first is are by help ready prepare come go get'
)
const FEELING = wordSet('feel notice imagine see sense think check observe find remember')
const MINDING = wordSet('smile listen wait enjoy')
const HOW = wordSet('bent straight lifted up free')
const HOLDING = wordSet('hold grip catch grab grasp clutch clasp')
/** What is done by pressing into something: through the hands, into the heel. */
const THROUGH = wordSet(
  'press push root ground pivot spin breathe inhale exhale lift drive reach extend stretch lengthen dig anchor weigh'
)
/** What a whole back is told by. */
const OF_BACK = wordSet(
  'whole long flat straight round rounded entire level wide on arch lengthen mat'
)
/** How a thing is described. */
const OF_THING = wordSet(
  'folded rolled low high yoga sticky second first long short near nearest firm front thick'
)
/** What may stand between a verb and the position that it leads to. */
const ON_THE_WAY = wordSet('to onto into back up down on a all the way slowly in tall')
/** Parts that nothing is held by: to hold them is to keep them as they are. */
const TRUNK: readonly BodyPart[] = [
  'ribs',
  'chest',
  'spine',
  'pelvis',
  'low back',
  'neck',
  'head',
  'gaze',
  'whole body',
]
const NOT = wordSet("don't never avoid not no without stop doesn't nor")
const NUMBERS: Record<string, number> = {
  one: 1,
  two: 2,
  three: 3,
  four: 4,
  five: 5,
  six: 6,
  eight: 8,
  ten: 10,
  fifteen: 15,
  twenty: 20,
  thirty: 30,
  'forty-five': 45,
  forty: 40,
  sixty: 60,
  ninety: 90,
}
const UNITS: Record<string, Amount['unit']> = {
  '°': 'deg',
  deg: 'deg',
  degree: 'deg',
  degrees: 'deg',
  cm: 'cm',
  centimetres: 'cm',
  centimeters: 'cm',
  inches: 'cm',
}
const BEFORE_AMOUNT = wordSet('about roughly around by for at to up almost nearly of')
const COUNTED = /^(?:breaths?|seconds?|secs?|minutes?|mins?|times|rounds?|counts?)$/
const LY = /^(?!(?:only|belly|really)$)\p{L}{3,}ly$/u
const isManner = (word: string) => word.endsWith('ly') && LY.test(word)

/** Positions that a line comes to. */
const POSITIONS = Object.entries({
  stand: 'standing, stand',
  kneel:
    'kneeling, a kneeling position, all fours, hands and knees, your hands and knees, the hands and knees, tabletop',
  sit: 'sitting, seated, a seat, sit',
  lie: 'lying, lie',
}).flatMap(([action, all]) =>
  all.split(', ').map((words) => ({ words, phrase: words.split(' '), action: action as Action }))
)

/** A place with the finer one that its word tells. */
function withSpot(place: Place): Place {
  const spot = place.part && spotOf(place.part, place.word)
  return spot ? { ...place, spot } : place
}

class Reading {
  readonly words: readonly Word[]
  readonly found: Instruction[] = []
  /** Words that were understood. */
  private readonly used: boolean[]
  private last: Noun[] = []
  private lastVerb: string | null = null
  /** While a verb of holding is read: what stands in the hands is who holds. */
  private holding = false
  /** Nouns that were looked for already, by the word that they begin at. */
  private readonly known = new Map<number, Noun | null>()

  constructor(private readonly line: string) {
    this.words = wordsOf(line)
    this.used = this.words.map((word) => word.mark !== undefined)
  }

  private text(i: number): string {
    return this.words[i]?.text ?? ''
  }
  /** The words from one on to before another, as they are said. */
  private said(from: number, end: number): string {
    let said = this.text(from)
    for (let i = from + 1; i < end; i += 1) said += ` ${this.text(i)}`
    return said
  }
  private is(i: number, ...texts: string[]): boolean {
    return texts.includes(this.text(i))
  }
  private stop(i: number): boolean {
    return i >= this.words.length || this.words[i]!.mark === 'stop'
  }
  private use(from: number, end: number) {
    for (let i = from; i < end; i += 1) this.used[i] = true
  }

  /** The end of the clause: a stop, a comma, or a word that begins another. */
  private clauseEnd(i: number): number {
    let k = i
    while (
      k < this.words.length &&
      !this.words[k]!.mark &&
      !(k > i && this.is(k, 'and', 'but', 'while', 'then'))
    )
      k += 1
    return k
  }

  read(): LineRead {
    let i = 0
    while (i < this.words.length) {
      const next = this.clause(i)
      i = Math.max(next, i + 1)
    }
    this.dropBreath()
    const minds =
      this.found.length === 0 && (FEELING.has(this.text(0)) || MINDING.has(this.text(0)))
    return {
      instructions: this.found,
      notUnderstood: this.notUnderstood(),
      ...(minds ? { minds: true } : {}),
    }
  }

  /** That one breathes is told when nothing else is done. */
  private dropBreath() {
    const others = this.found.some(({ action }) => action !== 'breathe')
    if (!others) return
    for (let i = this.found.length - 1; i >= 0; i -= 1)
      if (this.found[i]!.action === 'breathe' && this.found[i]!.part === 'whole body')
        this.found.splice(i, 1)
  }

  private notUnderstood(): [number, number][] {
    const spans: [number, number][] = []
    this.words.forEach(({ start, end, mark }, i) => {
      if (mark || this.used[i]) return
      const before = spans.at(-1)
      const joined = before && this.words.slice(0, i).findLast((word) => word.end <= start)
      if (before && joined && joined.end === before[1]) before[1] = end
      else spans.push([start, end])
    })
    return spans
  }

  /** Reads one clause from a word on. @returns where the next one begins */
  private clause(i: number): number {
    const word = this.words[i]!
    if (word.mark) return i + 1
    const breath = this.breathAt(i)
    if (breath) {
      this.use(i, breath)
      return breath
    }
    if (NOT.has(word.text) || (this.is(i, 'do') && this.is(i + 1, 'not')))
      return this.clauseEnd(i + 1)
    // Both together: as you bend the knee, lift the arm.
    if (
      this.is(i, 'as', 'while', 'when') &&
      (this.is(i + 1, 'you') || verbAt(this.words, i + 1, 'going'))
    ) {
      // Said of the whole, and nothing told of it: as you turn.
      const after = this.is(i + 1, 'you') ? i + 3 : i + 2
      if (this.found.length > 0 && (after >= this.words.length || this.words[after]!.mark))
        return after
      this.use(i, i + 1)
      return i + 1
    }
    if (this.is(i, 'keep', 'keeping')) return this.keeping(i)
    if (this.is(i, 'let', 'allow', 'letting', 'allowing', 'have', 'invite', 'encourage'))
      return this.letting(i)
    if (this.is(i, 'press', 'push', 'pressing', 'pushing')) {
      const position = this.toPosition(i)
      if (position) return position
    }
    if (this.is(i, 'come', 'coming', 'go', 'going', 'return', 'get', 'getting', 'transition')) {
      const came = this.coming(i)
      if (came) return came
    }
    if (FEELING.has(word.text)) return this.clauseEnd(i + 1)
    const manner = this.mannerAt(i)
    if (manner) {
      this.use(i, manner)
      return manner
    }
    if (this.is(i, 'with', 'having')) {
      const after = this.withAt(i)
      if (after) return after
    }
    // `Long back`, `wide collarbones`.
    const adjective = wayAt(this.words, i)
    const described = adjective && this.nouns(adjective.end)
    if (
      described &&
      ['long', 'soft', 'straight', 'bent', 'level', 'round', 'out', 'still'].includes(
        adjective.value
      ) &&
      !verbAt(this.words, i, 'base')
    ) {
      this.use(i, described.end)
      const told = { ...nothingTold(), ways: [adjective.value] }
      const end = this.tell(described.end, told)
      this.tellState(described.all, told, i, end)
      return this.after(end, this.lastVerb ?? 'place')
    }
    const noun = this.nouns(i)
    const verb = verbAt(this.words, i, 'base', 'going', 'third')
    // A word that is both: 'heel' and 'part' are verbs only before what they move.
    if (verb && !(noun && this.predicateAt(noun.end) && !this.nouns(i + 1) && this.isNounHere(i)))
      return this.verbClause(i, verb.verb)
    if (noun) {
      const after = this.nounClause(i, noun)
      if (after) return after
    }
    if (SUBORDINATE.has(word.text)) return this.skipSubordinate(i)
    if (SKIPPED.has(word.text)) {
      this.use(i, i + 1)
      return i + 1
    }
    // Nothing is known of this word: what follows belongs to it.
    return this.clauseEnd(i + 1)
  }

  private isNounHere(i: number): boolean {
    return partAt(this.words, i) !== null
  }

  private skipSubordinate(i: number): number {
    let k = i + 1
    while (k < this.words.length && !this.words[k]!.mark) k += 1
    return k
  }

  /** In-breath and out-breath that lead to what is done. */
  private breathAt(i: number): number | null {
    let k = i
    while (BEFORE_BREATH.has(this.text(k))) k += 1
    const from = k
    if (
      MARKERS.has(this.text(k)) ||
      this.is(k, 'inhalation', 'exhalation', 'in-breath', 'out-breath')
    )
      k += 1
    else if (this.is(k, 'breathe', 'breathing', 'breath') && this.is(k + 1, 'in', 'out')) k += 2
    else return null
    if (from > i && k === from) return null
    // By itself it is what is done, and so is breathing into a place.
    const end =
      this.words.length === k || (this.stop(k) && this.found.length === 0 && !this.hasMore(k))
    if (from === i && (end || this.is(k, 'into', 'through', 'for'))) return null
    while (this.is(k, 'slowly', 'deeply', 'fully', 'and', 'to', 'again')) {
      if (this.is(k, 'and', 'to') && !verbAt(this.words, k + 1, 'base')) break
      k += 1
    }
    return k
  }

  private hasMore(i: number): boolean {
    return this.words.slice(i).some((word) => !word.mark)
  }

  private mannerAt(i: number): number | null {
    const manner = mannerAt(this.words, i)
    if (manner) return manner.end
    return isManner(this.text(i)) ? i + 1 : null
  }

  /** A side word, a relative word and a part: `the left hand`, `both big toes`, `front knee`. */
  private noun(
    i: number,
    sideBefore?: { side: SideTold; role?: Instruction['role'] }
  ): Noun | null {
    if (sideBefore) return this.nounFrom(i, sideBefore)
    const before = this.known.get(i)
    if (before !== undefined) return before
    const found = this.nounFrom(i)
    this.known.set(i, found)
    return found
  }

  private nounFrom(
    i: number,
    sideBefore?: { side: SideTold; role?: Instruction['role'] }
  ): Noun | null {
    let k = i
    let side: SideTold = null
    let role: Instruction['role']
    let both = false
    let told = false
    for (;;) {
      const word = this.words[k]
      if (!word || word.mark) return null
      const part = partAt(this.words, k)
      if (
        part &&
        !(word.text === 'back' && part.end === k + 1 && !this.spineHere(k)) &&
        !(word.text === 'front' && part.end === k + 1 && !this.frontHere(k)) &&
        !(word.text === 'bottom' && partAt(this.words, k + 1)) &&
        !this.is(k, 'look') &&
        !(word.text === 'face' && !DETERMINERS.has(this.text(k - 1)))
      ) {
        const { many } = part.value
        let { part: name } = part.value
        let { end } = part
        const text = this.said(k, end)
        // 'The heel of the left hand': the side is told afterwards.
        if (this.is(end, 'of') && side === null) {
          const owner = this.noun(end + 1)
          if (owner) {
            if (text === 'heel' && owner.part === 'hand') name = 'hand'
            if (text === 'back' || text === 'front') name = owner.part
            side = owner.side
            role = owner.role
            end = owner.end
          }
        }
        // Straight legs, bent knees: how they are, not which.
        if (many && role && HOW.has(role)) role = undefined
        const middle = IN_THE_MIDDLE.has(name)
        // An ear or a cheek has a side, the head has none; a side of the ribs is told.
        const own = middle ? (told || /^sit/.test(text) ? side : null) : side
        const pair = !middle || /^sit/.test(text)
        return {
          part: name,
          word: text,
          side:
            own ??
            (both || (many && !role)
              ? pair
                ? 'both'
                : null
              : role
                ? null
                : (sideBefore?.side ?? null)),
          role: role ?? (own || both ? undefined : sideBefore?.role),
          many,
          from: i,
          end,
        }
      }
      if (word.side) {
        side = word.side
        told = true
        k += 1
        continue
      }
      if (this.is(k, 'both', 'each', 'all', 'two', 'every')) both = true
      else if (ROLES[word.text] && this.partAfter(k + 1)) {
        role = ROLES[word.text]
        k += 1
        continue
      } else if (HEADS.has(word.text) && this.is(k + 1, 'of')) {
        const owner = this.noun(k + 2)
        return owner ? { ...owner, from: i } : null
      } else if (!DETERMINERS.has(word.text) && !PLAIN.has(word.text)) return null
      k += 1
    }
  }

  /** Whether `back` here is the back of the body. */
  private spineHere(k: number): boolean {
    const before = this.text(k - 1)
    if (this.partAfter(k + 1) || this.is(k + 1, 'edge', 'of')) return this.is(k + 1, 'of') && false
    return DETERMINERS.has(before) || OF_BACK.has(before)
  }

  /** Whether `front` here is the front of the body. */
  private frontHere(k: number): boolean {
    return (
      DETERMINERS.has(this.text(k - 1)) &&
      !this.partAfter(k + 1) &&
      (k + 1 >= this.words.length ||
        this.words[k + 1]!.mark !== undefined ||
        this.is(k + 1, 'with'))
    )
  }

  /** A part after words that may stand before it. */
  private partAfter(k: number): boolean {
    let i = k
    while (PLAIN.has(this.text(i)) || this.words[i]?.side) i += 1
    const part = partAt(this.words, i)
    return part !== null && !this.is(i, 'back', 'look', 'bottom', 'front')
  }

  /** Parts joined by `and`. */
  private nouns(i: number): { all: Noun[]; end: number } | null {
    if (this.is(i, 'it', 'them', 'this') && this.last.length > 0 && !this.noun(i))
      return { all: this.last.map((noun) => ({ ...noun, from: i, end: i + 1 })), end: i + 1 }
    const first = this.noun(i)
    if (!first) return null
    const all = [first]
    let { end } = first
    for (;;) {
      const listed = this.listed(end)
      if (listed) {
        all.push(listed)
        ;({ end } = listed)
        continue
      }
      if (!this.is(end, 'and', '&')) break
      const withDet = DETERMINERS.has(this.text(end + 1))
      const next = this.noun(end + 1, withDet || first.side === 'both' ? undefined : first)
      // 'And the right foot out' tells something of its own.
      if (!next || verbAt(this.words, end + 1, 'base')) break
      all.push(next)
      end = next.end
    }
    return { all, end }
  }

  /** The next part of a list: `the chest, the chin, the forehead`; what is told of one ends it. */
  private listed(i: number): Noun | null {
    if (this.words[i]?.mark !== 'comma') return null
    const k = this.is(i + 1, 'and') ? i + 2 : i + 1
    const next = this.noun(k)
    if (!next || verbAt(this.words, k, 'base')) return null
    const ends =
      this.stop(next.end) ||
      this.listed(next.end) !== null ||
      (this.is(next.end, 'and') && this.noun(next.end + 1) !== null)
    return ends && !this.is(next.end, 'first', 'last') ? next : null
  }

  /** A thing: `the folded blanket`, `a block`. */
  private thing(i: number): { thing: Thing; word: string; end: number } | null {
    let k = i
    while (DETERMINERS.has(this.text(k)) || PLAIN.has(this.text(k)) || OF_THING.has(this.text(k))) {
      const here = thingAt(this.words, k)
      if (here) break
      k += 1
    }
    const found = thingAt(this.words, k)
    return found && { thing: found.value, word: this.text(found.end - 1), end: found.end }
  }

  /** A relation and what stands in it: `over the right ankle`, `to the wall`, `behind you`. */
  private place(i: number): { place: Place; end: number } | null {
    const relation = relationAt(this.words, i)
    if (!relation) return null
    const thing = this.thing(relation.end)
    const noun = this.noun(relation.end)
    if (thing && (!noun || thing.end >= noun.end))
      return {
        place: { relation: relation.value, thing: thing.thing, word: thing.word },
        end: thing.end,
      }
    if (noun) {
      let { end } = noun
      const and = this.is(end, 'and') ? this.noun(end + 1) : null
      const both = and && and.part === noun.part && !this.predicateAt(and.end)
      if (both) ({ end } = and)
      const height = this.is(end, 'height', 'level')
      if (height) end += 1
      return {
        place: {
          relation: height ? 'level with' : relation.value,
          part: noun.part,
          word: noun.word,
          side: both ? 'both' : noun.side,
          ...(noun.role && !both ? { role: noun.role } : {}),
        },
        end,
      }
    }
    if (this.is(relation.end, 'each', 'one') && this.is(relation.end + 1, 'other', 'another'))
      return null
    const theOther = ['other', 'opposite', 'same'].find((role) => {
      const k = DETERMINERS.has(this.text(relation.end)) ? relation.end + 1 : relation.end
      return this.is(k, role)
    })
    const subject = this.last[0]
    if (theOther && subject)
      return {
        place: {
          relation: relation.value,
          part: subject.part,
          word: subject.word,
          side: null,
          role: theOther as Place['role'],
        },
        end: DETERMINERS.has(this.text(relation.end)) ? relation.end + 2 : relation.end + 1,
      }
    // 'In front of the left': the same part of the other side.
    const k = DETERMINERS.has(this.text(relation.end)) ? relation.end + 1 : relation.end
    const side = this.words[k]?.side
    if (
      side &&
      subject &&
      !['to', 'from', 'along'].includes(relation.value) &&
      !this.partAfter(k + 1)
    )
      return {
        place: { relation: relation.value, part: subject.part, word: subject.word, side },
        end: k + 1,
      }
    return null
  }

  /** Left and right as ways: `to the right`, `right`. */
  private sideWay(i: number): { way: Way; end: number } | null {
    let k = i
    if (this.is(k, 'to', 'towards', 'toward', 'over', 'onto', 'on')) k += 1
    if (DETERMINERS.has(this.text(k))) k += 1
    const side = this.words[k]?.side
    if (!side || this.noun(k)) return null
    let end = k + 1
    if (this.is(end, 'side') || this.is(end, 'hand')) end += 1
    return { way: side, end }
  }

  private amountHere(i: number): { amount: Amount; end: number } | null {
    const first = this.text(i)
    const may =
      beginsAmount(first) || BEFORE_AMOUNT.has(first) || first in NUMBERS || /^\d/.test(first)
    if (!may) return null
    let k = i
    while (BEFORE_AMOUNT.has(this.text(k))) k += 1
    const number = Number(this.text(k).replace(',', '.')) || NUMBERS[this.text(k)]
    const ranged =
      this.is(k + 1, 'to', 'or', '-') && (Number(this.text(k + 2)) || NUMBERS[this.text(k + 2)])
        ? 2
        : 0
    if (number !== undefined && number > 0) {
      let u = k + 1 + ranged
      while (this.is(u, 'more', 'slow', 'full', 'deep', 'long', 'steady', 'even', 'whole')) u += 1
      const unit = this.text(u)
      if (UNITS[unit])
        return {
          amount: {
            words: this.said(k, u + 1),
            value: unit === 'inches' ? number * 2.54 : number,
            unit: UNITS[unit]!,
          },
          end: u + 1,
        }
      if (COUNTED.test(unit))
        return {
          amount: {
            words: this.said(k, u + 1),
          },
          end: u + 1,
        }
    }
    const said = amountAt(this.words, k) ?? amountAt(this.words, i)
    if (!said) return null
    const known: Partial<Amount> = /half/.test(said.value)
      ? { value: 0.5, unit: 'part of the way' }
      : /third/.test(said.value)
        ? { value: 0.33, unit: 'part of the way' }
        : /leg/.test(said.value)
          ? { value: 1, unit: 'leg lengths' }
          : /little|bit|slightly|touch|inch/.test(said.value)
            ? { value: 0.25, unit: 'part of the way' }
            : {}
    return { amount: { words: said.value, ...known }, end: said.end }
  }

  /** Whether something is told of a part from this word on. */
  private predicateAt(i: number): boolean {
    return (
      this.sideWay(i) !== null ||
      this.place(i) !== null ||
      wayAt(this.words, i) !== null ||
      this.amountHere(i) !== null ||
      verbAt(this.words, i, 'done', 'going', 'third') !== null
    )
  }

  /** Takes what is told of a part. @returns where it ends */
  private tell(i: number, told: Told, most = 99): number {
    let k = i
    for (let n = 0; n < most; n += 1) {
      const before = k
      // `To face down`, `facing the floor`.
      if ((this.is(k, 'to') && this.is(k + 1, 'face')) || this.is(k, 'facing')) {
        const after = this.is(k, 'facing') ? k + 1 : k + 2
        if (wayAt(this.words, after)) k = after
      }
      const met = this.is(k, 'to') && this.is(k + 1, 'meet', 'touch') ? this.noun(k + 2) : null
      if (met) {
        told.places.push({
          relation: 'to',
          part: met.part,
          word: met.word,
          side: met.side,
          ...(met.role ? { role: met.role } : {}),
        })
        k = met.end
        this.use(before, k)
        continue
      }
      const way = this.holding && this.is(k, 'in') ? null : wayAt(this.words, k)
      const sideWay = this.sideWay(k)
      const place = this.place(k)
      const amount = this.amountHere(k)
      const manner = this.mannerAt(k)
      if (
        sideWay &&
        (!way || sideWay.end >= way.end) &&
        !(place?.place.part && place.end >= sideWay.end)
      ) {
        told.ways.push(sideWay.way)
        k = sideWay.end
      } else if (
        way &&
        way.end >= (place?.end ?? 0) &&
        !(this.is(k, 'in') && way.end === k + 1 && place) &&
        way.end >= (amount?.end ?? 0)
      ) {
        told.ways.push(way.value)
        const said = this.said(k, way.end)
        if (/over(?:head| \S+ head)$|above \S+ head$/.test(said))
          told.places.push({ relation: 'over', part: 'head', word: 'head', side: null })
        k = way.end
      } else if (
        place &&
        place.end >= (amount?.end ?? 0) &&
        !this.is(k, 'with') &&
        !(
          this.holding &&
          this.is(k, 'in', 'between') &&
          ['hand', 'fingers'].includes(place.place.part ?? '')
        )
      ) {
        told.places.push(place.place)
        k = place.end
      } else if (amount) {
        told.amount = amount.amount
        if (/apart|width/.test(amount.amount.words) && told.ways.length === 0)
          told.ways.push('apart')
        k = amount.end
      } else if (way) {
        told.ways.push(way.value)
        k = way.end
      } else if (manner && !verbAt(this.words, k, 'base')) {
        told.manner = this.said(k, manner)
        k = manner
      } else if (
        this.is(k, 'and', 'or') &&
        told.ways.length > 0 &&
        wayAt(this.words, k + 1) &&
        !this.noun(k + 1) &&
        !verbAt(this.words, k + 1, 'base') &&
        this.is(k, 'and')
      )
        k += 1
      else if (
        this.words[k]?.mark === 'comma' &&
        k + 1 < this.words.length &&
        this.goesOn(k + 1, told)
      )
        k += 1
      else break
      if (k <= before) break
      this.use(before, k)
    }
    return k
  }

  /** After a comma: more of the same, such as how far or where to, and no part of its own. */
  private goesOn(i: number, told: Told): boolean {
    const [place, way, amount] = [this.place(i), wayAt(this.words, i), this.amountHere(i)]
    const noun = this.noun(i)
    if (noun && !(amount && amount.end >= noun.end)) return false
    if (
      verbAt(this.words, i, 'base', 'going') &&
      !amount &&
      !(way && !this.nouns(i + 1) && way.end > i + 1)
    )
      return false
    if (way && this.nouns(way.end)) return false
    if (told.places.length === 0 && place && !this.is(i, 'with', 'for')) return true
    return (amount !== null && told.amount === null) || (way !== null && told.ways.length === 0)
  }

  private verbClause(i: number, verb: string): number {
    let k = i + 1
    const told = nothingTold()
    const from = i
    if (verb === 'turn' && this.is(k, 'onto', 'over')) verb = 'roll'
    this.holding = HOLDING.has(verb)
    let nouns: Noun[] = []
    let prop: Thing | undefined
    if (
      this.is(i, 'take', 'taking', 'get', 'catch') &&
      this.is(k, 'hold') &&
      this.is(k + 1, 'of')
    ) {
      verb = 'hold'
      this.use(k, k + 2)
      k += 2
    }
    k = this.tell(k, told)
    // What is moved.
    const thing = this.thing(k)
    const object = this.nouns(k)
    if (verb === 'face' && (thing || object)) {
      const end = Math.max(thing?.end ?? 0, object?.end ?? 0)
      told.places.push(
        thing
          ? { relation: 'to', thing: thing.thing, word: thing.word }
          : {
              relation: 'to',
              part: object!.all[0]!.part,
              word: object!.all[0]!.word,
              side: object!.all[0]!.side,
            }
      )
      this.use(i, end)
      this.tellVerb(verb, [], [], undefined, told, i, end)
      return this.after(end, verb)
    }
    if (object && (!thing || object.end >= thing.end)) {
      nouns = object.all
      this.last = nouns
      this.use(k, object.end)
      k = object.end
      // 'And the right foot out': what is told comes after each.
      k = this.tell(k, told)
    } else if (thing) {
      prop = thing.thing
      this.use(k, thing.end)
      k = this.tell(thing.end, told)
    } else if (
      k < this.words.length &&
      !this.words[k]!.mark &&
      (DETERMINERS.has(this.text(k)) || this.unknown(k))
    ) {
      // It moves something that is not known.
      if (DETERMINERS.has(this.text(k)) || (told.ways.length === 0 && told.places.length === 0))
        return this.clauseEnd(k)
    }
    let by: Noun[] = []
    const inHands = HOLDING.has(verb) && this.is(k, 'in', 'between', 'by')
    if (this.is(k, 'with', 'using') || inHands) {
      const means = this.nouns(k + 1)
      if (
        means &&
        !this.predicateAt(means.end) &&
        (!inHands || ['hand', 'fingers'].includes(means.all[0]!.part))
      ) {
        by = means.all
        this.use(k, means.end)
        k = this.tell(means.end, told)
      }
    }
    this.holding = false
    this.use(from, from + 1)
    this.tellVerb(verb, nouns, by, prop, told, from, k)
    this.lastVerb = verb
    return this.after(k, verb)
  }

  private unknown(k: number): boolean {
    const word = this.words[k]!
    return !(
      SUBORDINATE.has(word.text) ||
      SKIPPED.has(word.text) ||
      NOT.has(word.text) ||
      this.is(k, 'with', 'using', 'keep', 'keeping', 'let', 'letting') ||
      verbAt(this.words, k, 'base', 'going')
    )
  }

  /** What comes after a clause: a second part with the same verb, or the next clause. */
  private after(k: number, verb: string): number {
    if (this.is(k, 'and') || (this.words[k]?.mark === 'comma' && this.is(k + 1, 'and'))) {
      const at = this.is(k, 'and') ? k + 1 : k + 2
      const object = this.nouns(at)
      if (object && !verbAt(this.words, at, 'base')) {
        const told = nothingTold()
        const end = this.tell(object.end, told)
        if (
          told.ways.length + told.places.length > 0 &&
          !verbAt(this.words, end, 'done', 'going', 'third')
        ) {
          this.use(k, object.end)
          if (told.places.length > 0 && told.ways.length === 0 && !this.movesTo(verb))
            this.tellState(object.all, told, at, end)
          else this.tellVerb(verb, object.all, [], undefined, told, at, end)
          return end
        }
      }
    }
    if (k < this.words.length && !this.words[k]!.mark && this.unknown(k) && !this.is(k, 'and')) {
      // What is not known goes to the end of the clause; what was read stays.
      const noun = this.nouns(k)
      if (noun && this.predicateAt(noun.end)) return k
      return this.clauseEnd(k)
    }
    return k
  }

  private movesTo(verb: string): boolean {
    return VERBS[verb]!.some(({ action }) => ['place', 'step', 'slide', 'reach'].includes(action))
  }

  /** Gives each part that a verb moves an instruction, by what the verb means here. */
  private tellVerb(
    verb: string,
    nouns: Noun[],
    by: Noun[],
    prop: Thing | undefined,
    told: Told,
    from: number,
    end: number
  ) {
    const senses = VERBS[verb]!
    // 'Hold the left foot with the right hand', 'take hold of the big toe': what is held is the place.
    const holding = HOLDING.has(verb)
    const hands = (noun: Noun) => ['hand', 'fingers'].includes(noun.part)
    if (holding && (prop || (nouns.length > 0 && (by.length > 0 || !nouns.every(hands))))) {
      const state = nouns.length > 0 && by.length === 0 && told.ways.length > 0
      if (
        state ||
        (nouns.length > 0 && nouns.every((noun) => TRUNK.includes(noun.part)) && verb === 'hold')
      ) {
        this.tellState(nouns, told, from, end, true)
        return
      }
      const to: Place = prop
        ? { relation: 'to', thing: prop, word: prop }
        : {
            relation: 'to',
            part: nouns[0]!.part,
            word: nouns[0]!.word,
            side: nouns[0]!.side,
            ...(nouns[0]!.role ? { role: nouns[0]!.role } : {}),
          }
      const own =
        by.length > 0
          ? by
          : [
              {
                part: 'hand' as const,
                word: 'hand',
                side:
                  nouns.some((noun) => noun.many) || nouns[0]?.word === 'elbows'
                    ? ('both' as const)
                    : null,
                many: false,
                from,
                end,
              },
            ]
      for (const noun of own)
        this.push('hold', noun, { ...told, places: [to, ...told.places] }, from, end)
      return
    }
    const moved = nouns.length > 0 ? nouns : by
    if (moved.length === 0 && prop) {
      const at = told.places.find((place) => place.part)
      const sense = senses.find((each) => ['place', 'hold'].includes(each.action))
      if (!sense || !at) return
      // A prop that is set under or between parts: told of the part that it comes to.
      this.push(
        'place',
        nounOf(at, from, end),
        { ...told, places: [{ relation: 'on', thing: prop, word: prop }] },
        from,
        end,
        prop
      )
      return
    }
    const around = (noun: Noun | null): Around => ({
      part: noun?.part ?? null,
      ways: told.ways,
      places: told.places,
    })
    const choose = (noun: Noun | null): Sense | undefined =>
      senses.find((sense) =>
        sense.holds === undefined
          ? noun !== null || sense.part !== undefined
          : sense.holds(around(noun))
      )
    if (moved.length > 0) {
      for (const noun of moved) {
        const sense = choose(noun)
        if (!sense) continue
        // Arms that are lowered to the sides come to the body.
        const lowered = sense.action === 'lower' && noun.part === 'arm' && told.ways.includes('out')
        const own = lowered
          ? {
              ...told,
              ways: ['down' as const],
              places: [{ relation: 'beside' as const, thing: 'you' as const, word: 'sides' }],
            }
          : withWay(told, sense.way)
        this.push(sense.action, noun, own, from, end)
      }
      this.last = moved
      return
    }
    // 'Press into the hands', 'breathe into the ribs', 'press down through the heel'.
    const through = told.places.find(
      (place) => ['on', 'through'].includes(place.relation) && place.part
    )
    const sense = choose(null)
    if (through && THROUGH.has(verb)) {
      const of = senses.find(
        (each) => each.holds?.({ part: through.part!, ways: [], places: [] }) ?? true
      )
      if (of && !(told.ways.includes('up') && sense)) {
        this.push(
          of.action,
          nounOf(through, from, end),
          { ...told, places: told.places.filter((place) => place !== through) },
          from,
          end
        )
        return
      }
    }
    if (!sense?.part) return
    // A movement of the trunk by itself needs a way; 'turn' alone is not enough to know.
    const noun: Noun = {
      part: sense.part,
      word: sense.part,
      side: sense.both ? 'both' : null,
      many: false,
      from,
      end,
    }
    // Up on the toes: the heels rise, the toes stay.
    const heels = sense.action === 'lift' && sense.part === 'heel'
    const own = heels ? { ...told, ways: ['up' as const], places: [] } : withWay(told, sense.way)
    this.push(sense.action, noun, own, from, end)
  }

  private push(action: Action, noun: Noun, told: Told, from: number, end: number, prop?: Thing) {
    let last = end - 1
    while (last > from && (this.words[last]?.mark || this.is(last, 'and'))) last -= 1
    const turned = ['twist', 'side-bend', 'lean', 'roll', 'lie'].includes(action)
    const sides = told.ways.filter((way) => way === 'left' || way === 'right')
    const spot = spotOf(noun.part, noun.word)
    this.found.push({
      action,
      part: noun.part,
      word: noun.word,
      spot: spot ?? undefined,
      side: noun.side,
      role: noun.role,
      ways: turned && sides.length > 0 ? sides : [...new Set(told.ways)],
      places: told.places.map(withSpot),
      amount: told.amount && { ...told.amount, ...amountSays(told.amount.words) },
      manner: told.manner,
      prop,
      from: this.words[from]!.start,
      until: this.words[Math.min(last, this.words.length - 1)]!.end,
    })
  }

  /** A part and how it is: `left arm up`, `palms together`, `heels under the knees`. */
  private nounClause(i: number, nouns: { all: Noun[]; end: number }): number | null {
    const told = nothingTold()
    const before = this.last
    this.last = nouns.all
    if (this.is(nouns.end, 'first', 'last')) {
      this.last = before
      this.use(i, nouns.end + 1)
      return nouns.end + 1
    }
    const verb = verbAt(this.words, nouns.end, 'third', 'going', 'done', 'base')
    const way = wayAt(this.words, nouns.end)
    if (verb && !(way && verb.form === 'done')) {
      const end = this.tell(nouns.end + 1, told)
      const means = VERBS[verb.verb]!.some(
        (sense) =>
          sense.holds?.({ part: nouns.all[0]!.part, ways: told.ways, places: told.places }) ?? true
      )
      if (means && !this.noun(end)) {
        this.use(i, nouns.end + 1)
        this.tellVerb(verb.verb, nouns.all, [], undefined, told, i, end)
        return this.after(end, verb.verb)
      }
    }
    const end = this.tell(nouns.end, told)
    if (told.ways.length + told.places.length === 0) {
      // 'The left foot' by itself: what is told of it is not known.
      this.last = before
      return null
    }
    this.use(i, nouns.end)
    this.tellState(nouns.all, told, i, end)
    this.last = nouns.all
    return this.after(end, this.lastVerb ?? 'place')
  }

  private tellState(nouns: Noun[], told: Told, from: number, end: number, keeps = false) {
    for (const noun of nouns) {
      const action = keeps ? 'stay' : stateOf(noun.part, noun.word, told)
      if (!action) continue
      this.push(action, noun, told, from, end)
      if (keeps) this.found.at(-1)!.keeps = true
    }
    this.last = nouns
  }

  private keeping(i: number): number {
    let k = i + 1
    while (isManner(this.text(k))) k += 1
    const verb = verbAt(this.words, k, 'going')
    if (verb && !this.noun(k)) {
      this.use(i, k)
      return this.verbClause(k, verb.verb)
    }
    const nouns = this.nouns(k)
    if (!nouns) return this.clauseEnd(i + 1)
    const told = nothingTold()
    let end = nouns.end
    const done = verbAt(this.words, end, 'going', 'done')
    if (done && !wayAt(this.words, end)) {
      end = this.tell(end + 1, told)
      this.use(i, nouns.end + 1)
      this.tellVerb(done.verb, nouns.all, [], undefined, told, i, end)
      this.last = nouns.all
      return this.after(end, 'place')
    }
    end = this.tell(end, told)
    if (told.ways.length + told.places.length === 0) return this.clauseEnd(Math.max(end, i + 1))
    this.use(i, nouns.end)
    this.tellState(nouns.all, told, i, end, true)
    return this.after(end, 'place')
  }

  private letting(i: number): number {
    if (this.is(i + 1, 'go') && this.is(i + 2, 'of')) {
      const held = this.nouns(i + 3)
      if (held) {
        this.use(i, held.end)
        const told = nothingTold()
        const end = this.tell(held.end, told)
        this.tellVerb('release', held.all, [], undefined, told, i, end)
        return this.after(end, 'release')
      }
    }
    const nouns = this.nouns(i + 1)
    if (!nouns) return this.clauseEnd(i + 1)
    let k = nouns.end
    if (this.is(k, 'to')) k += 1
    while (isManner(this.text(k)) || this.is(k, 'both', 'gently')) k += 1
    const verb = verbAt(this.words, k, 'base', 'third', 'going')
    const told = nothingTold()
    if (verb) {
      const end = this.tell(k + 1, told)
      this.use(i, k + 1)
      this.tellVerb(verb.verb, nouns.all, [], undefined, told, i, end)
      return this.after(end, verb.verb)
    }
    if (this.is(k, 'be', 'come', 'go')) k += 1
    const end = this.tell(k, told)
    if (told.ways.length + told.places.length === 0) return this.clauseEnd(i + 1)
    this.use(i, k)
    this.tellState(nouns.all, told, i, end)
    return this.after(end, 'place')
  }

  /** The position that a verb leads to: come to kneeling, press back up to all fours. */
  private toPosition(i: number): number | null {
    for (let at = i + 1; at <= i + 5 && at < this.words.length && !this.words[at]!.mark; at += 1)
      for (const { words, phrase, action } of POSITIONS) {
        if (!phrase.every((word, n) => this.is(at + n, word))) continue
        const between = this.words.slice(i + 1, at)
        if (between.length === 0 || !between.every(({ text }) => ON_THE_WAY.has(text))) continue
        // The standing leg and the sit bones are no positions.
        const after = at + phrase.length
        if ((partAt(this.words, at)?.end ?? 0) > after || partAt(this.words, after)) continue
        const told = nothingTold()
        const end = this.tell(after, told)
        this.use(i, end)
        this.push(
          action,
          { part: 'whole body', word: words, side: null, many: false, from: i, end },
          told,
          i,
          end
        )
        return this.after(end, 'place')
      }
    return null
  }

  /** `come to standing`, `come up`, `come onto the forearms`, `go down to hands and knees`. */
  private coming(i: number): number | null {
    const told = nothingTold()
    let k = i + 1
    while (
      this.is(k, 'all', 'the', 'way', 'slowly', 'gently', 'back', 'up', 'down', 'forward') &&
      !relationAt(this.words, k)?.end
    )
      k += 1
    const position = this.toPosition(i)
    if (position) return position
    k = i + 1
    const end = this.tell(k, told)
    const on = told.places.find(
      (place) =>
        place.part &&
        (place.relation === 'on' ||
          (place.relation === 'to' &&
            ['forearm', 'hand', 'elbow', 'fingers', 'knee', 'toes', 'spine', 'chest'].includes(
              place.part
            )))
    )
    const noun = (part: BodyPart, side: SideTold = null, word: string = part): Noun => ({
      part,
      word,
      side,
      many: false,
      from: i,
      end,
    })
    if (on) {
      const up = told.ways.includes('up')
      const toes =
        on.part === 'toes' || (on.part === 'foot' && /ball/.test(on.word)) || /tip/.test(on.word)
      const put =
        toes && up ? noun('heel', on.side ?? null) : noun(on.part!, on.side ?? null, on.word)
      this.use(i, end)
      if (on.part === 'spine' || on.part === 'chest')
        this.push('lie', noun('whole body'), told, i, end)
      else
        this.push(
          toes && up ? 'lift' : 'place',
          { ...put, ...(on.role ? { role: on.role } : {}) },
          toes && up
            ? { ...told, places: [] }
            : { ...told, places: [{ relation: 'on', thing: 'floor', word: 'floor' }] },
          i,
          end
        )
      return this.after(end, 'place')
    }
    if (
      told.ways.length === 0 &&
      told.places.length === 0 &&
      told.amount &&
      /deep|furth|farth/.test(told.amount.words)
    ) {
      this.use(i, end)
      this.push('lower', noun('whole body'), told, i, end)
      return this.after(end, 'place')
    }
    if (told.ways.length > 0 && !this.is(i, 'get', 'getting')) {
      const [way] = told.ways
      const action =
        way === 'up' ? 'lift' : way === 'down' ? 'lower' : way === 'middle' ? 'release' : 'shift'
      this.use(i, end)
      this.push(
        action,
        noun(way === 'up' || way === 'middle' ? 'spine' : 'whole body'),
        told,
        i,
        end
      )
      return this.after(end, 'place')
    }
    return null
  }

  /** `with the arms overhead`, `with straight legs`: how parts are meanwhile. */
  private withAt(i: number): number | null {
    const k = i + 1
    const nouns = this.nouns(k)
    if (nouns && this.predicateAt(nouns.end)) {
      const end = this.nounClause(k, nouns)
      if (end) this.use(i, i + 1)
      return end
    }
    const before = wayAt(this.words, k)
    if (
      nouns &&
      before &&
      ['straight', 'bent', 'long', 'soft', 'round', 'level'].includes(before.value)
    ) {
      this.use(i, nouns.end)
      this.tellState(nouns.all, { ...nothingTold(), ways: [before.value] }, i, nouns.end)
      return nouns.end
    }
    return null
  }
}

/** A part that a line names as a place, as what is moved. */
const nounOf = ({ part, word, side = null, role }: Place, from: number, end: number): Noun => ({
  part: part!,
  word,
  side,
  ...(role ? { role } : {}),
  many: false,
  from,
  end,
})

const withWay = (told: Told, way?: Way): Told =>
  way &&
  told.ways.length === 0 &&
  !told.places.some(({ relation }) => relation === 'on' || relation === 'to')
    ? { ...told, ways: [way] }
    : told

/** What a part is asked to do by how it is told to be. */
function stateOf(part: BodyPart, word: string, { ways, places }: Told): Action | null {
  const limb = !IN_THE_MIDDLE.has(part)
  const has = (...wanted: Way[]) => wanted.some((way) => ways.includes(way))
  if (has('crossed')) return 'cross'
  if (has('under') && part === 'toes') return 'tuck'
  if (part === 'gaze') return 'look'
  if (/^palm/.test(word) && has('up', 'down', 'forward', 'back', 'in', 'out')) return 'rotate'
  if (has('straight') || (has('long') && limb)) return limb ? 'straighten' : 'lengthen'
  if (has('long')) return 'lengthen'
  if (has('bent')) return 'bend'
  if (has('round')) return 'round'
  if (has('soft')) return 'soften'
  if (has('still')) return 'stay'
  if (has('together')) return 'close'
  if (has('apart')) return 'spread'
  if (part === 'toes' && has('out')) return 'turn-out'
  if (part === 'toes' && has('in')) return 'turn-in'
  if (has('up', 'high') && places.length === 0) return 'lift'
  if (has('level')) return 'rotate'
  if (places.some(({ thing }) => thing === 'ceiling') && limb && part !== 'knee') return 'lift'
  // Overhead.
  if (has('up') && places.some(({ relation, part: at }) => relation === 'over' && at === 'head'))
    return 'lift'
  if (places.length > 0) return 'place'
  if (has('down', 'low')) return 'lower'
  if (has('out', 'in')) return has('out') ? 'open' : 'close'
  if (has('left', 'right')) return part === 'head' || part === 'chin' ? 'rotate' : 'shift'
  if (has('forward', 'back')) return limb && ['foot', 'leg'].includes(part) ? 'step' : 'shift'
  return null
}

/** The parts of the body that a line names, each once. */
export function partsNamed(line: string): BodyPart[] {
  const words = wordsOf(line)
  const found = new Set<BodyPart>()
  for (let i = 0; i < words.length; i += 1) {
    const part = partAt(words, i)
    if (!part) continue
    // `Back` and `front` may be ways.
    if (
      part.end === i + 1 &&
      ['back', 'front', 'look', 'bottom', 'seat', 'core'].includes(words[i]!.text)
    )
      continue
    found.add(part.value.part)
    i = part.end - 1
  }
  return [...found]
}

/** What a line of English asks for, and what of it was not understood. */
export const readEnglish = (line: string): LineRead => new Reading(line).read()
