import { chromium } from '@playwright/test'
import { findChromium } from './scripts/project.mjs'
const b = await chromium.launch({ executablePath: findChromium() ?? 'chromium', args: ['--no-sandbox','--disable-gpu'] })
const shots = process.argv.slice(2).map((x) => x.split('='))
const page = await b.newPage({ viewport: { width: Number(process.env.W ?? 1280), height: 800 } })
if (process.env.THEME) { await page.goto('http://127.0.0.1:4310/house'); await page.getByLabel('Theme', { exact: true }).selectOption(process.env.THEME); await page.waitForTimeout(800) }
for (const [name, ...rest] of shots) { await page.goto('http://127.0.0.1:4310' + rest.join('=')); await page.waitForTimeout(2500); await page.screenshot({ path: `/tmp/shot-${name}.png` }) }
await b.close()
