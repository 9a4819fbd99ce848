'use client'
import { Section } from '@/ui/kit/section'
import dynamic from 'next/dynamic'
import { useMemo, useState } from 'react'
import { ownStepChoices, rackStepChoices } from '@/core/api/fit'
import { HOUSE_RULES_FIELD, withUsualRules } from '@/core/api/fields'
import { DEFAULT_HOUSE_RULES, type HouseRules, houseRulesSchema } from '@/core/api/plan'
import { Button } from '@/ui/kit/button'
import { SheetPanel } from '@/ui/forms/sheet-dialog'
import { PageBar } from '@/ui/app/page-bar'
import { SettingsFields } from '@/ui/app/settings-dialog'
import { useSettings } from '@/ui/state/settings-store'

const BackupDialog = dynamic(() => import('@/ui/app/backup-dialog').then((module) => module.BackupDialog))
const RemovedDialog = dynamic(() => import('@/ui/app/removed-dialog').then((module) => module.RemovedDialog))

/** The rules that new jobs begin with. Once they are saved the sheet begins again from them. */
function RulesSheet({ house }: { house: HouseRules }) {
  const change = useSettings((store) => store.change)
  const now = useMemo(() => withUsualRules(house), [house])
  const [saved, setSaved] = useState(0)
  return (
    <SheetPanel
      key={saved}
      draft="house rules"
      field={HOUSE_RULES_FIELD}
      schema={houseRulesSchema}
      now={now}
      around={{ ownSteps: ownStepChoices(), rackSteps: rackStepChoices() }}
      save={(rules) => {
        change({ house: rules })
        return undefined
      }}
      onSaved={() => setSaved((times) => times + 1)}
    />
  )
}

/** The shop's own: the schools that new jobs begin with, units and theme, the backup, and what was removed. */
export function HouseScreen() {
  const ready = useSettings((store) => store.ready)
  const house = useSettings((store) => store.settings.house) ?? DEFAULT_HOUSE_RULES
  const [dialog, setDialog] = useState<'backup' | 'removed'>()
  return (
    <>
      <PageBar screen="house" about="the rules and settings of this shop" />
      <main
        className="mx-auto grid max-w-[1200px] gap-x-10 px-4 pt-4 pb-8 lg:grid-cols-[20rem_minmax(0,1fr)]"
        aria-busy={!ready}
      >
        <div className="min-w-0">
          <Section id="house-show" title="Units, theme and keys">
            {ready && <SettingsFields />}
          </Section>
          <Section id="house-keep" title="Backup">
            <p className="mb-2">
              All data of this browser, as one file or in a folder once a day; and items removed in the last
              thirty days.
            </p>
            <div className="flex flex-wrap gap-2">
              <Button onClick={() => setDialog('backup')}>Backup</Button>
              <Button onClick={() => setDialog('removed')}>Removed items</Button>
            </div>
          </Section>
        </div>
        <Section id="house-rules" title="Rules for new jobs">
          <p className="text-ink2 mb-3">
            A job keeps the rules it started with. Changes here apply to new jobs.
          </p>
          {ready && <RulesSheet house={house} />}
        </Section>
      </main>
      {dialog === 'backup' && <BackupDialog onClose={() => setDialog(undefined)} />}
      {dialog === 'removed' && (
        <RemovedDialog onClose={() => setDialog(undefined)} onBack={() => window.location.reload()} />
      )}
    </>
  )
}
