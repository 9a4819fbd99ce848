'use client'
import { Kbd } from '@/ui/kit/kbd'
import { KEY_LINES } from '@/ui/actions'
import { Modal } from '@/ui/kit/modal'

/** Every key of the bench. */
export function KeysList({ onClose }: { onClose: () => void }) {
  return (
    <Modal title="Keys" onClose={onClose}>
      <dl className="grid grid-cols-[auto_1fr] gap-x-4 gap-y-1.5">
        {KEY_LINES.map(([keys, words]) => (
          <div key={keys} className="contents">
            <dt>
              <Kbd>{keys}</Kbd>
            </dt>
            <dd>{words}</dd>
          </div>
        ))}
      </dl>
    </Modal>
  )
}
