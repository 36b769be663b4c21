import type { BlockContent, Code, ListItem, Paragraph, PhrasingContent, RootContent } from 'mdast'
import {
  BASES_OF_CLAIM,
  type Card,
  figuresOf,
  formOf,
  type On,
  REGION_NAMES,
  REGIONS,
  type Step,
  stepLists,
} from '../card'
import { SAY_FILES } from '../language'
import {
  always,
  bullets,
  capital,
  item,
  labelledItem,
  line,
  list,
  stayParts,
  structuredItem,
  tagged,
  verbatim,
} from './blocks'
import {
  type Entry,
  type Found,
  type Labelled,
  labelled,
  nothingUnder,
  once,
  type Reading,
  readStep,
  startLine,
  structured,
  tagsOf,
  wordsOf,
} from './entries'
import { writeTags } from './tags'

/** One section of a card file: its heading, and how it is written and read. */
export interface FileSection {
  heading: string
  write: (card: Card) => BlockContent[]
  /** Of a section whose lines stand in a list. */
  read?: (entries: Entry[], card: Found, reading: Reading) => void
  /** Of another one. It is read when all lists are. */
  readNodes?: (nodes: RootContent[], card: Found, reading: Reading) => void
}

type Fields = Record<string, unknown>

/** A line under a part: its label, and the key of what it holds. */
interface UnderLine {
  label: string
  key: string
  /** Whether it stands even when it is empty. */
  always?: boolean
  read?: (text: string) => unknown
}

const onTag = (on: On): On | undefined => (on === 'both' ? undefined : on)
const verdictWord = (text: string) => text.toLowerCase().replace(/\s+/g, '-')

/** A list of parts: the first words on a line of their own, the rest labelled under it. */
export function partsSection(
  field: keyof Card,
  heading: string,
  first: UnderLine,
  under: UnderLine[]
): FileSection {
  return {
    heading,
    write: (card) =>
      bullets(
        (card[field] as unknown as Fields[]).map((part) =>
          always(
            first.label,
            part[first.key] as string,
            under.flatMap(({ label, key, always: stands }) => {
              const own = key === 'on' ? onTag(part.on as On) : (part[key] as string | undefined)
              const value = typeof own === 'number' ? String(own) : own
              return stands && value !== undefined
                ? [always(label, value)]
                : labelledItem(label, value)
            })
          )
        )
      ),
    read: (entries, card, reading) => {
      card[field] = labelled(entries, [first.label], reading).map((entry, i) => {
        const path = [field, i]
        reading.mark(path, entry.line)
        const part: Found = { [first.key]: entry.text }
        const labels = under.map(({ label }) => label)
        for (const each of labelled(entry.under, labels, reading)) {
          nothingUnder(each, reading)
          const { key, read = (text: string) => text } = under.find(
            ({ label }) => label === each.label
          )!
          reading.mark([...path, key], each.line)
          once(part, key, each, read(each.text), reading)
        }
        return part
      })
    },
  }
}

function stepLine(step: Step, at: string | null): Paragraph {
  const tags = writeTags({
    breath: step.breath,
    seconds: step.seconds,
    repeat: step.repeat,
    repeatMost: step.repeatMost,
    cycle: step.cycle,
    id: step.id === at ? undefined : step.id,
  })
  return line(tags, step.text)
}

const stepSections = stepLists().map(
  ({ list: field, prefix, heading }): FileSection & { field: string } => ({
    field,
    heading,
    write: (card) =>
      card[field].length
        ? [
            list(
              card[field].map((step, i) => item(stepLine(step, `${prefix}${i + 1}`))),
              true
            ),
          ]
        : [],
    read: (entries, card, reading) => {
      card[field] = entries.map((entry, i) => {
        nothingUnder(entry, reading)
        reading.mark([field, i], entry.line)
        return readStep(entry, reading, `${prefix}${i + 1}`)
      })
    },
  })
)

const setUp: FileSection = {
  heading: 'Set-up',
  write: ({ setUp: { place, props, note } }) =>
    bullets([
      ...labelledItem('Place', place),
      ...props.map((prop) => always('Prop', prop)),
      ...labelledItem('Note', note),
    ]),
  read: (entries, card, reading) => {
    const setUp: Found = {}
    const props: string[] = []
    reading.mark(['setUp'], entries[0]?.line ?? 1)
    for (const entry of labelled(entries, ['Place', 'Prop', 'Note'], reading)) {
      nothingUnder(entry, reading)
      if (entry.label === 'Prop') {
        reading.mark(['setUp', 'props', props.length], entry.line)
        props.push(entry.text)
      } else {
        const key = entry.label.toLowerCase()
        reading.mark(['setUp', key], entry.line)
        once(setUp, key, entry, entry.text, reading)
      }
    }
    card.setUp = { ...setUp, props }
  },
}

const alignment: FileSection = {
  heading: 'Alignment',
  write: (card) =>
    bullets(card.alignment.map((cue, i) => cueItem(cue, capital(cue.region), `a${i + 1}`))),
  read: (entries, card, reading) => {
    card.alignment = labelled(entries, REGIONS, reading, REGION_NAMES).map((entry, i) => {
      const path = ['alignment', i]
      reading.mark(path, entry.line)
      return readCue(entry, path, reading, { id: `a${i + 1}`, region: entry.label })
    })
  },
}

const betweenSides: FileSection = {
  heading: 'Between the sides',
  write: ({ betweenSides: { breaths, text } }) =>
    bullets([...labelledItem('Breaths', breaths?.toString()), ...labelledItem('Say', text)]),
  read: (entries, card, reading) => {
    const between: Found = {}
    for (const entry of labelled(entries, ['Breaths', 'Say'], reading)) {
      nothingUnder(entry, reading)
      const key = entry.label === 'Say' ? 'text' : 'breaths'
      reading.mark(['betweenSides', key], entry.line)
      once(between, key, entry, key === 'text' ? entry.text : Number(entry.text || NaN), reading)
    }
    card.betweenSides = between
  },
}

const mistakes = partsSection('mistakes', 'What goes wrong', { label: 'Seen', key: 'seen' }, [
  { label: 'Why', key: 'why' },
  { label: 'Say', key: 'say' },
  { label: 'Cue', key: 'cue' },
  { label: 'On', key: 'on' },
])

const cautions = partsSection('cautions', 'Cautions', { label: 'Condition', key: 'condition' }, [
  { label: 'Verdict', key: 'verdict', always: true, read: verdictWord },
  { label: 'Say', key: 'say' },
  { label: 'Rung', key: 'rung' },
  { label: 'Instead', key: 'instead' },
  { label: 'Reason', key: 'reason', always: true },
  { label: 'Over', key: 'over', always: true },
])

const traits = partsSection('traits', 'What it asks', { label: 'Trait', key: 'trait' }, [
  { label: 'Value', key: 'value', always: true, read: (text) => Number(text || NaN) },
  { label: 'Rung', key: 'rung' },
])

function rungItems(rung: Card['ladder'][number]): ListItem {
  return always('Rung', rung.name, [
    ...labelledItem('Id', rung.id),
    ...(rung.reference ? [always('Reference', 'yes')] : []),
    ...(rung.beside ? [always('Beside', 'yes')] : []),
    ...rung.props.map((prop) => always('Prop', prop)),
    ...rung.steps.replace.map((each) => {
      const tags = writeTags({ breath: each.breath, seconds: each.seconds })
      return item(line(`Replace ${each.step}: ${tagged(tags, each.text)}`.trimEnd(), each.text))
    }),
    ...rung.steps.add.map((each) => {
      const place = each.after === undefined ? 'Add first' : `Add after ${each.after}`
      const { children } = stepLine(each.step, null)
      return item({ type: 'paragraph', children: [verbatim(`${place}: `), ...children] })
    }),
    ...rung.steps.omit.map((id) => always('Omit', id)),
    ...cueItems(rung.cues),
    ...structuredItem('Stay', rung.stay && stayParts(rung.stay)),
    ...rung.upWhen.map((sign) => always('Up when', sign)),
    ...rung.downWhen.map((sign) => always('Down when', sign)),
  ])
}

/** What a rung changes of the alignment. */
const cueItems = (cues: Card['ladder'][number]['cues']): ListItem[] =>
  cues
    ? [
        ...cues.replace.map(({ cue, text }) => item(line(`Replace cue ${cue}:`, text))),
        ...cues.add.map((cue) => cueItem(cue, `Add cue ${cue.region}`)),
        ...cues.omit.map((id) => always('Omit cue', id)),
      ]
    : []

/** A cue on its line, what it measures and what is drawn for it under it. */
function cueItem(cue: Card['alignment'][number], label: string, usual?: string): ListItem {
  const tags = writeTags({ on: onTag(cue.on), id: cue.id === usual ? undefined : cue.id })
  return item(line(`${label}: ${tagged(tags, cue.text)}`.trimEnd(), cue.text), [
    ...structuredItem('Measure', cue.measure),
    ...structuredItem('Mark', cue.mark),
  ])
}

/** Reads the bracket, the words, the measure and the mark of a cue. */
function readCue(
  entry: Labelled,
  path: PropertyKey[],
  reading: Reading,
  of: { id?: string; region: string }
): Found {
  const { tags, text } = tagsOf(entry, reading, ['on', 'id'])
  const cue: Found = { ...of, text, ...tags }
  for (const each of labelled(entry.under, ['Measure', 'Mark'], reading)) {
    const key = each.label.toLowerCase()
    once(cue, key, each, structured(each, [...path, key], reading), reading)
  }
  return cue
}

const RUNG_LABELS = [
  'Id',
  'Reference',
  'Beside',
  'Prop',
  'Replace ',
  'Add first',
  'Add after ',
  'Add cue ',
  'Omit',
  'Omit cue',
  'Stay',
  'Up when',
  'Down when',
]

/** One change of the alignment on a rung. */
function readRungCue(
  each: Labelled,
  [head, what]: readonly [head: string, what: string],
  cues: Found,
  path: PropertyKey[],
  reading: Reading
): void {
  const list = cues[head === 'replace' ? 'replace' : head === 'add' ? 'add' : 'omit'] as unknown[]
  const here = [...path, 'cues', head, list.length]
  reading.mark(here, each.line)
  if (head === 'add') {
    const region = REGION_NAMES[what.toLowerCase()] ?? what.toLowerCase()
    const cue = readCue(each, here, reading, { region })
    if (!cue.id) reading.wrong(each.line, SAY_FILES.cueNeedsId)
    list.push({ ...cue, id: cue.id ?? 'x' })
    return
  }
  nothingUnder(each, reading)
  list.push(head === 'omit' ? each.text : { cue: what, text: each.text })
}

const readLadder: FileSection['read'] = (entries, card, reading) => {
  card.ladder = labelled(entries, ['Rung'], reading).map((entry, r) => {
    const path = ['ladder', r]
    reading.mark(path, entry.line)
    const props: string[] = []
    const upWhen: string[] = []
    const downWhen: string[] = []
    const replace: Found[] = []
    const add: Found[] = []
    const omit: string[] = []
    const rung: Found = { name: entry.text }
    const push = <T>(to: T[], value: T, key: PropertyKey[], line: number) => {
      reading.mark([...path, ...key, to.length], line)
      to.push(value)
    }
    const cues: Found = { replace: [], add: [], omit: [] }
    for (const each of labelled(entry.under, RUNG_LABELS, reading)) {
      const [head, ...tail] = each.label.split(/\s+/)
      const step = tail.at(-1)
      // “Replace cue a1”, “Add cue feet”, “Omit cue”: of the alignment; a step may be called cue.
      const ofCue =
        tail[0]?.toLowerCase() === 'cue' && (head!.toLowerCase() === 'omit' || tail.length > 1)
      if (ofCue) {
        readRungCue(each, [head!.toLowerCase(), tail.slice(1).join(' ')], cues, path, reading)
        continue
      }
      nothingUnder(each, reading)
      switch (head!.toLowerCase()) {
        case 'id':
          reading.mark([...path, 'id'], each.line)
          once(rung, 'id', each, each.text, reading)
          break
        case 'reference':
          if (each.text.toLowerCase() === 'yes') rung.reference = true
          else reading.wrong(each.line, SAY_FILES.yesOrNothing('Reference'))
          break
        case 'beside':
          if (each.text.toLowerCase() === 'yes') rung.beside = true
          else reading.wrong(each.line, SAY_FILES.yesOrNothing('Beside'))
          break
        case 'prop':
          push(props, each.text, ['props'], each.line)
          break
        case 'replace': {
          const { tags, text } = tagsOf(each, reading, ['breath', 'seconds'])
          push(replace, { step, text, ...tags }, ['steps', 'replace'], each.line)
          break
        }
        case 'add': {
          const { id, ...added } = readStep(each, reading)
          if (!id) reading.wrong(each.line, SAY_FILES.stepNeedsId)
          const after = tail[0]!.toLowerCase() === 'after' ? step : undefined
          push(add, { after, step: { id: id ?? 'x', ...added } }, ['steps', 'add'], each.line)
          break
        }
        case 'omit':
          push(omit, each.text, ['steps', 'omit'], each.line)
          break
        case 'stay':
          once(rung, 'stay', each, structured(each, [...path, 'stay'], reading), reading)
          break
        case 'up':
          push(upWhen, each.text, ['upWhen'], each.line)
          break
        default:
          push(downWhen, each.text, ['downWhen'], each.line)
      }
    }
    if (Object.values(cues).some((each) => (each as unknown[]).length > 0)) rung.cues = cues
    return { id: `r${r + 1}`, ...rung, props, upWhen, downWhen, steps: { replace, add, omit } }
  })
}

const ladder: FileSection = {
  heading: 'The ladder',
  write: (card) => bullets(card.ladder.map(rungItems)),
  read: readLadder,
}

const effects: FileSection = {
  heading: 'Effects',
  write: (card) =>
    bullets(
      card.effects.map(({ basis, text, source }) =>
        always(capital(basis), text, source === undefined ? [] : [always('Source', source)])
      )
    ),
  read: (entries, card, reading) => {
    card.effects = labelled(entries, BASES_OF_CLAIM, reading).map((entry, i) => {
      reading.mark(['effects', i], entry.line)
      const claim: Found = { basis: entry.label, text: entry.text }
      for (const each of labelled(entry.under, ['Source'], reading)) {
        nothingUnder(each, reading)
        once(claim, 'source', each, each.text, reading)
      }
      return claim
    })
  },
}

const assists: FileSection = {
  heading: 'Touch',
  write: (card) =>
    bullets(
      card.assists.map((each) => {
        const tags = writeTags({ breath: each.breath, on: onTag(each.on) })
        return item(line(tagged(tags, each.text), each.text), labelledItem('Stance', each.stance))
      })
    ),
  read: (entries, card, reading) => {
    card.assists = entries.map((entry, i) => {
      const path = ['assists', i]
      reading.mark(path, entry.line)
      const { tags, text } = tagsOf(entry, reading, ['breath', 'on'])
      const assist: Found = { text, ...tags }
      for (const each of labelled(entry.under, ['Stance'], reading)) {
        nothingUnder(each, reading)
        reading.mark([...path, 'stance'], each.line)
        once(assist, 'stance', each, each.text, reading)
      }
      return assist
    })
  },
}

/** Drawn figures stand together at the end of a file, each with the form that it is of. */
const figures: FileSection = {
  heading: 'Figures',
  write: (card) =>
    figuresOf(card).map((part) => ({
      type: 'code',
      lang: 'json',
      meta: formOf(part),
      value: JSON.stringify(part.value),
    })),
  readNodes: (nodes, card, reading) => {
    const places = new Map(figuresOf(card as Card, true).map((part) => [formOf(part), part]))
    for (const code of nodes.filter((node): node is Code => node.type === 'code')) {
      const form = (code.meta ?? '').trim().replace(/\s+/, ' ')
      if (form === 'start') card.setUp ??= {}
      const owner = form === 'start' ? (card.setUp as Found) : places.get(form)?.owners[0]?.value
      if (!owner) {
        reading.wrong(startLine(code), SAY_FILES.figureOf)
        continue
      }
      try {
        ;(owner as Found).figure = JSON.parse(code.value)
      } catch {
        reading.wrong(startLine(code), SAY_FILES.figureJson(form))
      }
    }
  },
}

function paragraphs(text: string): BlockContent[] {
  if (!text) return []
  return text.split('\n\n').map((paragraph) => ({
    type: 'paragraph',
    children: paragraph
      .split('\n')
      .flatMap((value, i): PhrasingContent[] => [
        ...(i ? [{ type: 'break' as const }] : []),
        { type: 'text', value },
      ]),
  }))
}

const notes: FileSection = {
  heading: 'Notes',
  write: (card) => paragraphs(card.notes),
  readNodes: (nodes, card, { source }) => {
    card.notes = nodes
      .map((node) =>
        node.type === 'paragraph'
          ? wordsOf(node, source, '\n')
          : source.slice(node.position!.start.offset, node.position!.end.offset)
      )
      .join('\n\n')
  },
}

/** The sections of a card file in their order, each under the field of the card that it holds. */
export const FILE_SECTIONS: Record<string, FileSection> = {
  setUp,
  enter: stepSections[0]!,
  alignment,
  ...Object.fromEntries(stepSections.slice(1).map((section) => [section.field, section])),
  betweenSides,
  mistakes,
  cautions,
  traits,
  ladder,
  effects,
  assists,
  figures,
  notes,
}
