'use client'

import { dropUnwritable, PROPS } from '@/core/card'
import { TagsField } from '../shared/TagsField'
import { HalfTitles } from './HalfTitles'
import { LineSpread, SidedLine } from './SidedLine'
import { useBench, useBenchStore } from './store'

/** Where the student starts, and with what. */
export function SetUpSection() {
  const bench = useBenchStore()
  const setUp = useBench((state) => state.card.setUp)
  return (
    <>
      <LineSpread label="Set-up">
        <HalfTitles centre="" />
        <SidedLine
          path="setUp.place"
          value={setUp.place}
          label="Start"
          placeholder="Stand at the middle of the mat, facing the long edge."
        />
        <SidedLine
          path="setUp.note"
          value={setUp.note}
          label="Note"
          placeholder="What else to lay ready."
        />
      </LineSpread>
      <TagsField
        mt="sm"
        label="Props"
        placeholder="block, strap, wall …"
        data={[...PROPS]}
        value={setUp.props}
        onChange={(props) => bench.getState().set('setUp.props', props.map(dropUnwritable))}
      />
    </>
  )
}
