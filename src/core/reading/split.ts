import { type Card, freshId, type Patch, stepIds, stepLists, type StepList } from '../card'
import { packOf, remember, rememberIn, rememberOf, speechIn } from '../language'
import { readLine } from './readLine'

/** A line cut where its second thing to do begins. */
export interface Cut {
  first: string
  second: string
  /** The breath that the second one belongs to by its movements; null when they leave it open. */
  breath: Phase | null
}
type Phase = 'in' | 'out'

const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1)

/**
 * Cuts a line at the border of an instruction: both parts keep all that they say.
 * @returns null when there is only one thing to do, or where it begins is not understood
 */
export const cutLine = rememberIn((text, language): Cut | null => {
  const { instructions } = readLine(text, language)
  const [one] = instructions
  const other = one && instructions.find(({ from }) => from >= one.until)
  if (!one || !other) return null
  const pack = packOf(language)
  const leads = speechIn(language)?.leads ?? /\s+$/
  const before = text.slice(0, other.from).replace(leads, '')
  const second = capital(text.slice(other.from))
  if (!/[\p{L}]/u.test(before) || before.length < one.until - one.from) return null
  const end = /[.!?…]$/.exec(second.trim())?.[0] ?? '.'
  const phases = new Set(pack?.breath.movements(second).map(({ phase }) => phase))
  return {
    first: /[.!?…]$/.test(before) ? before : before + end,
    second,
    breath: phases.size === 1 ? [...phases][0]! : null,
  }
})

/** A step that is made two, each with a breath of its own. */
export interface SplitStep extends Cut {
  patches: Patch[]
  /** Rungs that say something in place of the step, or leave it out. */
  rungs: string[]
}

const across = { in: 'out', out: 'in' } as const

/**
 * What gives the second thing of a step a step of its own: ids stay, and a rung that replaces the
 * step or leaves it out leaves out the new one too.
 * @param where path of the words of a step
 */
export const splitStep = (card: Card, where: string): SplitStep | null => splitsOf(card)(where)

const splitsOf = rememberOf((card: Card) => remember((where) => splitAnew(card, where)))

/** The id of a new step, by how the ids of its list begin. */
const freshOf = rememberOf((card: Card) => remember((prefix) => freshId(prefix, stepIds(card))))

function splitAnew(card: Card, where: string): SplitStep | null {
  const at = /^(\w+)\[(\d+)\]\.text$/.exec(where)
  const own = at && stepLists().find(({ list }) => list === at[1])
  if (!own) return null
  const [list, index] = [own.list as StepList, Number(at[2])]
  const step = card[list][index]
  const cut = step && cutLine(step.text, card.language)
  if (!step || !cut) return null
  const id = freshOf(card)(own.prefix)
  const { breath } = step
  const next = breath === 'in' || breath === 'out' ? across[breath] : breath
  const { figure, seconds: _, ...rest } = step
  const steps = card[list].toSpliced(
    index,
    1,
    { ...rest, text: cut.first },
    {
      id,
      text: cut.second,
      breath: cut.breath ?? next,
      ...(step.cycle ? { cycle: true as const } : {}),
      // The form that was kept is the one after both.
      ...(figure ? { figure } : {}),
    }
  )
  const patches: Patch[] = [{ path: list, value: steps }]
  const rungs: string[] = []
  card.ladder.forEach((rung, i) => {
    const { replace, omit } = rung.steps
    if (!replace.some((each) => each.step === step.id) && !omit.includes(step.id)) return
    rungs.push(rung.name || rung.id)
    patches.push({ path: `ladder[${i}].steps.omit`, value: [...omit, id] })
  })
  return { ...cut, patches, rungs }
}
