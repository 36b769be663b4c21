'use client'

import { LABELS } from '@/core/language'
import { Button, Group, Modal, Radio, SegmentedControl, Stack, Text } from '@mantine/core'
import { IconScale } from '@tabler/icons-react'
import { useState } from 'react'
import { type Side } from '@/core/card'
import { HAND_WORK, type HandWork, LEG_WORK, type LegWork } from '@/core/language'
import { type Curve, plainText, unevenWork, withUnevenWork } from '@/core/sides'
import { useBench, useBenchStore } from './store'

const BULGES = [
  { value: 'none', label: 'no curve' },
  { value: 'left', label: 'bulges left' },
  { value: 'right', label: 'bulges right' },
]

const HAND_LABELS: Record<HandWork, string> = {
  forward: 'out and forward',
  cupped: 'on cupped fingers',
  pad: 'on a pad',
  block: 'on a block',
}
const LEG_LABELS: Record<LegWork, string> = {
  'foot back': 'foot further back',
  'hip higher': 'hip higher, knees bent first',
}

/** Different work for each side of a side-bent spine, added to the cues. */
export function CurveButton() {
  const [open, setOpen] = useState(false)
  return (
    <>
      <Button
        variant="subtle"
        size="compact-sm"
        leftSection={<IconScale size={15} />}
        onClick={() => setOpen(true)}
      >
        Work for a side-bent spine
      </Button>
      {open && <CurveDialog onClose={() => setOpen(false)} />}
    </>
  )
}

function CurveDialog({ onClose }: { onClose: () => void }) {
  const bench = useBenchStore()
  const card = useBench((state) => state.card)
  const [ribs, setRibs] = useState('none')
  const [lowBack, setLowBack] = useState('none')
  const [hand, setHand] = useState<HandWork>('forward')
  const [leg, setLeg] = useState<LegWork>('foot back')
  const curve: Curve = {
    ...(ribs === 'none' ? {} : { ribs: ribs as Side }),
    ...(lowBack === 'none' ? {} : { lowBack: lowBack as Side }),
  }
  const given = ribs !== 'none' || lowBack !== 'none'
  const work = given ? unevenWork(card, curve, { hand, leg }) : null
  return (
    <Modal opened onClose={onClose} size="lg" title="Work for a side-bent spine">
      <Stack gap="sm">
        <Text size="sm">
          A curve is named by the side that bulges; the other one is the hollow, and the work goes
          to the hollow. The arms reach the rib cage, the legs the low back. Whether at all is for
          the person’s clinician to say.
        </Text>
        <Choice label="Rib cage" value={ribs} onChange={setRibs} data={BULGES} />
        {ribs !== 'none' && (
          <Radio.Group
            label="Hand of the hollow side"
            value={hand}
            onChange={(value) => setHand(value as HandWork)}
          >
            <Group gap="md" mt={4}>
              {HAND_WORK.map((each) => (
                <Radio key={each} value={each} label={HAND_LABELS[each]} />
              ))}
            </Group>
          </Radio.Group>
        )}
        <Choice label="Low back" value={lowBack} onChange={setLowBack} data={BULGES} />
        {lowBack !== 'none' && (
          <Radio.Group
            label="Leg of the hollow side"
            value={leg}
            onChange={(value) => setLeg(value as LegWork)}
          >
            <Group gap="md" mt={4}>
              {LEG_WORK.map((each) => (
                <Radio key={each} value={each} label={LEG_LABELS[each]} />
              ))}
            </Group>
          </Radio.Group>
        )}
        {work ? (
          <ul style={{ margin: 0, paddingLeft: 20 }} aria-label="Cues to be added">
            {work.cues.map((cue) => (
              <li key={cue.id}>
                {plainText(cue.text, card)}{' '}
                <Text span size="sm" c="dimmed">
                  ({LABELS.on[cue.on]})
                </Text>
              </li>
            ))}
            <li>
              <b>Caution, {work.caution.condition}:</b> {work.caution.say}
            </li>
          </ul>
        ) : (
          <Text size="sm" c="dimmed">
            Say where the spine bends and to which side it bulges; the cues are then shown here.
          </Text>
        )}
        <Group justify="flex-end">
          <Button variant="default" onClick={onClose}>
            Cancel
          </Button>
          <Button
            disabled={!work}
            onClick={() => {
              bench.getState().edit((now) => withUnevenWork(now, work!))
              onClose()
            }}
          >
            Add to the card
          </Button>
        </Group>
      </Stack>
    </Modal>
  )
}

function Choice(props: {
  label: string
  value: string
  onChange: (value: string) => void
  data: typeof BULGES
}) {
  return (
    <Group gap="md">
      <Text fw={700} w={80}>
        {props.label}
      </Text>
      <SegmentedControl aria-label={props.label} {...props} />
    </Group>
  )
}
