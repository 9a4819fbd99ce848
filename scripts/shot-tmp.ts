import { chromium } from '@playwright/test'
const shots = process.argv.slice(2)
const b = await chromium.launch({ executablePath: '/usr/bin/chromium-headless-shell', args: ['--no-sandbox'] })
for (const s of shots) { const [name, path, theme, size, act] = s.split('|'); const [w,h]=(size||'1280x800').split('x').map(Number)
 const p = await b.newPage({ viewport: { width: w!, height: h! }, serviceWorkers: 'block', colorScheme: theme==='dark'?'dark':'light' })
 p.on('console', m => m.type()==='error' && console.log(name, m.text().slice(0,200)))
 await p.goto('http://localhost:4555'+path); await p.waitForTimeout(1800)
 if (act) for (const a of act.split('>')) { await p.getByRole('button',{name:a}).first().click(); await p.waitForTimeout(700) }
 await p.screenshot({ path: `/tmp/shots/${name}.png` }); await p.close() }
await b.close()
