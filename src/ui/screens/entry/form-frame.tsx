'use client'
import Link from 'next/link'
import type { ReactNode } from 'react'
import { FormProvider, type FieldValues, type UseFormReturn } from 'react-hook-form'
import { Wordmark } from '@/ui/kit/mark'

/** A form beside its live drawing. */
export function FormFrame<D extends FieldValues>({
  title,
  form,
  back,
  drawing,
  problem,
  problems,
  actions,
  onSave,
  children,
}: {
  title: string
  form: UseFormReturn<D>
  back: { readonly href: string; readonly words: string }
  drawing: ReactNode
  problem: string | undefined
  problems: number
  actions: ReactNode
  onSave: () => void
  children: ReactNode
}) {
  return (
    <>
      <header className="rule-b bg-base-100 flex flex-wrap items-center gap-3 px-4 py-2">
        <Wordmark />
        <h1 className="flex-1 text-[17px]">{title}</h1>
        <Link href={back.href} className="plain">
          {back.words}
        </Link>
      </header>
      <FormProvider {...form}>
        <form
          className="form-frame"
          noValidate
          onSubmit={(event) => {
            event.preventDefault()
            onSave()
          }}
        >
          <main className="min-w-0 space-y-5">
            {children}
            {problem !== undefined && (
              <p role="alert" className="field-problem">
                {problem}
              </p>
            )}
            <div className="flex flex-wrap items-center gap-2">
              {actions}
              {form.formState.isSubmitted && problems > 0 && (
                <p role="alert" className="field-problem">
                  {problems === 1 ? 'One field needs another look.' : `${problems} fields need another look.`}
                </p>
              )}
            </div>
          </main>
          <aside className="form-drawing" aria-label="Drawing">
            {drawing}
          </aside>
        </form>
      </FormProvider>
    </>
  )
}
