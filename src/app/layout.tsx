import type { Metadata, Viewport } from 'next'
import { connection } from 'next/server'
import type { ReactNode } from 'react'
import { AppShell } from '@/ui/app/shell'
import '@fontsource-variable/archivo/wdth.css'
import './globals.css'

export const metadata: Metadata = {
  title: 'Ypsos',
  description:
    'Plans what goes on a fitted roof rack or bed rack, and whether every link of the load path holds.',
}

export const viewport: Viewport = { width: 'device-width', initialScale: 1 }

export default async function RootLayout({ children }: { children: ReactNode }) {
  await connection()
  return (
    <html lang="en" suppressHydrationWarning>
      <body>
        <AppShell demo={process.env['YPSOS_DEMO'] === '1'}>{children}</AppShell>
      </body>
    </html>
  )
}
