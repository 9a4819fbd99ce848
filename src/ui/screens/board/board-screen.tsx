'use client'
import { Alert } from '@/ui/kit/alert'
import { FileButton } from '@/ui/kit/file-button'
import { PageBar } from '@/ui/app/page-bar'
import { Button, ButtonLink } from '@/ui/kit/button'
import { to } from '@/ui/routes'
import dynamic from 'next/dynamic'
import { useRouter } from 'next/navigation'
import { useEffect, useRef, useState } from 'react'
import { type Room, roomLeft, roomWords } from '@/storage/room'
import { useOpenFile } from '@/ui/app/open-file'
import { useSettings } from '@/ui/state/settings-store'
import { useToday } from '@/ui/state/use-today'
import { Filter } from './board-filter'
import { type BoardFilter, customersOf, filtered, isWhole, ordered, WHOLE_BOARD } from './board-order'
import { JobCard, Unreadable } from './job-card'
import { BackupState } from './backup-state'
import { useArchived } from './use-archived'
import { useBoard } from './use-board'
import type { BoardCard } from '@/workers/board-messages'

const RemovedDialog = dynamic(() => import('@/ui/app/removed-dialog').then((module) => module.RemovedDialog))
const BoardTable = dynamic(() => import('./board-table').then((module) => module.BoardTable))
const BackupDialog = dynamic(() => import('@/ui/app/backup-dialog').then((module) => module.BackupDialog))

/** So many cards are drawn at first, and so many more whenever the end of them comes in sight. */
const DRAWN = 48
/** A board of no more jobs than this is taken in at a glance: nothing to search in. */
const GLANCE = 12

const NO_CARDS: readonly BoardCard[] = []

/** Tells when the end of a list comes in sight. */
function EndOfList({ onSight }: { onSight: () => void }) {
  const end = useRef<HTMLDivElement>(null)
  useEffect(() => {
    const element = end.current
    if (!element) return
    const watch = new IntersectionObserver(
      ([entry]) => {
        if (entry?.isIntersecting) onSight()
      },
      { rootMargin: '800px' },
    )
    watch.observe(element)
    return () => watch.disconnect()
  }, [onSight])
  return <div ref={end} />
}

/** The board of jobs: each with its drawing, its verdicts and its date. */
export function BoardScreen() {
  const router = useRouter()
  const ready = useSettings((store) => store.ready)
  const putDemo = useSettings((store) => store.putDemo)
  const removeDemo = useSettings((store) => store.removeDemo)
  const demo = useSettings((store) => store.demo !== undefined)
  const served = useSettings((store) => store.served)
  const { open, opened } = useOpenFile()
  const [loaded, setLoaded] = useState(0)
  const board = useBoard(ready, `${opened} ${loaded}`)
  const [filter, setFilter] = useState<BoardFilter>(WHOLE_BOARD)
  const [drawn, setDrawn] = useState(DRAWN)
  const day = useToday()
  const [dialog, setDialog] = useState<'backup' | 'removed'>()
  const view = useSettings((store) => store.settings.board)
  const change = useSettings((store) => store.change)
  const again = () => setLoaded((count) => count + 1)
  const more = () => setDrawn((count) => count + DRAWN)
  const [room, setRoom] = useState<Room>()
  useEffect(() => {
    if (ready) void roomLeft().then(setRoom)
  }, [ready])
  const cards = board.at === 'there' ? board.cards : NO_CARDS
  const left = board.at === 'there' ? board.left : 0
  const { archived, archive, trouble } = useArchived(ready, loaded)
  const deeds = { archived, onGone: again, onArchive: (id: string, away: boolean) => void archive(id, away) }
  const away = cards.filter(({ id }) => archived.has(id)).length
  // With the last one taken out, there is no archive to look at any more.
  const asked = away === 0 ? { ...filter, archive: false } : filter
  const shown = ordered(filtered(cards, asked, archived, day), day)
  const read = shown.filter((card) => card.ok)
  const customers = customersOf(cards)
  const here = asked.archive ? away : cards.length - away
  return (
    <>
      <PageBar screen="board" about="all jobs, the first due on top">
        <ButtonLink href={to('start')} variant="solid">
          Start a job
        </ButtonLink>
        <ButtonLink href={to('text')} variant="quiet">
          Start from what you were sent
        </ButtonLink>
        <FileButton
          label="Open a file"
          says="Plan file to open"
          variant="quiet"
          onFile={(file) =>
            void open(file).then((id) => {
              if (id !== undefined) router.push(to('load', { job: id }))
            })
          }
        />
        <Button variant="quiet" onClick={() => setDialog('backup')}>
          Backup
        </Button>
        <Button variant="quiet" onClick={() => setDialog('removed')}>
          Removed items
        </Button>
      </PageBar>
      <main className="mx-auto max-w-[1500px] p-4">
        {room && roomWords(room).scarce && <Alert variant="mind">{roomWords(room).words}</Alert>}
        {board.at === 'loading' && <p className="text-xl">Fetching the jobs from this browser.</p>}
        {board.at === 'failed' && (
          <p role="alert" className="text-xl">
            {board.reason} Jobs cannot be listed; a file can still be opened and worked on.
          </p>
        )}
        {demo && !served && (
          <p className="text-ink2 mb-2 flex flex-wrap items-center">
            The demo’s jobs are on this board, and its stock is on every shelf.
            <Button variant="word" onClick={() => void removeDemo().then(again)}>
              Remove the demo
            </Button>
          </p>
        )}
        {cards.length > 0 && <BackupState reminds={!demo} onBackup={() => setDialog('backup')} />}
        <p role="status" className={left > 0 ? 'mb-2' : ''}>
          {left > 0 && `${left} more ${left === 1 ? 'job is' : 'jobs are'} being assessed.`}
        </p>
        {board.at === 'there' && cards.length === 0 && left === 0 && (
          <div className="max-w-xl">
            <p className="text-xl">No jobs yet.</p>
            <p className="mt-2 mb-4">
              Start one with a vehicle and its rack; open a plan file or a job bundle (or drop one anywhere);
              restore a backup; or look round the demo: an invented outfitter with jobs of its own.
            </p>
            <div className="flex flex-wrap gap-2">
              <ButtonLink href={to('start')} variant="solid">
                Begin with a vehicle
              </ButtonLink>
              <ButtonLink href={to('text')}>Start from what you were sent</ButtonLink>
              <Button onClick={() => setDialog('backup')}>Restore a backup</Button>
              <Button onClick={() => void putDemo().then(again)}>Add the demo's jobs</Button>
            </div>
          </div>
        )}
        {trouble !== undefined && <Alert variant="error">{trouble}</Alert>}
        {cards.length > 0 && (
          <div className="mb-2 flex flex-wrap items-center gap-1">
            <h2 className="mr-3 text-xl">{asked.archive ? 'The archive' : 'Jobs'}</h2>
            <Button variant="quiet" pressed={view === 'cards'} onClick={() => change({ board: 'cards' })}>
              Cards
            </Button>
            <Button variant="quiet" pressed={view === 'table'} onClick={() => change({ board: 'table' })}>
              Table
            </Button>
            {away > 0 && (
              <Button
                variant="word"
                className="ml-auto"
                onClick={() => setFilter({ ...WHOLE_BOARD, archive: !asked.archive })}
              >
                {asked.archive ? 'Back to the board' : `The archive: ${away}`}
              </Button>
            )}
          </div>
        )}
        {(here > GLANCE || !isWhole(asked)) && (
          <Filter filter={asked} customers={customers} shown={read.length} of={here} onChange={setFilter} />
        )}
        {cards.length > 0 && shown.length === 0 && (
          <p>{here === 0 ? 'Every job is in the archive.' : 'No job matches.'}</p>
        )}
        {shown.length > 0 && (
          <>
            <ul
              className="grid grid-cols-[repeat(auto-fill,minmax(290px,1fr))] gap-4"
              aria-label={view === 'cards' ? 'Jobs' : 'Jobs that cannot be read'}
            >
              {shown
                .slice(0, drawn)
                .map((card) =>
                  !card.ok ? (
                    <Unreadable key={card.id} card={card} />
                  ) : view === 'cards' ? (
                    <JobCard key={card.id} card={card} day={day} deeds={deeds} />
                  ) : null,
                )}
            </ul>
            {view === 'table' && <BoardTable cards={read} drawn={drawn} day={day} deeds={deeds} />}
            {drawn < shown.length && <EndOfList onSight={more} />}
          </>
        )}
      </main>
      {dialog === 'removed' && <RemovedDialog onClose={() => setDialog(undefined)} onBack={again} />}
      {dialog === 'backup' && <BackupDialog onClose={() => setDialog(undefined)} />}
    </>
  )
}
