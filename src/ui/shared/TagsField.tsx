'use client'

import { Skeleton, type TagsInputProps } from '@mantine/core'
import { later } from './later'

const TagsInput = later<TagsInputProps>(
  () => import('./TagsInput').then((module) => module.TagsInput),
  <Skeleton height={61} mt="sm" />
)

/** A field of several short entries; its list of offers is large and is loaded after the page. */
export function TagsField(props: TagsInputProps) {
  // A list opened while the page still moves under it would take its field for one that is gone.
  // Its offers are made when it is opened: a page has many such fields, and few are used.
  return <TagsInput comboboxProps={{ hideDetached: false, keepMounted: false }} {...props} />
}
