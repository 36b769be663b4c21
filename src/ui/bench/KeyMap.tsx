'use client'

import { Kbd, Modal, Table } from '@mantine/core'
import { KEYS } from './keys'

export function KeyMap({ onClose }: { onClose: () => void }) {
  return (
    <Modal opened onClose={onClose} title="Keys">
      <Table>
        <Table.Tbody>
          {KEYS.map(({ keys, does }) => (
            <Table.Tr key={keys.join(' ')}>
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
