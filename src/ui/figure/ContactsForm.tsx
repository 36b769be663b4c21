'use client'

import { ActionIcon, Button, Group, NativeSelect, NumberInput } from '@mantine/core'
import { IconPin, IconPinFilled, IconTrash } from '@tabler/icons-react'
import {
  type Contact,
  type Figure,
  PARTS,
  type Strap,
  SURFACES_AND_LIMBS,
  USUAL_STATURE,
} from '@/core/figure'
import classes from './FigureBench.module.css'

/** What touches what: the floor, a prop, a limb. */
export function ContactsForm({
  figure,
  places,
  onChange,
}: {
  figure: Figure
  /** Where each contact is on the floor now, in statures. */
  places: readonly [number, number][] | undefined
  onChange: (figure: Figure) => void
}) {
  const set = (i: number, next: Partial<Contact>) =>
    onChange({
      ...figure,
      contacts: figure.contacts.map((contact, j) => (i === j ? { ...contact, ...next } : contact)),
    })
  const setStrap = (i: number, strap: Strap) =>
    onChange({ ...figure, straps: figure.straps.map((each, j) => (i === j ? strap : each)) })
  const walled = figure.contacts.some((contact) => contact.on === 'wall')
  return (
    <section>
      <h2>What touches</h2>
      {figure.contacts.map((contact, i) => (
        <Group key={i} gap={4} wrap="nowrap" mb={4}>
          <NativeSelect
            size="xs"
            aria-label={`Contact ${i + 1}, part`}
            data={[...PARTS]}
            value={contact.part}
            onChange={(event) => set(i, { part: event.currentTarget.value })}
          />
          <span>on</span>
          <NativeSelect
            size="xs"
            aria-label={`Contact ${i + 1}, on`}
            data={[...SURFACES_AND_LIMBS]}
            value={contact.on}
            onChange={(event) => set(i, { on: event.currentTarget.value })}
          />
          {/^(?:left|right) /.test(contact.on) && (
            <NumberInput
              size="xs"
              w={64}
              aria-label={`Contact ${i + 1}, how far along, in percent`}
              min={0}
              max={100}
              step={5}
              value={Math.round((contact.along ?? 0.5) * 100)}
              onChange={(value) => {
                if (typeof value === 'number') set(i, { along: value / 100 })
              }}
            />
          )}
          {!/^(?:left|right) /.test(contact.on) && contact.on !== 'wall' && (
            <ActionIcon
              variant="subtle"
              color="gray"
              size="sm"
              aria-pressed={contact.at !== undefined}
              aria-label={`Keep contact ${i + 1} on its place`}
              title={contact.at ? 'Stays on its place' : 'May slide'}
              disabled={!contact.at && !places?.[i]}
              onClick={() => {
                const { at, ...rest } = contact
                const next = at ? rest : { ...rest, at: places![i] }
                onChange({
                  ...figure,
                  contacts: figure.contacts.map((each, j) => (i === j ? next : each)),
                })
              }}
            >
              {contact.at ? <IconPinFilled size={15} /> : <IconPin size={15} />}
            </ActionIcon>
          )}
          <ActionIcon
            variant="subtle"
            color="gray"
            size="sm"
            aria-label={`Take contact ${i + 1} away`}
            onClick={() =>
              onChange({ ...figure, contacts: figure.contacts.filter((_, j) => j !== i) })
            }
          >
            <IconTrash size={15} />
          </ActionIcon>
        </Group>
      ))}
      {figure.straps.map((strap, i) => (
        <Group key={`strap ${i}`} gap={4} wrap="nowrap" mb={4}>
          <span>Strap</span>
          {strap.slice(0, 2).map((part, end) => (
            <NativeSelect
              key={end}
              size="xs"
              aria-label={`Strap ${i + 1}, ${end ? 'to' : 'from'}`}
              data={[...PARTS]}
              value={part}
              onChange={(event) => setStrap(i, strap.with(end, event.currentTarget.value) as Strap)}
            />
          ))}
          <NumberInput
            size="xs"
            w={64}
            aria-label={`Strap ${i + 1}, length in cm`}
            placeholder="cm"
            min={1}
            max={400}
            step={5}
            value={strap[2] ?? ''}
            onChange={(value) =>
              setStrap(i, [
                strap[0],
                strap[1],
                ...(typeof value === 'number' ? [value] : []),
              ] as Strap)
            }
          />
          <ActionIcon
            variant="subtle"
            color="gray"
            size="sm"
            aria-label={`Take strap ${i + 1} away`}
            onClick={() => onChange({ ...figure, straps: figure.straps.filter((_, j) => j !== i) })}
          >
            <IconTrash size={15} />
          </ActionIcon>
        </Group>
      ))}
      <Group gap="xs" className={classes.more}>
        <Button
          size="compact-xs"
          variant="default"
          disabled={figure.contacts.length >= 24}
          onClick={() =>
            onChange({
              ...figure,
              contacts: [...figure.contacts, { part: 'left palm', on: 'floor' }],
            })
          }
        >
          Add a contact
        </Button>
        {walled && (
          <NumberInput
            size="xs"
            w={130}
            label="Wall, cm ahead"
            step={5}
            value={Math.round((figure.wall ?? 0) * USUAL_STATURE)}
            onChange={(value) => {
              if (typeof value === 'number') onChange({ ...figure, wall: value / USUAL_STATURE })
            }}
          />
        )}
        <Button
          size="compact-xs"
          variant="default"
          disabled={figure.straps.length >= 4}
          onClick={() =>
            onChange({ ...figure, straps: [...figure.straps, ['right sole', 'right hand']] })
          }
        >
          Add a strap
        </Button>
      </Group>
    </section>
  )
}
