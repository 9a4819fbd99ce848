'use client'
import { Modal } from '@/ui/kit/modal'

const KEYS: readonly (readonly [string, string])[] = [
  ['/', 'Find gear on the shelf'],
  ['1  2  3', 'Road, trail, parked'],
  ['Tab', 'Through the things in the plan view'],
  ['Arrows', 'Nudge the picked thing 5 mm or 1/4 in; with Shift ten times that'],
  ['R', 'Turn it'],
  ['E', 'On edge, or flat again'],
  ['Del', 'Take it off'],
  ['F', 'Next finding'],
  ['Enter', "Apply the finding's first fix"],
  ['Ctrl Z', 'Undo; with Shift, redo'],
  ['+  −  0', 'Zoom in, out, whole vehicle'],
  ['Alt while dragging', 'Do not snap'],
  ['Ctrl K', 'Everything by name'],
  ['Esc', 'Let go of what is picked'],
  ['?', 'This list'],
]

/** Every key of the bench. */
export function KeysList({ onClose }: { onClose: () => void }) {
  return (
    <Modal title="Keys" onClose={onClose}>
      <dl className="grid grid-cols-[auto_1fr] gap-x-4 gap-y-1.5">
        {KEYS.map(([keys, words]) => (
          <div key={keys} className="contents">
            <dt>
              <kbd>{keys}</kbd>
            </dt>
            <dd>{words}</dd>
          </div>
        ))}
      </dl>
    </Modal>
  )
}
