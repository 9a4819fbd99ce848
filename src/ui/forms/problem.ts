import { get, useFormContext } from 'react-hook-form'

/** What is wrong with the field of a path, or with all of what stands under it. */
export function useProblem(at: string): string | undefined {
  const { formState } = useFormContext()
  const error: unknown = get(formState.errors, at)
  const message =
    typeof error === 'object' && error !== null && 'message' in error ? error.message : undefined
  return typeof message === 'string' ? message : undefined
}
