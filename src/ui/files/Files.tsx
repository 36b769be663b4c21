'use client'

import { Alert, Button, Checkbox, Group, Progress, Text } from '@mantine/core'
import { IconDownload, IconUpload } from '@tabler/icons-react'
import { useRef, useState } from 'react'
import { useDropzone } from 'react-dropzone'
import { useAuthor } from '../chrome/AuthorName'
import { Page } from '../chrome/Page'
import { Compare } from '../history/Compare'
import { api } from '../shared/api'
import classes from './Files.module.css'

interface Item {
  file: string
  id: string | null
  title: string
  outcome: 'new' | 'changed' | 'same' | 'refused'
  why: string[]
  before?: string
  after?: string
}

type State =
  | { at: 'start' }
  | { at: 'reading' }
  | { at: 'preview'; files: File[]; items: Item[] }
  | { at: 'taking'; done: number; total: number }
  | { at: 'done'; added: number; changed: number }

const WORDS = { new: 'new', changed: 'changed', same: 'the same', refused: 'refused' } as const

/** Cards in and out as files: a preview first, then all in one go. */
export function Files() {
  const [author] = useAuthor()
  const [state, setState] = useState<State>({ at: 'start' })
  const [failure, setFailure] = useState('')
  const [leftOut, setLeftOut] = useState<ReadonlySet<string>>(new Set())
  const folder = useRef<HTMLInputElement>(null)
  const { getRootProps, getInputProps, isDragActive, open } = useDropzone({
    onDrop: (files) => void preview(files),
    noClick: true,
    noKeyboard: true,
  })

  const formOf = (files: File[]) => {
    const form = new FormData()
    for (const file of files) {
      const path = (file as File & { path?: string }).path ?? file.webkitRelativePath
      form.append('file', file, (path || file.name).replace(/^\.?\//, ''))
    }
    return form
  }

  async function preview(files: File[]) {
    if (files.length === 0) return
    setFailure('')
    setState({ at: 'reading' })
    try {
      const { items } = await api<{ items: Item[] }>('/api/import?preview=1', {
        method: 'POST',
        body: formOf(files),
      })
      setLeftOut(new Set())
      setState({ at: 'preview', files, items })
    } catch (error) {
      setFailure((error as Error).message)
      setState({ at: 'start' })
    }
  }

  async function take(files: File[]) {
    const form = formOf(files)
    form.append('author', author)
    for (const name of leftOut) form.append('leaveOut', name)
    setState({ at: 'taking', done: 0, total: 1 })
    try {
      const response = await fetch('/api/import', { method: 'POST', body: form })
      if (!response.ok || !response.body)
        throw new Error(((await response.json()) as { detail: string }).detail)
      await eachLine(response.body, (line) => {
        if (line.failed) throw new Error(String(line.failed))
        if (line.finished)
          setState({ at: 'done', added: Number(line.added), changed: Number(line.changed) })
        else setState({ at: 'taking', done: Number(line.done), total: Number(line.total) })
      })
    } catch (error) {
      setFailure((error as Error).message)
      setState({ at: 'start' })
    }
  }

  return (
    <Page here="files" width={1000}>
      <h1>Cards in and out</h1>
      {failure && (
        <Alert color="red" my="sm" role="alert">
          {failure}
        </Alert>
      )}
      <section aria-labelledby="in">
        <h2 id="in" className={classes.part}>
          In
        </h2>
        <div {...getRootProps()} className={`${classes.drop} ${isDragActive ? classes.over : ''}`}>
          <input {...getInputProps({ 'aria-label': 'Card files' })} />
          <input
            ref={folder}
            type="file"
            hidden
            aria-label="A folder of card files"
            {...{ webkitdirectory: '' }}
            onChange={(event) => void preview([...(event.currentTarget.files ?? [])])}
          />
          <IconUpload size={24} aria-hidden />
          <p>
            Drop card files, a folder or a ZIP here. You see what would happen before anything does.
          </p>
          <Group gap="xs" justify="center">
            <Button variant="default" onClick={open}>
              Choose files
            </Button>
            <Button variant="default" onClick={() => folder.current?.click()}>
              Choose a folder
            </Button>
          </Group>
        </div>
        {state.at === 'reading' && <Text role="status">Reading the files …</Text>}
        {state.at === 'preview' && (
          <Preview
            items={state.items}
            leftOut={leftOut}
            onLeaveOut={setLeftOut}
            onTake={() => void take(state.files)}
            onStop={() => setState({ at: 'start' })}
          />
        )}
        {state.at === 'taking' && (
          <div role="status">
            <Text>
              {state.done} of {state.total} cards
            </Text>
            <Progress
              value={(100 * state.done) / Math.max(1, state.total)}
              aria-label="Cards taken in"
            />
          </div>
        )}
        {state.at === 'done' && (
          <Alert color="green" mt="sm" role="status">
            {state.added} new and {state.changed} changed{' '}
            {state.added + state.changed === 1 ? 'card is' : 'cards are'} on the shelf.
          </Alert>
        )}
      </section>
      <section aria-labelledby="out">
        <h2 id="out" className={classes.part}>
          Out
        </h2>
        <Group gap="xs">
          {(
            [
              ['md', 'The deck as Markdown, ZIP'],
              ['json', 'The deck as JSON, ZIP'],
              ['cues', 'Cues, CSV'],
              ['mistakes', 'Mistakes, CSV'],
              ['cautions', 'Cautions, CSV'],
            ] as const
          ).map(([as, label]) => (
            <Button
              key={as}
              component="a"
              href={`/api/export?as=${as}`}
              download
              variant="default"
              leftSection={<IconDownload size={16} />}
            >
              {label}
            </Button>
          ))}
        </Group>
      </section>
    </Page>
  )
}

interface PreviewProps {
  items: Item[]
  leftOut: ReadonlySet<string>
  onLeaveOut: (names: ReadonlySet<string>) => void
  onTake: () => void
  onStop: () => void
}

const SHOWN = 200

function Preview({ items, leftOut, onLeaveOut, onTake, onStop }: PreviewProps) {
  const order = ['refused', 'changed', 'new', 'same'] as const
  const count = (outcome: Item['outcome']) =>
    items.filter((item) => item.outcome === outcome).length
  const taken = items.filter(
    (item) => (item.outcome === 'new' || item.outcome === 'changed') && !leftOut.has(item.file)
  )
  const sorted = order.flatMap((outcome) => items.filter((item) => item.outcome === outcome))
  return (
    <div className={classes.preview}>
      <Group justify="space-between">
        <Text role="status">
          {order.map((outcome) => `${count(outcome)} ${WORDS[outcome]}`).join(' · ')}
        </Text>
        <Group gap="xs">
          <Button variant="default" onClick={onStop}>
            Leave it
          </Button>
          <Button disabled={taken.length === 0} onClick={onTake}>
            Take {taken.length === 1 ? 'one card' : `${taken.length} cards`} in
          </Button>
        </Group>
      </Group>
      <ul className={classes.items}>
        {sorted.slice(0, SHOWN).map((item, i) => (
          <li key={item.file + i}>
            <div className={classes.item}>
              {item.outcome === 'new' || item.outcome === 'changed' ? (
                <Checkbox
                  aria-label={`Take ${item.file} in`}
                  checked={!leftOut.has(item.file)}
                  onChange={(event) => {
                    const next = new Set(leftOut)
                    if (event.currentTarget.checked) next.delete(item.file)
                    else next.add(item.file)
                    onLeaveOut(next)
                  }}
                />
              ) : (
                <span />
              )}
              <b>{WORDS[item.outcome]}</b>
              <span>
                <bdi>{item.title || item.file}</bdi>
                {item.title && <small> {item.file}</small>}
              </span>
            </div>
            {item.why.map((reason) => (
              <p key={reason} className={classes.why}>
                {reason}
              </p>
            ))}
            {item.before !== undefined && item.after !== undefined && (
              <details>
                <summary>What changes</summary>
                <Compare
                  first={item.before}
                  second={item.after}
                  titles={['In the deck', 'In the file']}
                />
              </details>
            )}
          </li>
        ))}
      </ul>
      {sorted.length > SHOWN && <Text c="dimmed">and {sorted.length - SHOWN} more</Text>}
    </div>
  )
}

/** Reads lines of JSON as they come. */
async function eachLine(
  body: ReadableStream<Uint8Array>,
  take: (line: Record<string, unknown>) => void
) {
  const reader = body
    .pipeThrough(new TextDecoderStream() as ReadableWritablePair<string, Uint8Array>)
    .getReader()
  let rest = ''
  for (let read = await reader.read(); !read.done; read = await reader.read()) {
    const lines = (rest + read.value).split('\n')
    rest = lines.pop() ?? ''
    for (const line of lines) if (line) take(JSON.parse(line) as Record<string, unknown>)
  }
}
