'use client'
import { Note } from './field-note'
import { Fold } from './fold'
import { Section } from './section'
import { Table } from './table'
import { useState, type ReactNode } from 'react'

/** One question of the screen: a title, what it shows, and the table behind the picture. */
export function Panel({ title, note, children }: { title: string; note?: string; children: ReactNode }) {
  const id = `panel-${title.toLowerCase().replace(/[^a-z]+/g, '-')}`
  return (
    <Section id={id} title={title}>
      {note !== undefined && <Note className="mb-1">{note}</Note>}
      {children}
    </Section>
  )
}

/** The numbers of a picture, for whoever would rather read them. */
export function DataTableDisclosure({
  title,
  head,
  rows,
  open = false,
}: {
  title: string
  head: readonly string[]
  rows: readonly (readonly ReactNode[])[]
  open?: boolean
}) {
  // What is folded away is not made: a page of numbers would hold up the pictures.
  const [shown, setShown] = useState(open)
  return (
    <Fold
      around="mt-1"
      className="min-h-11 cursor-pointer py-2.5 font-semibold"
      line={title}
      open={shown}
      onOpen={setShown}
    >
      {() => (
        <div className="overflow-x-auto" role="region" aria-label={title} tabIndex={0}>
          <Table>
            <thead>
              <tr>
                {head.map((each) => (
                  <th key={each} scope="col">
                    {each}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {rows.map((row, i) => (
                <tr key={i}>
                  {row.map((cell, j) =>
                    j === 0 ? (
                      <th key={j} scope="row">
                        {cell}
                      </th>
                    ) : (
                      <td key={j}>{cell}</td>
                    ),
                  )}
                </tr>
              ))}
            </tbody>
          </Table>
        </div>
      )}
    </Fold>
  )
}
