/** What stands under a field: what is wrong with it, said at once, or else a hint. */
export function FieldNote({
  id,
  problem,
  hint,
}: {
  id: string
  problem: string | undefined
  hint: string | undefined
}) {
  const note = problem ?? hint
  if (note === undefined) return null
  return (
    <p
      id={id}
      role={problem === undefined ? undefined : 'alert'}
      className={problem === undefined ? 'field-note' : 'field-problem'}
    >
      {note}
    </p>
  )
}
