import { get, useFormContext } from 'react-hook-form'

/** What is wrong with the field of a path, or with all of what stands under it, once somebody was there or wanted to save. */
export function useProblem(at: string): string | undefined {
  const { formState } = useFormContext()
  const { errors, touchedFields, isSubmitted } = formState
  // A new entry of a list is judged as it is put in: nobody has been in its fields yet.
  const error: unknown = isSubmitted || get(touchedFields, at) !== undefined ? get(errors, at) : undefined
  const message =
    typeof error === 'object' && error !== null && 'message' in error ? error.message : undefined
  return typeof message === 'string' ? message : undefined
}
