'use client'

import { Alert, Button, Group, SegmentedControl } from '@mantine/core'
import { Link } from '../shared/Link'
import { useRouter } from 'next/navigation'
import { useEffect, useState } from 'react'
import { type Card, type School } from '@/core/card'
import { writeMarkdown } from '@/core/formats'
import { sheetOf } from '@/core/print'
import { useAuthor } from '../chrome/AuthorName'
import { Page } from '../chrome/Page'
import { api } from '../shared/api'
import { Compare } from './Compare'
import { CompareSpread } from './CompareSpread'
import classes from './History.module.css'
import { sittings, type Version } from './sittings'

const when = (at: string) =>
  new Date(at).toLocaleString('en-GB', {
    day: 'numeric',
    month: 'short',
    hour: '2-digit',
    minute: '2-digit',
  })

/** Every version of a card; any two compared by line; one brought back as a new version. */
export function History({
  id,
  title,
  versions,
  school,
  titles,
}: {
  id: string
  title: string
  versions: Version[]
  school: School
  /** Names of cards by id. */
  titles: Record<string, string>
}) {
  const router = useRouter()
  const [author] = useAuthor()
  const newest = versions[0]!.version
  const folded = sittings(versions)
  const [open, setOpen] = useState<number[]>([])
  const [older, setOlder] = useState(folded[1]?.last.version ?? versions[1]?.version ?? newest)
  const listed = folded.flatMap(({ last, saves }) =>
    open.includes(last.version)
      ? saves.map((each) => ({ ...each, more: 0, of: each === last ? last.version : 0 }))
      : [{ ...last, more: saves.length - 1, of: last.version }]
  )
  const [newer, setNewer] = useState(newest)
  const [cards, setCards] = useState<Record<number, Card>>({})
  const [manner, setManner] = useState('spread')
  const [failure, setFailure] = useState('')

  useEffect(() => {
    for (const version of [older, newer])
      api<{ card: Card }>(`/api/cards/${id}/versions/${version}`)
        .then(({ card }) => setCards((all) => ({ ...all, [version]: card })))
        .catch((error: Error) => setFailure(error.message))
  }, [id, older, newer])

  async function bringBack() {
    try {
      await api(`/api/cards/${id}/versions/${older}`, { method: 'POST', json: { author } })
      router.push(`/cards/${id}/bench`)
    } catch (error) {
      setFailure((error as Error).message)
    }
  }

  const [before, after] = [cards[older], cards[newer]]
  const sheet = (card: Card) => sheetOf(card, school, new Map(Object.entries(titles)))

  return (
    <Page width={1280}>
      <Group justify="space-between">
        <h1>
          <bdi>{title}</bdi>, its versions
        </h1>
        <Button component={Link} href={`/cards/${id}/bench`} variant="default">
          To the bench
        </Button>
      </Group>
      {failure && (
        <Alert color="red" my="sm">
          {failure}
        </Alert>
      )}
      <div className={classes.desk}>
        <div className={classes.scroll} tabIndex={0} role="region" aria-label="Versions">
          <table className={classes.versions}>
            <thead>
              <tr>
                <th scope="col">from</th>
                <th scope="col">to</th>
                <th scope="col">version</th>
              </tr>
            </thead>
            <tbody>
              {listed.map((each) => (
                <tr key={each.version}>
                  <td>
                    <input
                      type="radio"
                      name="older"
                      aria-label={`compare from version ${each.version}`}
                      checked={older === each.version}
                      onChange={() => setOlder(each.version)}
                    />
                  </td>
                  <td>
                    <input
                      type="radio"
                      name="newer"
                      aria-label={`compare to version ${each.version}`}
                      checked={newer === each.version}
                      onChange={() => setNewer(each.version)}
                    />
                  </td>
                  <td>
                    <b>{each.version}</b> {each.author || 'no name'},{' '}
                    <time dateTime={each.savedAt}>{when(each.savedAt)}</time>
                    {each.note && <div className={classes.note}>{each.note}</div>}
                    {each.more > 0 && (
                      <button className={classes.more} onClick={() => setOpen([...open, each.of])}>
                        {each.more} earlier {each.more === 1 ? 'save' : 'saves'} of this sitting
                      </button>
                    )}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
        <div>
          <Group justify="space-between" mb="xs">
            <span>
              Version {older} beside version {newer}
            </span>
            <SegmentedControl
              size="xs"
              aria-label="How to compare"
              value={manner}
              onChange={setManner}
              data={[
                { value: 'spread', label: 'On the spread' },
                { value: 'text', label: 'As text' },
              ]}
            />
            <Button size="compact-md" disabled={older === newest} onClick={() => void bringBack()}>
              Bring version {older} back
            </Button>
          </Group>
          {before && after && manner === 'spread' && (
            <CompareSpread older={sheet(before)} newer={sheet(after)} />
          )}
          {before && after && manner === 'text' && (
            <Compare
              first={writeMarkdown(before)}
              second={writeMarkdown(after)}
              titles={[`Version ${older}`, `Version ${newer}`]}
            />
          )}
        </div>
      </div>
    </Page>
  )
}
