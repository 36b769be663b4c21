'use client'

import { LABELS } from '@/core/language'
import { NativeSelect, SimpleGrid, Text, Textarea, TextInput } from '@mantine/core'
import { useEffect, useState } from 'react'
import { BASES, type Card, dropUnwritable, MANNERS, SIDE_NAMED_BY, SPINES } from '@/core/card'
import { packOf } from '@/core/language'
import { keptFor } from '@/core/figure'
import { useShallow } from 'zustand/react/shallow'
import { TagsField } from '../shared/TagsField'
import { namesAndFamily } from './NameSection'
import { useBench, useBenchStore } from './store'

/** What can be a language code; while it is typed it need not be one. */
const LANGUAGE = /^[A-Za-z]{2,8}(-[A-Za-z0-9]{1,8})*$/

/** The fields of names and families. */
export function NameForm() {
  const bench = useBenchStore()
  const card = useBench(useShallow((state) => namesAndFamily(state.card)))
  const [language, setLanguage] = useState<string | null>(null)
  const set = (path: string, value: unknown) => bench.getState().set(path, value)
  const type = (path: string) => (event: { currentTarget: { value: string } }) =>
    set(path, dropUnwritable(event.currentTarget.value))
  return (
    <>
      <SimpleGrid cols={{ base: 1, sm: 2 }} spacing="sm">
        <TextInput
          label="Common name"
          value={card.names.common[0] ?? ''}
          maxLength={300}
          dir="auto"
          onChange={(event) => {
            const name = dropUnwritable(event.currentTarget.value)
            const rest = card.names.common.slice(1)
            set('names.common', name || rest.length ? [name, ...rest] : [])
          }}
        />
        <TextInput
          label="Sanskrit, in IAST"
          value={card.names.sanskrit}
          maxLength={300}
          dir="auto"
          onChange={type('names.sanskrit')}
          rightSectionWidth={160}
          rightSection={<Script iast={card.names.sanskrit} />}
        />
        <TagsField
          label="Further common names"
          placeholder="Another name, then Enter"
          value={card.names.common.slice(1)}
          onChange={(names) =>
            set('names.common', [card.names.common[0] ?? '', ...names.map(dropUnwritable)])
          }
          maxTags={20}
        />
        <TagsField
          label="Also called"
          placeholder="Another name, then Enter"
          value={card.names.aliases}
          onChange={(names) => set('names.aliases', names.map(dropUnwritable))}
          maxTags={20}
        />
        <Textarea
          label="Meaning"
          autosize
          minRows={1}
          maxLength={1000}
          dir="auto"
          value={card.names.meaning}
          onChange={type('names.meaning')}
        />
      </SimpleGrid>
      <SimpleGrid cols={{ base: 2, sm: 4 }} spacing="sm" mt="sm">
        <NativeSelect
          label="Base"
          value={card.base}
          data={BASES.map((value) => ({ value, label: LABELS.base[value] }))}
          onChange={type('base')}
        />
        <NativeSelect
          label="Spine"
          value={card.spine}
          data={[...SPINES]}
          onChange={type('spine')}
        />
        <NativeSelect
          label="Manner"
          value={card.manner}
          data={[...MANNERS]}
          onChange={type('manner')}
        />
        <TextInput
          label="Number"
          placeholder="ST-07"
          maxLength={20}
          value={card.number}
          onChange={type('number')}
        />
        <TextInput
          label="Language"
          placeholder="en"
          description={packOf(card.language) ? undefined : 'no words for it yet'}
          maxLength={35}
          value={language ?? card.language}
          onChange={(event) => {
            const code = event.currentTarget.value.trim()
            setLanguage(code)
            if (LANGUAGE.test(code)) set('language', code)
          }}
          onBlur={() => setLanguage(null)}
        />
        <NativeSelect
          label="Sides"
          value={card.sides}
          data={[
            { value: 'sided', label: 'two sides' },
            { value: 'even', label: 'even' },
          ]}
          onChange={type('sides')}
        />
        {card.sides === 'sided' && (
          <>
            <TextInput
              label="Side named by the"
              list="side-named-by"
              maxLength={80}
              value={card.sideNamedBy}
              onChange={type('sideNamedBy')}
            />
            <datalist id="side-named-by">
              {SIDE_NAMED_BY.map((name) => (
                <option key={name} value={name} />
              ))}
            </datalist>
            <NativeSelect
              label="First side"
              value={card.firstSide ?? ''}
              data={[
                { value: '', label: 'the school’s: right' },
                { value: 'right', label: 'right' },
                { value: 'left', label: 'left' },
              ]}
              onChange={(event) => set('firstSide', event.currentTarget.value || undefined)}
            />
            <NativeSelect
              label="Kept in the file for"
              value={card.writtenFor}
              data={['right', 'left']}
              onChange={(event) => {
                const side = event.currentTarget.value as Card['writtenFor']
                bench.getState().edit((now) => keptFor(now, side))
              }}
            />
          </>
        )}
      </SimpleGrid>
    </>
  )
}

/** The Sanskrit name in its script; the transliteration is loaded only here. */
function Script({ iast }: { iast: string }) {
  const [script, setScript] = useState('')
  useEffect(() => {
    let here = true
    void import('@/core/names').then(({ devanagari }) => here && setScript(devanagari(iast)))
    return () => {
      here = false
    }
  }, [iast])
  return (
    <Text span size="sm" c="dimmed" truncate pr="sm" lang="sa">
      {script}
    </Text>
  )
}
