'use client'

import { Alert, Button, Modal, Skeleton, Text } from '@mantine/core'
import { useEffect, useState } from 'react'
import type { PolicyRule, School } from '@/core/card'
import { policyOf, ruleWords } from '@/core/cautions'
import { LABELS } from '@/core/language'
import { api } from '../shared/api'
import classes from './Cautions.module.css'

interface Version {
  version: number
  school: School
  author: string
  note: string
  savedAt: string
}

const key = (rule: PolicyRule) => JSON.stringify(rule)

/** What parts two policies, rule by rule. */
function partsOf(from: School, to: School): string[] {
  const before = new Map(policyOf(from).map((rule) => [rule.id, rule]))
  const after = new Map(policyOf(to).map((rule) => [rule.id, rule]))
  const told = (rule: PolicyRule) => `${ruleWords(rule)} ${LABELS.verdict[rule.verdict]}`
  return [
    ...[...after.values()].flatMap((rule) => {
      const was = before.get(rule.id)
      if (!was) return [`${rule.condition}: ${told(rule)} came`]
      return key(was) === key(rule) ? [] : [`${rule.condition}: ${told(was)} became ${told(rule)}`]
    }),
    ...[...before.values()]
      .filter(({ id }) => !after.has(id))
      .map((rule) => `${rule.condition}: ${told(rule)} went`),
  ]
}

/** The policies that were, the newest first, each with what it changed; one may be brought back. */
export function PolicyVersions({
  school,
  onClose,
  onTake,
}: {
  school: School
  onClose: () => void
  onTake: (school: School) => void
}) {
  const [versions, setVersions] = useState<Version[] | null>(null)
  const [failure, setFailure] = useState('')
  useEffect(() => {
    api<{ versions: Version[] }>('/api/school/versions')
      .then(({ versions: all }) => setVersions(all))
      .catch((error: Error) => setFailure(error.message))
  }, [])
  const samePolicy = (a: School, b: School) =>
    JSON.stringify([a.policy, a.conditions]) === JSON.stringify([b.policy, b.conditions])
  // Other rules of the school have versions, too: only those with another policy are told.
  const policies = (versions ?? []).filter(
    (each, i, all) => i === all.length - 1 || !samePolicy(each.school, all[i + 1]!.school)
  )
  return (
    <Modal opened onClose={onClose} size="lg" title="Earlier policies">
      {failure && <Alert color="red">{failure}</Alert>}
      {!versions && !failure && <Skeleton height={160} />}
      <ol className={classes.versions}>
        {policies.map((each, i) => {
          const older = policies[i + 1]
          const parts = older ? partsOf(older.school, each.school) : []
          return (
            <li key={each.version}>
              <div>
                <b>{new Date(each.savedAt).toLocaleString('en-GB')}</b>
                {each.author && `, ${each.author}`}
                {older ? '' : ', as it was at first'}
                {parts.map((part) => (
                  <Text key={part} size="sm" c="dimmed">
                    {part}
                  </Text>
                ))}
              </div>
              {samePolicy(each.school, school) ? (
                <Text size="sm">holds now</Text>
              ) : (
                <Button size="compact-sm" variant="default" onClick={() => onTake(each.school)}>
                  Look at it again
                </Button>
              )}
            </li>
          )
        })}
      </ol>
    </Modal>
  )
}
