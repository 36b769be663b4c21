import { ActionIcon } from '@mantine/core'
import type { ReactNode } from 'react'

/** A small quiet button: a picture, with its name for those who hear the page or rest on it. */
export const Tool = (props: { label: string; onClick: () => void; children: ReactNode }) => (
  <ActionIcon
    variant="subtle"
    color="gray"
    size="sm"
    aria-label={props.label}
    title={props.label}
    onClick={props.onClick}
  >
    {props.children}
  </ActionIcon>
)
