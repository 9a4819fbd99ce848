'use client'
import { choicesOf, MOUNTS } from '@/core'
import { FormChoice, FormText } from './form-fields'
import type { FitDraft } from './mount-draft'

const MOUNT_CHOICES = choicesOf(MOUNTS, ({ choice }) => choice)

const at = (field: keyof FitDraft) => `fit.${field}`

/** How a thing is held, and what it asks of the bars. */
export function MountFields({ draft }: { draft: FitDraft }) {
  const { mount } = draft
  const { onBars } = MOUNTS[mount]
  return (
    <section className="space-y-2" aria-labelledby="held-title">
      <h2 id="held-title">How it is held</h2>
      <div className="grid grid-cols-2 gap-2 sm:grid-cols-3">
        <FormChoice name={at('mount')} label="Held by" options={MOUNT_CHOICES} />
        {(mount === 'wrapClamp' || mount === 'uBolt') && (
          <>
            <FormText name={at('sectionWidthFrom')} label="Bars from this width" />
            <FormText name={at('sectionWidthTo')} label="to this width" />
            <FormText name={at('sectionHeightFrom')} label="Bars from this height" />
            <FormText name={at('sectionHeightTo')} label="to this height" />
          </>
        )}
        {mount === 'wrapClamp' && <FormText name={at('underBar')} label="Room it needs under the bar" />}
        {(mount === 'channelBolt' || mount === 'slat') && (
          <FormText name={at('slot')} label="Slot it is made for" hint="The channel’s mouth" />
        )}
        {mount === 'channelBolt' && (
          <>
            <FormText name={at('head')} label="Height of its head" hint="Inside the channel" />
            <FormText name={at('thread')} label="Thread" />
            <FormText name={at('stack')} label="Stack over the bar" hint="What the bolt passes through" />
            <FormText name={at('bolt')} label="Bolt in the box" hint="Empty when not known" />
          </>
        )}
        {mount === 'panelHoles' && (
          <>
            <FormText name={at('pitch')} label="Pitch of the holes" />
            <FormText name={at('columns')} label="Holes along" />
            <FormText name={at('rows')} label="Holes up" />
          </>
        )}
        {mount === 'bracket' && (
          <>
            <FormText name={at('spacingFrom')} label="Brackets from" />
            <FormText name={at('spacingTo')} label="to" />
            <FormChoice
              name={at('direction')}
              label="Brackets lie"
              options={[
                ['along', 'along the vehicle'],
                ['across', 'across it'],
              ]}
            />
          </>
        )}
        {mount === 'handle' && <FormText name={at('diameter')} label="Handle’s diameter" />}
        {onBars && (
          <>
            <FormText name={at('spreadFrom')} label="Spread from" hint="Empty when it asks none" />
            <FormText name={at('spreadTo')} label="to" />
            <FormText name={at('contacts')} label="Touches the bar at" hint="From its middle: -210; 210" />
            <FormText name={at('overhang')} label="Bar past its foot" hint="For side loading" />
            <FormText name={at('beside')} label="Clear width beside it" hint="Empty: the house’s gap" />
          </>
        )}
      </div>
    </section>
  )
}
