'use client'

import { Skeleton, type TagsInputProps } from '@mantine/core'
import dynamic from 'next/dynamic'

/** A field of several short entries; its list of offers is large and is loaded after the page. */
export const TagsField = dynamic<TagsInputProps>(
  () => import('@mantine/core').then((module) => module.TagsInput),
  { ssr: false, loading: () => <Skeleton height={61} mt="sm" /> }
)
