import { checkedParcel, planFileName, printParcel } from '@/core'
import { makeParcel } from '@/storage/parcel'
import { sha256 } from '@/storage/sha256'
import { whyNotKept } from '@/storage/shelves'
import { usePlan } from '@/ui/state/plan-store'
import { useSettings } from '@/ui/state/settings-store'
import { downloadText } from './download'

/** Hands a job with all that belongs to it to the browser as a file; says why where it cannot. */
export async function downloadParcel(id: string): Promise<string | undefined> {
  try {
    await usePlan.getState().saveNow()
    const { fitter } = useSettings.getState().settings
    const parcel = await makeParcel(id, new Date().toISOString(), fitter)
    if (!parcel) return 'This job is not kept in this browser: save it as a plan file instead.'
    const name = planFileName(parcel.plan).replace(/\.ypsos\.json$/, '.ypsos-parcel.json')
    downloadText(name, printParcel(parcel, await sha256(checkedParcel(parcel))), 'application/json')
    return undefined
  } catch (error) {
    return whyNotKept(error)
  }
}
