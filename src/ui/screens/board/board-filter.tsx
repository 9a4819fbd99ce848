import { VERDICT_WORD, WORK_STATES, WORK_WORD } from '@/core/api/assess'
import { Button } from '@/ui/kit/button'
import { Choice } from '@/ui/kit/choice'
import { TextBox } from '@/ui/kit/field'
import { type BoardFilter, type DueBy, isWhole, WHOLE_BOARD } from './board-order'

const VERDICTS: readonly (readonly [BoardFilter['verdict'], string])[] = [
  ['any', 'Any'],
  ...(['stop', 'findOut', 'mind', 'clear'] as const).map((each) => [each, VERDICT_WORD[each]] as const),
]
const WORK: readonly (readonly [BoardFilter['work'], string])[] = [
  ['any', 'Any'],
  ...WORK_STATES.map((each) => [each, WORK_WORD[each]] as const),
]
const DUE: readonly (readonly [DueBy, string])[] = [
  ['any', 'Any day'],
  ['overdue', 'overdue'],
  ['week', 'within a week'],
  ['later', 'later'],
  ['none', 'nothing due'],
]

/** Of more customers than these one is found by typing. */
const MOST_LISTED = 100

/** What is asked of a board: words, and what its jobs must have in common. */
export function Filter({
  filter,
  customers,
  shown,
  of,
  onChange,
}: {
  filter: BoardFilter
  customers: readonly string[]
  shown: number
  of: number
  onChange: (filter: BoardFilter) => void
}) {
  return (
    <div className="mb-3 flex flex-wrap items-end gap-3" role="search">
      <TextBox
        className="min-w-64 flex-1"
        label="Find a job, customer, car or plate"
        type="search"
        value={filter.words}
        onText={(words) => onChange({ ...filter, words })}
      />
      <Choice
        className="min-w-28"
        label="Verdict"
        value={filter.verdict}
        options={VERDICTS}
        onChange={(verdict) => onChange({ ...filter, verdict })}
      />
      <Choice
        className="min-w-28"
        label="Due"
        value={filter.due}
        options={DUE}
        onChange={(due) => onChange({ ...filter, due })}
      />
      <Choice
        className="min-w-28"
        label="Work"
        value={filter.work}
        options={WORK}
        onChange={(work) => onChange({ ...filter, work })}
      />
      {(filter.customer !== '' || (customers.length > 1 && customers.length <= MOST_LISTED)) && (
        <Choice
          className="max-w-48 min-w-28"
          label="Customer"
          value={filter.customer}
          options={[['', 'Any'], ...customers.map((each) => [each, each] as const)]}
          onChange={(customer) => onChange({ ...filter, customer })}
        />
      )}
      <p role="status" className="text-ink2 min-w-24 py-2">
        {shown === of ? `${of} jobs` : `${shown} of ${of}`}
      </p>
      {!isWhole(filter) && (
        <Button variant="word" onClick={() => onChange({ ...WHOLE_BOARD, archive: filter.archive })}>
          Show all
        </Button>
      )}
    </div>
  )
}
