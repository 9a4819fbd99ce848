import { checkedBundle, planFileName, printBundle } from '@/core/api/files'
import { makeBundle } from '@/storage/job-bundle'
import { sha256 } from '@/storage/sha256'
import { whyNotSaved } from '@/storage/save-result'
import { planStore } from '@/ui/state/plan-store'
import { settingsStore } from '@/ui/state/settings-store'
import { downloadText } from '@/ui/kit/download'

/** Hands a job with all that belongs to it to the browser as a file; says why where it cannot. */
export async function downloadBundle(id: string): Promise<string | undefined> {
  try {
    await planStore.getState().saveNow()
    const { fitter } = settingsStore.getState().settings
    const bundle = await makeBundle(id, new Date().toISOString(), fitter)
    if (!bundle) return 'This job is not saved in this browser. Download the plan file instead.'
    const name = planFileName(bundle.plan).replace(/\.ypsos\.json$/, '.ypsos-parcel.json')
    downloadText(name, printBundle(bundle, await sha256(checkedBundle(bundle))), 'application/json')
    return undefined
  } catch (error) {
    return whyNotSaved(error)
  }
}
