import { chromium } from '@playwright/test';

const [port, path, out, w = '1280', h = '800', theme = 'light', steps = ''] = process.argv.slice(2);
const b = await chromium.launch({
  executablePath: '/usr/bin/chromium',
  args: [
    '--no-sandbox',
    '--disable-gpu',
    '--disable-quic',
    '--no-first-run',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync',
  ],
});
const p = await b.newPage({ viewport: { width: +w, height: +h }, colorScheme: theme });
p.on('console', (m) => {
  if (m.type() === 'error') console.log('ERR', m.text().slice(0, 300));
});
p.on('pageerror', (e) => console.log('PAGEERR', String(e).slice(0, 300)));
await p.goto(`http://localhost:${port}/demo`);
await p.waitForURL(/\/shop\//, { timeout: 90000 });
await p.waitForTimeout(800);
if (path !== '-') {
  await p.goto(`http://localhost:${port}/shop/heron-slip/${path}`);
  await p.waitForTimeout(1800);
}
for (const s of steps.split(';;').filter(Boolean)) {
  const [op, a, v] = s.split('::');
  if (op === 'click')
    await p
      .getByRole('button', { name: new RegExp(a) })
      .first()
      .click();
  else if (op === 'select') await p.getByLabel(a).first().selectOption({ label: v });
  else if (op === 'fill') await p.getByLabel(a).first().fill(v);
  else if (op === 'key') await p.keyboard.press(a);
  else if (op === 'xy') {
    const [x, y] = a.split(',').map(Number);
    await p.mouse.click(x, y);
  } else if (op === 'move') {
    const [x, y] = a.split(',').map(Number);
    await p.mouse.move(x, y);
  }
  await p.waitForTimeout(350);
}
await p.screenshot({ path: out });
await b.close();
