'use client'

import {
  Alert,
  Autocomplete,
  Button,
  Group,
  Modal,
  NativeSelect,
  NumberInput,
  Text,
  TextInput,
} from '@mantine/core'
import { useDebouncedValue } from '@mantine/hooks'
import { IconArrowBackUp, IconPencil, IconPlus, IconTrash } from '@tabler/icons-react'
import { useEffect, useMemo, useState } from 'react'
import {
  BASES_OF_RULE,
  dropUnwritable,
  type OwnCondition,
  type PolicyRule,
  type School,
  tidyLine,
  type Trait,
  TRAIT_NAMES,
  TRAITS,
  VERDICTS,
} from '@/core/card'
import {
  conditionsOf,
  DEFAULT_POLICY,
  freshRuleId,
  policyFrom,
  policyOf,
  ruleWords,
} from '@/core/cautions'
import { LABELS } from '@/core/language'
import type { CautionsAnswer } from '@/workers/deckCautions'
import { useAuthor } from '../chrome/AuthorName'
import { Filter } from '../shared/Filter'
import { api } from '../shared/api'
import { later } from '../shared/later'
import { TagsField } from '../shared/TagsField'
import { Tool } from '../shared/Tool'
import { VerdictMark } from '../shared/VerdictMark'
import classes from './Cautions.module.css'
import { CautionsPage } from './CautionsPage'
import type { CautionsDeck, DeckCautions } from './useDeckCautions'

const Versions = later(() => import('./PolicyVersions').then((module) => module.PolicyVersions))

export function PolicyPage() {
  return (
    <CautionsPage here="policy">
      {(work) => <Policy key={JSON.stringify(work.deck.school)} {...work} />}
    </CautionsPage>
  )
}

type Changes = Extract<CautionsAnswer, { told: 'changes' }>
const same = (a: unknown, b: unknown) => JSON.stringify(a) === JSON.stringify(b)
const USUAL = new Map(DEFAULT_POLICY.map((rule) => [rule.id, rule]))

const unitOf = (trait: Trait) => (TRAITS[trait] === 'deg' ? '°' : TRAITS[trait])

/** The whole policy as one table; what a change would reach is told before it is saved. */
function Policy({ deck, ask, reload }: DeckCautions & { deck: CautionsDeck }) {
  const [author] = useAuthor()
  const [rules, setRules] = useState<readonly PolicyRule[]>(() => policyOf(deck.school))
  const [own, setOwn] = useState<OwnCondition[]>(deck.school.conditions)
  const [condition, setCondition] = useState(
    () => new URLSearchParams(window.location.search).get('condition') ?? ''
  )
  const [trait, setTrait] = useState<Trait | ''>('')
  const [ours, setOurs] = useState(false)
  const [edited, setEdited] = useState<PolicyRule | null>(null)
  const [naming, setNaming] = useState<OwnCondition | null>(null)
  const [past, setPast] = useState(false)
  const [failure, setFailure] = useState('')
  const [busy, setBusy] = useState(false)
  const [changes, setChanges] = useState<Changes | null>(null)

  const school = useMemo(
    (): School => ({ ...deck.school, policy: policyFrom(rules), conditions: own }),
    [deck.school, rules, own]
  )
  const changed = !same(school, deck.school)
  const [settled] = useDebouncedValue(school, 250)
  useEffect(() => {
    if (same(settled, deck.school)) return
    let gone = false
    void ask<'changes'>({ ask: 'changes', school: settled }).then((answer) => {
      if (!gone) setChanges(answer)
    })
    return () => {
      gone = true
    }
  }, [settled, deck.school, ask])
  const told = changed && settled === school ? changes : null

  const conditions = conditionsOf(school)
  const nameOf = (id: string) => conditions.find((each) => each.id === id)?.name ?? id
  const shown = rules.filter(
    (rule) =>
      (condition === '' || rule.condition === condition) &&
      (trait === '' || rule.trait === trait) &&
      (!ours || !same(USUAL.get(rule.id), rule))
  )
  const order = new Map(conditions.map(({ id }, i) => [id, i]))
  const sorted = shown.toSorted(
    (a, b) => (order.get(a.condition) ?? 999) - (order.get(b.condition) ?? 999)
  )
  const takenOut = DEFAULT_POLICY.filter(
    ({ id, condition: about }) =>
      !rules.some((rule) => rule.id === id) && (condition === '' || about === condition)
  )

  const put = (rule: PolicyRule) => {
    setRules((now) => {
      const at = now.findIndex(({ id }) => id === rule.id)
      return at < 0 ? [...now, rule] : now.with(at, rule)
    })
    setEdited(null)
  }

  async function save() {
    setBusy(true)
    try {
      await api('/api/school', {
        method: 'PUT',
        json: {
          school,
          from: deck.school,
          author,
          note: `policy: ${told?.changes.length ?? 0} verdicts on ${told?.cards ?? 0} cards`,
        },
      })
      setFailure('')
      reload()
    } catch (error) {
      setFailure((error as Error).message)
    }
    setBusy(false)
  }

  return (
    <>
      <Group gap="xs" mt="xs" align="flex-end">
        <Filter
          label="Rules about"
          all="all conditions"
          value={condition}
          options={conditions.map(({ id, name }) => ({ value: id, label: name }))}
          onChange={setCondition}
        />
        <Filter
          label="Rules that look at"
          all="all that a form asks"
          value={trait}
          options={TRAIT_NAMES}
          onChange={setTrait}
        />
        <Button
          size="compact-sm"
          variant={ours ? 'filled' : 'default'}
          aria-pressed={ours}
          onClick={() => setOurs(!ours)}
        >
          Only our own
        </Button>
        <Group gap={4} ml="auto">
          <Button
            size="compact-sm"
            variant="default"
            leftSection={<IconPlus size={15} />}
            onClick={() =>
              setEdited({
                id: '',
                condition: condition || conditions[0]!.id,
                trait: trait || TRAIT_NAMES[0],
                least: 1,
                verdict: 'change',
                change: '',
                basis: 'school',
              })
            }
          >
            Add a rule
          </Button>
          <Button
            size="compact-sm"
            variant="default"
            onClick={() => setNaming({ id: '', group: '', name: '', synonyms: [] })}
          >
            Add a condition
          </Button>
          <Button size="compact-sm" variant="default" onClick={() => setPast(true)}>
            Earlier policies
          </Button>
        </Group>
      </Group>
      <div className={classes.policy}>
        <table className={classes.rules}>
          <thead>
            <tr>
              <th scope="col">With</th>
              <th scope="col">when</th>
              <th scope="col">verdict</th>
              <th scope="col">what to change, and what is said</th>
              <th scope="col">basis</th>
              <td />
            </tr>
          </thead>
          <tbody>
            {sorted.map((rule, i) => {
              const mine = !same(USUAL.get(rule.id), rule)
              const usual = USUAL.get(rule.id)
              return (
                <tr key={rule.id} data-mine={mine || undefined}>
                  <th scope="row">
                    {sorted[i - 1]?.condition === rule.condition ? '' : nameOf(rule.condition)}
                  </th>
                  <td>{ruleWords(rule)}</td>
                  <td className={classes.nowrap}>
                    <VerdictMark verdict={rule.verdict} /> {LABELS.verdict[rule.verdict]}
                  </td>
                  <td>
                    {rule.change}
                    {rule.say && <em> “{rule.say}”</em>}
                    {mine && (
                      <small>
                        {' '}
                        {usual
                          ? `ours; usual: ${ruleWords(usual)}, ${LABELS.verdict[usual.verdict]}`
                          : 'ours'}
                      </small>
                    )}
                  </td>
                  <td>
                    {rule.basis}
                    {rule.source && <small>: {rule.source}</small>}
                  </td>
                  <td className={classes.nowrap}>
                    <Tool label={`Change the rule ${rule.id}`} onClick={() => setEdited(rule)}>
                      <IconPencil size={15} />
                    </Tool>
                    {mine && usual ? (
                      <Tool label={`Back to the usual rule ${rule.id}`} onClick={() => put(usual)}>
                        <IconArrowBackUp size={15} />
                      </Tool>
                    ) : (
                      <Tool
                        label={`Take out the rule ${rule.id}`}
                        onClick={() => setRules((now) => now.filter(({ id }) => id !== rule.id))}
                      >
                        <IconTrash size={15} />
                      </Tool>
                    )}
                  </td>
                </tr>
              )
            })}
            {takenOut.map((rule) => (
              <tr key={rule.id} className={classes.out}>
                <th scope="row">{nameOf(rule.condition)}</th>
                <td>{ruleWords(rule)}</td>
                <td>{LABELS.verdict[rule.verdict]}</td>
                <td>{rule.change}</td>
                <td>taken out</td>
                <td>
                  <Tool label={`Back to the usual rule ${rule.id}`} onClick={() => put(rule)}>
                    <IconArrowBackUp size={15} />
                  </Tool>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
        {sorted.length === 0 && takenOut.length === 0 && (
          <p>
            No rule is about that. A condition with no rule is “ask first” on every card: nothing of
            it is ever plainly fine.
          </p>
        )}
        {own.length > 0 && (
          <p className={classes.by}>
            Conditions of our own:{' '}
            {own.map((each, i) => (
              <span key={each.id}>
                {i > 0 && ', '}
                <button className={classes.link} onClick={() => setNaming(each)}>
                  {each.name}
                </button>
              </span>
            ))}
          </p>
        )}
      </div>
      {changed && (
        <section className={classes.preview} aria-label="What this changes" aria-live="polite">
          <div>
            <b>
              {told
                ? told.changes.length === 0
                  ? 'No verdict on any card changes.'
                  : `${told.changes.length} verdicts change, on ${told.rungs} rungs of ${told.cards} ${told.cards === 1 ? 'card' : 'cards'}:`
                : 'What it changes is being worked out …'}
            </b>
            {told && told.changes.length > 0 && (
              <ul className={classes.reached}>
                {told.changes.slice(0, 200).map((each) => (
                  <li key={`${each.card} ${each.rung} ${each.condition}`}>
                    <b>{each.title}</b>, {each.rung}: {each.condition}{' '}
                    <span className={classes.nowrap}>
                      <VerdictMark verdict={each.from} /> {LABELS.verdict[each.from]} to{' '}
                      <VerdictMark verdict={each.to} /> {LABELS.verdict[each.to]}
                    </span>
                  </li>
                ))}
                {told.changes.length > 200 && <li>and {told.changes.length - 200} more</li>}
              </ul>
            )}
            {failure && <Alert color="red">{failure}</Alert>}
          </div>
          <Group gap="xs" wrap="nowrap">
            <Button
              variant="default"
              onClick={() => {
                setRules(policyOf(deck.school))
                setOwn(deck.school.conditions)
              }}
            >
              Leave it as it was
            </Button>
            <Button loading={busy} disabled={!told} onClick={() => void save()}>
              Save the policy
            </Button>
          </Group>
        </section>
      )}
      {edited && (
        <RuleForm
          rule={edited}
          conditions={conditions}
          onClose={() => setEdited(null)}
          onDone={(rule) => put(rule.id ? rule : { ...rule, id: freshRuleId(rule, rules) })}
        />
      )}
      {naming && (
        <ConditionForm
          condition={naming}
          groups={[...new Set(conditions.map(({ group }) => group))]}
          taken={conditions.map(({ id }) => id)}
          onClose={() => setNaming(null)}
          onDone={(named) => {
            setOwn((now) => [...now.filter(({ id }) => id !== named.id), named])
            setCondition(named.id)
            setNaming(null)
          }}
          onRemove={() => {
            setOwn((now) => now.filter(({ id }) => id !== naming.id))
            setRules((now) => now.filter((rule) => rule.condition !== naming.id))
            setCondition('')
            setNaming(null)
          }}
        />
      )}
      {past && (
        <Versions
          school={deck.school}
          onClose={() => setPast(false)}
          onTake={(earlier) => {
            setRules(policyOf(earlier))
            setOwn(earlier.conditions)
            setPast(false)
          }}
        />
      )}
    </>
  )
}

interface RuleProps {
  rule: PolicyRule
  conditions: ReturnType<typeof conditionsOf>
  onClose: () => void
  onDone: (rule: PolicyRule) => void
}

/** One rule: with whom, what is read off, from where it counts, what follows. */
function RuleForm({ rule, conditions, onClose, onDone }: RuleProps) {
  const [now, setNow] = useState(rule)
  const set = (next: Partial<PolicyRule>) => setNow((before) => ({ ...before, ...next }))
  const change = tidyLine(now.change)
  return (
    <Modal opened onClose={onClose} size="lg" title={rule.id ? 'Change a rule' : 'A new rule'}>
      <Group align="flex-end" gap="xs" grow>
        <NativeSelect
          label="With"
          value={now.condition}
          disabled={rule.id !== ''}
          data={conditions.map(({ id, name }) => ({ value: id, label: name }))}
          onChange={(event) => set({ condition: event.currentTarget.value })}
        />
        <NativeSelect
          label="when the form asks"
          value={now.trait}
          data={[...TRAIT_NAMES]}
          onChange={(event) => set({ trait: event.currentTarget.value as Trait })}
        />
        <NumberInput
          label={`from, ${unitOf(now.trait)}`}
          min={0}
          max={1000}
          value={now.least}
          onChange={(value) => {
            if (typeof value === 'number') set({ least: value })
          }}
        />
        <NativeSelect
          label="the verdict is"
          value={now.verdict}
          data={VERDICTS.filter((each) => each !== 'fine').map((value) => ({
            value,
            label: LABELS.verdict[value],
          }))}
          onChange={(event) => set({ verdict: event.currentTarget.value as PolicyRule['verdict'] })}
        />
      </Group>
      <TextInput
        mt="sm"
        label="What to change"
        placeholder="keep the head at or above the heart"
        value={now.change}
        onChange={(event) => set({ change: dropUnwritable(event.currentTarget.value) })}
      />
      <TextInput
        mt="sm"
        label="What is said to the class"
        description="left empty, the change is said"
        value={now.say ?? ''}
        onChange={(event) => set({ say: dropUnwritable(event.currentTarget.value) || undefined })}
      />
      <Group mt="sm" gap="xs" grow align="flex-end">
        <NativeSelect
          label="Basis"
          value={now.basis}
          data={[...BASES_OF_RULE]}
          onChange={(event) => set({ basis: event.currentTarget.value as PolicyRule['basis'] })}
        />
        <TextInput
          label="Source"
          placeholder="Author, title, year"
          value={now.source ?? ''}
          error={
            now.basis === 'published' && !now.source ? 'A published basis names it' : undefined
          }
          onChange={(event) =>
            set({ source: dropUnwritable(event.currentTarget.value) || undefined })
          }
        />
      </Group>
      <Group justify="flex-end" mt="md">
        <Button variant="default" onClick={onClose}>
          Leave it
        </Button>
        <Button
          disabled={!change || (now.basis === 'published' && !now.source)}
          onClick={() => onDone(JSON.parse(JSON.stringify({ ...now, change })) as PolicyRule)}
        >
          Put it into the table
        </Button>
      </Group>
    </Modal>
  )
}

interface ConditionProps {
  condition: OwnCondition
  groups: string[]
  taken: string[]
  onClose: () => void
  onDone: (condition: OwnCondition) => void
  onRemove: () => void
}

const idOf = (name: string) =>
  name
    .toLowerCase()
    .normalize('NFD')
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-+|-+$/g, '')
    .slice(0, 80)

/** A condition of the school's own, with the words that people use for it. */
function ConditionForm({ condition, groups, taken, onClose, onDone, onRemove }: ConditionProps) {
  const [now, setNow] = useState(condition)
  const name = tidyLine(now.name)
  const id = condition.id || idOf(name)
  const doubled = condition.id === '' && taken.includes(id)
  return (
    <Modal
      opened
      onClose={onClose}
      title={condition.id ? condition.name : 'A condition of our own'}
    >
      <TextInput
        label="Name"
        placeholder="long covid"
        value={now.name}
        error={doubled ? 'There is one of that name' : undefined}
        onChange={(event) => setNow({ ...now, name: dropUnwritable(event.currentTarget.value) })}
      />
      <Autocomplete
        mt="sm"
        label="Group"
        data={groups}
        value={now.group}
        onChange={(group) => setNow({ ...now, group: dropUnwritable(group) })}
      />
      <TagsField
        mt="sm"
        label="Other words for it"
        value={now.synonyms}
        onChange={(synonyms) => setNow({ ...now, synonyms: synonyms.map(dropUnwritable) })}
      />
      <Text size="sm" c="dimmed" mt="xs">
        Until a rule is about it, it is “ask first” on every card.
      </Text>
      <Group justify="space-between" mt="md">
        {condition.id ? (
          <Button variant="subtle" color="red" onClick={onRemove}>
            Take it and its rules out
          </Button>
        ) : (
          <span />
        )}
        <Group>
          <Button variant="default" onClick={onClose}>
            Leave it
          </Button>
          <Button
            disabled={!name || !id || doubled}
            onClick={() => onDone({ ...now, id, name, group: tidyLine(now.group) || 'our own' })}
          >
            Put it into the list
          </Button>
        </Group>
      </Group>
    </Modal>
  )
}
