'use client'

import { Skeleton, type TagsInputProps } from '@mantine/core'
import dynamic from 'next/dynamic'

const TagsInput = dynamic<TagsInputProps>(
  () => import('@mantine/core').then((module) => module.TagsInput),
  { ssr: false, loading: () => <Skeleton height={61} mt="sm" /> }
)

/** A field of several short entries; its list of offers is large and is loaded after the page. */
export function TagsField(props: TagsInputProps) {
  // A list opened while the page still moves under it would take its field for one that is gone.
  return <TagsInput comboboxProps={{ hideDetached: false }} {...props} />
}
