'use client'

import { LABELS } from '@/core/language'
import { ActionIcon, Button, NativeSelect, Skeleton } from '@mantine/core'
import {
  IconArrowBackUp,
  IconArrowForwardUp,
  IconHistory,
  IconKeyboard,
  IconTrash,
} from '@tabler/icons-react'
import { Link } from '../shared/Link'
import { useRouter, useSearchParams } from 'next/navigation'
import { type ReactNode, useCallback, useEffect, useRef, useState } from 'react'
import { useStore } from 'zustand'
import {
  type Card,
  completeness,
  type Finding,
  isAsked,
  type School,
  type SectionId,
  sectionOf,
  SECTIONS,
  STATUSES,
  titleOf,
} from '@/core/card'
import { useAuthor } from '../chrome/AuthorName'
import { Header } from '../chrome/Header'
import { api } from '../shared/api'
import { later } from '../shared/later'
import { NearContext, useNear } from '../shared/near'
import { SchoolContext, useSchool } from '../shared/school'
import classes from './Bench.module.css'
import { SeverityMark } from '../shared/SeverityMark'
import { CueList } from './CueList'
import { dropDraft, readDraft } from './draft'
import { OneFinding } from './FindingsAt'
import { createFindings, FindingsContext, useFindings, useLookedThrough } from './findings'
import { goToSection, sectionLink } from './focus'
import { type KeyAction, keyOf } from './keys'
import { NameSection } from './NameSection'
import { Others } from './Others'
import { leaveOutOfSight } from './outOfSight'
import { Rail } from './Rail'
import { SaveMark } from './SaveMark'
import { createSaver, type Saver, type ServerCard } from './saver'
import { SetUpSection } from './SetUpSection'
import { StepList } from './StepList'
import { BenchContext, createBench, useBench, useBenchStore, useDerived, useHistory } from './store'
import { useSectionInView } from './useSectionInView'

// The forms below the first screen are loaded after it.
const form = (height = 90) => <Skeleton height={height} />
const WhenSection = later(() => import('./WhenSection').then((m) => m.WhenSection), form())
const StaySection = later(() => import('./StaySection').then((m) => m.StaySection), form())
const MistakesSection = later(
  () => import('./MistakesSection').then((m) => m.MistakesSection),
  form()
)
const CautionsSection = later(
  () => import('./CautionsSection').then((m) => m.CautionsSection),
  form()
)
const LadderSection = later(() => import('./LadderSection').then((m) => m.LadderSection), form())
const RestSection = later(() => import('./RestSection').then((m) => m.RestSection), form())
const OtherWay = later(() => import('./OtherWay').then((m) => m.OtherWay))
const CurveButton = later(() => import('./CurveButton').then((m) => m.CurveButton), form(30))
const PassTime = later(() => import('./PassTime').then((m) => m.PassTime))
const Palette = later(() => import('./Palette').then((m) => m.Palette))
const PlayButton = later(() => import('../play/PlayButton').then((m) => m.PlayButton))
const KeyMap = later(() => import('./KeyMap').then((m) => m.KeyMap))
const WhoWrites = later(() => import('./WhoWrites').then((m) => m.WhoWrites))
const StaleDialog = later(() => import('./StaleDialog').then((m) => m.StaleDialog))

interface Props {
  stored: ServerCard & { status: string }
  school: School
}

/** The bench: one card, all of it, with the second side writing itself. */
export function Bench({ stored, school }: Props) {
  const [store] = useState(() => createBench(stored.card))
  const [author] = useAuthor()
  const name = useRef(author)
  useEffect(() => {
    name.current = author
  }, [author])
  const [saver, setSaver] = useState<Saver | null>(null)
  const [findings] = useState(() => createFindings(store, school))
  const [status, setStatus] = useState(stored.status)
  useEffect(() => findings.askReview(isAsked(status)), [findings, status])

  useEffect(() => {
    const made = createSaver(store, stored.version, () => name.current)
    const draft = readDraft(stored.card.id)
    if (draft && JSON.stringify(draft.card) !== JSON.stringify(stored.card)) {
      store.getState().replace(draft.card)
      if (draft.from !== stored.version)
        made.status.setState({ save: { state: 'stale', current: stored } })
    } else dropDraft(stored.card.id)
    setSaver(made)
    const flush = () => void made.flush()
    const leave = () => {
      made.keep()
      flush()
    }
    const whenHidden = () => document.visibilityState === 'hidden' && leave()
    const gone = new AbortController()
    const { signal } = gone
    window.addEventListener('online', flush, { signal })
    window.addEventListener('pagehide', leave, { signal })
    document.addEventListener('visibilitychange', whenHidden, { signal })
    return () => {
      gone.abort()
      flush()
      made.stop()
    }
  }, [store, stored])

  useEffect(() => findings.start(), [findings])

  return (
    <SchoolContext.Provider value={school}>
      <BenchContext.Provider value={store}>
        <FindingsContext.Provider value={findings}>
          <Header>
            <Others id={stored.card.id} author={author} />
            {saver && <WhoWrites saver={saver} />}
            {saver && <SaveMark saver={saver} />}
          </Header>
          <Page saver={saver} status={status} onStatus={setStatus} />
          {saver && <WhenStale saver={saver} />}
        </FindingsContext.Provider>
      </BenchContext.Provider>
    </SchoolContext.Provider>
  )
}

/** Puts the cursor on the line that the address asks for, once its section is there. */
function useAskedPlace() {
  const bench = useBenchStore()
  const [written] = useState(() => bench.getState().card.enter.length > 0)
  const params = useSearchParams()
  const place = params.get('at')
  useEffect(() => {
    if (!place) {
      if (location.hash) goToSection(location.hash.slice(1))
      // A written card opens where the work is: at its spread.
      else if (written) goToSection('enter')
      return
    }
    goToSection(sectionOf(place))
    let tries = 0
    const look = () => {
      const row = place.replace(/\.\w+$/, '')
      const field = document.querySelector<HTMLElement>(
        [place, `${place}.text`, `${row}.text`]
          .map((path) => `[data-field^="${CSS.escape(path)}@"]`)
          .join(', ')
      )
      tries += 1
      if (!field) return tries > 30 && clearInterval(timer)
      clearInterval(timer)
      field.scrollIntoView({ block: 'center' })
      field.focus({ preventScroll: true })
    }
    const timer = setInterval(look, 100)
    return () => clearInterval(timer)
  }, [place, written])
}

function WhenStale({ saver }: { saver: Saver }) {
  const save = useStore(saver.status, (state) => state.save)
  return save.state === 'stale' ? <StaleDialog current={save.current} saver={saver} /> : null
}

interface PageProps {
  saver: Saver | null
  status: string
  onStatus: (status: string) => void
}

function Page({ saver, status, onStatus }: PageProps) {
  const [keysShown, setKeysShown] = useState(false)
  const here = useSectionInView(SECTIONS.map((section) => section.id))
  const bench = useBenchStore()
  useAskedPlace()
  const main = useRef<HTMLElement>(null)
  useEffect(() => leaveOutOfSight(main.current!, classes.outOfSight!), [])

  useEffect(() => {
    function keyDown(event: KeyboardEvent) {
      const { undo, redo } = bench.temporal.getState()
      const work: Partial<Record<KeyAction, () => void>> = {
        undo: () => undo(),
        redo: () => redo(),
        save: () => void saver?.flush(),
        'take-mend': () => takeMend(event.target),
        ...(isText(event.target) ? {} : { 'show-keys': () => setKeysShown(true) }),
      }
      const action = keyOf(event)
      const done = action && work[action]
      if (!done) return
      event.preventDefault()
      done()
    }
    window.addEventListener('keydown', keyDown)
    return () => window.removeEventListener('keydown', keyDown)
  }, [bench, saver])

  return (
    <div className={classes.page}>
      <Rail here={here} />
      <main ref={main} id="main" tabIndex={-1} className={classes.main}>
        <Title status={status} onStatus={onStatus} onKeys={() => setKeysShown(true)} />
        <Section id="name">
          <NameSection />
        </Section>
        <Section id="when">
          <WhenSection />
        </Section>
        <Section id="setup">
          <SetUpSection />
        </Section>
        <Section id="enter">
          <StepList
            list="enter"
            teach="Write the first step, in either half; the other side writes itself. Enter adds the next one."
          />
          <OtherWay />
        </Section>
        <Section id="alignment">
          <CueList />
          <CurveButton />
        </Section>
        <Section id="stay">
          <StaySection />
        </Section>
        <Section id="mistakes">
          <MistakesSection />
        </Section>
        <Section id="cautions">
          <CautionsSection />
        </Section>
        <Section id="ladder">
          <LadderSection />
        </Section>
        <Section id="exit">
          <StepList
            list="exit"
            teach="Come out by the way you went in, slower. Write the first step."
          />
        </Section>
        <Section id="rest">
          <RestSection />
        </Section>
      </main>
      <Aside saver={saver} />
      <Palette actions={useActions(saver, () => setKeysShown(true))} />
      {keysShown && <KeyMap onClose={() => setKeysShown(false)} />}
    </div>
  )
}

/** What the palette can do on the bench, besides going elsewhere. */
function useActions(saver: Saver | null, showKeys: () => void) {
  const bench = useBenchStore()
  const router = useRouter()
  const { id } = bench.getState().card
  const goTo = (path: string) => () => router.push(`/cards/${id}${path}`)
  return [
    { id: 'undo', label: 'Undo', onClick: () => bench.temporal.getState().undo() },
    { id: 'redo', label: 'Do it again', onClick: () => bench.temporal.getState().redo() },
    { id: 'save', label: 'Save now', onClick: () => void saver?.flush() },
    { id: 'mend', label: 'Take the next mend', onClick: () => takeMend(null) },
    { id: 'read', label: 'Read and print this card', onClick: goTo('') },
    { id: 'figure', label: 'Pose the figures of this card', onClick: goTo('/figure') },
    { id: 'versions', label: 'Versions of this card', onClick: goTo('/history') },
    {
      id: 'pdf',
      label: 'Print this card, A5',
      onClick: () => void window.open(`/api/cards/${id}/pdf`),
    },
    { id: 'keys', label: 'Show the keys', onClick: showKeys },
  ]
}

/** Takes the mend that is offered nearest to where the cursor is, else the first one. */
function takeMend(target: EventTarget | null): void {
  const rows = '[data-row], [data-part], section'
  let near = target instanceof HTMLElement ? target.closest<HTMLElement>(rows) : null
  while (near && !near.querySelector('[data-mend]'))
    near = near.parentElement?.closest<HTMLElement>(rows) ?? null
  ;(near ?? document).querySelector<HTMLElement>('[data-mend]')?.click()
}

const isText = (target: EventTarget | null) =>
  target instanceof HTMLElement && /^(?:INPUT|TEXTAREA|SELECT)$/.test(target.tagName)

function Section({ id, children }: { id: SectionId; children: ReactNode }) {
  const title = SECTIONS.find((section) => section.id === id)!.title
  const section = useRef<HTMLElement>(null)
  return (
    <section ref={section} id={id} aria-labelledby={`${id}-title`} className={classes.section}>
      <h2 id={`${id}-title`}>{title}</h2>
      <NearContext value={useNear(section)}>{children}</NearContext>
      <SectionFindings id={id} />
    </section>
  )
}

/** Findings about the section as a whole; those about a line stand beside it. */
function SectionFindings({ id }: { id: SectionId }) {
  const here = useFindings(
    useCallback(
      (finding: Finding) => sectionOf(finding.where) === id && !finding.where.includes('['),
      [id]
    )
  )
  return (
    <div className={classes.findings}>
      {here.map((finding) => (
        <OneFinding key={finding.rule + finding.where + finding.message} finding={finding} />
      ))}
    </div>
  )
}

interface TitleProps {
  status: string
  onStatus: (status: string) => void
  onKeys: () => void
}

function Title({ status, onStatus, onKeys }: TitleProps) {
  const id = useBench((state) => state.card.id)
  const title = useBench((state) => titleOf(state.card))
  const router = useRouter()
  const bench = useBenchStore()
  const school = useSchool()
  const { undo, redo } = bench.temporal.getState()
  // Deleting is no question: the card lies in the bin and can be put back.
  const bin = () =>
    api(`/api/cards/${id}`, { method: 'DELETE' })
      .then(() => router.push('/bin'))
      .catch(() => undefined)
  const canUndo = useHistory((state) => state.pastStates.length > 0)
  const canRedo = useHistory((state) => state.futureStates.length > 0)
  return (
    <div className={classes.head}>
      <h1 className={classes.title}>
        <bdi>{title}</bdi>
      </h1>
      <div className={classes.actions}>
        <Act label="Undo" disabled={!canUndo} onClick={() => undo()}>
          <IconArrowBackUp size={18} />
        </Act>
        <Act label="Do it again" disabled={!canRedo} onClick={() => redo()}>
          <IconArrowForwardUp size={18} />
        </Act>
        <Act label="Keys (?)" onClick={onKeys}>
          <IconKeyboard size={18} />
        </Act>
        <StatusSelect id={id} status={status} onStatus={onStatus} />
        <Act label="Versions" onClick={() => router.push(`/cards/${id}/history`)}>
          <IconHistory size={18} />
        </Act>
        <Act label="Put this card into the bin" onClick={() => void bin()}>
          <IconTrash size={18} />
        </Act>
        <PlayButton get={() => Promise.resolve({ card: bench.getState().card, school })} />
        <Button component={Link} href={`/cards/${id}/figure`} variant="default" size="compact-md">
          Figure
        </Button>
        <Button component={Link} href={`/cards/${id}`} variant="default" size="compact-md">
          Read and print
        </Button>
      </div>
    </div>
  )
}

function Act(props: {
  label: string
  disabled?: boolean
  onClick: () => void
  children: ReactNode
}) {
  return (
    <ActionIcon
      variant="subtle"
      color="gray"
      aria-label={props.label}
      title={props.label}
      disabled={props.disabled}
      onClick={props.onClick}
    >
      {props.children}
    </ActionIcon>
  )
}

function StatusSelect({ id, status, onStatus }: Omit<TitleProps, 'onKeys'> & { id: string }) {
  return (
    <NativeSelect
      size="xs"
      aria-label="Status"
      value={status}
      data={STATUSES.map((each) => ({ value: each, label: LABELS.status[each] }))}
      onChange={(event) => {
        const before = status
        const next = event.currentTarget.value
        onStatus(next)
        api(`/api/cards/${id}`, { method: 'PATCH', json: { status: next } }).catch(() =>
          onStatus(before)
        )
      }}
    />
  )
}

/** The first section that is not written yet, and what it wants first. */
function nextOf(card: Card) {
  const open = completeness(card).find(({ complete }) => !complete)
  return open ? { id: open.id, title: open.title, missing: open.missing[0]!.message } : null
}

/** What was told of the card when it was saved: what can be seen from the whole deck alone. */
function SavedNotes({ saver }: { saver: Saver }) {
  const save = useStore(saver.status, (state) => state.save)
  if (save.state !== 'saved' || !save.notes?.length) return null
  return (
    <div className={classes.group}>
      {save.notes.map((note) => (
        <p key={note}>
          <SeverityMark severity="note" /> {note}
        </p>
      ))}
    </div>
  )
}

/** What the rules find on the card, in the order of the work; each leads to its line. */
function Aside({ saver }: { saver: Saver | null }) {
  const findings = useFindings()
  const looked = useLookedThrough()
  const next = useDerived(nextOf)
  return (
    <aside className={classes.aside} aria-label="Findings">
      <h2>Findings</h2>
      {findings.length === 0 && !looked && <p>Looking it through …</p>}
      {findings.length === 0 && looked && !next && (
        <p>Nothing to mend. Read it aloud once, both sides.</p>
      )}
      {next && (
        <p className={classes.next}>
          next: <a {...sectionLink(next.id)}>{next.title}</a>. {next.missing}
        </p>
      )}
      {SECTIONS.map(({ id, title }) => {
        const here = findings.filter((finding) => sectionOf(finding.where) === id)
        if (here.length === 0) return null
        return (
          <div key={id} className={classes.group}>
            <a {...sectionLink(id)}>{title}</a>
            {here.slice(0, 4).map((finding) => (
              <p key={finding.rule + finding.where + finding.message}>
                <SeverityMark severity={finding.severity} /> {finding.message}
              </p>
            ))}
            {here.length > 4 && <p>and {here.length - 4} more</p>}
          </div>
        )
      })}
      {saver && <SavedNotes saver={saver} />}
      <PassTime />
    </aside>
  )
}
