'use client'

import { Kbd, Modal, Table } from '@mantine/core'

const KEYS: [string[], string][] = [
  [['Enter'], 'a new line below'],
  [['Alt', '↑ ↓'], 'move the line up or down'],
  [['↑ ↓'], 'go to the line above or below, from its start or end'],
  [['Backspace'], 'delete the line, when it is empty'],
  [['Alt', 'Del'], 'delete the line'],
  [['Alt', 'I'], 'breathe in'],
  [['Alt', 'O'], 'breathe out'],
  [['Alt', 'H'], 'hold: in, then out'],
  [['Alt', 'F'], 'free breath'],
  [['Alt', 'S'], 'to the other side'],
  [['Alt', 'P'], 'fix the side word at the cursor, or set it free'],
  [['Ctrl', 'Z'], 'undo'],
  [['Ctrl', 'Shift', 'Z'], 'do it again'],
  [['Ctrl', 'S'], 'save now'],
  [['Ctrl', 'K'], 'go to any card, section or action'],
  [['Alt', '.'], 'take the mend that is offered'],
  [['Ctrl', 'Enter'], 'a new mistake, caution or rung below'],
  [['?'], 'these keys, outside a text'],
]

export function KeyMap({ onClose }: { onClose: () => void }) {
  return (
    <Modal opened onClose={onClose} title="Keys">
      <Table>
        <Table.Tbody>
          {KEYS.map(([keys, does]) => (
            <Table.Tr key={does}>
              <Table.Td style={{ whiteSpace: 'nowrap' }}>
                {keys.map((key, i) => (
                  <span key={key}>
                    {i > 0 && ' + '}
                    <Kbd>{key}</Kbd>
                  </span>
                ))}
              </Table.Td>
              <Table.Td>{does}</Table.Td>
            </Table.Tr>
          ))}
        </Table.Tbody>
      </Table>
    </Modal>
  )
}
