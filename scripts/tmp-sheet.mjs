// node scripts/tmp-sheet.mjs out.png "path,w,h,theme[,full][,act...]" ...   acts: radio:X button:X key:X wait:ms units:metric
import { chromium } from '@playwright/test';
import { CHROMIUM_FLAGS } from './chromium.mjs';
import sharp from 'sharp';
const [out, ...specs] = process.argv.slice(2);
const address = process.env.ADDR ?? 'http://localhost:4780';
const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: CHROMIUM_FLAGS });
const shots = [];
for (const spec of specs) {
  const [path, w, h, theme, ...acts] = spec.split(',');
  const context = await browser.newContext({ viewport: { width: +w, height: +h }, serviceWorkers: 'block', hasTouch: +w < 1100 });
  await context.addCookies([{ name: 'theme', value: theme, url: address }]);
  const page = await context.newPage();
  page.on('console', (m) => m.type() === 'error' && console.log(spec, m.text()));
  await page.goto(`${address}/demo`);
  await page.getByRole('heading', { name: 'Every drop' }).waitFor();
  await page.goto(path.startsWith('/') ? `${address}${path}` : `${address}/shop/heron-slip/${path}`);
  await page.waitForTimeout(1500);
  let full = false;
  for (const act of acts) {
    const [kind, ...r] = act.split(':'); const v = r.join(':');
    if (kind === 'full') full = true;
    else if (kind === 'radio') await page.getByRole('radio', { name: v }).first().click();
    else if (kind === 'button') await page.getByRole('button', { name: new RegExp(v) }).first().click();
    else if (kind === 'link') await page.getByRole('link', { name: new RegExp(v) }).first().click();
    else if (kind === 'item') await page.getByRole('menuitem', { name: new RegExp(v) }).first().click();
    else if (kind === 'file') await page.locator(`input[type=file][aria-label^="${v.split('|')[0]}"]`).first().setInputFiles(v.split('|')[1]);
    else if (kind === 'select') await page.getByLabel(v.split('|')[0], { exact: true }).selectOption({ label: v.split('|')[1] });
    else if (kind === 'fill') await page.getByLabel(v.split('|')[0], { exact: true }).fill(v.split('|')[1]);
    else if (kind === 'key') await page.keyboard.press(v);
    else if (kind === 'wait') await page.waitForTimeout(+v);
    else if (kind === 'scroll') await page.evaluate((y) => { document.scrollingElement.scrollTo(0, y); for (const e of document.querySelectorAll('main, main *')) if (e.scrollHeight > e.clientHeight + 40 && getComputedStyle(e).overflowY.match(/auto|scroll/)) e.scrollTop = y; }, +v);
    await page.waitForTimeout(500);
  }
  shots.push({ buf: await page.screenshot({ fullPage: full }), w: +w, h: +h });
  await context.close();
}
await browser.close();
if (shots.length === 1) { await sharp(shots[0].buf).toFile(out); }
else {
  const metas = await Promise.all(shots.map((s) => sharp(s.buf).metadata()));
  const H = Math.max(...metas.map((m) => m.height)); let x = 0; const parts = [];
  shots.forEach((s, i) => { parts.push({ input: s.buf, left: x, top: 0 }); x += metas[i].width + 12; });
  await sharp({ create: { width: x, height: H, channels: 3, background: '#888' } }).composite(parts).png().toFile(out);
}
