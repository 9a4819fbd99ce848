'use client'
import { Note, Problem } from '@/ui/kit/field-note'
import { StoredPicture } from '@/ui/app/stored-picture'
import { JobBar } from '@/ui/job/job-bar'
import { Button } from '@/ui/kit/button'
import {
  cameLine,
  cautionMoment,
  dueOf,
  handoverOf,
  isOverdue,
  NOTHING_DONE,
  openingOf,
} from '@/core/api/fit'
import { bayRulesOf, type Plan } from '@/core/api/plan'
import { calendarFile, planFileName } from '@/core/api/files'
import { STATE_WORD, VERDICT_WORD } from '@/core/api/assess'
import { type ReactNode, useMemo, useState } from 'react'
import { assessmentOf } from '@/ui/state/assessment'
import { extentOf } from '@/drawing/layout'
import { recordOf, useOwnLog } from '@/ui/state/log-store'
import { PhraseLine, Quantity } from '@/ui/figures/quantity'
import { downloadText } from '@/ui/kit/download'
import { useUnits } from '@/ui/state/settings-store'
import { useToday } from '@/ui/state/use-today'
import { WhoseCar } from '@/ui/forms/whose-car'
import { Placard } from './placard'
import { SideDrawing } from './side-drawing'
import { MARGIN_MM, PAPER, scaleFor, type Paper } from './true-scale'

function SheetPart({ title, children }: { title: string; children: ReactNode }) {
  const id = `handover-${title.toLowerCase().replace(/[^a-z]+/g, '-')}`
  return (
    <section aria-labelledby={id} className="sheet-part">
      <h2 id={id}>{title}</h2>
      {children}
    </section>
  )
}

function Lines({ lines }: { lines: readonly ReactNode[] }) {
  return (
    <ul className="list-disc pl-5">
      {lines.map((line, i) => (
        <li key={i}>{line}</li>
      ))}
    </ul>
  )
}

/** What goes with the vehicle: to look at, to print, as a PDF, as a calendar, and as a placard. */
export function HandoverScreen({ plan }: { plan: Plan }) {
  const { survey, review } = assessmentOf(plan)
  const units = useUnits()
  const [paper, setPaper] = useState<Paper>('a4')
  const [problem, setProblem] = useState<string>()
  const day = useToday()
  const { own, perhaps } = useOwnLog(plan)
  const handover = useMemo(() => {
    const rules = bayRulesOf(plan.rules)
    const progress = recordOf(own).jobs.get(plan.id) ?? NOTHING_DONE
    return handoverOf(survey, review, progress, dueOf(own, rules, [plan]), rules)
  }, [plan, survey, review, own])
  const { x0, x1 } = extentOf(survey)
  const scale = scaleFor(x1 - x0, PAPER[paper].widthMm - 2 * MARGIN_MM)
  const stem = planFileName(plan).replace('.ypsos.json', '')
  const savePdf = async () => {
    setProblem(undefined)
    try {
      const [{ handoverPdf }, { pdfFonts }] = await Promise.all([
        import('./handover-pdf'),
        import('./pdf-fonts'),
      ])
      const bytes = await handoverPdf({
        plan,
        survey,
        handover,
        paper,
        units,
        today: day,
        fonts: await pdfFonts(),
      })
      downloadText(`${stem}-handover.pdf`, bytes, 'application/pdf')
    } catch (error) {
      setProblem(
        `The PDF was not made${error instanceof Error ? `: ${error.message}` : ''}. Print the page instead.`,
      )
    }
  }
  return (
    <div className={`handover-page page-${paper}`}>
      <JobBar plan={plan} at="handover">
        <div className="flex flex-wrap gap-1.5">
          {(Object.keys(PAPER) as Paper[]).map((each) => (
            <Button variant="quiet" key={each} pressed={paper === each} onClick={() => setPaper(each)}>
              {PAPER[each].name}
            </Button>
          ))}
          <Button variant="quiet" onClick={() => window.print()}>
            Print
          </Button>
          <Button variant="quiet" onClick={() => void savePdf()}>
            PDF file
          </Button>
          <Button
            variant="quiet"
            disabled={handover.due.length === 0}
            onClick={() => {
              downloadText(
                `${stem}-due.ics`,
                calendarFile(handover.due, {
                  vehicle: plan.vehicle.name,
                  jobId: plan.id,
                  madeAt: new Date().toISOString(),
                }),
                'text/calendar',
              )
            }}
          >
            Calendar file
          </Button>
        </div>
      </JobBar>
      {problem !== undefined && <Problem>{problem}</Problem>}
      <WhoseCar plan={plan} perhaps={perhaps} />
      <main className="handover-sheet" style={{ width: `${PAPER[paper].widthMm}mm` }}>
        <div className="sheet-part border-t-0!">
          <p className="sheet-name-large">{plan.job.name}</p>
          <p>
            {plan.vehicle.name}
            {plan.job.customer === undefined ? '' : ` · ${plan.job.customer}`}
            {plan.job.number === undefined ? '' : ` · job ${plan.job.number}`} · {day}
          </p>
          <p>{cameLine(plan.job)}</p>
          <p className="flex flex-wrap gap-2">
            {(plan.job.came?.pictures ?? []).map(({ id, words }) => (
              <StoredPicture key={id} id={id} words={words} className="h-[22mm] w-[30mm]" />
            ))}
          </p>
        </div>
        {openingOf(handover).map(({ title, lines, grave }) => (
          <div key={title} className="sheet-part">
            <div className={grave ? 'py-[0.45rem] px-[0.6rem] border-error! border-[2.5px]!' : ''}>
              <h2 className="text-[length:inherit] font-bold">{title}</h2>
              <Lines
                lines={lines.map((phrase, i) => (
                  <PhraseLine key={i} phrase={phrase} />
                ))}
              />
            </div>
          </div>
        ))}
        <SheetPart title="Load limits">
          <table className="handover-table">
            <thead>
              <tr>
                <th scope="col">Rack</th>
                <th scope="col">State</th>
                <th scope="col">On it now</th>
                <th scope="col">May still be added</th>
                <th scope="col">Weakest link</th>
              </tr>
            </thead>
            <tbody>
              {handover.limits.map((row) => (
                <tr
                  key={`${row.rack} ${row.state}`}
                  className={row.over ? 'text-stopline' : row.known ? '' : 'handover-unknown'}
                >
                  <th scope="row">{row.rack}</th>
                  <td>
                    {STATE_WORD[row.state]}: {VERDICT_WORD[handover.verdicts[row.state]]}
                  </td>
                  <td>
                    <PhraseLine phrase={row.carries} />
                  </td>
                  <td className="font-bold">
                    <PhraseLine phrase={row.left} />
                  </td>
                  <td>{row.by}</td>
                </tr>
              ))}
            </tbody>
          </table>
          <Note>
            The vehicle’s manual and the makers’ sheets take precedence. The figures hold for the load as
            drawn.
          </Note>
        </SheetPart>
        <SheetPart title="Height">
          <p>
            <strong className="text-head">
              <Quantity dimension="length" value={handover.heightMm} />
            </strong>{' '}
            driving; {handover.heightOf} is highest.{' '}
            {handover.clearances.map((each) => (
              <span key={each.name} className={each.passes ? '' : 'font-bold'}>
                {each.name}: <PhraseLine phrase={each.say} />.{' '}
              </span>
            ))}
          </p>
          <SideDrawing survey={survey} scale={scale} />
        </SheetPart>
        <SheetPart title="Fitted">
          <Lines lines={handover.fitted} />
        </SheetPart>
        {handover.torques.length > 0 && (
          <SheetPart title="Torque">
            <table className="handover-table">
              <thead>
                <tr>
                  <th scope="col">Joint</th>
                  <th scope="col">Wanted</th>
                  <th scope="col">Read</th>
                </tr>
              </thead>
              <tbody>
                {handover.torques.map((row) => (
                  <tr key={row.what}>
                    <th scope="row">{row.what}</th>
                    <td>
                      <PhraseLine phrase={row.wanted} />
                    </td>
                    <td>
                      <PhraseLine phrase={row.read} />
                    </td>
                  </tr>
                ))}
              </tbody>
            </table>
          </SheetPart>
        )}
        <SheetPart title="Come back">
          {handover.due.length === 0 ? (
            <p>
              No date yet: it is set when the job is handed over. After the first trip or about{' '}
              {bayRulesOf(plan.rules).firstCheckKm} km in any case.
            </p>
          ) : (
            <Lines
              lines={handover.due.map((due) => (
                <span key={due.id} className={isOverdue(due, day) ? 'font-bold' : ''}>
                  {due.on}
                  {isOverdue(due, day) ? ' (overdue)' : ''}: {due.what}, {due.why}
                  {due.km === undefined ? '' : `, or after ${due.km} km`}
                </span>
              ))}
            />
          )}
        </SheetPart>
        {handover.deviations.length > 0 && (
          <SheetPart title="Deviations from the sheet">
            <Lines lines={handover.deviations.map(({ step, reason }) => `${step}: ${reason}`)} />
          </SheetPart>
        )}
        <SheetPart title="Assumed, by house rule">
          <Lines lines={handover.assumed} />
        </SheetPart>
        {handover.marks.length > 0 && (
          <SheetPart title="Marks, heights and what is stored">
            <Lines lines={handover.marks} />
          </SheetPart>
        )}
        <SheetPart title="Keys and tools that stay with the vehicle">
          <Lines lines={[...handover.keys, ...handover.tools]} />
        </SheetPart>
        {handover.cautions.map(({ before, says }) => (
          <SheetPart key={before} title={`Cautions: ${cautionMoment(before)}`}>
            <Lines lines={says} />
          </SheetPart>
        ))}
        <div className="placard-page" role="group" aria-label="For the dash" tabIndex={0}>
          <Placard handover={handover} />
          <Note>
            For the dash or the fuel flap: cut along the line. Print at 100 %, not fitted to the page.
          </Note>
        </div>
      </main>
    </div>
  )
}
